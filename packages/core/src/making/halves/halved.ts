import { mm } from '../../measure/quantity.js';
import { done, type Result } from '../../measure/reason.js';
import type { RingNeed } from '../../ring/need.js';
import type { Framing } from '../joints/framing.js';
import type { Shaped } from '../joints/sized.js';
import { bandOf, farthest, nearest } from '../wedge.js';
import { sizedHalf } from './halfRing.js';
import { dividerMm, halvesIn, type InHalves } from './params.js';
import { kindsBetween, type Pair, partsBetween, segmentKinds } from './parts.js';

/** Two half-rings whose straight ends slide along each other, so that any two close, for the band Ri..Ro. */
export function halved(framing: Framing, inHalves: InHalves, need: RingNeed): Result<Shaped> {
  const { count } = framing;
  const halves = halvesIn(count, inHalves);
  const divider = dividerMm(inHalves);
  const first = sizedHalf(halves[0], 0, divider, need);
  if (!first.ok) return first;
  const second = sizedHalf(halves[1], 1, divider, need);
  if (!second.ok) return second;
  const pair: Pair = [first.value, second.value];
  const { heightMm } = need;
  const between = partsBetween(pair, inHalves);
  const bands = pair.map(({ wedges, faces }) => bandOf(wedges, faces, heightMm));
  const wedges = pair.flatMap((half) => half.wedges);
  const ends = between.map(({ outline: [from, to] }) => nearest(from!, to!));
  return done({
    faces: pair[0].faces,
    facesOf: (segment) => pair[segment < inHalves.first ? 0 : 1].faces,
    wedge: (segment) => wedges[segment]!,
    gives: {
      outerRadiusMm: Math.min(...bands.map(({ gives }) => gives.outerRadiusMm), ...ends),
      innerRadiusMm: Math.max(...bands.map(({ gives }) => gives.innerRadiusMm)),
    },
    cornerMm: mm(
      Math.max(...bands.map(({ cornerMm }) => cornerMm), ...between.map(({ outline }) => farthest(outline))),
    ),
    segments: segmentKinds(pair, heightMm),
    jointed: null,
    inJoints:
      between.length === 0
        ? null
        : {
            kinds: kindsBetween(between, pair, count, heightMm),
            number: between.length,
            outline: (piece) => between[piece]!.outline,
          },
    // Spacers of either half are a group of their own, which does not come to itself.
    repeats: halves[0].count === halves[1].count && halves.every(({ spacerMm }) => spacerMm === 0) ? 2 : 1,
    radial: between.length === 0,
  });
}
