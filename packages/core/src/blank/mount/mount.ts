import type { Vessel } from '../../form/vessel.js';
import { remembered } from '../../measure/memo.js';
import { mm } from '../../measure/quantity.js';
import { done, type Result } from '../../measure/reason.js';
import { solidBetween } from '../../ring/convex.js';
import { holdsPoint, type Solid } from '../../ring/space.js';
import { finder, type MadeBlank } from '../contract.js';
import { mountFullSize, mountPictures } from './drawn.js';
import { leanOf } from './holes.js';
import type { MountParams } from './params.js';
import { sizeOf } from './size.js';
import { mountSteps, mountWarnings } from './told.js';

/** The block that the rods stand in, its top `freeMm` under the feet of the halves. */
const blockOf = ({ base: { lengthMm, widthMm, heightMm }, freeMm }: MountParams): Solid =>
  solidBetween(
    [
      { normal: { x: 1, y: 0, z: 0 }, at: widthMm / 2 },
      { normal: { x: -1, y: 0, z: 0 }, at: widthMm / 2 },
      { normal: { x: 0, y: 1, z: 0 }, at: lengthMm / 2 },
      { normal: { x: 0, y: -1, z: 0 }, at: lengthMm / 2 },
      { normal: { x: 0, y: 0, z: 1 }, at: -freeMm },
      { normal: { x: 0, y: 0, z: -1 }, at: freeMm + heightMm },
    ],
    0,
  );

/** The finished piece sawn in two through its axis, each half on rods that stand in a base. */
export const makeMount = (given: MountParams, vessel: Vessel): Result<MadeBlank> => mountOf(vessel, given);

/** Where its rods may be takes some looking, and stays as it is while woods are painted. */
const mountOf = remembered((vessel: Vessel, given: MountParams) => mounted(given, vessel));

function mounted(given: MountParams, vessel: Vessel): Result<MadeBlank> {
  const size = sizeOf(given, vessel);
  if (!size.ok) return size;
  const { lengthMm, widthMm, heightMm } = given.base;
  const solids = [blockOf(given)];
  const { spacingMm, rodLengthMm, deepestMm, woodMm, baseMm, underMm, tips } = size.value;
  return done({
    groups: [{ name: 'Base', count: 1 }],
    kinds: [
      {
        name: 'Base',
        grain: 'along',
        heightMm: mm(heightMm),
        stock: { from: 'panel', shape: 'block', lengthMm, widthMm, thicknessMm: heightMm },
        places: [0],
      },
    ],
    solids,
    beside: [],
    flat: [],
    pictures: mountPictures(given, size.value, vessel),
    fullSize: mountFullSize(given, size.value, vessel),
    placeAt: finder(solids, holdsPoint),
    figures: [
      { key: 'rods', value: 2 * given.rods, unit: 'count' },
      { key: 'rod-length', value: rodLengthMm, unit: 'mm' },
      { key: 'tilt-of-the-drill-table', value: Math.abs(leanOf(given)), unit: 'rad' },
      ...(given.rods > 1 ? [{ key: 'rods-apart' as const, value: spacingMm, unit: 'mm' as const }] : []),
      { key: 'hole-at-most', value: deepestMm, unit: 'mm' },
      { key: 'wood-round-the-holes', value: woodMm, unit: 'mm' },
      { key: 'holes-from-the-middle', value: baseMm, unit: 'mm' },
      { key: 'wood-under-the-holes', value: underMm, unit: 'mm' },
      { key: 'tips-over-at', value: tips, unit: 'rad' },
    ],
    warnings: mountWarnings(size.value),
    steps: () => mountSteps(given, size.value),
  });
}
