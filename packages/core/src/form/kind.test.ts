import { expect, it } from 'vitest';
import { formKindOf } from './kind.js';
import { STARTING_SHAPES, startingForm } from './starting.js';

it('the shapes to start from are called what they are', () => {
  const called = Object.fromEntries(
    STARTING_SHAPES.map((shape) => {
      const { id, proportion } = shape;
      const { points, lid } = startingForm(shape, 200 * proportion, 200, 6);
      const top = points.reduce((high, point) => (point.heightMm > high.heightMm ? point : high));
      const widest = Math.max(...points.map(({ radiusMm }) => radiusMm));
      return [
        id,
        formKindOf(
          top.heightMm,
          2 * widest,
          2 * top.radiusMm,
          lid ? (lid.joined ? 'joined' : 'loose') : 'none',
        ),
      ];
    }),
  );
  expect(called).toMatchInlineSnapshot(`
    {
      "ball": "closed",
      "bell": "bowl",
      "bowl": "bowl",
      "cylinder": "vase",
      "egg": "closed",
      "globe": "closed",
      "goblet": "vase",
      "hollow-form": "hollow",
      "jar": "lidded",
      "platter": "platter",
      "spindle": "closed",
      "vase": "vase",
    }
  `);
});

it.each([
  [50, 200, 200, 'platter'],
  [51, 200, 200, 'bowl'],
  [199, 200, 120, 'bowl'],
  [200, 200, 120, 'vase'],
  [300, 200, 80, 'hollow'],
] as const)('%d high, %d wide, %d at its mouth: %s', (height, width, mouth, kind) => {
  expect(formKindOf(height, width, mouth, 'none')).toBe(kind);
});
