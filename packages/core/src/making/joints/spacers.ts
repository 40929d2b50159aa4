import { z } from 'zod';
import { length, whole } from '../../measure/field.js';
import { type Mm, mm } from '../../measure/quantity.js';
import { forZod, say, sayMm } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import type { PlaceGroup } from '../contract.js';
import { MOST_SEGMENTS } from '../segments.js';

const thicknessMm = length('Spacer', 0.2, 100);

/** More layers than this no spacer has. */
const MOST_LAYERS = 6;

/**
 * What spacers are glued up from: layers counter-clockwise round the ring, the last with what is left of the thickness, and
 * which spacers go in turned over, counted from the index mark. Left out where they are of one piece.
 */
export const spacerLayers = z
  .strictObject({
    layersMm: z
      .array(length('Layer of a spacer', 0.1, 100))
      .min(1, { error: () => 'A spacer of layers has no layer; leave the layers out, or give it one.' })
      .max(MOST_LAYERS - 1, { error: () => `A spacer has too many layers; ${MOST_LAYERS} are allowed.` }),
    turned: z.enum(['none', 'all', 'first', 'second']),
  })
  .optional();

export type SpacerLayers = NonNullable<z.infer<typeof spacerLayers>>;

/** Which joints have a spacer, and how thick it is. Joint 0 lies at the index mark, before the first segment. */
export const spacersSchema = z.discriminatedUnion('at', [
  z.strictObject({ at: z.literal('every'), thicknessMm, layers: spacerLayers }),
  z.strictObject({
    at: z.literal('even'),
    number: whole('Number of spacers', 1, MOST_SEGMENTS),
    thicknessMm,
    layers: spacerLayers,
  }),
  z.strictObject({
    at: z.literal('picked'),
    joints: z
      .array(z.strictObject({ joint: whole('Joint', 0, MOST_SEGMENTS - 1), thicknessMm }))
      .min(1, { error: () => 'No joint has a spacer; pick at least two that balance.' })
      .max(MOST_SEGMENTS),
    layers: spacerLayers,
  }),
]);

export type Spacers = z.infer<typeof spacersSchema>;

/** What is wrong with spacers in a ring of `count`, by its field and in words; null where nothing is. */
export const wrongSpacers = (
  count: number,
  spacers: Spacers,
): { readonly path: readonly string[]; readonly message: string } | null => {
  const joints = wrongJoints(count, spacers);
  if (joints) return { path: [], message: joints };
  const layers = wrongLayers(count, spacers);
  return layers === null ? null : { path: ['layers'], message: layers };
};

function wrongLayers(count: number, spacers: Spacers): string | null {
  const { layers } = spacers;
  if (!layers) return null;
  const thicknesses = thicknessesOf({ count, spacers }).filter((s) => s > 0);
  const taken = layers.layersMm.reduce((sum, layer) => sum + layer, 0);
  if (taken >= Math.min(...thicknesses) - SAME_LENGTH)
    return forZod(
      say`The layers of a spacer but for the last are ${sayMm(taken)} thick and the thinnest spacer ${sayMm(Math.min(...thicknesses))}; nothing is left for the last layer.`,
    );
  if ((layers.turned === 'first' || layers.turned === 'second') && thicknesses.length % 2 === 1)
    return `There are ${thicknesses.length} spacers; where every other one is turned over their number has to be even.`;
  return null;
}

function wrongJoints(count: number, spacers: Spacers): string | null {
  if (spacers.at === 'even' && count % spacers.number !== 0)
    return `${spacers.number} spacers do not go evenly into ${count} segments; the number has to be one of ${divisors(count).join(', ')}.`;
  return spacers.at === 'picked' ? wrongPicked(count, spacers.joints, 'spacers') : null;
}

/** Why joints that are picked one by one are none of a ring, or are picked twice; null where all are right. */
export function wrongPicked(
  count: number,
  picked: readonly { readonly joint: number }[],
  what: string,
): string | null {
  const joints = picked.map(({ joint }) => joint);
  const beyond = joints.find((joint) => joint >= count);
  if (beyond !== undefined)
    return `Joint ${beyond + 1} is not there; a ring of ${count} segments has joints 1 to ${count}.`;
  const twice = joints.find((joint, i) => joints.indexOf(joint) !== i);
  return twice === undefined ? null : `Joint ${twice + 1} is given two ${what}; it takes one.`;
}

/** Numbers of spacers that lie evenly in a ring of `count`. */
export const divisors = (count: number): number[] =>
  Array.from({ length: count }, (_, i) => i + 1).filter((n) => count % n === 0);

/** Thickness of the spacer at every joint, 0 where there is none. */
export function thicknessesOf({
  count,
  spacers,
}: {
  readonly count: number;
  readonly spacers: Spacers;
}): number[] {
  const thicknesses = Array.from({ length: count }, () => 0);
  if (spacers.at === 'picked') for (const { joint, thicknessMm: s } of spacers.joints) thicknesses[joint] = s;
  else {
    const every = spacers.at === 'every' ? 1 : count / spacers.number;
    for (let joint = 0; joint < count; joint += every) thicknesses[joint] = spacers.thicknessMm;
  }
  return thicknesses;
}

/** Spacers at joints picked one by one. */
export const pickedFrom = (thicknesses: readonly number[]): Spacers => ({
  at: 'picked',
  joints: thicknesses.flatMap((s, joint) => (s > 0 ? [{ joint, thicknessMm: mm(s) }] : [])),
});

const MIRRORED = { none: 'all', all: 'none', first: 'second', second: 'first' } as const;

/** Spacers in the mirror: joint j is joint N − j, and what lay clockwise lies counter-clockwise. */
export function mirroredSpacers(spacers: Spacers, count: number): Spacers {
  const { layers } = spacers;
  const turned = layers ? { layers: { ...layers, turned: MIRRORED[layers.turned] } } : {};
  if (spacers.at !== 'picked') return { ...spacers, ...turned };
  const joints = spacers.joints.map(({ joint, thicknessMm }) => ({
    joint: (count - joint) % count,
    thicknessMm,
  }));
  return { ...spacers, joints, ...turned };
}

/** The same spacers in a ring of another count, as far as they go with it. */
export function spacersFor(spacers: Spacers, count: number): Spacers {
  if (spacers.at === 'every') return spacers;
  if (spacers.at === 'even') {
    const most = divisors(count).filter((n) => n <= spacers.number);
    return { ...spacers, number: most[most.length - 1]! };
  }
  const joints = spacers.joints.filter(({ joint }) => joint < count);
  const { layers } = spacers;
  return joints.length > 0
    ? { ...spacers, joints }
    : { at: 'every', thicknessMm: spacers.joints[0]!.thicknessMm, ...(layers && { layers }) };
}

/** The spacers of a ring as groups of places: one, or one for each of their layers. */
export function spacerGroups(count: number, spacers: Spacers | undefined): PlaceGroup[] {
  if (!spacers) return [];
  const number = thicknessesOf({ count, spacers }).filter((s) => s > 0).length;
  const { layers } = spacers;
  if (!layers) return [{ name: 'Spacer', count: number }];
  return [...layers.layersMm, null].map((_, i) => ({ name: `Spacer, layer ${i + 1}`, count: number }));
}

/** Thickness of the last layer of a spacer, of one piece too (mm); of spacers that differ, of the first. */
export function lastLayer(spacers: Spacers): Mm {
  const whole: number = spacers.at === 'picked' ? spacers.joints[0]!.thicknessMm : spacers.thicknessMm;
  return mm((spacers.layers?.layersMm ?? []).reduce((left, size) => left - size, whole));
}

/** Thickness of every layer of a spacer (mm); null for the last of picked ones, which has what is left of each. */
export const layerSizes = (spacers: Spacers): (Mm | null)[] => [
  ...(spacers.layers?.layersMm ?? []),
  spacers.at === 'picked' ? null : lastLayer(spacers),
];

/** The same spacers of other layers: they are as thick as these together; picked ones keep their thickness, and the last layer has what is left. */
export function withLayers(spacers: Spacers, sizes: readonly Mm[]): Spacers {
  const { layers, ...rest } = spacers;
  const whole = mm(sizes.reduce((sum: number, size) => sum + size, 0));
  const of =
    sizes.length < 2
      ? {}
      : { layers: { layersMm: sizes.slice(0, -1), turned: layers?.turned ?? ('none' as const) } };
  return rest.at === 'picked' ? { ...rest, ...of } : { ...rest, thicknessMm: whole, ...of };
}

/** Places of a layer of all spacers, which follow those of `count` segments. */
export function placesOfLayer(count: number, groups: readonly PlaceGroup[], layer: number): number[] {
  const each = groups[0]?.count ?? 0;
  return Array.from({ length: each }, (_, i) => count + layer * each + i);
}
