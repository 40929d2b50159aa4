import fc from 'fast-check';
import Module, { type ManifoldToplevel } from 'manifold-3d';
import { beforeAll, describe, expect, test } from 'vitest';
import { demoProjects } from '../../demo/index.js';
import { fullSizeDrawing } from '../../exchange/fullSizeDrawing.js';
import { STARTING_SHAPES } from '../../form/starting.js';
import { type Vessel, vesselOf } from '../../form/vessel.js';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import * as edit from '../../project/commands/edits.js';
import { workOf } from '../../project/ordered.js';
import { DEFAULT_SHOP } from '../../settings/shop.js';
import { woodOutline } from '../../surface/drawing.js';
import { after, planned, refusal, started } from '../../testing/pieces.js';
import { SHIPPED_WOODS } from '../../wood/catalogue.js';
import type { MadeBlank } from '../contract.js';
import { makeBlank } from '../registry.js';
import { beginMount } from './begin.js';
import { centreHeight, deepestHole, halfWood, widestRow, woodRound } from './holes.js';
import type { MountParams } from './params.js';

let kernel: ManifoldToplevel;
beforeAll(async () => {
  kernel = await Module();
  kernel.setup();
});

const vesselFor = (shape: string): Vessel => {
  const vessel = vesselOf(started(shape).form);
  if (!vessel.ok) throw new Error(plain(vessel.reasons[0]!.message));
  return vessel.value;
};
function made(given: MountParams, vessel: Vessel): MadeBlank {
  const blank = makeBlank(given, vessel);
  if (!blank.ok) throw new Error(plain(blank.reasons[0]!.message));
  return blank.value;
}
const figure = ({ figures }: MadeBlank, wanted: string): number =>
  figures.find(({ key }) => key === wanted)!.value;

/** A solid cylinder, 40 in radius and 100 high, and a cone as high on the same foot. */
const CYLINDER = [
  { r: 40, z: 0 },
  { r: 40, z: 100 },
  { r: 0, z: 100 },
  { r: 0, z: 0 },
];
const CONE = [
  { r: 40, z: 0 },
  { r: 0, z: 100 },
  { r: 0, z: 0 },
];

describe('holes in half of a solid cylinder (by hand)', () => {
  const half = halfWood(CYLINDER, 1);
  const upright = { rodMm: 6, leanDeg: 0, insetMm: 10 };

  test('an upright hole keeps what is between it and the sawn face, or the outside where that is nearer', () => {
    expect(woodRound(half, upright, 0, 30)).toBeCloseTo(10 - 3, 9);
    expect(woodRound(half, { ...upright, insetMm: 30 }, 0, 30)).toBeCloseTo(40 - 31 - 3, 9);
    expect(woodRound(half, upright, 33, 30)).toBeCloseTo(40 - Math.hypot(11, 33) - 3, 9);
    expect(woodRound(half, upright, 0, 95)).toBeCloseTo(5 - 3, 9);
    expect(woodRound(half, { ...upright, insetMm: 45 }, 0, 30)).toBeLessThan(0);
  });

  test('it may go so deep that the margin stays at its end; leaning, that it stays at the outside', () => {
    expect(deepestHole(half, upright, 0, 4)).toBeCloseTo(100 - 3 - 4, 2);
    // x = 11 + s·sin 30° may come to 40 − 3 − 4.
    expect(deepestHole(half, { ...upright, leanDeg: 30 }, 0, 4)).toBeCloseTo(44, 2);
    expect(deepestHole(half, { ...upright, insetMm: 5 }, 0, 4)).toBe(0);
  });

  test('two rods are as far apart as the circle lets them be', () => {
    const row = { ...upright, rods: 2, marginMm: 4 };
    const spacing = widestRow(half, row, 40, 20)!;
    const widest = 2 * Math.sqrt(33 ** 2 - 11 ** 2);
    expect(widest - spacing).toBeGreaterThanOrEqual(0);
    expect(widest - spacing).toBeLessThan(0.25);
    expect(Math.abs(widestRow(half, { ...row, rods: 3 }, 40, 20)! - widest / 2)).toBeLessThan(0.25);
    // None are so deep: as far apart as those are that are deepest. Eight do not go side by side at all.
    expect(deepestHole(half, row, widestRow(half, row, 40, 94)! / 2, 4)).toBeCloseTo(93, 2);
    expect(widestRow(half, { ...row, rods: 8 }, 40, 20)).toBeNull();
  });

  test('a cylinder has its centre of gravity half way up, a cone at a quarter', () => {
    expect(centreHeight(CYLINDER)).toBeCloseTo(50, 9);
    expect(centreHeight(CONE)).toBeCloseTo(25, 9);
  });
});

describe('halves of turned pieces', () => {
  /** Half of a form and its rods, made thicker by so much, up to the foot, by a modelling kernel. */
  function beyond(given: MountParams, vessel: Vessel, thickerMm: number): number {
    const round = kernel.Manifold.revolve(
      [woodOutline(vessel).map(({ r, z }): [number, number] => [r, z])],
      256,
    );
    const half = round.trimByPlane([1, 0, 0], given.kerfMm / 2);
    const lean = (given.leanDeg * Math.PI) / 180;
    const radius = given.rodMm / 2 + thickerMm;
    return fullSizeDrawing(made(given, vessel).fullSize!)
      .lines.filter(({ layer, title, closed }) => layer === 'Holes' && title === 'Foot from below' && closed)
      .map(({ points }) => {
        const ys = points.map(({ y }) => y);
        return (Math.min(...ys) + Math.max(...ys)) / 2;
      })
      .slice(0, given.rods)
      .map((y, _, all) => {
        const aside = y - (Math.min(...all) + Math.max(...all)) / 2;
        const rod = kernel.Manifold.cylinder(given.drilledMm, radius, radius, 48)
          .add(kernel.Manifold.sphere(radius, 48).translate([0, 0, given.drilledMm]))
          .rotate([0, given.leanDeg, 0])
          .translate([given.kerfMm / 2 + given.insetMm, aside, 0])
          .trimByPlane([0, 0, 1], Math.abs(radius * Math.sin(lean)) + 0.01);
        return rod.subtract(half).volume();
      })
      .reduce((a, b) => a + b, 0);
  }

  test.each(STARTING_SHAPES.map(({ id }) => id).filter((id) => id !== 'spindle'))(
    'a %s: begun so that it can be made, and the wood round its holes is there (manifold-3d)',
    (shape) => {
      const vessel = vesselFor(shape);
      const given = beginMount(vessel);
      const wood = figure(made(given, vessel), 'wood-round-the-holes');
      expect(wood).toBeGreaterThanOrEqual(given.marginMm);
      expect(beyond(given, vessel, wood - 0.1)).toBeLessThan(0.01);
      expect(beyond(given, vessel, wood + 0.6)).toBeGreaterThan(0.01);
    },
  );

  test('a point has nothing to drill into', () => {
    const vessel = vesselFor('spindle');
    const blank = makeBlank(beginMount(vessel), vessel);
    expect(!blank.ok && blank.reasons[0]!.code).toBe('rods-break-out');
  });

  test('whatever is asked for, what is made keeps its margin and what is not says why (manifold-3d)', () => {
    const vessel = vesselFor('vase');
    const begun = beginMount(vessel);
    let kept = 0;
    fc.assert(
      fc.property(
        fc.record({
          rods: fc.integer({ min: 1, max: 4 }),
          rodMm: fc.integer({ min: 2, max: 10 }).map(mm),
          leanDeg: fc.integer({ min: -15, max: 15 }),
          insetMm: fc.integer({ min: 2, max: 40 }).map(mm),
          drilledMm: fc.integer({ min: 2, max: 40 }).map(mm),
          marginMm: fc.integer({ min: 1, max: 5 }).map(mm),
        }),
        (change) => {
          const given = { ...begun, ...change };
          const blank = makeBlank(given, vessel);
          if (!blank.ok) {
            expect(blank.reasons[0]!.code).toMatch(/^rods-/);
            return;
          }
          kept++;
          expect(figure(blank.value, 'wood-round-the-holes')).toBeGreaterThanOrEqual(given.marginMm - 1e-9);
          expect(beyond(given, vessel, given.marginMm - 0.2)).toBeLessThan(0.01);
        },
      ),
      { numRuns: 60 },
    );
    expect(kept).toBeGreaterThan(5);
  });

  test('leaning rods: length, holes in the base and what is left under them (by hand)', () => {
    const vessel = vesselFor('vase');
    const begun = beginMount(vessel);
    const given: MountParams = {
      ...begun,
      leanDeg: 10,
      insetMm: mm(12),
      drilledMm: mm(5),
      apartMm: mm(40),
      freeMm: mm(30),
      base: { ...begun.base, heightMm: mm(30), drilledMm: mm(20) },
    };
    const [cos, tan] = [Math.cos(Math.PI / 18), Math.tan(Math.PI / 18)];
    const of = made(given, vessel);
    expect(figure(of, 'rod-length')).toBeCloseTo(5 + 30 / cos + 20, 9);
    expect(figure(of, 'holes-from-the-middle')).toBeCloseTo(20 + 12 - 30 * tan, 9);
    expect(figure(of, 'wood-under-the-holes')).toBeCloseTo(
      30 - 20 * cos - (given.rodMm / 2) * Math.sin(Math.PI / 18),
      9,
    );
    expect(figure(of, 'tilt-of-the-drill-table')).toBeCloseTo(Math.PI / 18, 9);
    // The template has them where the figures say, and those of the foot where the sawn faces are.
    const crosses = (title: string) =>
      fullSizeDrawing(of.fullSize!)
        .lines.filter(
          (line) =>
            line.layer === 'Crosses' && line.title === title && line.points[0]!.y === line.points[1]!.y,
        )
        .map(({ points: [a, b] }) => ({ x: (a!.x + b!.x) / 2, y: a!.y }));
    const apart = (title: string) => {
      const xs = crosses(title).map(({ x }) => x);
      return Math.max(...xs) - Math.min(...xs);
    };
    expect(crosses('Base from above')).toHaveLength(4);
    expect(apart('Base from above')).toBeCloseTo(2 * (32 - 30 * tan), 9);
    expect(apart('Foot from below')).toBeCloseTo(2 * 12 + given.kerfMm, 9);
  });

  test('what cannot be is refused with what could be, and nothing changes', () => {
    const piece = after(started('vase'), edit.addBlank('mount', 'm'));
    const begun = piece.blanks![0]!.making as MountParams;
    const set = (change: Partial<MountParams>) => refusal(piece, edit.setBlank(0, { ...begun, ...change }));
    expect(refusal(piece, edit.addBlank('mount', 'n'))).toMatch(/two halves at most/);
    expect(set({ drilledMm: mm(400) })).toMatch(/down to a depth of [\d.]+ mm/);
    expect(set({ rodMm: mm(60) })).toMatch(/Take thinner rods, fewer, or another place/);
    expect(set({ rods: 6, rodMm: mm(20) })).toMatch(/Take thinner rods, fewer, or another place/);
    expect(set({ spacingMm: mm(begun.rodMm + begun.marginMm / 2) })).toMatch(/at least/);
    expect(set({ apartMm: mm(0), leanDeg: 30, freeMm: mm(80) })).toMatch(/middle line/);
    expect(set({ base: { ...begun.base, heightMm: mm(15) } })).toMatch(/× [\d.]+ mm at least/);
    expect(set({ base: { ...begun.base, widthMm: mm(40) } })).toMatch(/at least/);
    const narrow = { ...begun.base, lengthMm: mm(2000), widthMm: mm(begun.base.widthMm - 20) };
    const tall = planned(after(piece, edit.setBlank(0, { ...begun, freeMm: mm(900), base: narrow })));
    expect(tall.checks.map(({ code }) => code)).toContain('tips-easily');
  });
});

test('the base is cut with the rest; the piece is drilled and sawn before the finish, and mounted last', () => {
  const cup = demoProjects()[0]!;
  const piece = after(cup, edit.addBlank('mount', 'm'));
  const [plain_, with_] = [planned(cup), planned(piece)];
  expect(with_.pieces).toBe(plain_.pieces + 1);
  expect(with_.blanks[0]!.pieces.map(({ count, kind }) => [count, kind.name])).toEqual([[1, 'Base']]);
  const { base } = piece.blanks![0]!.making as MountParams;
  expect(with_.woodMm3 - plain_.woodMm3).toBeCloseTo(base.lengthMm * base.widthMm * base.heightMm, 3);
  const waits = new Map<string, string[]>();
  const ids = (project: typeof cup) => {
    const work = workOf(project, DEFAULT_SHOP, SHIPPED_WOODS);
    if (!work.ok) throw new Error('work');
    for (const [i, { needs }] of work.value.jobs.entries())
      for (const { id } of needs) expect(work.value.jobs.findIndex((job) => job.id === id)).toBeLessThan(i);
    for (const { id, needs } of work.value.jobs)
      waits.set(
        id,
        needs.map((need) => need.id),
      );
    return work.value.jobs.map(({ id }) => id);
  };
  const [before, now] = [ids(cup), ids(piece)];
  expect(now.filter((id) => !id.includes('m/'))).toEqual(before);
  const at = (part: string) => now.findIndex((id) => id.endsWith(part));
  expect(now.at(-1)).toMatch(/m\/mount$/);
  expect(at('m/base')).toBeLessThan(at('m/foot-holes'));
  expect([at('m/halve') - at('m/foot-holes'), at('m/sawn-faces') - at('m/halve')]).toEqual([1, 1]);
  expect(now.slice(at('m/sawn-faces') + 1, -1)).toEqual(before.slice(-(now.length - 2 - at('m/sawn-faces'))));
  // Each waits for what comes before it: turned, drilled and sawn, finished, mounted.
  const named = (part: string) => now[at(part)]!;
  expect(waits.get(named('m/foot-holes'))).toEqual([now[at('m/foot-holes') - 1]]);
  expect(waits.get(now[at('m/sawn-faces') + 1]!)).toEqual([named('m/sawn-faces')]);
  expect(waits.get(named('m/mount'))).toEqual([now.at(-2)]);
});
