import type { Edited, History, Reason } from '@fellside/core';
import { createListenerMiddleware, isAnyOf } from '@reduxjs/toolkit';
import { api, type SavedProject, sentencesOf } from './api.js';
import { dropDraft, keepDraft } from './drafts.js';
import { type Outbox, outbox } from './outboxSlice.js';
import { type PieceState, pieceSlice } from './pieceSlice.js';
import { type Other, type Pending, sameDocument, saving } from './saving.js';
import { underWay } from './underWay.js';

/** Pause in editing before a save, and between tries while the server is away (ms). */
const SETTLE = 350;
const RETRY = 2500;
/** So often it is looked whether a gesture has ended (ms). */
const HELD = 100;

export interface Seen {
  readonly piece: PieceState;
  readonly outbox: Outbox;
}
export type Tell = (action: unknown) => unknown;

/** Edits of a piece that are not known to be on the server, wherever they are. */
export const pendingOf = ({ piece: open, outbox: left }: Seen, id: string): Pending | null => {
  if (open.id === id && open.edited && open.safety !== 'saved') return { ...open, id, edited: open.edited };
  return left[id] ?? null;
};

/** All of them. */
export const allPending = (state: Seen): Pending[] => {
  const open = state.piece.id === null ? null : pendingOf(state, state.piece.id);
  return [...(open ? [open] : []), ...Object.values(state.outbox)];
};

export const autosave = createListenerMiddleware<Seen>();

/** Every edit is first kept in this browser, then, after a short pause, sent; a later edit starts the pause again. */
autosave.startListening({
  matcher: isAnyOf(pieceSlice.actions.edited, pieceSlice.actions.merged),
  effect: async (_, { getState, dispatch, cancelActiveListeners, delay }) => {
    cancelActiveListeners();
    const { id, revision, edited, base, safety } = getState().piece;
    if (!id || !edited) return;
    void keepDraft(id, { revision, edited, base }).then((kept) => {
      const now = pendingOf(getState(), id);
      if (now && (kept ? now.kept !== 'here' : now.kept !== 'nowhere'))
        dispatch(saving.kept({ id, kept: kept ? 'here' : 'nowhere' }));
    });
    if (safety === 'stale') return;
    await delay(SETTLE);
    void dispatch(saveNow(id) as never);
  },
});

/** A piece that is left before all is saved goes on being saved. */
autosave.startListening({
  actionCreator: outbox.left,
  effect: ({ payload: { id, safety } }, { dispatch }) => {
    if (safety !== 'stale' && safety !== 'refused') void dispatch(saveNow(id) as never);
  },
});

const savingNow = underWay();

/** Saves a piece, one request at a time for each piece, until what is on disk is what was edited. */
export const saveNow =
  (id: string) =>
  (dispatch: Tell, getState: () => Seen): Promise<void> =>
    savingNow(dispatch, id, () => drain(id, dispatch, getState));

/** Saves a piece without waiting for a pause; says whether all of it is on disk. While the server is away it is not waited for. */
export const savedFirst =
  (id: string) =>
  async (dispatch: Tell, getState: () => Seen): Promise<boolean> => {
    for (;;) {
      const work = dispatch(saveNow(id)) as Promise<void>;
      const pending = pendingOf(getState(), id);
      if (!pending) return true;
      if (['away', 'stale', 'refused'].includes(pending.safety)) return false;
      await Promise.race([work, new Promise((look) => setTimeout(look, 100))]);
    }
  };

async function drain(id: string, dispatch: Tell, getState: () => Seen): Promise<void> {
  for (;;) {
    const pending = pendingOf(getState(), id);
    if (!pending || (pending.safety !== 'unsaved' && pending.safety !== 'away')) return;
    const { revision, edited } = pending;
    dispatch(saving.begun({ id }));
    const answer = (await dispatch(
      api.endpoints.saveProject.initiate({ id, body: bodyOf(revision, edited) }),
    )) as SaveAnswer;
    // Under a hand that moves nothing is exchanged.
    while (answer.error?.status === 409 && isHeld(id, getState()))
      await new Promise((go) => setTimeout(go, HELD));
    if (!(await settled(id, answer, edited, dispatch, getState)))
      await new Promise((go) => setTimeout(go, RETRY));
  }
}

/** Whether a gesture runs at a piece. */
const isHeld = (id: string, { piece: open }: Seen): boolean => open.id === id && open.preview !== null;

/** Takes in what the server answered; false where it has to be asked again after a while. */
async function settled(
  id: string,
  answer: SaveAnswer,
  edited: Edited,
  dispatch: Tell,
  getState: () => Seen,
): Promise<boolean> {
  if (answer.data) return saved(id, answer.data, edited, dispatch, getState);
  const { status, data } = answer.error!;
  const other = otherOf(status, data);
  if (other?.what === 'changed' && sameDocument(other.piece.document, edited.project))
    return saved(id, other.piece, edited, dispatch, getState);
  if (other?.what === 'changed') {
    const together = await import('./together.js').catch(() => null);
    if (together?.bringTogether(other.piece, dispatch, getState) === null) return true;
  }
  if (other) dispatch(saving.stale({ id, other }));
  else if (typeof status === 'number' && status >= 400 && status < 500 && status !== 401) {
    const reasons = sentencesOf(answer.error).map(
      (message): Reason => ({ code: 'web:not-saved', path: '', message }),
    );
    dispatch(saving.turnedDown({ id, reasons }));
  } else {
    dispatch(saving.away({ id, trouble: troubleOf(status, answer.error) }));
    return false;
  }
  return true;
}

function otherOf(status: unknown, data: SaveError['data']): Other | null {
  if (status === 404) return { what: 'gone' };
  if (status !== 409 || !data?.current) return null;
  return { what: data.code === 'removed' ? 'removed' : 'changed', piece: data.current };
}

const troubleOf = (status: unknown, error: unknown): string =>
  status === 'FETCH_ERROR' ? 'the server does not answer' : sentencesOf(error).join(' ').replace(/\.$/, '');

function saved(
  id: string,
  { revision, savedAt }: Pick<SavedProject, 'revision' | 'savedAt'>,
  sent: Edited,
  dispatch: Tell,
  getState: () => Seen,
): true {
  dispatch(saving.done({ id, revision, savedAt, sent }));
  const rest = pendingOf(getState(), id);
  if (rest) void keepDraft(id, { revision, edited: rest.edited, base: sent.project });
  else void dropDraft(id);
  return true;
}

interface SaveError {
  readonly status: unknown;
  readonly data?: { readonly code?: string; readonly current?: SavedProject };
}
interface SaveAnswer {
  readonly data?: Pick<SavedProject, 'revision' | 'savedAt'>;
  readonly error?: SaveError;
}

const json = new WeakMap<History['past'][number], string>();

/** A step as JSON; worked out once, for a history of hundreds is sent with every save. */
function stepJson(step: History['past'][number]): string {
  const known = json.get(step) ?? JSON.stringify(step);
  json.set(step, known);
  return known;
}

/** What is sent to save a piece. */
export const bodyOf = (revision: number, { project, history: { past, future } }: Edited): string =>
  `{"revision":${revision},"document":${JSON.stringify(project)},"history":{"past":[${past.map(stepJson).join(',')}],"future":[${future.map(stepJson).join(',')}]}}`;
