import {
  bandOwner,
  counted,
  type Done,
  edit,
  hasCome,
  isDone,
  type Job,
  type Order,
  type Owner,
  type Project,
  ringOwner,
  sentenceIn,
  stateOf,
  type Tick,
} from '@fellside/core';
import { api, sentencesOf } from '../api.js';
import { editPiece } from '../edits.js';
import { unitsOf } from '../house.js';
import type { Dispatch, State } from '../store.js';
import { deviceName, keepTicks, newId } from './keeping.js';
import { takeNewer } from './newer.js';
import { progress } from './progressSlice.js';
import { doneOf, workOf } from './work.js';

/** Between tries while the server is away (ms). */
const RETRY = 2500;

/** Counts so many more of a job, or fewer; refused where its turn has not come. What is cut or stacked by it keeps its size and place. */
export const count =
  (id: string, more: number) =>
  (dispatch: Dispatch, getState: () => State): boolean => {
    const order = workOf(getState());
    if (!order) return false;
    const allowed = counted(order, doneOf(getState()), id, more);
    if (!allowed.ok) {
      dispatch(progress.refused(sentenceIn(allowed.reasons[0]!.message, unitsOf(getState()))));
      return false;
    }
    dispatch(
      ticked(
        order,
        allowed.value.map((job) => ({ job, amount: more })),
      ),
    );
    return true;
  };

/** Counts all that is left of several jobs: of someone who begins in the middle. */
export const countAll =
  (jobs: readonly Job[]) =>
  (dispatch: Dispatch, getState: () => State): void => {
    const order = workOf(getState());
    const done = doneOf(getState());
    if (!order) return;
    const left = jobs.flatMap(({ id, also, times }) =>
      [id, ...also].flatMap((job) => {
        const amount = times - (done.get(job) ?? 0);
        return amount > 0 ? [{ job, amount }] : [];
      }),
    );
    dispatch(ticked(order, left));
  };

const ticked =
  (order: Order, counts: readonly { readonly job: string; readonly amount: number }[]) =>
  (dispatch: Dispatch, getState: () => State): void => {
    if (counts.length === 0) return;
    const before = doneOf(getState());
    const [at, device] = [new Date().toISOString(), deviceName()];
    dispatch(progress.counted(counts.map((each): Tick => ({ id: newId(), ...each, at, device }))));
    const { piece, pending } = getState().progress;
    if (piece) dispatch(progress.kept(keepTicks(piece, pending)));
    dispatch(asMade(order, before));
    void dispatch(sendTicks());
  };

/** Edits that follow from ticks, one after the other in the order in which they were counted. */
const making = new WeakMap<Dispatch, Promise<void>>();

/** Rings and bands that came to be cut or stacked, or were taken back, by the last ticks: the document follows. */
const asMade =
  (order: Order, before: Done) =>
  (dispatch: Dispatch, getState: () => State): void => {
    const after = doneOf(getState());
    if (order.jobs.every((job) => job.makes === null || isDone(job, before) === isDone(job, after))) return;
    const follow = () => {
      const project = getState().piece.edited?.project;
      if (!project) return;
      const [on, off] = [true, false].map((up) => madeBy(project, order, before, after, up));
      if (isSome(on!)) dispatch(editPiece(edit.keepAsMade(on!)));
      if (isSome(off!)) dispatch(editPiece(edit.takeBack(off!)));
    };
    making.set(
      dispatch,
      (making.get(dispatch) ?? Promise.resolve()).then(() => dispatch(takeNewer())).then(follow),
    );
  };

/** What came so far by ticks, or with `up` false was taken back, by the places in the document. */
function madeBy(project: Project, order: Order, before: Done, after: Done, up: boolean) {
  const came = (owner: Owner, to: 'cut' | 'stacked') => {
    const [was, is] = [before, after].map((done) => stateOf(owner, order, done));
    return hasCome(is!, to) === up && hasCome(was!, to) !== up;
  };
  const those = (owners: readonly Owner[], to: 'cut' | 'stacked') =>
    owners.flatMap((owner, place) => (came(owner, to) ? [place] : []));
  const rings = project.rings.map(({ id }) => ringOwner(id));
  const bands = (project.slants ?? []).map(({ id }) => bandOwner(id));
  return { cut: those(rings, 'cut'), stacked: those(rings, 'stacked'), bands: those(bands, 'cut') };
}

const isSome = (made: ReturnType<typeof madeBy>): boolean =>
  Object.values(made).some(({ length }) => length > 0);

/** What is being sent, by the store that it is of. */
const sending = new WeakMap<Dispatch, Promise<void>>();

/** Sends what is on its way, one request after the other, until all of it is on disk. */
export const sendTicks =
  () =>
  (dispatch: Dispatch, getState: () => State): Promise<void> => {
    const now = sending.get(dispatch) ?? drain(dispatch, getState).finally(() => sending.delete(dispatch));
    sending.set(dispatch, now);
    return now;
  };

async function drain(dispatch: Dispatch, getState: () => State): Promise<void> {
  for (;;) {
    const { piece, pending } = getState().progress;
    if (!piece || pending.length === 0) return;
    const answer = await dispatch(api.endpoints.addTicks.initiate({ id: piece, ticks: pending }));
    if (!('error' in answer) || !answer.error) dispatch(progress.heard({ piece, ticks: pending }));
    else if ([404, 422].includes((answer.error as { status?: number }).status ?? 0)) {
      const sentence = sentencesOf(answer.error).join(' ');
      dispatch(progress.turnedDown({ ids: pending.map(({ id }) => id), sentence }));
    } else {
      dispatch(progress.away());
      await new Promise((go) => setTimeout(go, RETRY));
    }
    const now = getState().progress;
    if (now.piece === piece) keepTicks(piece, now.pending);
  }
}
