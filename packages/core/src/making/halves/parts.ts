import { SAME_LENGTH } from '../../measure/tolerance.js';
import type { RingNeed } from '../../ring/need.js';
import type { Point } from '../../ring/plane.js';
import type { StripKind } from '../joints/sized.js';
import { type Side, slabOutline, slabStock } from '../joints/slab.js';
import { segmentStock } from '../segments.js';
import { wedgeOutline } from '../wedge.js';
import type { HalfRing } from './halfRing.js';
import type { InHalves } from './params.js';

/** A piece where it lies, and the half that it belongs to. */
export interface Part {
  readonly name: 'Segment' | 'Spacer' | 'Divider';
  readonly side: number;
  readonly outline: readonly Point[];
}

/** Every piece in the order of the places: segments, spacers of each half, dividers. */
export function partsOf(pair: readonly [HalfRing, HalfRing], { spacersMm, divider }: InHalves): Part[] {
  const sideOf = ({ wedges, faces }: HalfRing, i: number): Side => ({ wedge: wedges.at(i)!, faces });
  const segments = pair.flatMap((half, side) =>
    half.wedges.map(
      (wedge): Part => ({ name: 'Segment', side, outline: wedgeOutline(wedge, half.faces, 0) }),
    ),
  );
  const spacers = pair.flatMap((half, side) =>
    spacersMm[side] === 0
      ? []
      : half.wedges.slice(1).map((wedge, i): Part => {
          const outline = slabOutline(wedge.middle - wedge.half, sideOf(half, i), sideOf(half, i + 1));
          return { name: 'Spacer', side, outline };
        }),
  );
  const dividers = divider
    ? pair.map((half, side): Part => {
        const before = sideOf(pair[1 - side]!, -1);
        return {
          name: 'Divider',
          side,
          outline: slabOutline(side * Math.PI, before, sideOf(half, 0)),
        };
      })
    : [];
  return [...segments, ...spacers, ...dividers];
}

export function kindsOf(
  parts: readonly Part[],
  pair: readonly [HalfRing, HalfRing],
  need: RingNeed,
): StripKind[] {
  const { heightMm } = need;
  const both =
    pair[0].wedges.length === pair[1].wedges.length &&
    Math.abs(pair[0].faces.outerRadiusMm - pair[1].faces.outerRadiusMm) < SAME_LENGTH &&
    Math.abs(pair[0].faces.innerRadiusMm - pair[1].faces.innerRadiusMm) < SAME_LENGTH;
  const kinds = (['Segment', 'Spacer', 'Divider'] as const).flatMap((name) =>
    (both || name === 'Divider' ? [[0, 1]] : [[0], [1]]).map((sides): StripKind => {
      const places = parts.flatMap((part, place) =>
        part.name === name && sides.includes(part.side) ? [place] : [],
      );
      const half = pair[sides[0]!]!;
      const first = parts[places[0] ?? -1];
      const stock =
        name === 'Segment' || !first
          ? segmentStock(half.faces, half.wedges[0]!.half, heightMm)
          : slabStock(first.outline, heightMm);
      const whose = sides.length > 1 ? '' : sides[0] === 0 ? ' of the first half' : ' of the second half';
      const grain = name === 'Segment' ? 'along' : 'outwards';
      return { name: name + whose, grain, heightMm, stock, places };
    }),
  );
  return kinds.filter(({ places }) => places.length > 0);
}
