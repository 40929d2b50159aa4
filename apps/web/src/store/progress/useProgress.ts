import type { Tick } from '@fellside/core';
import { useEffect } from 'react';
import { api } from '../api.js';
import { useActions } from '../store.js';
import { sendTicks } from './counting.js';
import { keptTicks } from './keeping.js';
import { takeNewer } from './newer.js';
import { progress } from './progressSlice.js';

/** What a ring that came to be cut changes in the document is saved by then (ms). */
const FOLLOWS = 1500;
/** How long after the line was lost it is tried again (ms). */
const AGAIN = 2000;

/** Keeps the progress of a piece: what this browser kept, all that the server has, and what other devices add from now on. */
export function useProgress(piece: string): void {
  const dispatch = useActions();
  useEffect(() => {
    dispatch(progress.opened({ piece, pending: keptTicks(piece) }));
    if (typeof EventSource === 'undefined') return;
    let [stream, left]: [EventSource | null, boolean] = [null, false];
    let [waiting, following]: (ReturnType<typeof setTimeout> | undefined)[] = [];
    const list = async () => {
      const answer = await dispatch(
        api.endpoints.ticks.initiate(piece, { subscribe: false, forceRefetch: true }),
      );
      if (left) return;
      if (answer.data) dispatch(progress.listed({ piece, ticks: answer.data.ticks }));
      void dispatch(sendTicks());
    };
    const listen = () => {
      stream = new EventSource(
        `${location.origin}/api/projects/${encodeURIComponent(piece)}/progress/stream`,
      );
      // What was added while nobody listened is asked for once the line stands.
      stream.onopen = () => void list();
      stream.onmessage = ({ data }: MessageEvent<string>) => {
        dispatch(progress.heard({ piece, ticks: (JSON.parse(data) as { ticks: Tick[] }).ticks }));
        clearTimeout(following);
        following = setTimeout(() => void dispatch(takeNewer()), FOLLOWS);
      };
      stream.onerror = () => {
        dispatch(progress.away());
        stream?.close();
        waiting = setTimeout(listen, AGAIN);
      };
    };
    void list();
    listen();
    return () => {
      left = true;
      clearTimeout(waiting);
      clearTimeout(following);
      stream?.close();
    };
  }, [piece, dispatch]);
}
