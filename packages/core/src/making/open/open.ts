import { z } from 'zod';
import { mm } from '../../measure/quantity.js';
import { done, type Result } from '../../measure/reason.js';
import type { RingNeed } from '../../ring/need.js';
import { assemble } from '../assemble.js';
import type { Making } from '../contract.js';
import { gapSchema, jointingOfGaps } from '../joints/gaps.js';
import { holdFigures, holdWarnings, noHold } from '../joints/hold.js';
import { type Jointed, jointed } from '../joints/jointed.js';
import { layJointed } from '../joints/lay.js';
import { glueOpen } from '../joints/steps.js';
import { pitchOfCount, planeAndRip, segmentCount, segmentStock, setTheSaw } from '../segments.js';

const params = z.strictObject({ way: z.literal('open'), count: segmentCount, gap: gapSchema });

export type OpenParams = z.infer<typeof params>;

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
    const none = noHold(gap, count, outerRadiusMm, 'gap');
    if (none) return none;
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
        figures: holdFigures(gap, count, need),
        warnings: holdWarnings(gap, count, need),
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

/** The segments with their gaps: 2β = 2θ(1 − f) where they taper, else those of a ring with spacers. */
const sizedRing = ({ count, gap }: OpenParams, need: RingNeed): Result<Jointed> =>
  jointed(jointingOfGaps(gap, count), need);
