import type { MadeBlank } from '../blank/contract.js';
import { BLANKS, blankPieces, makeBlank } from '../blank/registry.js';
import type { Vessel } from '../form/vessel.js';
import type { OwnedPieces } from '../lumber/owned.js';
import type { Step } from '../making/step.js';
import type { Result } from '../measure/reason.js';
import type { Project } from './schema.js';

/** A blank beside the stack with its pieces; none where it cannot be made. */
export interface PlannedBlank {
  readonly id: string;
  readonly name: string;
  readonly made: Result<MadeBlank>;
  readonly pieces: readonly OwnedPieces[];
  /** What is done to make it, in order. */
  readonly steps: readonly Step[];
}

export function plannedBlanks(
  { blanks = [] }: Pick<Project, 'blanks'>,
  vessel: Vessel,
  woodOf: ReadonlyMap<string, string>,
): PlannedBlank[] {
  return blanks.map(({ id, making, woods }) => {
    const made = makeBlank(making, vessel);
    const pieces = made.ok ? blankPieces(made.value, id, (place) => woodOf.get(woods[place]!)!) : [];
    return { id, name: BLANKS[making.kind].name, made, pieces, steps: made.ok ? made.value.steps() : [] };
  });
}

/** Volumes left by wood with those of blanks, which are counted whole: how they are turned is not known. */
export function withBlanks(
  finished: ReadonlyMap<string, number>,
  pieces: readonly OwnedPieces[],
): ReadonlyMap<string, number> {
  const all = new Map(finished);
  for (const { wood, count, volumeMm3 } of pieces) all.set(wood, (all.get(wood) ?? 0) + count * volumeMm3);
  return all;
}
