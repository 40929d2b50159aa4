import { z } from 'zod';
import { length, whole } from '../../measure/field.js';
import { mm } from '../../measure/quantity.js';
import { MOST_SEGMENTS } from '../segments.js';
import { closes } from './closing.js';
import { type Gap, gapSchema } from './gaps.js';
import type { Jointing } from './jointing.js';
import type { Lean } from './lean.js';
import { nearestSpacers } from './nearest.js';
import {
  mirroredSpacers,
  type Spacers,
  spacerLayers,
  spacersFor,
  spacersSchema,
  thicknessesOf,
  wrongPicked,
  wrongSpacers,
} from './spacers.js';
import { thickerSpacers } from './thicker.js';

/** What one joint holds where joints differ; one that is not named has its segments glued to each other. */
const heldSchema = z.strictObject({
  joint: whole('Joint', 0, MOST_SEGMENTS - 1),
  holds: z.enum(['spacer', 'gap'], { error: () => 'A joint holds a spacer or a gap.' }),
  thicknessMm: length('Spacer or gap', 0.2, 100),
});

/** What lies between segments: spacers, air, or the one here and the other there. Left out where they are glued to each other. */
export const betweenSchema = z.discriminatedUnion('put', [
  z.strictObject({ put: z.literal('spacers'), spacers: spacersSchema }),
  z.strictObject({ put: z.literal('gaps'), gap: gapSchema }),
  z.strictObject({
    put: z.literal('mixed'),
    joints: z
      .array(heldSchema)
      .min(1, { error: () => 'No joint holds anything; give one a spacer or a gap, or leave them out.' })
      .max(MOST_SEGMENTS),
    layers: spacerLayers,
  }),
]);

export type Between = z.infer<typeof betweenSchema>;
type Mixed = Extract<Between, { put: 'mixed' }>;
type Held = Mixed['joints'][number];

/** The wood in the joints, as spacers; undefined where there is none. */
export function spacersIn(between: Between | undefined): Spacers | undefined {
  if (between?.put === 'spacers') return between.spacers;
  if (between?.put !== 'mixed') return undefined;
  const joints = between.joints.flatMap(({ joint, holds, thicknessMm }) =>
    holds === 'spacer' ? [{ joint, thicknessMm }] : [],
  );
  const { layers } = between;
  return joints.length > 0 ? { at: 'picked', joints, ...(layers && { layers }) } : undefined;
}

/** The air in the joints; of gaps that differ the widest, undefined where there is none. */
export function gapIn(between: Between | undefined): Gap | undefined {
  if (between?.put === 'gaps') return between.gap;
  if (between?.put !== 'mixed') return undefined;
  const widths = between.joints.flatMap(({ holds, thicknessMm }) => (holds === 'gap' ? [thicknessMm] : []));
  return widths.length > 0 ? { sides: 'parallel', widthMm: mm(Math.max(...widths)) } : undefined;
}

/** What is wrong with it in a ring of `count`, by its field and in words; null where nothing is. */
export function wrongBetween(
  count: number,
  between: Between,
): { readonly path: readonly string[]; readonly message: string } | null {
  const twice = between.put === 'mixed' ? wrongPicked(count, between.joints, 'things to hold') : null;
  if (twice) return { path: ['joints'], message: twice };
  const spacers = spacersIn(between);
  const wrong = spacers ? wrongSpacers(count, spacers) : null;
  return wrong && { ...wrong, path: [...(between.put === 'spacers' ? ['spacers'] : []), ...wrong.path] };
}

/** The joints of a ring of `count` with what lies between its segments, upright or leaning, or staves that lean by a slope. */
export function jointingOf(count: number, between: Between | undefined, lean?: Lean, slope = 0): Jointing {
  const spacers = spacersIn(between);
  const wood = spacers ? thicknessesOf({ count, spacers }) : Array.from({ length: count }, () => 0);
  const thicknesses = [...wood];
  if (between?.put === 'gaps' && between.gap.sides === 'parallel') thicknesses.fill(between.gap.widthMm);
  if (between?.put === 'mixed')
    for (const { joint, thicknessMm } of between.joints) thicknesses[joint] = thicknessMm;
  return {
    thicknesses,
    wood,
    layers: spacers?.layers,
    lean,
    slope,
    ...(between?.put === 'gaps' && between.gap.sides === 'tapered' && { share: between.gap.share }),
  };
}

/** The same in a ring of another count, as far as it goes with it; undefined where nothing is left of it. */
export function betweenFor(between: Between, count: number): Between | undefined {
  if (between.put === 'spacers') return { ...between, spacers: spacersFor(between.spacers, count) };
  if (between.put === 'gaps') return between;
  const joints = between.joints.filter(({ joint }) => joint < count);
  return joints.length > 0 ? { ...between, joints } : undefined;
}

/** The same in the mirror: joint j is joint N − j. */
export function mirroredBetween(between: Between, count: number): Between {
  if (between.put === 'spacers') return { ...between, spacers: mirroredSpacers(between.spacers, count) };
  if (between.put === 'gaps') return between;
  const joints = between.joints.map((held): Held => ({ ...held, joint: (count - held.joint) % count }));
  const spacers = spacersIn(between);
  const layers = spacers && mirroredSpacers(spacers, count).layers;
  return { put: 'mixed', joints, ...(layers && { layers }) };
}

/** The same with its spacers so many times as thick; null where there are none. */
export function thickerBetween(between: Between | undefined, times: number): Between | null {
  if (between?.put === 'spacers') return { ...between, spacers: thickerSpacers(between.spacers, times) };
  if (between?.put !== 'mixed' || !spacersIn(between)) return null;
  const joints = between.joints.map(
    (held): Held => (held.holds === 'spacer' ? { ...held, thicknessMm: mm(held.thicknessMm * times) } : held),
  );
  return { ...between, joints };
}

/** The nearest set of spacers that closes; null where these close, where nothing near does, or where gaps are among them. */
export function closingBetween(count: number, between: Between | undefined): Between | null {
  const spacers = spacersIn(between);
  if (!spacers || gapIn(between) || closes(jointingOf(count, between).thicknesses)) return null;
  const near = nearestSpacers(count, spacers);
  return near && { put: 'spacers', spacers: near };
}
