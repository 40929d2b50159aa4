import { z } from 'zod';
import { length, number } from '../../measure/field.js';
import { mm, rad } from '../../measure/quantity.js';
import { done, type Result, refuse } from '../../measure/reason.js';
import { say, sayMm, sayRad } from '../../measure/said.js';
import { SAME_ANGLE } from '../../measure/tolerance.js';
import { assemble } from '../assemble.js';
import type { Made, Making } from '../contract.js';
import {
  pitchOfCount,
  planeAndRip,
  segmentCount,
  segmentStock,
  setTheSaw,
  withoutWidth,
} from '../segments.js';
import { shiftsOf } from '../spaced/closing.js';
import { pushedRing } from '../spaced/ring.js';
import { step } from '../step.js';
import type { Warning } from '../warnings.js';
import {
  asAsked,
  bandOf,
  type Faces,
  leastOuter,
  mostInner,
  radialWedge,
  type Wedge,
  wedgeOutline,
} from '../wedge.js';

const params = z.strictObject({
  way: z.literal('open'),
  count: segmentCount,
  gap: z.discriminatedUnion('sides', [
    /** As wide inside as outside: the segments are those of a spaced ring with air for spacers. */
    z.strictObject({ sides: z.literal('parallel'), widthMm: length('Gap', 0.2, 200) }),
    /** Towards the axis: it takes a share of every segment's angle. */
    z.strictObject({ sides: z.literal('tapered'), share: number('Share of the gap', 0.01, 0.95) }),
  ]),
});

export type OpenParams = z.infer<typeof params>;

/** Over this share of the half-pitch, neighbours in half-pitch bond hold on to each other by too little. */
const LITTLE_HOLD = 1 / 3;

/** Segments with gaps between them, glued one by one so that each bridges a gap of the ring below. */
export const open: Making<OpenParams> = {
  way: 'open',
  name: 'Open segments',
  says: 'gaps between segments, each bridging a gap below: light comes through the wall',
  params,
  solid: false,
  bond: 'half-pitch',
  flattens: false,
  begin: ({ segments }) => ({ way: 'open', count: segments, gap: { sides: 'tapered', share: 0.25 } }),
  groups: ({ count }) => [{ name: 'Segment', count }],
  segments: ({ count }) => count,
  withSegments: (given, count) => ({ ...given, count }),
  pitch: ({ count }) => pitchOfCount(count),
  stripWidth(given, size) {
    const sized = sizedRing(given, size);
    return sized.ok ? sized.value.faces.outerRadiusMm - sized.value.faces.innerRadiusMm : null;
  },
  make(given, need) {
    const { count, gap } = given;
    const { heightMm, outerRadiusMm } = need;
    const theta = Math.PI / count;
    const holdAt = (radius: number) =>
      gap.sides === 'tapered' ? theta * (1 - 2 * gap.share) : theta - 2 * gapAngle(gap, radius);
    const outside = holdAt(outerRadiusMm);
    if (outside <= 0) return noHold(given, outerRadiusMm);
    const inside = Math.max(0, holdAt(need.innerRadiusMm));
    const sized = sizedRing(given, need);
    if (!sized.ok) return sized;
    const { wedges, faces } = sized.value;
    const segment = segmentStock(faces, wedges[0]!.half, heightMm);
    const { gives, cornerMm } = bandOf(wedges.slice(0, 1), faces, heightMm);
    return done(
      assemble({
        heightMm,
        gives: asAsked(gives, need),
        cornerMm,
        closed: false,
        radial: gap.sides === 'tapered',
        repeats: count,
        groups: open.groups(given),
        kinds: [
          {
            name: 'Segment',
            grain: 'along',
            heightMm,
            stock: segment,
            places: Array.from({ length: count }, (_, place) => place),
          },
        ],
        lay(place) {
          const outline = wedgeOutline(wedges[place]!, faces, 0);
          return { place, bottom: outline, top: outline };
        },
        figures:
          gap.sides === 'tapered'
            ? [{ key: 'overlap-at-each-end', value: rad(outside), unit: 'rad' }]
            : [
                { key: 'overlap-at-each-end-outside', value: rad(outside), unit: 'rad' },
                { key: 'overlap-at-each-end-inside', value: rad(inside), unit: 'rad' },
              ],
        warnings: inside < theta * LITTLE_HOLD ? [littleHold(inside, outside, theta)] : [],
        steps: (planing) => [
          planeAndRip(segment, planing),
          setTheSaw(segment, count),
          step(
            'measure',
            'bench',
            'Check that all pieces are of one thickness: an open ring cannot be flattened once it is glued.',
          ),
          step(
            'glue',
            'clamps',
            say`Glue them one by one on the ring below with an indexed jig, ${sayRad(2 * theta, 'turn')} apart, half a pitch from the ring below.`,
          ),
          step(
            'clean',
            'bench',
            'Clean glue out of the gaps and finish the holes before turning, or they are sanded twice.',
            ['open-work'],
          ),
        ],
      }),
    );
  },
  instead: (given, need) => {
    const { gap } = given;
    if (gap.sides === 'tapered') return gap.share >= 0.5 ? { ...given, gap: { ...gap, share: 0.25 } } : null;
    const most = 2 * need.outerRadiusMm * Math.sin(Math.PI / (2 * given.count));
    return gap.widthMm >= most ? { ...given, gap: { ...gap, widthMm: mm(most / 3) } } : null;
  },
};

/** Hold is least inside, where a gap takes most of the circle: it is judged there. */
function littleHold(inside: number, outside: number, theta: number): Warning {
  const both =
    outside - inside < SAME_ANGLE
      ? sayRad(inside)
      : say`${sayRad(inside)} inside and ${sayRad(outside)} outside`;
  return {
    code: 'little-hold',
    message: say`Its segments lie on those of the next ring by ${both} at each end, under a third of half a pitch (${sayRad(theta)}): little holds the wall together.`,
  };
}

/** Half the angle of a parallel gap at a radius: asin(g / 2r). */
const gapAngle = ({ widthMm }: { widthMm: number }, radius: number): number =>
  widthMm >= 2 * radius ? Math.PI / 2 : Math.asin(widthMm / (2 * radius));

function noHold({ count, gap }: OpenParams, outerRadiusMm: number): Result<Made> {
  if (gap.sides === 'tapered')
    return refuse(
      'gap-no-contact',
      'gap.share',
      say`Gaps that take ${Math.round(gap.share * 100)} % of the circle leave no contact with the next ring half a pitch round; they have to take less than 50 %.`,
      { most: 0.5 },
    );
  const most = 2 * outerRadiusMm * Math.sin(Math.PI / (2 * count));
  return refuse(
    'gap-no-contact',
    'gap.widthMm',
    say`Gaps of ${sayMm(gap.widthMm)} leave no contact with the next ring half a pitch round; in a ring of ${sayMm(2 * outerRadiusMm)} with ${count} segments they have to be less than ${sayMm(most)}.`,
    { most },
  );
}

type Sized = Result<{ wedges: readonly Wedge[]; faces: Faces }>;
type Need = Parameters<typeof open.make>[1];

const sizedRing = ({ count, gap }: OpenParams, need: Need): Sized =>
  gap.sides === 'tapered' ? taperedRing(count, gap.share, need) : parallelRing(count, gap.widthMm, need);

function parallelRing(
  count: number,
  widthMm: number,
  { outerRadiusMm, innerRadiusMm, heightMm }: Need,
): Sized {
  const gaps = Array.from({ length: count }, () => widthMm);
  return pushedRing(gaps, shiftsOf(gaps), outerRadiusMm, innerRadiusMm, heightMm, false);
}

/** 2β = 2θ(1 − f); ao = Ro, ai = Ri·cos β. */
function taperedRing(count: number, share: number, { outerRadiusMm, innerRadiusMm, heightMm }: Need): Sized {
  const half = (Math.PI / count) * (1 - share);
  const wedges = Array.from({ length: count }, (_, i) => radialWedge(((2 * i + 1) * Math.PI) / count, half));
  const narrow = withoutWidth(outerRadiusMm, innerRadiusMm);
  if (narrow) return narrow;
  const faces = {
    outerRadiusMm: leastOuter(wedges.slice(0, 1), outerRadiusMm, heightMm),
    innerRadiusMm: mostInner(wedges.slice(0, 1), innerRadiusMm, heightMm)!,
    lean: 0,
  };
  return done({ wedges, faces });
}
