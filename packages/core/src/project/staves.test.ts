import { expect, test } from 'vitest';
import { layerMargins } from '../check/layerMargins.js';
import { disc, entry, flat, form, piece } from '../demo/build.js';
import type { RingMaking } from '../making/registry.js';
import { fromDegrees, mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { planned } from '../testing/pieces.js';
import { prepare } from './prepare.js';

const TILT = Math.tan(fromDegrees(15));
/** A cone that widens by 15°, with a tall ring of staves between a disc and a flat ring. */
const cone = (making: RingMaking) =>
  piece(
    'Cone',
    form(
      [
        [60, 0, 'corner'],
        [60 + 84 * TILT, 84, 'corner'],
      ],
      16,
      10,
    ),
    [entry('sugar-maple', 'light')],
    [
      [12, disc, 0],
      [60, making, 0],
      [12, flat(12), 0],
    ],
  );
const layered = (leanDeg: number): RingMaking => ({
  way: 'segmented',
  count: 12,
  staves: { leanDeg },
  sawnFrom: { is: 'layers', laid: 'outside-in', layersMm: [mm(8)] },
});
const margin = (making: RingMaking) => {
  const project = cone(making);
  const prepared = prepare(project);
  if (!prepared.ok) throw new Error(plain(prepared.reasons[0]!.message));
  return layerMargins(planned(project).rings[1]!, prepared.value.vessel)[0]!;
};

test('layers of staves that lean like the wall keep their line at every height, by trigonometry', () => {
  // Half way up the ring, 42 mm: outside 60 + 42·tan 15°, the flats 4 mm farther out, the line 8 mm behind them, and its ends
  // 1/cos 15° as far from the axis: most of all at the top, where all is 30·tan 15° larger.
  const outside = 60 + 42 * TILT;
  const near = outside + 4 - 8 / Math.cos(fromDegrees(15));
  const [across, grown] = [1 / Math.cos(Math.PI / 12), 30 * TILT];
  const far = (near + grown) * across - grown;
  const { nearMm, farMm, outsideMm, outsideLeftMm, insideLeftMm } = margin(layered(15));
  expect([nearMm, farMm, outsideMm]).toEqual([near, far, outside].map((r) => expect.closeTo(r, 6)));
  expect(outsideLeftMm).toBeCloseTo(outside - far, 6);
  // The wall is 16 mm square to the slope.
  expect(insideLeftMm).toBeCloseTo(near - (outside - 16 / Math.cos(fromDegrees(15))), 3);
  expect(planned(cone(layered(15))).checks.map(({ code }) => code)).not.toContain('layer-line');
});

test('the same layers in upright staves are turned through', () => {
  expect(margin(layered(0)).outsideLeftMm).toBeLessThan(-5);
  expect(planned(cone(layered(0))).checks.map(({ code }) => code)).toContain('layer-line');
});
