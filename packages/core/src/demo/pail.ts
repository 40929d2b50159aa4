import { mm } from '../measure/quantity.js';
import * as edit from '../project/commands/edits.js';
import { type Course, drawnOnce, edited, entry, flat, form, piece } from './build.js';

/** A straight pail: staves of two layers that lean with its wall, dark lines between them, on a pie of two woods; a band of two halves near its rim. */
export const peatPail = drawnOnce(() => {
  const palette = [entry('white-ash', 'light'), entry('black-walnut', 'dark'), entry('padauk', 'accent')];
  const count = 16;
  const floor: Course = [
    18,
    { way: 'segmented', count, toCentre: true, plug: { diameterMm: mm(30), drillMm: mm(30) } },
    0,
    'white-ash',
  ];
  const body: Course = [
    78,
    {
      way: 'segmented',
      count,
      staves: { leanDeg: 0 },
      between: { put: 'spacers', spacers: { at: 'every', thicknessMm: mm(2) } },
      sawnFrom: { is: 'layers', laid: 'outside-in', layersMm: [mm(10)] },
    },
    0,
    'white-ash',
  ];
  const band: Course = [
    12,
    { way: 'segmented', count, inHalves: { first: 8, spacersMm: [mm(3), mm(3)], divider: null } },
    0,
    'white-ash',
  ];
  const begun = piece(
    'Peat Pail',
    form(
      [
        [60, 0, 'corner'],
        [82, 132, 'corner'],
      ],
      9,
      12,
    ),
    palette,
    [floor, body, [10, flat(count), 0.5, 'black-walnut'], band, [14, flat(count), 0.5, 'black-walnut']],
  );
  const lit = begun.rings.map((ring, i) =>
    i === 0
      ? { ...ring, woods: ring.woods.map((wood, place) => (place % 2 === 0 ? wood : 'black-walnut')) }
      : ring,
  );
  return edited(
    { ...begun, rings: lit },
    edit.setGroupWood([0], 'padauk', 'Plug'),
    edit.leanLikeWall([1]),
    edit.setGroupWood([1], 'black-walnut', 'Spacer'),
    edit.setGroupWood([1], 'padauk', 'Inner layer'),
    edit.setGroupWood([3], 'padauk', 'Spacer of the first half'),
    edit.swapSecondHalf([3]),
  );
});
