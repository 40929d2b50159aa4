import { z } from 'zod';
import { rad } from '../../measure/quantity.js';
import { done } from '../../measure/reason.js';
import { say, sayRad } from '../../measure/said.js';
import { assemble } from '../assemble.js';
import type { Making } from '../contract.js';
import { GLUE_RING, planeAndRip, segmentCount, setTheSaw } from '../segments.js';
import { numbered, step } from '../step.js';
import type { StripStock } from '../stock.js';
import { doesNotGoIn, goesIn, mirroredParts, partsField, withCount } from './parts.js';
import { anglesOf, flatRing } from './ring.js';

const params = z
  .strictObject({ way: z.literal('flat'), count: segmentCount, parts: partsField })
  .refine(goesIn, doesNotGoIn);

export type FlatParams = z.infer<typeof params>;

/** N segments, equal or not, mitred at half their included angle, grain along the segment. */
export const flat: Making<FlatParams> = {
  way: 'flat',
  name: 'Flat segments',
  says: 'segments mitred and glued into a flat ring: the usual ring',
  params,
  solid: false,
  bond: 'as-it-was',
  begin: ({ segments }) => ({ way: 'flat', count: segments }),
  groups: ({ count }) => [{ name: 'Segment', count }],
  segments: ({ count }) => count,
  withSegments: withCount,
  pitch: ({ count, parts }) => rad((2 * Math.PI * (parts?.length ?? 1)) / count),
  mirror: mirroredParts,
  stripWidth: ({ count, parts }, { outerRadiusMm, innerRadiusMm }) =>
    outerRadiusMm - innerRadiusMm * Math.cos(Math.max(...anglesOf(count, parts)) / 2),
  make(given, need) {
    const { count, parts } = given;
    const sized = flatRing(count, anglesOf(count, parts), need);
    if (!sized.ok) return sized;
    const { kinds, lay, gives, cornerMm, repeats } = sized.value;
    const stocks = kinds.map(({ stock }) => stock as StripStock);
    const widest = Math.max(...stocks.map(({ cutAngle }) => cutAngle));
    return done(
      assemble({
        heightMm: need.heightMm,
        gives,
        cornerMm,
        repeats,
        groups: flat.groups(given),
        kinds,
        lay,
        figures:
          kinds.length === 1
            ? []
            : [
                {
                  key: 'step-between-outside-corners',
                  value: stepBetween(anglesOf(count, parts), need.outerRadiusMm),
                  unit: 'mm',
                },
              ],
        steps: (planing) => [
          planeAndRip(stocks[0]!, planing),
          ...kinds.map(({ places }, i) => {
            const saw = setTheSaw(stocks[i]!, places.length);
            return kinds.length > 1 ? numbered(saw, i + 1) : saw;
          }),
          ...(kinds.length > 1
            ? [
                step(
                  'order',
                  'bench',
                  say`Lay them out in their order before gluing; the widest takes ${sayRad(2 * widest)}.`,
                ),
              ]
            : []),
          GLUE_RING,
        ],
      }),
    );
  },
};

/** The most by which outside corners of neighbours differ: Ro·|sec(βi/2) − sec(βj/2)|; it is turned away. */
export function stepBetween(angles: readonly number[], outerRadiusMm: number): number {
  const corners = angles.map((angle) => outerRadiusMm / Math.cos(angle / 2));
  return Math.max(...corners.map((corner, i) => Math.abs(corner - corners[(i + 1) % corners.length]!)));
}
