import { z } from 'zod';
import { length, text } from '../../measure/field.js';
import type { Mm, Rad } from '../../measure/quantity.js';
import { done, type Result, refuse } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import type { RingNeed } from '../../ring/need.js';
import type { Made, Making, PlaceGroup } from '../contract.js';
import { step } from '../step.js';

/** What a ring from stock asks of the way it was once made in. */
export interface OtherWays<P> {
  readonly schema: z.ZodType<P>;
  groups(made: P): readonly PlaceGroup[];
  segments(made: P): number | null;
  pitch(made: P): Rad;
  make(made: P, need: RingNeed): Result<Made>;
}

/** A ring that is made already: which one of the stash it is, how it was made, and its real sizes and woods. */
export interface StockParams<P> {
  readonly way: 'stock';
  readonly item: string;
  readonly name: string;
  readonly outerRadiusMm: Mm;
  readonly innerRadiusMm: Mm;
  readonly heightMm: Mm;
  /** Id of the species at every place. */
  readonly species: readonly string[];
  readonly of: P;
}

/** Fields of a made ring, apart from how it was made. */
export const madeRingFields = {
  name: text('Name of the ring', 60),
  outerRadiusMm: length('Outer radius of the ring', 1, 1000),
  innerRadiusMm: length('Inner radius of the ring', 0, 1000),
  heightMm: length('Height of the ring', 0.5, 300),
  species: z.array(z.string().min(1).max(40)).min(1).max(2000, { abort: true }),
};

/** The way of rings from stock, over all the other ways. */
export function fromStock<P>(others: OtherWays<P>): Making<StockParams<P>> {
  const making: Making<StockParams<P>> = {
    way: 'stock',
    starts: {
      stock: {
        name: 'From the stash',
        says: 'a ring already made, with its real size and woods, from the stash that all pieces share',
        bond: 'as-it-was',
        begin: () => null,
      },
    },
    params: z.strictObject({
      way: z.literal('stock'),
      item: z.string().min(1).max(60),
      ...madeRingFields,
      of: others.schema,
    }) as unknown as z.ZodType<StockParams<P>>,
    solid: () => false,
    groups: ({ of }) => others.groups(of),
    segments: ({ of }) => others.segments(of),
    withSegments: (given) => given,
    pitch: ({ of }) => others.pitch(of),
    make(given, need) {
      const { outerRadiusMm, innerRadiusMm, heightMm, name, of } = given;
      if (need.heightMm > heightMm + SAME_LENGTH)
        return refuse(
          'stock-too-thin',
          'heightMm',
          say`The ring “${name}” from the stash is ${sayMm(heightMm)} high and ${sayMm(need.heightMm)} is planned; it can only be made thinner.`,
          { most: heightMm },
        );
      const made = others.make(of, { outerRadiusMm, innerRadiusMm, heightMm: need.heightMm });
      if (!made.ok) return made;
      // It is made: nothing is glued up any more.
      const { pictures: _, ...ring } = made.value;
      return done({
        ...ring,
        kinds: ring.kinds.map((kind) => ({ ...kind, stock: { from: 'stash' as const } })),
        steps: () => [
          step(
            'take',
            'bench',
            say`Take the ring “${name}” from the stash: ${sayMm(2 * outerRadiusMm)} outside, ${sayMm(2 * innerRadiusMm)} inside, ${sayMm(heightMm)} high.`,
          ),
          step(
            'flatten',
            'lathe',
            need.heightMm < heightMm - SAME_LENGTH
              ? say`Take it down to ${sayMm(need.heightMm, 'thickness')} and check that both faces are flat.`
              : 'Check that both faces are flat and free of old glue.',
            ['dust', 'lathe'],
          ),
        ],
      });
    },
  };
  return making;
}
