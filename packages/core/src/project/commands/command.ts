import { enablePatches, type Patch, produceWithPatches } from 'immer';
import { done, type Reason, type Result, refused, refusedFor } from '../../measure/reason.js';
import type { Said } from '../../measure/said.js';
import { inspect } from '../inspect.js';
import { AS_DRAWN, type Ripping } from '../ripping.js';
import { type Project, projectSchema } from '../schema.js';
import { reasonsOf } from '../sentences.js';
import { relink } from './relink.js';

enablePatches();

/** An edit: what it is called in the undo list, and what it does to a draft. May refuse with reasons, or add a note. */
export interface Command {
  readonly label: string;
  /** `ripping` is how the shop rips strips: sizes are those of the rings as they are planned. */
  apply(draft: Project, ripping?: Ripping): Outcome | undefined;
}

export interface Outcome {
  readonly reasons?: readonly Reason[];
  /** What else was changed to keep the piece whole, for the user to read. */
  readonly note?: Said;
}

/** What came of a command: the new project and the patches that lead there and back. */
export interface Change {
  readonly label: string;
  readonly project: Project;
  readonly patches: readonly Patch[];
  readonly inverse: readonly Patch[];
  readonly note?: Said;
}

/** Carries out a command on a project, or says why not; then nothing is changed. */
export function run(project: Project, command: Command, ripping = AS_DRAWN): Result<Change> {
  let outcome: Outcome | undefined;
  const [next, patches, inverse] = produceWithPatches(project, (draft) => {
    outcome = command.apply(draft as Project, ripping);
    if (!outcome?.reasons?.length) relink(project, draft as Project);
  });
  if (outcome?.reasons?.length) return refused(...outcome.reasons);
  const parsed = projectSchema.safeParse(next);
  if (!parsed.success) return refusedFor(reasonsOf(parsed.error), parsed.error.issues.length);
  const reasons = inspect(next);
  if (reasons.length > 0) return refusedFor(reasons);
  return done({
    label: command.label,
    project: next,
    patches,
    inverse,
    ...(outcome?.note && { note: outcome.note }),
  });
}
