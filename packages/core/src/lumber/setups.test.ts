import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import * as edit from '../project/commands/edits.js';
import { plan } from '../project/plan.js';
import { rollOf } from '../ring/owner.js';
import { DEFAULT_SHOP, type Shop } from '../settings/shop.js';
import { after, placeIn, planned, refusal } from '../testing/pieces.js';
import { changesSaved, setupSteps, setupsOf } from './setups.js';

const [cup, , , lantern] = demoProjects();
const at = (shop: Partial<Shop>, project = cup!) => {
  const made = plan(project, { ...DEFAULT_SHOP, ...shop });
  if (!made.ok) throw new Error('plan');
  return made.value;
};

describe('settings of the saw', () => {
  test('every mitred piece is cut at one of them, spares with it', () => {
    for (const project of demoProjects()) {
      const { lumber } = planned(project);
      const cuts = setupsOf(lumber).reduce((sum, setup) => sum + setup.cuts, 0);
      const wanted = lumber.strips.flatMap(({ cuts }) => cuts).reduce((sum, { count }) => sum + count, 0);
      expect(cuts).toBe(wanted);
    }
  });
  test('no setting comes twice, tilted ones last, and the saw is not set more often than ring by ring', () => {
    const { lumber } = planned(lantern!);
    const setups = setupsOf(lumber);
    const names = setups.map(
      ({ cutAngle, bladeTilt, cutting }) => `${cutAngle.toFixed(6)} ${bladeTilt.toFixed(6)} ${cutting}`,
    );
    expect(new Set(names).size).toBe(names.length);
    expect(setups.map(({ bladeTilt }) => bladeTilt)).toEqual(
      setups.map(({ bladeTilt }) => bladeTilt).sort((a, b) => a - b),
    );
    expect(changesSaved(lumber, rollOf(lantern!))).toBeGreaterThan(0);
  });
  // Cut angle 180°/N and wedge 360°/N for 24 segments: common practice.
  test('24 segments: 7.5° from square, a wedge of 15°, and a first test cut that says so', () => {
    const [setup] = setupsOf(planned(cup!).lumber);
    expect((setup!.cutAngle * 180) / Math.PI).toBeCloseTo(7.5, 9);
    expect(setupSteps(setup!).map(plain).join(' ')).toMatch(
      /7.5° from square; a wedge of 15°.*First test cut: two pieces of/,
    );
  });
});

describe('how strips are sawn', () => {
  test('the same edge out takes more of the strip; the choice holds for the rings that were chosen', () => {
    const strips = (project = cup!) =>
      planned(project).lumber.woods.reduce((sum, { ledger }) => sum + ledger.strips, 0);
    const all = cup!.rings.map((_, i) => i);
    const same = after(cup!, edit.setEdgeOut(all, 'same-edge'));
    expect(strips(same)).toBeGreaterThan(strips());
    expect(after(same, edit.setEdgeOut(all, null))).toEqual(cup);
    const one = planned(after(cup!, edit.setEdgeOut([8], 'same-edge')));
    const sawn = one.lumber.strips
      .filter(({ cutting }) => cutting === 'same-edge')
      .flatMap(({ cuts }) => cuts);
    expect(new Set(sawn.flatMap(({ owner }) => (owner ? placeIn(cup!)(owner) : [])))).toEqual(new Set([8]));
  });
  test('spares by hand come on top of the rule, for every wood of the ring', () => {
    const spares = (project = cup!) =>
      planned(project).lumber.woods.reduce((sum, wood) => sum + wood.spares, 0);
    const woods = planned(cup!).rings[8]!.pieces.filter(({ kind }) => kind.stock.from === 'strip').length;
    expect(spares(after(cup!, edit.setSpares([8], 4)))).toBe(spares() + 4 * woods);
    expect(after(cup!, edit.setSpares([8], 4), edit.setSpares([8], 0))).toEqual(cup);
    expect(refusal(cup!, edit.setSpares([8], 900))).toMatch(/Spare pieces is 900/);
  });
  test('widths in steps: rings share strips, and no strip is narrower than before', () => {
    const exact = at({}).lumber.strips;
    const stepped = at({ ripStepMm: mm(6.35) }).lumber.strips;
    expect(stepped.length).toBeLessThan(exact.length);
    for (const { widthMm } of stepped)
      expect(Math.abs(widthMm / 6.35 - Math.round(widthMm / 6.35))).toBeLessThan(1e-9);
    const widest = (lists: typeof exact) => Math.max(...lists.map(({ widthMm }) => widthMm));
    expect(widest(stepped)).toBeGreaterThanOrEqual(widest(exact));
  });
});
