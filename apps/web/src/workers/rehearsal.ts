import {
  buildMany,
  done,
  type Errors,
  type Halved,
  halvings,
  type Method,
  type Outcomes,
  type Project,
  prepare,
  type Result,
  type Ripping,
  refuse,
  toBuild,
} from '@fellside/core';
import { proxy, type Remote, wrap } from 'comlink';

/** What a piece is built with, again and again. */
export interface RehearsalAsk {
  readonly project: Project;
  readonly ripping: Ripping;
  readonly errors: Errors;
  readonly method: Method;
  readonly builds: number;
  readonly firstSeed: number;
}

/** What came out so far, and what halving each error would bring; null before that is known. */
export interface Rehearsed {
  readonly outcomes: Outcomes;
  readonly helps: readonly Halved[] | null;
}

/** Told after so many builds. */
const TELL_EACH = 25;
/** Builds for each error that is halved: fewer, for they are compared seed by seed. */
const HALVED_BUILDS = 120;

/** Builds the piece, then with every error halved; tells what came out so far. */
export function rehearsed(ask: RehearsalAsk, tell: (so: Rehearsed) => void): Result<Rehearsed> {
  const { project, ripping, errors, method, builds, firstSeed } = ask;
  const prepared = prepare(project, ripping);
  const piece = prepared.ok ? toBuild(prepared.value) : prepared;
  if (!piece.ok) return piece;
  const run = buildMany(piece.value, errors, method, { builds, firstSeed, each: TELL_EACH });
  let step = run.next();
  for (; !step.done; step = run.next()) tell({ outcomes: step.value, helps: null });
  const outcomes = step.value;
  tell({ outcomes, helps: null });
  const halved = halvings(piece.value, errors, method, Math.min(builds, HALVED_BUILDS), firstSeed);
  let help = halved.next();
  while (!help.done) help = halved.next();
  return done({ outcomes, helps: help.value });
}

const BROKEN_OFF = refuse(
  'web:rehearsal',
  '',
  'The builds broke off: the browser ended them. Take fewer builds, or draw again.',
);

export interface RehearsalService {
  rehearse(ask: RehearsalAsk, tell: (so: Rehearsed) => void): Promise<Result<Rehearsed>>;
}

/** Builds beside the page until all is done or it is stopped; here where there is no worker. */
export function rehearseBeside(
  ask: RehearsalAsk,
  tell: (so: Result<Rehearsed>, ended: boolean) => void,
): () => void {
  const heard = (so: Rehearsed) => tell(done(so), false);
  if (typeof Worker === 'undefined') {
    tell(rehearsed(ask, heard), true);
    return () => {};
  }
  const worker = new Worker(new URL('./rehearsal.worker.ts', import.meta.url), { type: 'module' });
  const service: Remote<RehearsalService> = wrap(worker);
  service
    .rehearse(ask, proxy(heard))
    .then((so) => tell(so, true))
    .catch(() => tell(BROKEN_OFF, true))
    .finally(() => worker.terminate());
  return () => worker.terminate();
}
