import { STARTING_SHAPES, startingForm } from '../form/starting.js';
import { begun } from '../making/registry.js';
import { mm } from '../measure/quantity.js';
import * as edit from '../project/commands/edits.js';
import { drawnOnce, edited, entry, piece } from './build.js';

/** Eighty flat panels turned to a closed ball, stars of five with pale triangles between, and windows let in across their joints. */
export const trigPointBall = drawnOnce(() => {
  const palette = [
    entry('black-cherry', 'middle'),
    entry('sugar-maple', 'light'),
    entry('black-walnut', 'dark'),
  ];
  const shape = STARTING_SHAPES.find(({ id }) => id === 'ball')!;
  const ball = piece('Trig Point Ball', startingForm(shape, 176, 180, 7), palette, [
    [176, begun('globe', { segments: 12, body: '' })!, 0, 'black-cherry'],
  ]);
  return edited(
    ball,
    edit.setGroupWood([0], 'sugar-maple', 'Equilateral'),
    edit.addInlay({
      outline: { shape: 'ellipse', widthMm: mm(34), heightMm: mm(22) },
      heightMm: mm(88),
      copies: 5,
      depthMm: mm(3),
      wood: 'black-walnut',
      seam: { widthMm: mm(1.5), wood: 'sugar-maple' },
    }),
  );
});
