import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { fencesFor } from '../lumber/fences.js';
import { planedThickness } from '../making/planing.js';
import { mitred } from '../making/stock.js';
import { mm } from '../measure/quantity.js';
import { nextStep } from '../measure/step.js';
import { DEFAULT_SHOP, withUnits } from '../settings/shop.js';
import { after } from '../testing/pieces.js';
import { anyProject } from '../testing/random.js';
import * as edit from './commands/edits.js';
import { plan } from './plan.js';
import { type Prepared, prepare } from './prepare.js';
import { AS_DRAWN, rippingOf } from './ripping.js';
import type { Project } from './schema.js';

const ripping = rippingOf(DEFAULT_SHOP);
const stacked = (project: Project, how = ripping): Prepared => {
  const prepared = prepare(project, how);
  if (!prepared.ok) throw new Error('prepare');
  return prepared.value;
};
/** The strips that rings of mitred pieces come from, by ring. */
const stripsOf = ({ rings }: Prepared) =>
  rings.map(({ made }) => {
    if (!made.ok) return [];
    return made.value.kinds.flatMap(({ stock }) => {
      const piece = mitred(stock);
      return piece && piece.cutAngle > 0 ? [piece] : [];
    });
  });
const widths = (prepared: Prepared): number[] =>
  [...new Set(stripsOf(prepared).flatMap((own) => own.map(({ widthMm }) => widthMm.toFixed(2))))].map(Number);

describe('strips ripped together', () => {
  test('far fewer fences, every strip on a step, and each within 3 mm of what its ring has to have', () => {
    const [drawn, shared] = [AS_DRAWN, ripping].map((how) =>
      demoProjects().reduce((sum, project) => sum + widths(stacked(project, how)).length, 0),
    );
    expect(shared).toBeLessThan(0.65 * drawn!);
    const cup = demoProjects()[0]!;
    const before = stripsOf(stacked(cup, AS_DRAWN)).flat();
    stripsOf(stacked(cup))
      .flat()
      .forEach(({ widthMm }, i) => {
        expect(widthMm - before[i]!.widthMm).toBeGreaterThan(-1e-6);
        expect(widthMm - before[i]!.widthMm).toBeLessThan(3 + DEFAULT_SHOP.ripStepMm);
        expect(
          Math.abs(widthMm / DEFAULT_SHOP.ripStepMm - Math.round(widthMm / DEFAULT_SHOP.ripStepMm)),
        ).toBeLessThan(1e-2);
      });
  });

  // craft: long edge and stop stay, the short edge becomes Li − 2(w' − w)·tan θ; common practice.
  test('of any project: only the hole becomes smaller, and no short edge comes to nothing', () => {
    fc.assert(
      fc.property(anyProject, (project) => {
        const [drawn, shared] = [stripsOf(stacked(project, AS_DRAWN)), stripsOf(stacked(project))];
        drawn.forEach((own, ring) => {
          own.forEach((was, i) => {
            const now = shared[ring]![i]!;
            const wider = now.widthMm - was.widthMm;
            expect(now.longEdgeMm).toBeCloseTo(was.longEdgeMm, 6);
            expect(wider).toBeGreaterThan(-1e-6);
            expect(now.shortEdgeMm).toBeCloseTo(was.shortEdgeMm - 2 * wider * Math.tan(was.cutAngle), 5);
            if (wider > 1e-3) expect(now.shortEdgeMm).toBeGreaterThan(0.4 * was.shortEdgeMm);
          });
        });
      }),
      { numRuns: 60 },
    );
  });

  test('rings of a given size keep it and others come to theirs; what is solid stays as it is', () => {
    const cup = demoProjects()[0]!;
    const [, , , , , , , ring, next] = stacked(cup).rings;
    if (!ring?.made.ok || !next?.made.ok) throw new Error('ring');
    const gives = ring.made.value.gives;
    const fixed = after(
      cup,
      edit.setFixed([7], { outerRadiusMm: mm(gives.outerRadiusMm), innerRadiusMm: mm(gives.innerRadiusMm) }),
    );
    const kept = stacked(fixed).rings[7]!.made;
    expect(kept.ok && kept.value.gives.innerRadiusMm).toBeCloseTo(gives.innerRadiusMm, 9);
    const pie = after(cup, edit.startFrom([0], 'pie'));
    expect(stripsOf(stacked(pie))[0]).toEqual(stripsOf(stacked(pie, AS_DRAWN))[0]);
  });

  test('rings fixed at their size are fixed at the size that they are ripped to', () => {
    const cup = demoProjects()[0]!;
    const was = stripsOf(stacked(cup));
    const all = cup.rings.map((_, i) => i);
    const outcome = edit.fixSizes(all);
    const draft = structuredClone(cup) as Project;
    outcome.apply(draft, ripping);
    stripsOf(stacked(draft)).forEach((own, i) => {
      own.forEach(({ widthMm }, k) => {
        expect(widthMm).toBeCloseTo(was[i]![k]!.widthMm, 6);
      });
    });
  });
});

test('the next step at or above a length; none where there is no step', () => {
  expect([20.55, 20.6375, 0.1, 19.05].map((length) => nextStep(length, 25.4 / 32))).toEqual([
    expect.closeTo(20.6375, 9),
    expect.closeTo(20.6375, 9),
    expect.closeTo(0.79375, 9),
    expect.closeTo(19.05, 9),
  ]);
  expect([nextStep(7.3, 0), nextStep(7.3, 5e-324), nextStep(7.3, 1e-9)]).toEqual([
    7.3,
    7.3,
    expect.closeTo(7.3, 6),
  ]);
});

test('a shop that turns to millimetres measures in steps of them, unless its steps are its own', () => {
  const metric = withUnits(DEFAULT_SHOP, 'mm');
  expect(metric).toMatchObject({ units: 'mm', ripStepMm: 0.5, lengthStepMm: 5, stopTogetherMm: 0.4 });
  expect(withUnits(metric, 'inch-fraction')).toEqual(DEFAULT_SHOP);
  expect(withUnits({ ...DEFAULT_SHOP, ripStepMm: mm(0) }, 'mm')).toMatchObject({
    ripStepMm: 0,
    lengthStepMm: 5,
  });
  expect(withUnits(DEFAULT_SHOP, 'inch-decimal')).toEqual({ ...DEFAULT_SHOP, units: 'inch-decimal' });
});

test('what is sanded is planed to the next step; what is not stays as thick as it has to be', () => {
  expect(planedThickness(7.3, { sandedMm: 1.5, stepMm: 0.5 })).toBeCloseTo(9, 9);
  expect(planedThickness(7.3, { sandedMm: 0, stepMm: 0.5 })).toBe(7.3);
  expect(planedThickness(7.3, { sandedMm: 1.5, stepMm: 0 })).toBeCloseTo(8.8, 9);
});

test('sharing saves fences of strips, woods apart or not', () => {
  const cup = demoProjects()[0]!;
  const lumber = (shop: typeof DEFAULT_SHOP) => {
    const made = plan(cup, shop);
    if (!made.ok) throw new Error('plan');
    return made.value.lumber;
  };
  const [apart, shared] = [{ ...DEFAULT_SHOP, shareWidthMm: mm(0) }, DEFAULT_SHOP].map((shop) => {
    const { strips } = lumber(shop);
    expect(fencesFor({ strips })).toBe(new Set(strips.map(({ widthMm }) => widthMm.toFixed(1))).size);
    return fencesFor({ strips });
  });
  expect([apart, shared]).toEqual([8, 3]);
});
