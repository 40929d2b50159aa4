import { groupsOf, usuallySanded } from '../../making/registry.js';
import { segmentsIn } from '../../making/turnOf.js';
import type { Rad } from '../../measure/quantity.js';
import { type Bond, turnIn } from '../../ring/bond.js';
import type { Sanded } from '../../ring/sanded.js';
import type { Ring } from '../schema.js';
import type { Command } from './command.js';
import { each, named, type Rings } from './each.js';
import { freezeUnder } from './freeze.js';

/** A size that rings keep, whatever the form asks for: radii in mm, or null to let them follow the form again. */
export const setFixed = (rings: Rings, size: Ring['fixed'] | null): Command => ({
  label: size ? `Fixed size of ${named(rings)}` : `${named(rings)} cut to suit the form`,
  apply: each(rings, (ring) => {
    if (size) ring.fixed = { ...size };
    else delete ring.fixed;
    return undefined;
  }),
});

/** What was measured of rings as really made; undefined clears it. */
export const setMeasured = (rings: Rings, change: NonNullable<Ring['measured']>): Command => ({
  label: `Measured size of ${named(rings)}`,
  apply: each(rings, (ring) => {
    const measured = { ...ring.measured, ...change };
    for (const key of ['heightMm', 'diameterMm'] as const)
      if (measured[key] === undefined) delete measured[key];
    if (Object.keys(measured).length > 0) ring.measured = measured;
    else delete ring.measured;
    return undefined;
  }),
});

/** Rotation about the axis: in segments, or as an angle, which is each ring's own share of a segment. */
export const setTurn = (rings: Rings, turn: number | { readonly angle: Rad }): Command => ({
  label: `Turn of ${named(rings)}`,
  apply: each(rings, (ring) => {
    ring.turn = typeof turn === 'number' ? turn : segmentsIn(turn.angle, ring.making);
    return undefined;
  }),
});

/** Which edge is out along the strip where one may choose; null: as the way of making usually does. */
export const setEdgeOut = (rings: Rings, edge: NonNullable<Ring['sawing']>['edge'] | null): Command => ({
  label: `How ${named(rings)} ${rings.length === 1 ? 'is' : 'are'} sawn`,
  apply: each(rings, (ring) => sawn(ring, { edge: edge ?? undefined })),
});

/** Which faces are flattened after gluing; null: as the way of making usually has it. */
export const setSanded = (rings: Rings, sanded: Sanded | null): Command => ({
  label: `Sanded faces of ${named(rings)}`,
  apply: each(rings, (ring) => {
    if (sanded === null || sanded === usuallySanded(ring.making)) delete ring.sanded;
    else ring.sanded = sanded;
    return undefined;
  }),
});

/** Spare pieces of every kind and wood, besides those of the shop's rule. */
export const setSpares = (rings: Rings, spares: number): Command => ({
  label: `Spares of ${named(rings)}`,
  apply: each(rings, (ring) => sawn(ring, { spares: spares === 0 ? undefined : spares })),
});

function sawn(
  ring: Ring,
  change: { [K in keyof NonNullable<Ring['sawing']>]: NonNullable<Ring['sawing']>[K] | undefined },
) {
  const sawing = { ...ring.sawing, ...change };
  for (const key of ['edge', 'spares'] as const) if (sawing[key] === undefined) delete sawing[key];
  if (Object.keys(sawing).length > 0) ring.sawing = sawing as NonNullable<Ring['sawing']>;
  else delete ring.sawing;
  return undefined;
}

const BOND_NAMES = { brick: 'Brick bond', grid: 'Aligned joints', spiral: 'Spiral' } as const;

/** Turns rings against each other: every other one by half a segment, none, or each by a step more than the one below. */
export const setBond = (rings: Rings, bond: Bond): Command => ({
  label: `${BOND_NAMES[bond.kind]} for ${named(rings)}`,
  apply(draft) {
    const order = [...rings].sort((a, b) => a - b);
    const start = bond.kind === 'spiral' ? draft.rings[order[0]!]!.turn : 0;
    order.forEach((index, i) => {
      const count = bond.kind === 'brick' ? index : i;
      draft.rings[index]!.turn = (start + turnIn(bond, count)) % 1;
    });
    return undefined;
  },
});

/** A wood, by palette key, for the given places of a ring, or for all places of several rings. */
export const setWood = (rings: Rings, key: string, places?: readonly number[]): Command => ({
  label: places
    ? `Wood of ${places.length} ${places.length === 1 ? 'segment' : 'segments'}`
    : `Wood of ${named(rings)}`,
  apply(draft) {
    const note = freezeUnder(draft, rings);
    for (const index of rings) {
      const ring = draft.rings[index]!;
      if (places) for (const place of places) ring.woods[place] = key;
      else ring.woods = ring.woods.map(() => key);
    }
    return note;
  },
});

/** Places of one group of a ring, by its name: `Spacer`, `Plug`; none where it has no such group. */
function placesOfGroup(ring: Ring, name: string): number[] {
  let first = 0;
  for (const group of groupsOf(ring.making)) {
    if (group.name === name) return Array.from({ length: group.count }, (_, i) => first + i);
    first += group.count;
  }
  return [];
}

/** A wood for all places of one group in several rings: all spacers, all plugs. */
export const setGroupWood = (rings: Rings, key: string, group: string): Command => ({
  label: `Wood of every ${group.toLowerCase()} in ${named(rings)}`,
  apply: each(rings, (ring) => {
    for (const place of placesOfGroup(ring, group)) ring.woods[place] = key;
    return undefined;
  }),
});

/** Repeats the given palette keys round the segments of each ring; starts over at the index mark. */
export const repeatWoods = (rings: Rings, keys: readonly string[]): Command => ({
  label: `Repeat woods round ${named(rings)}`,
  apply(draft) {
    const note = freezeUnder(draft, rings);
    for (const index of rings) {
      const ring = draft.rings[index]!;
      const segments = groupsOf(ring.making)[0]!.count;
      for (let i = 0; i < segments; i++) ring.woods[i] = keys[i % keys.length]!;
    }
    return note;
  },
});
