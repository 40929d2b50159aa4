import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { vesselOf } from '../form/vessel.js';
import { mm } from '../measure/quantity.js';
import { DEFAULT_WORKSHOP } from '../settings/workshop.js';
import { type Cavity, cavityOf } from './cavity.js';
import { calliperLeg, handReaches, hiddenFrom, hiddenFromHands, type Tool, toolReaches } from './reach.js';

/** The hollow of a vessel from inside radii at heights, its wall 6 mm, its floor 6 mm thick. */
function vessel(inner: readonly (readonly [radius: number, height: number])[]) {
  const top = inner.at(-1)![1];
  const at = ([radius, height]: readonly [number, number]) => ({
    radiusMm: mm(radius),
    heightMm: mm(height),
    kind: 'corner' as const,
  });
  const made = vesselOf({
    points: [at([inner[0]![0] + 6, 0]), ...inner.map(([r, z]) => at([r + 6, z]))],
    inside: { by: 'curve', points: inner.map(at) },
    recess: null,
    lid: null,
  } as never);
  if (!made.ok) throw new Error(JSON.stringify(made.reasons));
  expect(made.value.heightMm).toBe(top);
  return cavityOf(made.value);
}

const { tools } = DEFAULT_WORKSHOP;
const straight: Tool = { shaftMm: 12, overhangMm: 300, sweepMm: 0 };
/** 150 mm across inside, a mouth of 50 mm. */
const bottle = vessel([
  [75, 6],
  [75, 106],
  [25, 136],
  [25, 156],
]);
const cylinder = vessel([
  [40, 6],
  [40, 206],
]);

describe('a tool from the mouth', () => {
  // By hand: a straight wall is reached upright down to the overhang and no farther.
  test('goes down a straight wall as far as it may stand out', () => {
    expect(toolReaches(cylinder, 6, 206, straight)).toBe(true);
    expect(toolReaches(cylinder, 6, 206, { ...straight, overhangMm: 199 })).toBe(false);
    expect(toolReaches(cylinder, 8, 206, { ...straight, overhangMm: 199 })).toBe(true);
    expect(hiddenFrom(cylinder, 206, { ...straight, overhangMm: 150 })).toEqual([
      { fromMm: 6, toMm: expect.closeTo(55, 0) },
    ]);
    expect(toolReaches(cylinder, 100, 206, { ...straight, shaftMm: 81 })).toBe(false);
  });
  // By hand: from 69 at 100 it would lean 54° to 19 at 136, and more to the far side: the shoulder stays.
  test('does not get under a shoulder; a hook does; with the neck left off both do', () => {
    expect(toolReaches(bottle, 100, 156, straight)).toBe(false);
    expect(toolReaches(bottle, 100, 156, { ...straight, sweepMm: 52 })).toBe(true);
    expect(toolReaches(bottle, 100, 106, straight)).toBe(true);
    expect(hiddenFrom(bottle, 156, straight).length).toBeGreaterThan(0);
    expect(hiddenFrom(bottle, 106, straight)).toEqual([]);
  });
  test('what is narrow just above is in the way, and not what lies below', () => {
    const ledge: Cavity = { at: (z) => (z > 102 && z < 106 ? 3 : 40), fromMm: 6, toMm: 206 };
    expect(toolReaches(ledge, 100, 206, straight)).toBe(false);
    expect(toolReaches(ledge, 110, 206, straight)).toBe(true);
  });
  test('against lines cast one by one at a fine polygon, on random forms', () => {
    const radius = fc.integer({ min: 20, max: 90 });
    fc.assert(
      fc.property(
        fc.tuple(radius, radius, radius, radius),
        fc.integer({ min: 6, max: 130 }),
        fc.integer({ min: 6, max: 16 }),
        fc.integer({ min: 0, max: 30 }),
        (radii, at, shaft, sweep) => {
          const form = vessel(radii.map((r, i) => [r, 6 + i * 50] as const));
          const tool = { shaftMm: shaft, overhangMm: 220, sweepMm: sweep };
          const rho = shaft / 2;
          const inside = (z: number) => {
            const i = Math.min(2, Math.max(0, Math.floor((z - 6) / 50)));
            return radii[i]! + ((radii[i + 1]! - radii[i]!) * (z - 6 - 50 * i)) / 50;
          };
          const deep = 156 - at;
          // What is well within the limits is reached, what is well without is not; a hair between is left open.
          const cast = (hair: number): boolean => {
            for (let h = 0; h <= 20; h++)
              for (let m = -100; m <= 100; m++) {
                const end = inside(at) - rho - (h / 20) * sweep;
                const lean = m / 100;
                if (Math.hypot(1, lean) * deep > 220 + hair) continue;
                let clear = true;
                for (let z = at; clear && z <= 156; z += 0.5)
                  clear = Math.abs(end + lean * (z - at)) <= inside(z) - rho + hair;
                if (clear) return true;
              }
            return false;
          };
          const reached = toolReaches(form, at, 156, tool);
          if (cast(-0.3)) expect(reached).toBe(true);
          if (!cast(1.2)) expect(reached).toBe(false);
        },
      ),
      { numRuns: 60 },
    );
  });
});

test('a hand, fingers, or neither', () => {
  expect(handReaches(cylinder, 20, 206, tools)).toBe('hand');
  expect(handReaches(bottle, 60, 156, tools)).toBe('fingers');
  expect(handReaches(bottle, 20, 156, tools)).toBe('none');
  expect(handReaches(bottle, 20, 106, tools)).toBe('hand');
  // Fingers go 4 in down from 156.
  expect(hiddenFromHands(bottle, 156, tools)).toEqual([{ fromMm: 6, toMm: expect.closeTo(54, 0) }]);
  expect(hiddenFromHands(cylinder, 206, tools)).toEqual([]);
});

// By hand: legs reach 100 mm, bowed 30: in a cylinder of 80 all but what is deeper; behind a shoulder no farther than the bow.
test('callipers measure as deep as their legs reach, and behind a shoulder as far as they are bowed', () => {
  const leg = calliperLeg({ calliperDeepMm: mm(100), calliperBowMm: mm(30) });
  const straight: Cavity = { at: () => 40, fromMm: 0, toMm: 150 };
  expect([40, 49, 51, 100].map((z) => toolReaches(straight, z, 150, leg))).toEqual([
    false,
    false,
    true,
    true,
  ]);
  const shoulder = (wide: number): Cavity => ({ at: (z) => (z > 140 ? 20 : wide), fromMm: 60, toMm: 150 });
  expect(toolReaches(shoulder(45), 130, 150, leg)).toBe(true);
  expect(toolReaches(shoulder(90), 130, 150, leg)).toBe(false);
});
