import { current } from 'immer';
import { vesselOf } from '../../form/vessel.js';
import { placeInlay } from '../../inlay/placed.js';
import { type Inlay, inlaySchema, MOST_INLAYS } from '../../inlay/schema.js';
import { mm } from '../../measure/quantity.js';
import { say } from '../../measure/said.js';
import type { Project } from '../schema.js';
import { reasonsOf } from '../sentences.js';
import type { Command, Outcome } from './command.js';
import { freshId } from './stack.js';

/** How a first inlay is begun; common practice: an eighth of an inch cutter, an easy fit. */
const USUAL = { cutterMm: mm(3.175), clearanceMm: mm(0.05), depthMm: mm(4), copies: 1, tiltDeg: 0 } as const;

const nameOf = (index: number) => `inlay ${index + 1}`;

/**
 * One more inlay: as it was given, or an ellipse in the middle of the height as large as the wall takes there. Refused where it
 * cannot be let in.
 */
export const addInlay = (given: Partial<Omit<Inlay, 'id'>> = {}): Command => ({
  label: given.patch ? 'Add a patch' : 'Add an inlay',
  apply(draft) {
    const inlays = draft.inlays ?? [];
    if (inlays.length >= MOST_INLAYS)
      return {
        reasons: [
          {
            code: 'inlays-many',
            path: 'inlays',
            message: say`There are ${MOST_INLAYS} inlays already; no more are allowed.`,
          },
        ],
      };
    const top = draft.form.points.at(-1)!.heightMm;
    const across = Math.min(20, top / 3);
    const begun: Inlay = {
      ...USUAL,
      id: freshId(inlays),
      outline: { shape: 'ellipse', widthMm: mm(across), heightMm: mm(across) },
      heightMm: mm(Math.round(top / 2)),
      towardDeg: 0,
      wood: draft.palette.at(-1)!.key,
      ...given,
    };
    return placed(draft, inlays.length, begun);
  },
});

/** Other sizes of an inlay, another place or another wood; refused with the limit where it cannot be let in so. */
export const setInlay = (index: number, change: Partial<Omit<Inlay, 'id'>>): Command => ({
  label: `Change ${nameOf(index)}`,
  apply(draft) {
    const inlay = draft.inlays?.[index];
    if (!inlay) return undefined;
    const changed = { ...(current(inlay as object) as Inlay), ...change };
    for (const key of ['seam', 'mirrored', 'patch', 'turnedOver'] as const)
      if (changed[key] === undefined) delete changed[key];
    return placed(draft, index, changed);
  },
});

export const removeInlay = (index: number): Command => ({
  label: `Remove ${nameOf(index)}`,
  apply(draft) {
    const left = (draft.inlays ?? []).filter((_, i) => i !== index);
    if (left.length > 0) draft.inlays = left;
    else delete draft.inlays;
    return undefined;
  },
});

/** Puts an inlay in its place, where its fields are allowed and the form takes it. */
function placed(draft: Project, index: number, given: Inlay): Outcome | undefined {
  const parsed = inlaySchema.safeParse(given);
  if (!parsed.success) return { reasons: reasonsOf(parsed.error) };
  const vessel = vesselOf(current(draft.form as object) as Project['form']);
  if (!vessel.ok) return { reasons: vessel.reasons };
  const lies = placeInlay(parsed.data, vessel.value);
  if (!lies.ok)
    return { reasons: lies.reasons.map((reason) => ({ ...reason, path: `inlays.${index}.${reason.path}` })) };
  draft.inlays = [...(draft.inlays ?? [])];
  draft.inlays[index] = parsed.data;
  return undefined;
}
