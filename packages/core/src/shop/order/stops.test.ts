import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { mm } from '../../measure/quantity.js';
import { DEFAULT_WORKSHOP } from '../../settings/workshop.js';
import { type Cavity, upsideDown } from '../cavity.js';
import { handReaches, toolReaches } from '../reach.js';
import { reachStages } from './stops.js';

const { tools: hands } = DEFAULT_WORKSHOP;
const bar = { shaftMm: 12, overhangMm: 300, sweepMm: 0 };

/** A hollow through radii at heights, straight between them. */
const cavity = (points: readonly (readonly [r: number, z: number])[]): Cavity => ({
  fromMm: points[0]![1],
  toMm: points.at(-1)![1],
  at(z) {
    const i = points.findIndex(([, top]) => z <= top + 1e-9);
    const [[r0, z0], [r1, z1]] = [points[Math.max(0, i - 1)]!, points[Math.max(1, i)]!];
    return r0 + ((r1 - r0) * (z - z0)) / (z1 - z0);
  },
});
const rings = (height: number, count: number) => Array.from({ length: count }, (_, i) => height * (i + 1));

describe('hollowing stops', () => {
  test('nowhere in an open bowl that a hand goes into', () => {
    const bowl = cavity([
      [60, 10],
      [110, 100],
    ]);
    expect(reachStages(bowl, rings(20, 5), { tools: [bar], hands })).toEqual([
      { from: 0, to: 4, because: null, sanded: true },
    ]);
  });
  // By hand: fingers go 4 in (101.6 mm) down; the tube of 50 mm lets no hand in. Rings of 20: from 101.6 below the mouth.
  test('every 4 in where only fingers go in', () => {
    const tube = cavity([
      [25, 10],
      [25, 240],
    ]);
    const stages = reachStages(tube, rings(20, 12), { tools: [bar], hands });
    expect(stages.map(({ from, to }) => [from, to])).toEqual([
      [0, 4],
      [5, 9],
      [10, 11],
    ]);
    expect(stages[0]!.because).toEqual({ by: 'hands', next: 5, atMm: 10, mouthMm: 50 });
  });
  // By hand: the bar of 12 leans 45° at the most; from the mouth of 20 at 120 it sees 14 + 20 of the 80 at 100.
  test('before the neck that hides a shoulder from the bar; a hook lets the neck go on', () => {
    const bottle = cavity([
      [80, 10],
      [80, 100],
      [20, 120],
      [20, 160],
    ]);
    const big = { ...hands, fingersOpenMm: mm(20), fingersDeepMm: mm(300) };
    const [first] = reachStages(bottle, rings(20, 8), { tools: [bar], hands: big });
    expect(first).toMatchObject({ to: 4, because: { by: 'tool', next: 5 } });
    const hooked = reachStages(bottle, rings(20, 8), { tools: [bar, { ...bar, sweepMm: 75 }], hands: big });
    expect(hooked).toHaveLength(1);
  });
  test('what nobody gets at even through its own ring ends no stage, and is told', () => {
    const narrow = cavity([
      [10, 10],
      [10, 100],
    ]);
    expect(reachStages(narrow, rings(20, 5), { tools: [bar], hands })).toEqual([
      { from: 0, to: 4, because: null, sanded: false },
    ]);
  });
  test('on random forms a stage is as long as trying every ring one by one makes it', () => {
    const radius = fc.integer({ min: 15, max: 90 });
    fc.assert(
      fc.property(
        fc.tuple(radius, radius, radius, radius),
        fc.integer({ min: 8, max: 30 }),
        (radii, height) => {
          const hollow = cavity(radii.map((r, i) => [r, 8 + 60 * i] as const));
          const tops = rings(height, Math.ceil(188 / height));
          const [first] = reachStages(hollow, tops, { tools: [bar], hands });
          const mouth = (ring: number) => Math.min(tops[ring]!, 188);
          const gets = (z: number, ring: number) => ({
            tool: toolReaches(hollow, z, mouth(ring), bar),
            hands: handReaches(hollow, z, mouth(ring), hands) !== 'none',
          });
          const hides = (z: number, ring: number) => {
            const own = tops.findIndex((top) => z < top);
            if (z >= mouth(ring) || own > ring) return false;
            const [near, far] = [gets(z, own), gets(z, ring)];
            return (near.tool && !far.tool) || (near.hands && !far.hands);
          };
          if (first!.because) expect(hides(first!.because.atMm, first!.because.next)).toBe(true);
          // What is looked at lies 4 mm apart at the most: no longer stretch than that is hidden within the stage.
          let run = 0;
          for (let z = 8; z < 188; z += 0.25) {
            run = hides(z, first!.to) ? run + 0.25 : 0;
            expect(run).toBeLessThan(4.3);
          }
        },
      ),
      { numRuns: 25 },
    );
  });
  test('upside down the mouth of the moment is the other end', () => {
    const hollow = cavity([
      [30, 10],
      [80, 100],
    ]);
    const down = upsideDown(hollow, 120);
    expect([down.fromMm, down.toMm]).toEqual([20, 110]);
    expect(down.at(20)).toBeCloseTo(80, 9);
    expect(down.at(110)).toBeCloseTo(30, 9);
  });
});
