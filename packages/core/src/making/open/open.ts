import { z } from 'zod';
import { mm, rad } from '../../measure/quantity.js';
import { done, type Result, refuse } from '../../measure/reason.js';
import { say, sayMm, sayRad } from '../../measure/said.js';
import { SAME_ANGLE } from '../../measure/tolerance.js';
import type { RingNeed } from '../../ring/need.js';
import { assemble } from '../assemble.js';
import type { Made, Making } from '../contract.js';
import { gapSchema, holdOfGaps, jointingOfGaps } from '../joints/gaps.js';
import { type Jointed, jointed } from '../joints/jointed.js';
import { layJointed } from '../joints/lay.js';
import { glueOpen } from '../joints/steps.js';
import { pitchOfCount, planeAndRip, segmentCount, segmentStock, setTheSaw } from '../segments.js';
import type { Warning } from '../warnings.js';

const params = z.strictObject({ way: z.literal('open'), count: segmentCount, gap: gapSchema });

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
  usuallySanded: () => 'none',
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
    const holdAt = (radius: number) => holdOfGaps(gap, count, radius);
    const outside = holdAt(outerRadiusMm);
    if (outside <= 0) return noHold(given, outerRadiusMm);
    const inside = Math.max(0, holdAt(need.innerRadiusMm));
    const sized = sizedRing(given, need);
    if (!sized.ok) return sized;
    const { wedges, faces, gives, cornerMm } = sized.value;
    const segment = segmentStock(faces, wedges[0]!.half, heightMm);
    return done(
      assemble({
        heightMm,
        gives,
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
        lay: layJointed(sized.value, undefined, need),
        figures:
          gap.sides === 'tapered'
            ? [{ key: 'overlap-at-each-end', value: rad(outside), unit: 'rad' }]
            : [
                { key: 'overlap-at-each-end-outside', value: rad(outside), unit: 'rad' },
                { key: 'overlap-at-each-end-inside', value: rad(inside), unit: 'rad' },
              ],
        warnings: inside < theta * LITTLE_HOLD ? [littleHold(inside, outside, theta)] : [],
        steps: (planing) => [planeAndRip(segment, planing), setTheSaw(segment, count), ...glueOpen(count)],
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

/** The segments with their gaps: 2β = 2θ(1 − f) where they taper, else those of a ring with spacers. */
const sizedRing = ({ count, gap }: OpenParams, need: RingNeed): Result<Jointed> =>
  jointed(jointingOfGaps(gap, count), need);
