import Module from 'manifold-3d';
import { expect, test } from 'vitest';
import { layOut } from '../src/making/layOut.js';
import { mm } from '../src/measure/quantity.js';
import { plan } from '../src/project/plan.js';
import { prepare } from '../src/project/prepare.js';
import { type Project, SCHEMA_VERSION } from '../src/project/schema.js';
import { DEFAULT_SHOP } from '../src/settings/shop.js';

/** An 8 mm wall on a floor of 6 mm. */
const walled = (points: Project['form']['points']): Project['form'] => ({
  points,
  inside: { by: 'wall', walls: [{ heightMm: mm(0), wallMm: mm(8) }], floorMm: mm(6) },
  recess: null,
  lid: null,
});

/** A shouldered vase of `rings` rings of `count` segments in two woods. */
function vase(rings: number, count: number): Project {
  const height = rings * 8;
  const at = (radius: number, share: number) => ({
    radiusMm: mm(radius),
    heightMm: mm(share * height),
    kind: 'smooth' as const,
  });
  return {
    schema: SCHEMA_VERSION,
    name: `${rings} × ${count}`,
    form: walled([at(90, 0), at(150, 0.5), at(110, 0.85), at(120, 1)]),
    rings: Array.from({ length: rings }, (_, i) => ({
      id: `r${i}`,
      heightMm: mm(8),
      making: { way: 'flat' as const, count },
      turn: (i % 2) / 2,
      woods: Array.from({ length: count }, (_, place) => ((place + i) % 3 === 0 ? 'dark' : 'light')),
    })),
    motifs: [],
    palette: [
      { key: 'light', tone: 'light', wood: 'sugar-maple' },
      { key: 'dark', tone: 'dark', wood: 'black-walnut' },
    ],
    allowances: { outsideMm: mm(4), insideMm: mm(4) },
    underlay: null,
  };
}

/** Milliseconds of the middle one of several runs. */
function middle(work: () => void, runs = 21): number {
  const times = Array.from({ length: runs }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return times.sort((a, b) => a - b)[runs >> 1]!;
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
    return middle(() => plan(piece, DEFAULT_SHOP));
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
  const solids = middle(() => {
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
