import { describe, expect, test } from 'vitest';
import { demoProjects } from '../../demo/index.js';
import { curveThrough, radiusAt } from '../../form/curve.js';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { after, change, planned, refusal } from '../../testing/pieces.js';
import { keepAsMade } from './madeCommands.js';
import { sawOff } from './sawOffCommand.js';
import { stackOf } from './stack.js';
import { ringHeightsOf, substituteThickness } from './substituteCommands.js';

const cup = demoProjects()[0]!;
const [usual] = ringHeightsOf(cup);

describe('boards of another thickness', () => {
  test('the heights that there are, with their rings, the most frequent first; what is made stands', () => {
    const all = ringHeightsOf(cup);
    expect(all.flatMap(({ rings }) => rings).sort((a, b) => a - b)).toEqual(cup.rings.map((_, i) => i));
    const made = after(cup, keepAsMade({ cut: [usual!.rings[0]!], stacked: [] }));
    expect(ringHeightsOf(made)[0]!.rings).not.toContain(usual!.rings[0]);
  });
  test('rows kept: as many rings and pieces, each at its own place of the form, radius by radius', () => {
    const to = mm(usual!.heightMm * 1.25);
    const thick = after(cup, substituteThickness(usual!.heightMm, to, 'rows'));
    expect(thick.rings.length).toBe(cup.rings.length);
    expect(planned(thick).pieces).toBe(planned(cup).pieces);
    const grown = usual!.rings.length * (to - usual!.heightMm);
    const topOf = (project: typeof cup) => stackOf(project.rings).at(-1)!.topMm;
    expect(topOf(thick)).toBeCloseTo(topOf(cup) + grown, 6);
    // Points of the curve lie at the same share of the same ring as before: hand-worked from the courses.
    cup.form.points.forEach(({ heightMm, radiusMm }, i) => {
      const ring = stackOf(cup.rings).findIndex(({ topMm }) => heightMm <= topMm + 1e-9);
      const [was, is] = [stackOf(cup.rings)[ring]!, stackOf(thick.rings)[ring]!];
      const share = (heightMm - was.bottomMm) / (was.topMm - was.bottomMm);
      expect(thick.form.points[i]!.heightMm).toBeCloseTo(is.bottomMm + share * (is.topMm - is.bottomMm), 6);
      expect(thick.form.points[i]!.radiusMm).toBe(radiusMm);
    });
  });
  test('height kept: the form stays as it is, and there are more or fewer rings', () => {
    const thin = after(cup, substituteThickness(usual!.heightMm, mm(usual!.heightMm / 2), 'height'));
    expect(thin.form).toEqual(cup.form);
    expect(thin.rings.length).toBeGreaterThan(cup.rings.length);
    const told = change(cup, substituteThickness(usual!.heightMm, mm(usual!.heightMm * 2), 'height'));
    expect(told.project.rings.length).toBeLessThan(cup.rings.length);
    expect(plain(told.note!)).toMatch(/taken away/);
  });
  test('a curve whose slopes are written down keeps its shape, stretched by as much as its ring', () => {
    // Sawn off, points of the cut-off curve carry slopes dr/dz; a height that is twice as much has half of them.
    const cut = after(cup, sawOff(mm(21), 'below'));
    const rings = cut.rings.map(({ fixed: _, locked: __, ...ring }) => ({ ...ring, heightMm: mm(18) }));
    const all = { ...cut, rings };
    const twice = after(all, substituteThickness(mm(18), mm(36), 'rows'));
    const slopes = (project: typeof cup) =>
      project.form.points.flatMap(({ slope }) => (slope ? [slope] : []));
    expect(slopes(all).length).toBeGreaterThan(0);
    slopes(all).forEach(({ below, above }, i) => {
      const now = slopes(twice)[i]!;
      if (below !== undefined) expect(now.below).toBeCloseTo(below / 2, 9);
      if (above !== undefined) expect(now.above).toBeCloseTo(above / 2, 9);
    });
  });
  test('the same thickness changes nothing; one that no ring has is refused with a sentence', () => {
    const same = after(cup, substituteThickness(usual!.heightMm, usual!.heightMm, 'rows'));
    const [was, is] = [cup, same].map(({ form }) => curveThrough(form.points));
    for (let z = 0; z < planned(cup).heightMm; z += 7)
      expect(radiusAt(is!, z)).toBeCloseTo(radiusAt(was!, z), 9);
    expect(refusal(cup, substituteThickness(mm(3.21), mm(5), 'rows'))).toMatch(/No ring .* 3\.21/);
    expect(refusal(cup, substituteThickness(usual!.heightMm, mm(-2), 'rows'))).not.toBe('');
  });
});
