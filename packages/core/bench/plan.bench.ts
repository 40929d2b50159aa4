import { freeze } from 'immer';
import Module from 'manifold-3d';
import { expect, test } from 'vitest';
import { curveThrough, radiusAt, topOf } from '../src/form/curve.js';
import { layOut } from '../src/making/layOut.js';
import { mm } from '../src/measure/quantity.js';
import { plan } from '../src/project/plan.js';
import { prepare } from '../src/project/prepare.js';
import { type Project, type Ring, SCHEMA_VERSION } from '../src/project/schema.js';
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

/** Plans before any is measured, and plans that are. */
const [WARMING, RUNS] = [200, 121];

const middle = (times: number[]): number => times.sort((a, b) => a - b)[times.length >> 1]!;

/** The same outline through `count` points, as one that was traced has it. */
function traced(piece: Project, count: number): Project {
  const outside = curveThrough(piece.form.points);
  const points = Array.from({ length: count }, (_, i) => {
    const heightMm = mm((topOf(outside) * i) / (count - 1));
    return { heightMm, radiusMm: mm(radiusAt(outside, heightMm)), kind: 'smooth' as const };
  });
  return { ...piece, form: { ...piece.form, points } };
}

test('plan() after an edit, against from nothing, 40 × 48', () => {
  const pieceOf = () => freeze(vase(40, 48), true);
  for (let i = 0; i < WARMING; i++) plan(pieceOf(), DEFAULT_SHOP);
  const took = (piece: Project) => {
    const start = performance.now();
    plan(piece, DEFAULT_SHOP);
    return performance.now() - start;
  };
  /** How many times quicker a plan is after an edit of the document before, taken in turn with one from nothing. */
  const quicker = (piece: Project, edited: (now: Project, run: number) => Project) => {
    let now = piece;
    for (let run = 0; run < WARMING; run++) {
      now = freeze(edited(now, run), true);
      plan(now, DEFAULT_SHOP);
    }
    const times = Array.from({ length: RUNS }, (_, run) => {
      const fresh = pieceOf();
      now = freeze(edited(now, run), true);
      return { nothing: took(fresh), edit: took(now) };
    });
    return (middle(times.map(({ nothing }) => nothing)) / middle(times.map(({ edit }) => edit))).toFixed(1);
  };
  const moved = (at: number, by: (run: number) => number) => (now: Project, run: number) => {
    const points = now.form.points.map((point, i) =>
      i === at ? { ...point, radiusMm: mm(point.radiusMm + by(run)) } : point,
    );
    return { ...now, form: { ...now.form, points } };
  };
  /** On and on to where the point has never been, and there and back as by undo and redo. */
  const [on, back] = [() => 0.003, (run: number) => (run % 2 ? 0.3 : -0.3)];
  const ring = (change: (ring: Ring, run: number) => Partial<Ring>) => (now: Project, run: number) => ({
    ...now,
    rings: now.rings.with(20, { ...now.rings[20]!, ...change(now.rings[20]!, run) }),
  });
  const turned = ring((_, run) => ({ turn: run / 100 }));
  const painted = ring(({ woods }, run) => ({ woods: woods.with(run % 48, run % 3 ? 'dark' : 'light') }));
  const fine = freeze(traced(vase(40, 48), 12), true);
  const points = (piece: Project, by: (run: number) => number) =>
    piece.form.points.map((_, at) => quicker(piece, moved(at, by))).join(', ');
  console.log(
    [
      'plan() of 40 × 48 after an edit, times quicker than from nothing',
      `  one ring turned: ${quicker(pieceOf(), turned)}; one segment painted: ${quicker(pieceOf(), painted)}`,
      `  a point of the form moved on, of four, foot to lip: ${points(pieceOf(), on)}; of twelve: ${points(fine, on)}`,
      `  there and back, of four: ${points(pieceOf(), back)}; of twelve: ${points(fine, back)}`,
    ].join('\n'),
  );
});

test('plan() by size, and against the same blank built as solids', async () => {
  const sizes = [
    [10, 12],
    [40, 48],
    [200, 240],
  ] as const;
  const warm = vase(40, 48);
  for (let i = 0; i < WARMING; i++) plan(warm, DEFAULT_SHOP);
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
