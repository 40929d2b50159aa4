import { mm } from '../measure/quantity.js';
import * as edit from '../project/commands/edits.js';
import { type Course, disc, drawnOnce, edited, entry, flat, form, piece } from './build.js';

/** The radius at which the stripe of one ring meets that of the next, mm. */
const MEETS = 74;

/** Stripes of spacers in every other leaning joint that climb between two bands of layers, every other segment upside down. */
export const bindweedVase = drawnOnce(() => {
  const palette = [entry('sugar-maple', 'light'), entry('black-cherry', 'middle'), entry('padauk', 'accent')];
  const count = 18;
  const climbing: Course = [
    14,
    {
      way: 'segmented',
      count,
      lean: { tiltDeg: 20, hand: 'right', cut: 'same-edge' },
      between: { put: 'spacers', spacers: { at: 'even', number: 9, thicknessMm: mm(3) } },
    },
    0,
    'sugar-maple',
  ];
  const band: Course = [
    12,
    {
      way: 'segmented',
      count,
      sawnFrom: { is: 'layers', laid: 'bottom-up', layersMm: [mm(6)], turned: 'second' },
    },
    0,
    'sugar-maple',
  ];
  const first = 3;
  const stripes = Array.from({ length: 9 }, (_, i) => first + i);
  const bands = [first - 1, first + stripes.length];
  const begun = piece(
    'Bindweed Vase',
    form(
      [
        [44, 0],
        [66, 40],
        [80, 96],
        [70, 150],
        [58, 190],
      ],
      8,
      10,
    ),
    palette,
    [
      [14, disc, 0, 'black-cherry'],
      [12, flat(count), 0.5, 'black-cherry'],
      band,
      ...stripes.map(() => climbing),
      band,
      [14, flat(count), 0.5, 'black-cherry'],
    ],
  );
  return edited(
    begun,
    edit.setGroupWood(stripes, 'padauk', 'Spacer'),
    edit.setGroupWood(bands, 'black-cherry', 'Top layer'),
    edit.runStripe(stripes, mm(MEETS)),
  );
});
