import { makingSchema, placesOf, type RingMaking, type Way } from '../../making/registry.js';
import { type Bond, turnIn } from '../../ring/bond.js';
import type { Ring } from '../schema.js';
import { reasonsOf } from '../sentences.js';
import type { Command } from './command.js';
import { each, named, type Rings } from './each.js';
import { segmentedLike, spread } from './stack.js';

/** Makes rings another way, or with other parameters; what can be kept of their woods is kept. */
export const setMaking = (rings: Rings, making: RingMaking): Command => ({
  label: `How ${named(rings)} ${rings.length === 1 ? 'is' : 'are'} made`,
  apply: each(rings, (ring, index) => {
    const parsed = makingSchema.safeParse(making);
    if (!parsed.success) {
      const reasons = reasonsOf(parsed.error).map((r) => ({
        ...r,
        path: `rings.${index}.making.${r.path}`,
        message: `Ring ${index + 1}: ${r.message}`,
      }));
      return { reasons };
    }
    ring.woods = spread(ring.woods, placesOf(parsed.data));
    ring.making = parsed.data;
    return undefined;
  }),
});

/** Makes rings another way; segments are cut like those of the nearest ring of segments. */
export const setWay = (rings: Rings, way: Way): Command => ({
  label: `How ${named(rings)} ${rings.length === 1 ? 'is' : 'are'} made`,
  apply(draft) {
    const making = way === 'disc' ? { way } : segmentedLike(draft.rings, rings[0]!);
    return setMaking(rings, making).apply(draft);
  },
});

/** Segment counts of rings; discs become rings of segments, a pattern of unequal ones stays where it still goes in. */
export const setCount = (rings: Rings, count: number): Command => ({
  label: `Segments of ${named(rings)}`,
  apply(draft) {
    const pattern = (index: number) => {
      const making = draft.rings[index]!.making;
      return making.way === 'flat' && making.parts && count % making.parts.length === 0 ? making.parts : null;
    };
    for (const index of rings) {
      const parts = pattern(index);
      const making: RingMaking = { way: 'flat', count, ...(parts && { parts: [...parts] }) };
      const outcome = setMaking([index], making).apply(draft);
      if (outcome?.reasons) return outcome;
    }
    return undefined;
  },
});

/** Angles of segments in proportion, repeated round rings of segments; null makes them equal. Discs stay as they are. */
export const setParts = (rings: Rings, parts: readonly number[] | null): Command => ({
  label: `Widths in ${named(rings)}`,
  apply(draft) {
    const equal = !parts || parts.every((part) => part === parts[0]);
    for (const index of rings) {
      const { making } = draft.rings[index]!;
      if (making.way !== 'flat') continue;
      const { count } = making;
      const next: RingMaking = { way: 'flat', count, ...(!equal && { parts: [...parts] }) };
      const outcome = setMaking([index], next).apply(draft);
      if (outcome?.reasons) return outcome;
    }
    return undefined;
  },
});

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

/** Rotation about the axis, in segments. */
export const setTurn = (rings: Rings, turn: number): Command => ({
  label: `Turn of ${named(rings)}`,
  apply: each(rings, (ring) => {
    ring.turn = turn;
    return undefined;
  }),
});

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
  apply: each(rings, (ring) => {
    if (places) for (const place of places) ring.woods[place] = key;
    else ring.woods = ring.woods.map(() => key);
    return undefined;
  }),
});

/** Repeats the given palette keys round each ring; starts over at the index mark. */
export const repeatWoods = (rings: Rings, keys: readonly string[]): Command => ({
  label: `Repeat woods round ${named(rings)}`,
  apply: each(rings, (ring) => {
    ring.woods = ring.woods.map((_, i) => keys[i % keys.length]!);
    return undefined;
  }),
});
