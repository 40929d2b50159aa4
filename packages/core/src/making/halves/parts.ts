import { type Mm, mm } from '../../measure/quantity.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import type { Point } from '../../ring/plane.js';
import type { StripKind } from '../joints/sized.js';
import { type Side, slabOutline, slabStock } from '../joints/slab.js';
import { segmentStock } from '../segments.js';
import type { HalfRing } from './halfRing.js';
import type { InHalves } from './params.js';

export type Pair = readonly [HalfRing, HalfRing];

/** A piece between segments where it lies, and the half that it belongs to. */
export interface PartBetween {
  readonly name: 'Spacer' | 'Divider';
  readonly side: number;
  readonly outline: readonly Point[];
}

/** What lies between segments in the order of the places: spacers of each half, dividers. */
export function partsBetween(pair: Pair, { spacersMm, divider }: InHalves): PartBetween[] {
  const sideOf = ({ wedges, faces }: HalfRing, i: number): Side => ({ wedge: wedges.at(i)!, faces });
  const spacers = pair.flatMap((half, side) =>
    spacersMm[side] === 0
      ? []
      : half.wedges.slice(1).map((wedge, i): PartBetween => {
          const outline = slabOutline(wedge.middle - wedge.half, sideOf(half, i), sideOf(half, i + 1));
          return { name: 'Spacer', side, outline };
        }),
  );
  if (!divider) return spacers;
  const dividers = pair.map(
    (half, side): PartBetween => ({
      name: 'Divider',
      side,
      outline: slabOutline(side * Math.PI, sideOf(pair[1 - side]!, -1), sideOf(half, 0)),
    }),
  );
  return [...spacers, ...dividers];
}

/** Whether pieces of both halves are of one size. */
const alike = ([a, b]: Pair): boolean =>
  a.wedges.length === b.wedges.length &&
  Math.abs(a.faces.outerRadiusMm - b.faces.outerRadiusMm) < SAME_LENGTH &&
  Math.abs(a.faces.innerRadiusMm - b.faces.innerRadiusMm) < SAME_LENGTH;

/** The halves that pieces are told apart by, and what that adds to their name. */
const sortsOf = (pair: Pair): readonly (readonly [sides: readonly number[], whose: string])[] =>
  alike(pair)
    ? [[[0, 1], '']]
    : [
        [[0], ' of the first half'],
        [[1], ' of the second half'],
      ];

/** The segments of both halves, or of each where they differ. */
export const segmentKinds = (pair: Pair, heightMm: Mm): StripKind[] =>
  sortsOf(pair).map(([sides, whose]) => {
    const { faces, wedges } = pair[sides[0]!]!;
    const first = sides[0] === 0 ? 0 : pair[0].wedges.length;
    const count = sides.reduce((sum, side) => sum + pair[side]!.wedges.length, 0);
    return {
      name: `Segment${whose}`,
      grain: 'along',
      heightMm,
      stock: segmentStock(faces, wedges[0]!.half, heightMm),
      places: Array.from({ length: count }, (_, i) => first + i),
    };
  });

/** What lies between them; its places follow those of `count` segments. */
export function kindsBetween(
  parts: readonly PartBetween[],
  pair: Pair,
  count: number,
  heightMm: Mm,
): StripKind[] {
  const kind = (name: PartBetween['name'], sides: readonly number[], whose: string): StripKind[] => {
    const places = parts.flatMap((part, i) =>
      part.name === name && sides.includes(part.side) ? [count + i] : [],
    );
    const first = parts[(places[0] ?? 0) - count];
    if (!first) return [];
    const stock = slabStock(first.outline, heightMm);
    return [{ name: name + whose, grain: 'outwards', heightMm: mm(heightMm), stock, places }];
  };
  return [
    ...sortsOf(pair).flatMap(([sides, whose]) => kind('Spacer', sides, whose)),
    ...kind('Divider', [0, 1], ''),
  ];
}
