import { mm } from '../measure/quantity.js';
import { type Course, disc, drawnOnce, entry, flat, form, piece } from './build.js';

/** Three bands of dark wood through a light vase, each turned by a third of the way round from the last. */
export const threeBecksVase = drawnOnce(() => {
  const palette = [entry('black-cherry', 'light'), entry('wenge', 'dark'), entry('sugar-maple', 'middle')];
  const courses: Course[] = [
    [14, disc, 0, 'black-cherry'],
    ...Array.from({ length: 9 }, (_, i): Course => [18, flat(16), i % 2 === 0 ? 0.5 : 0, 'black-cherry']),
    [10, flat(16), 0.5, 'wenge'],
  ];
  const band = (
    id: string,
    heightMm: number,
    slantDeg: number,
    towardDeg: number,
    thicknessMm: number,
    wood: string,
  ) => ({
    id,
    heightMm: mm(heightMm),
    slantDeg,
    towardDeg,
    thicknessMm: mm(thicknessMm),
    kerfMm: mm(1),
    wood,
  });
  const vase = piece(
    'Three Becks Vase',
    form(
      [
        [38, 0],
        [60, 46],
        [72, 100],
        [58, 154],
        [34, 188],
        [40, 196],
      ],
      8,
      12,
    ),
    palette,
    courses,
  );
  return {
    ...vase,
    slants: [
      band('s1', 92, 24, 20, 5, 'wenge'),
      band('s2', 98, 24, 140, 5, 'sugar-maple'),
      band('s3', 104, 24, 260, 5, 'wenge'),
    ],
  };
});
