import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { plain } from '../measure/said.js';
import * as edit from '../project/commands/edits.js';
import { rollOf } from '../ring/owner.js';
import { accounted, after, placeIn, planned, refusal } from '../testing/pieces.js';
import { changesSaved, setupSteps, setupsOf, stopsTogether } from './setups.js';

const [cup, , , lantern] = demoProjects();

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
  test('one stop for one length, whatever the wood; stops of a setting go from long to short', () => {
    for (const project of demoProjects())
      for (const { stops } of setupsOf(planned(project).lumber)) {
        const edges = stops.map(({ edgeMm }) => edgeMm);
        expect(edges).toEqual([...edges].sort((a, b) => b - a));
        expect(edges.every((edge, i) => i === 0 || edges[i - 1]! - edge > 1e-5)).toBe(true);
      }
    const woods = setupsOf(planned(cup!).lumber).flatMap(({ stops }) =>
      stops.map((stop) => stop.woods.length),
    );
    expect(Math.max(...woods)).toBeGreaterThan(1);
  });
  test('stops that differ by less than a joint shows can be brought together, each to the longest of its run', () => {
    const stop = (edgeMm: number) => ({ edgeMm: edgeMm as never, woods: [] });
    const runs = stopsTogether([40.4, 40.2, 40.1, 39.9, 30, 29.9].map(stop), 0.397);
    expect(runs.map((run) => run.map(({ edgeMm }) => edgeMm))).toEqual([
      [40.4, 40.2, 40.1],
      [30, 29.9],
    ]);
    expect(stopsTogether([40.4, 40].map(stop), 0.397)).toEqual([]);
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
    const wasted = (project = cup!) => accounted(project, 'wedges') + accounted(project, 'kerf');
    const all = cup!.rings.map((_, i) => i);
    const same = after(cup!, edit.setEdgeOut(all, 'same-edge'));
    expect(wasted(same)).toBeGreaterThan(1.5 * wasted());
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
});
