import { makingSchema, placesOf, type RingMaking } from '../../making/registry.js';
import type { Mm } from '../../measure/quantity.js';
import type { Project, Ring } from '../schema.js';
import { reasonsOf } from '../sentences.js';
import type { Command, Outcome } from './command.js';
import { fitStack, freshId } from './stack.js';

/** Which rings an edit goes to, by index. */
export type Rings = readonly number[];

const named = (rings: Rings): string =>
  rings.length === 1 ? `ring ${rings[0]! + 1}` : `${rings.length} rings`;

const each =
  (rings: Rings, edit: (ring: Ring, index: number) => Outcome | undefined): Command['apply'] =>
  (draft) => {
    for (const index of rings) {
      const outcome = edit(draft.rings[index]!, index);
      if (outcome) return outcome;
    }
    return undefined;
  };

/** Woods for another number of places: the colours keep their share of the circle. */
const spread = (woods: readonly string[], places: number): string[] =>
  Array.from({ length: places }, (_, i) => woods[Math.floor(((i + 0.5) * woods.length) / places)]!);

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

/** Segment counts of rings; discs become rings of segments. */
export const setCount = (rings: Rings, count: number): Command => ({
  ...setMaking(rings, { way: 'flat', count }),
  label: `Segments of ${named(rings)}`,
});

/** Ring heights. With `fill`, rings are added or taken away at the top so that the stack still fits the form. */
export const setRingHeight = (rings: Rings, heightMm: Mm, fill = false): Command => ({
  label: `Height of ${named(rings)}`,
  apply(draft) {
    for (const index of rings) draft.rings[index]!.heightMm = heightMm;
    const note = fill && heightMm > 0 ? fitStack(draft) : undefined;
    return note ? { note } : undefined;
  },
});

/** Rotation about the axis, in segments. */
export const setTurn = (rings: Rings, turn: number): Command => ({
  label: `Turn of ${named(rings)}`,
  apply: each(rings, (ring) => {
    ring.turn = turn;
    return undefined;
  }),
});

/** Brick bond: every other ring set half a segment round. Aligned: none. */
export const setBond = (rings: Rings, bond: 'brick' | 'aligned'): Command => ({
  label: bond === 'brick' ? `Brick bond for ${named(rings)}` : `Aligned joints for ${named(rings)}`,
  apply: each(rings, (ring, index) => {
    ring.turn = bond === 'brick' && index % 2 === 1 ? 0.5 : 0;
    return undefined;
  }),
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

/** A copy of a ring above it; rings left standing above the lip are taken away. */
export const duplicateRing = (index: number): Command => ({
  label: `Duplicate ring ${index + 1}`,
  apply(draft) {
    const ring = draft.rings[index]!;
    draft.rings.splice(index + 1, 0, {
      ...ring,
      woods: [...ring.woods],
      making: { ...ring.making },
      id: freshId(draft.rings),
    });
    const note = fitStack(draft);
    return note ? { note } : undefined;
  },
});

/** Takes rings out; with `fill` the stack is made up at the top. */
export const removeRings = (rings: Rings, fill = false): Command => ({
  label: `Remove ${named(rings)}`,
  apply(draft: Project) {
    draft.rings = draft.rings.filter((_, i) => !rings.includes(i));
    const note = fill && draft.rings.length > 0 ? fitStack(draft) : undefined;
    return note ? { note } : undefined;
  },
});
