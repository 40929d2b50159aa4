import { mm } from '../measure/quantity.js';
import * as edit from '../project/commands/edits.js';
import { disc, drawnOnce, edited, entry, flat, form, piece } from './build.js';

/** Six windows of pale wood, each with a dark seam, let into the turned wall over three rings; and a patch with its twin. */
export const sheepwashBowl = drawnOnce(() => {
  const palette = [entry('black-cherry', 'middle'), entry('sugar-maple', 'light'), entry('wenge', 'dark')];
  const begun = piece(
    'Sheepwash Bowl',
    form(
      [
        [52, 0],
        [92, 22],
        [118, 56],
        [122, 92],
        [112, 116],
      ],
      10,
      9,
    ),
    palette,
    [
      [14, disc, 0, 'black-cherry'],
      [14, flat(18), 0.5, 'black-cherry'],
      ...Array.from({ length: 5 }, (_, i) => [16, flat(18), (i % 2) / 2, 'black-cherry'] as const),
      [10, flat(18), 0.5, 'wenge'],
    ],
  );
  return edited(
    begun,
    edit.addInlay({
      outline: { shape: 'capsule', widthMm: mm(26), heightMm: mm(44) },
      heightMm: mm(72),
      copies: 6,
      depthMm: mm(4),
      wood: 'sugar-maple',
      seam: { widthMm: mm(2), wood: 'wenge' },
    }),
    edit.addInlay({
      outline: { shape: 'ellipse', widthMm: mm(12), heightMm: mm(8) },
      heightMm: mm(30),
      towardDeg: 20,
      tiltDeg: 15,
      copies: 2,
      mirrored: true,
      patch: true,
      depthMm: mm(3),
      wood: 'wenge',
    }),
  );
});
