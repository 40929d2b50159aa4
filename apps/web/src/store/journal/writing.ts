import { entrySaid, type HandEntry, plain, type WorkKind, type Written } from '@fellside/core';
import { api, sentencesOf } from '../api.js';
import { deviceName, newId } from '../progress/keeping.js';
import type { Dispatch, State } from '../store.js';
import { journal } from './journalSlice.js';

/** Between tries while the server is away (ms). */
const RETRY = 2500;
const MINUTE = 60_000;
/** A clock that ran longer than this was forgotten as likely as not, minutes. */
const LONG = 4 * 60;

/** Writes an entry into the journal of a piece: kept in this browser at once, and sent until the server has it. */
export const write =
  (piece: string, written: Written) =>
  (dispatch: Dispatch): void => {
    const entry = {
      id: newId(),
      at: new Date().toISOString(),
      device: deviceName(),
      ...written,
    } as HandEntry;
    dispatch(journal.written({ piece, entry }));
    void dispatch(sendJournal(piece));
  };

/** What is being sent, by the store that it is of. */
const sending = new WeakMap<Dispatch, Map<string, Promise<void>>>();

/** Sends what is on its way for a piece, until all of it is on disk. */
export const sendJournal =
  (piece: string) =>
  (dispatch: Dispatch, getState: () => State): Promise<void> => {
    const pieces = sending.get(dispatch) ?? new Map<string, Promise<void>>();
    sending.set(dispatch, pieces);
    const now = pieces.get(piece) ?? drain(piece, dispatch, getState).finally(() => pieces.delete(piece));
    pieces.set(piece, now);
    return now;
  };

async function drain(piece: string, dispatch: Dispatch, getState: () => State): Promise<void> {
  for (;;) {
    const [entry] = getState().journal.unsent[piece] ?? [];
    if (!entry) return;
    const answer = await dispatch(api.endpoints.addEntries.initiate({ piece, entries: [entry] }));
    const { status } = (answer.error ?? {}) as { status?: number };
    const told = getState().journal.refused;
    if (!answer.error) dispatch(journal.settled({ piece, ids: [entry.id], refused: told }));
    else if (status === 404 || status === 422)
      dispatch(
        journal.settled({
          piece,
          ids: [entry.id],
          refused: `Not written down: “${plain(entrySaid(entry, String))}”. ${sentencesOf(answer.error).join(' ')}`,
        }),
      );
    else await new Promise((go) => setTimeout(go, RETRY));
  }
}

/** Starts the clock for a kind of work; what ran before is written down. */
export const startClock =
  (piece: string, work: WorkKind, now = Date.now()) =>
  (dispatch: Dispatch, getState: () => State): void => {
    const { running } = getState().journal;
    if (running?.piece === piece && running.work === work) return;
    dispatch(stopClock(now));
    dispatch(journal.started({ piece, work, since: now }));
  };

/** Stops it: the time is written down; less than a minute is none, and of a very long stretch it is asked first. */
export const stopClock =
  (now = Date.now()) =>
  (dispatch: Dispatch, getState: () => State): void => {
    const { running } = getState().journal;
    if (!running) return;
    dispatch(journal.started(null));
    const { piece, work, since } = running;
    const minutes = Math.round((now - since) / MINUTE);
    if (minutes >= LONG) dispatch(journal.asked({ piece, work, minutes }));
    else if (minutes >= 1) dispatch(write(piece, { kind: 'hours', work, minutes }));
  };

/** How much of a long stretch was work; 0 for none of it. */
export const answerStretch =
  (minutes: number) =>
  (dispatch: Dispatch, getState: () => State): void => {
    const { asked } = getState().journal;
    if (!asked) return;
    dispatch(journal.asked(null));
    if (minutes >= 1) dispatch(write(asked.piece, { kind: 'hours', work: asked.work, minutes }));
  };
