import Module from 'manifold-3d';
import { expect, test } from 'vitest';
import { layOut } from '../src/making/layOut.js';
import { mm } from '../src/measure/quantity.js';
import { plan } from '../src/project/plan.js';
import { prepare } from '../src/project/prepare.js';
import { type Project, SCHEMA_VERSION } from '../src/project/schema.js';
import { DEFAULT_SHOP } from '../src/settings/shop.js';
import { middleOf, vaseOf } from './vase.js';

/** A shouldered vase of `rings` rings of `count` segments in two woods, on a floor of 6 mm. */
function vase(rings: number, count: number): Project {
  const { form, ...stacking } = vaseOf(rings, count);
  return {
    schema: SCHEMA_VERSION,
    name: `${rings} × ${count}`,
    form: { ...form, inside: { by: 'wall', walls: [{ heightMm: mm(0), wallMm: mm(8) }], floorMm: mm(6) } },
    ...stacking,
    motifs: [],
    palette: [
      { key: 'light', tone: 'light', wood: 'sugar-maple' },
      { key: 'dark', tone: 'dark', wood: 'black-walnut' },
    ],
    underlay: null,
  };
}

test('plan() by size, and against the same blank built as solids', async () => {
  const sizes = [
    [10, 12],
    [40, 48],
    [200, 240],
  ] as const;
  const warm = vase(40, 48);
  for (let i = 0; i < 60; i++) plan(warm, DEFAULT_SHOP);
  const times = sizes.map(([rings, count]) => {
    const piece = vase(rings, count);
    expect(plan(piece, DEFAULT_SHOP).ok).toBe(true);
    return middleOf(() => plan(piece, DEFAULT_SHOP), 21);
  });
  const rows = sizes.map(
    ([rings, count], i) =>
      `  ${rings} × ${count}: ${times[i]!.toFixed(2)} ms, ${((times[i]! / rings / count) * 1000).toFixed(2)} µs a piece`,
  );

  const kernel = await Module();
  kernel.setup();
  const prepared = prepare(vase(40, 48));
  if (!prepared.ok) throw new Error('vase');
  const { rings } = prepared.value;
  const solids = middleOf(() => {
    const pieces = rings.flatMap(({ made, course }) => {
      if (!made.ok) return [];
      const height = course.topMm - course.bottomMm;
      return layOut(made.value).map(({ bottom }) => {
        const outline = bottom.map(({ x, y }): [number, number] => [x, y]);
        return kernel.Manifold.extrude([outline], height).translate(0, 0, course.bottomMm);
      });
    });
    kernel.Manifold.union(pieces).volume();
  }, 3);
  console.log(
    [
      'plan(), warm, middle of 21 runs',
      ...rows,
      `  growth 40 × 48 → 200 × 240: ${(times[2]! / times[1]!).toFixed(1)} times for 25 times the pieces, 5 times the rings`,
      `manifold-3d, 40 × 48 as solids: ${solids.toFixed(0)} ms`,
      `  ratio to plan(): ${(solids / times[1]!).toFixed(0)}`,
    ].join('\n'),
  );
});
