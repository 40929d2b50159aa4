import { z } from 'zod';
import { mm } from '../../measure/quantity.js';
import { done, refuse } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { assemble } from '../assemble.js';
import type { Making } from '../contract.js';
import { anglesOf, flatRing } from '../flat/ring.js';
import { circle, drilled, plugGroup, plugKind, plugSchema, plugSteps } from '../plug.js';
import { GLUE_RING, pitchOfCount, planeAndRip, segmentCount, setTheSaw } from '../segments.js';
import type { StripStock } from '../stock.js';

const params = z.strictObject({
  way: z.literal('pie'),
  count: segmentCount,
  /** Left out, the points meet. */
  plug: plugSchema.optional(),
});

export type PieParams = z.infer<typeof params>;

/** Segments whose points meet in the middle, with or without a plug there. */
export const pie: Making<PieParams> = {
  way: 'pie',
  starts: {
    pie: {
      name: 'Pie with a plug',
      says: 'segments to the centre: patterned floors and feet; a plug hides where the points meet',
      bond: 'as-it-was',
      begin: ({ segments }) => ({
        way: 'pie',
        count: segments,
        plug: { diameterMm: mm(25), drillMm: mm(25) },
      }),
    },
  },
  params,
  solid: true,
  groups: ({ count, plug }) => [{ name: 'Segment', count }, ...plugGroup(plug)],
  segments: ({ count }) => count,
  withSegments: (given, count) => ({ ...given, count }),
  pitch: ({ count }) => pitchOfCount(count),
  make(given, need) {
    const { count, plug } = given;
    const { heightMm, outerRadiusMm } = need;
    if (plug && plug.diameterMm / 2 >= outerRadiusMm)
      return refuse(
        'plug-too-large',
        'plug.diameterMm',
        say`The plug is ${sayMm(plug.diameterMm)} across and the ring ${sayMm(2 * outerRadiusMm)}; nothing is left of the segments.`,
        { most: 2 * outerRadiusMm },
      );
    const sized = flatRing(count, anglesOf(count), { ...need, innerRadiusMm: mm(0) });
    if (!sized.ok) return sized;
    const { kinds, gives, cornerMm, repeats, lay } = sized.value;
    const stock = kinds[0]!.stock as StripStock;
    return done(
      assemble({
        heightMm,
        gives,
        cornerMm,
        repeats,
        groups: pie.groups(given),
        kinds: [...kinds, ...plugKind(plug, heightMm, count)],
        lay(place) {
          if (!plug) return lay(place);
          const radius = plug.diameterMm / 2;
          const outline =
            place === count ? circle(radius) : drilled(lay(place).bottom, radius, Math.PI / count);
          return { place, bottom: outline, top: outline };
        },
        steps: (planing) => [
          planeAndRip(stock, planing),
          setTheSaw(stock, count),
          GLUE_RING,
          ...plugSteps(plug),
        ],
      }),
    );
  },
  instead: (given, { outerRadiusMm }) =>
    given.plug && given.plug.diameterMm / 2 >= outerRadiusMm
      ? {
          ...given,
          plug: {
            diameterMm: mm(outerRadiusMm / 2),
            drillMm: mm(Math.min(given.plug.drillMm, outerRadiusMm / 2)),
          },
        }
      : null,
};
