import { mm } from '../measure/quantity.js';
import * as edit from '../project/commands/edits.js';
import { type Course, disc, drawnOnce, edited, entry, flat, form, piece } from './build.js';

/** A thick vase, one side light and one dark, their edges toothed by the bond; sawn in two and stood apart on leaning rods. */
export const fieldGateVase = drawnOnce(() => {
  const palette = [entry('sugar-maple', 'light'), entry('black-walnut', 'dark')];
  const count = 12;
  const courses = Array.from({ length: 7 }, (_, i): Course => [22, flat(count), i % 2 === 0 ? 0.5 : 0]);
  const begun = piece(
    'Field Gate Vase',
    form(
      [
        [38, 0],
        [54, 44],
        [62, 104],
        [48, 160],
        [56, 200],
      ],
      9,
      40,
    ),
    palette,
    [[24, disc, 0, 'black-walnut'], [22, disc, 0, 'black-walnut'], ...courses],
  );
  const sides = begun.rings.map((ring) =>
    ring.woods.length < count
      ? ring
      : {
          ...ring,
          woods: ring.woods.map((_, place) => (place < count / 2 ? 'sugar-maple' : 'black-walnut')),
        },
  );
  return edited(
    { ...begun, rings: sides },
    edit.addBlank('mount', 'gate'),
    edit.setBlank(0, {
      kind: 'mount',
      sawnDeg: 0,
      kerfMm: mm(1.5),
      rods: 2,
      rodMm: mm(6),
      leanDeg: 6,
      insetMm: mm(15),
      drilledMm: mm(28),
      marginMm: mm(4),
      apartMm: mm(36),
      freeMm: mm(40),
      base: { lengthMm: mm(110), widthMm: mm(150), heightMm: mm(32), drilledMm: mm(20) },
    }),
    edit.paintBlank(0, 'black-walnut'),
  );
});
