import { mm } from '../../measure/quantity.js';
import { done, type Result } from '../../measure/reason.js';
import type { RingNeed } from '../../ring/need.js';
import type { Framing } from '../joints/framing.js';
import type { Shaped, StripKind } from '../joints/sized.js';
import { bandOf, nearest } from '../wedge.js';
import { type HalfRing, sizedHalf } from './halfRing.js';
import { dividerMm, halvesIn, type InHalves } from './params.js';
import { kindsOf, partsOf } from './parts.js';

/** Two half-rings whose straight ends slide along each other, so that any two close, for the band Ri..Ro. */
export function halved(framing: Framing, inHalves: InHalves, need: RingNeed): Result<Shaped> {
  const { count } = framing;
  const halves = halvesIn(count, inHalves);
  const divider = dividerMm(inHalves);
  const first = sizedHalf(halves[0], 0, divider, need);
  if (!first.ok) return first;
  const second = sizedHalf(halves[1], 1, divider, need);
  if (!second.ok) return second;
  const pair: readonly [HalfRing, HalfRing] = [first.value, second.value];
  const parts = partsOf(pair, inHalves);
  const bands = pair.map(({ wedges, faces }) => bandOf(wedges, faces, need.heightMm).gives);
  const between = parts.slice(count);
  const ends = between.map(({ outline: [from, to] }) => nearest(from!, to!));
  const corners = parts.flatMap(({ outline }) => outline.map(({ x, y }) => Math.hypot(x, y)));
  const kinds = kindsOf(parts, pair, need);
  const isSegment = ({ places }: StripKind) => places[0]! < count;
  const ofHalf = (segment: number) => (segment < inHalves.first ? pair[0] : pair[1]);
  return done({
    faces: pair[0].faces,
    facesOf: (segment) => ofHalf(segment).faces,
    wedge: (segment) =>
      ofHalf(segment).wedges[segment < inHalves.first ? segment : segment - inHalves.first]!,
    gives: {
      outerRadiusMm: Math.min(...bands.map(({ outerRadiusMm }) => outerRadiusMm), ...ends),
      innerRadiusMm: Math.max(...bands.map(({ innerRadiusMm }) => innerRadiusMm)),
    },
    cornerMm: mm(Math.max(...corners)),
    segments: kinds.filter(isSegment),
    jointed: null,
    inJoints:
      between.length === 0
        ? null
        : {
            kinds: kinds.filter((kind) => !isSegment(kind)),
            number: between.length,
            outline: (piece) => [...between[piece]!.outline],
          },
    // Spacers of either half are a group of their own, which does not come to itself.
    repeats: halves[0].count === halves[1].count && halves.every(({ spacerMm }) => spacerMm === 0) ? 2 : 1,
    radial: between.length === 0,
  });
}
