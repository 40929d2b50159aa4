import type { Tick } from '@fellside/core';
import { useEffect } from 'react';
import { api } from '../api.js';
import { sendJournal } from '../journal/writing.js';
import { useActions } from '../store.js';
import { sendTicks } from './counting.js';
import { keptTicks } from './keeping.js';
import { takeNewer } from './newer.js';
import { progress } from './progressSlice.js';

/** How long after the line was lost it is tried again (ms). */
const AGAIN = 2000;

/**
 * Keeps up with a piece while its window is seen: what was done of it, what other devices count, save and write. A window that nobody
 * sees holds no line, for a browser has only a few of them to one server; it catches up when it is seen again.
 */
export function useLive(piece: string): void {
  const dispatch = useActions();
  useEffect(() => {
    dispatch(progress.opened({ piece, pending: keptTicks(piece) }));
    if (typeof EventSource === 'undefined') return;
    let [stream, left]: [EventSource | null, boolean] = [null, false];
    let waiting: ReturnType<typeof setTimeout> | undefined;
    const catchUp = async () => {
      const asked = { subscribe: false, forceRefetch: true } as const;
      const answer = await dispatch(api.endpoints.ticks.initiate(piece, asked));
      if (left) return;
      if (answer.data) dispatch(progress.heard({ piece, ticks: answer.data.ticks }));
      dispatch(api.util.invalidateTags(['journal']));
      void dispatch(takeNewer());
      void dispatch(sendTicks());
      void dispatch(sendJournal(piece));
    };
    const listen = () => {
      if (left || document.hidden || stream) return;
      const path = `/api/projects/${encodeURIComponent(piece)}/progress/stream`;
      stream = new EventSource(`${location.origin}${path}`);
      // What came while nobody listened is asked for once the line stands.
      stream.onopen = () => void catchUp();
      stream.onmessage = ({ data }: MessageEvent<string>) =>
        dispatch(progress.heard({ piece, ticks: (JSON.parse(data) as { ticks: Tick[] }).ticks }));
      stream.addEventListener('journal', () => dispatch(api.util.invalidateTags(['journal'])));
      stream.addEventListener('saved', ({ data }: MessageEvent<string>) => {
        const { revision } = JSON.parse(data) as { revision: number };
        void dispatch(takeNewer(revision));
      });
      stream.onerror = () => {
        dispatch(progress.away());
        hangUp();
        waiting = setTimeout(listen, AGAIN);
      };
    };
    const hangUp = () => {
      clearTimeout(waiting);
      stream?.close();
      stream = null;
    };
    const seen = () => (document.hidden ? hangUp() : listen());
    void catchUp();
    listen();
    document.addEventListener('visibilitychange', seen);
    return () => {
      left = true;
      hangUp();
      document.removeEventListener('visibilitychange', seen);
    };
  }, [piece, dispatch]);
}
