import Module from 'manifold-3d';
import { expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { radiusAt } from '../form/curve.js';
import { insideAt } from '../form/vessel.js';
import { outlineAt } from '../making/layOut.js';
import type { Point } from '../ring/plane.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { balanceOf, calmUpTo, shakeAt } from '../shop/balance.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import { density } from '../wood/species.js';
import { atTheLathe } from './atTheLathe.js';
import { prepare } from './prepare.js';
import type { Project } from './schema.js';
import { turnedBalance } from './turnedBalance.js';

const prepared = (project: Project) => {
  const made = prepare(project);
  if (!made.ok) throw new Error('prepare');
  return made.value;
};
const densityOf = ({ palette }: Project, key: string) =>
  density(SHIPPED_WOODS.find(({ id }) => id === palette.find((of) => of.key === key)!.wood)!);
const within = (outline: readonly Point[], x: number, y: number): boolean =>
  outline.reduce((inside, p, i) => {
    const q = outline[(i + 1) % outline.length]!;
    const crosses = p.y > y !== q.y > y && x < ((q.x - p.x) * (y - p.y)) / (q.y - p.y) + p.x;
    return crosses ? !inside : inside;
  }, false);

test('the centre of gravity of a ring that is half one wood, half another, against a fine grid of points', () => {
  const cup = demoProjects().find(({ name }) => name.includes('Cup'))!;
  const [light, dark] = [cup.palette[0]!.key, cup.palette[1]!.key];
  const rings = cup.rings.map((ring) => ({
    ...ring,
    turn: 0.5,
    woods: ring.woods.map((_, place) => (2 * place < ring.woods.length ? dark : light)),
  }));
  const half: Project = { ...cup, rings };
  const made = prepared(half);
  const { balance, blankMm } = atTheLathe(made, half, SHIPPED_WOODS, DEFAULT_SHOP);
  let [mass, mx, my] = [0, 0, 0];
  const step = blankMm / 300;
  for (const { made: ring, turn, ring: own } of made.rings) {
    if (!ring.ok) continue;
    const reach = ring.value.cornerMm;
    own.woods.forEach((key, place) => {
      for (const part of ring.value.lay(place)) {
        const outline = outlineAt(part, 0.5);
        const high = part.toMm - part.fromMm;
        for (let x = -reach; x <= reach; x += step)
          for (let y = -reach; y <= reach; y += step) {
            if (!within(outline, x, y)) continue;
            const kg = step * step * high * densityOf(half, key) * 1e-9;
            mass += kg;
            mx += kg * (x * Math.cos(turn) - y * Math.sin(turn));
            my += kg * (x * Math.sin(turn) + y * Math.cos(turn));
          }
      }
    });
  }
  expect(balance.kg / mass).toBeCloseTo(1, 1);
  expect(balance.x).toBeCloseTo(mx / mass, 0);
  expect(balance.y).toBeCloseTo(my / mass, 0);
  expect(balance.offMm).toBeGreaterThan(1);
  // As it is drawn the cup is in balance: every ring repeats in thirds or more.
  expect(atTheLathe(prepared(cup), cup, SHIPPED_WOODS, DEFAULT_SHOP).balance.offMm).toBeLessThan(0.01);
});

// manifold-3d: every place of the turned cup as a solid of revolution cut with its prism; mass and moments of its mesh by tetrahedra from the origin.
test('the turned cup, half of it heavy, against the mass properties of solids from another kernel', async () => {
  const kernel = await Module();
  kernel.setup();
  const cup = demoProjects().find(({ name }) => name.includes('Fleece'))!;
  const [light, dark] = [cup.palette[0]!.key, cup.palette[1]!.key];
  const half: Project = {
    ...cup,
    rings: cup.rings.map((ring) => ({
      ...ring,
      turn: 0.5,
      woods: ring.woods.map((_, place) => (2 * place < ring.woods.length ? dark : light)),
    })),
  };
  const made = prepared(half);
  const { vessel } = made;
  const line = (radius: (z: number) => number, from: number, to: number): [number, number][] => {
    const points = Array.from({ length: 241 }, (_, i) => from + ((to - from) * i) / 240);
    return [[0, from], ...points.map((z): [number, number] => [Math.max(1e-4, radius(z)), z]), [0, to]];
  };
  const round = (points: [number, number][]) => kernel.Manifold.revolve([points], 256);
  const wall = round(line((z) => radiusAt(vessel.outside, z), 0, vessel.heightMm)).subtract(
    round(line((z) => insideAt(vessel, z) ?? 0, vessel.hollowFromMm, vessel.hollowToMm)),
  );
  let [mass, mx, my] = [0, 0, 0];
  for (const { made: ring, turn, ring: own, course } of made.rings) {
    if (!ring.ok) throw new Error('ring');
    own.woods.forEach((key, place) => {
      for (const part of ring.value.lay(place)) {
        const corners = outlineAt(part, 0.5).map(({ x, y }): [number, number] => [
          x * Math.cos(turn) - y * Math.sin(turn),
          x * Math.sin(turn) + y * Math.cos(turn),
        ]);
        const prism = kernel.Manifold.extrude([corners], part.toMm - part.fromMm).translate([
          0,
          0,
          course.bottomMm + part.fromMm,
        ]);
        const mesh = prism.intersect(wall).getMesh();
        const at = (i: number) => [0, 1, 2].map((k) => mesh.vertProperties[mesh.numProp * i + k]!);
        const kgPerMm3 = densityOf(half, key) * 1e-9;
        for (let t = 0; t < mesh.triVerts.length; t += 3) {
          const [a, b, c] = [0, 1, 2].map((k) => at(mesh.triVerts[t + k]!)) as [number[], number[], number[]];
          const volume =
            (a[0]! * (b[1]! * c[2]! - b[2]! * c[1]!) -
              a[1]! * (b[0]! * c[2]! - b[2]! * c[0]!) +
              a[2]! * (b[0]! * c[1]! - b[1]! * c[0]!)) /
            6;
          mass += kgPerMm3 * volume;
          mx += (kgPerMm3 * volume * (a[0]! + b[0]! + c[0]!)) / 4;
          my += (kgPerMm3 * volume * (a[1]! + b[1]! + c[1]!)) / 4;
        }
      }
    });
  }
  const turned = turnedBalance(made, half, SHIPPED_WOODS);
  expect(turned.kg / mass).toBeCloseTo(1, 2);
  expect(turned.x).toBeCloseTo(mx / mass, 1);
  expect(turned.y).toBeCloseTo(my / mass, 1);
  expect(turned.offMm).toBeGreaterThan(1);
  expect(turnedBalance(prepared(cup), cup, SHIPPED_WOODS).offMm).toBeLessThan(0.01);
});

// By hand: 2 kg, 5 mm off, 600 turns a minute: 2·0.005·(20π)² = 39.5 N, twice the weight; a tenth of the weight at 133.7.
test('the force of what is out of balance', () => {
  const balance = balanceOf([
    { x: 10, y: 0, kg: 1 },
    { x: 0, y: 0, kg: 1 },
  ]);
  expect(balance).toMatchObject({ x: 5, y: 0, kg: 2, offMm: 5 });
  expect(shakeAt(balance, 600)).toBeCloseTo(39.478, 3);
  expect(calmUpTo(balance)).toBe(130);
  expect(shakeAt(balance, 133.73)).toBeCloseTo(0.1 * 2 * 9.80665, 2);
  expect(calmUpTo(balanceOf([]))).toBe(Number.POSITIVE_INFINITY);
});

test('every piece of the show has a blank, a weight, and bends more the farther out', () => {
  for (const project of demoProjects()) {
    const { blankMm, balance, flex, reach } = atTheLathe(
      prepared(project),
      project,
      SHIPPED_WOODS,
      DEFAULT_SHOP,
    );
    expect(blankMm).toBeGreaterThan(40);
    expect(balance.kg).toBeGreaterThan(0.05);
    expect(flex).toHaveLength(project.rings.length);
    const long = (by: number) => reach[by]!.hidden.reduce((sum, { fromMm, toMm }) => sum + toMm - fromMm, 0);
    // A hook gets wherever a straight bar does.
    if (reach.length > 0) expect(long(1)).toBeLessThanOrEqual(long(0) + 1e-9);
    for (const { solid, hollowed, steady } of flex) {
      expect(hollowed).toBeGreaterThanOrEqual(solid * (1 - 1e-9));
      expect(steady).toBe(solid > 0.005 ? 'always' : hollowed > 0.005 ? 'hollowed' : 'none');
    }
  }
});
