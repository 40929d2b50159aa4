import { applyPatches, type Patch } from 'immer';
import { z } from 'zod';
import type { Change } from './commands/command.js';
import type { Project } from './schema.js';

/** How many steps back are kept with a project. */
export const MOST_STEPS = 200;
/** How much they may take together, letters of JSON: a step that repaints a large piece takes half a million. */
const MOST_LETTERS = 4e6;

const patchSchema = z.strictObject({
  op: z.enum(['replace', 'remove', 'add']),
  path: z.array(z.union([z.string(), z.number()])).max(12, { abort: true }),
  value: z.unknown().optional(),
});

const stepSchema = z.strictObject({
  label: z.string().max(120),
  patches: z.array(patchSchema),
  inverse: z.array(patchSchema),
});

/** The edits that led to a project, oldest first, and those undone, the next to redo last. Saved with the project. */
export const historySchema = z.strictObject({
  past: z.array(stepSchema).max(MOST_STEPS, { abort: true }),
  future: z.array(stepSchema).max(MOST_STEPS, { abort: true }),
});

export interface Step {
  readonly label: string;
  readonly patches: readonly Patch[];
  readonly inverse: readonly Patch[];
}
export interface History {
  readonly past: readonly Step[];
  readonly future: readonly Step[];
}

/** A project and how it came about. */
export interface Edited {
  readonly project: Project;
  readonly history: History;
}

export const NO_HISTORY: History = { past: [], future: [] };

/** After a change: one step more to undo, nothing to redo. A change that changed nothing leaves no step. */
export function recorded({ history }: Edited, change: Change): Edited {
  if (change.patches.length === 0) return { project: change.project, history };
  const step: Step = { label: change.label, patches: change.patches, inverse: change.inverse };
  return {
    project: change.project,
    history: { past: newest([...history.past, step]), future: [] },
  };
}

const letters = new WeakMap<Step, number>();

function lettersOf(step: Step): number {
  const known = letters.get(step) ?? JSON.stringify(step).length;
  letters.set(step, known);
  return known;
}

/** The last steps that may be kept; the very last one always is. */
function newest(steps: readonly Step[]): Step[] {
  let total = 0;
  const kept = steps.slice(-MOST_STEPS).reverse();
  const end = kept.findIndex((step, i) => {
    total += lettersOf(step);
    return i > 0 && total > MOST_LETTERS;
  });
  return (end < 0 ? kept : kept.slice(0, end)).reverse();
}

/** One step back; the same when there is none. */
export function undone(edited: Edited): Edited {
  const step = edited.history.past.at(-1);
  if (!step) return edited;
  return {
    project: applyPatches(edited.project, [...step.inverse]) as Project,
    history: { past: edited.history.past.slice(0, -1), future: [...edited.history.future, step] },
  };
}

/** One undone step again; the same when there is none. */
export function redone(edited: Edited): Edited {
  const step = edited.history.future.at(-1);
  if (!step) return edited;
  return {
    project: applyPatches(edited.project, [...step.patches]) as Project,
    history: { past: [...edited.history.past, step], future: edited.history.future.slice(0, -1) },
  };
}
