import { freeze } from 'immer';
import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { after } from '../testing/pieces.js';
import * as edit from './commands/edits.js';
import { plan } from './plan.js';
import { prepare } from './prepare.js';
import type { Project } from './schema.js';

const ringsOf = (project: Project) => {
  const prepared = prepare(project);
  if (!prepared.ok) throw new Error(plain(prepared.reasons[0]!.message));
  return prepared.value.rings;
};
const planOf = (project: Project) => {
  const planned = plan(project, DEFAULT_SHOP);
  if (!planned.ok) throw new Error(plain(planned.reasons[0]!.message));
  return planned.value;
};
/** What is never the same twice: functions. */
const data = (of: unknown): unknown => JSON.parse(JSON.stringify(of));

/** Indexes of rings that are not the very same in two lists. */
const changed = (a: readonly object[], b: readonly object[]): number[] =>
  a.flatMap((each, i) => (each === b[i] ? [] : [i]));

// Its own: what was last asked of the parts of a piece is kept with them, and other tests ask of the demo's.
const cup: Project = freeze(structuredClone(demoProjects()[0]!), true);

describe('what an edit does not touch stays the very same', () => {
  test('renaming prepares and plans nothing anew', () => {
    const renamed = after(cup, edit.rename('Other'));
    expect(changed(ringsOf(cup), ringsOf(renamed))).toEqual([]);
    expect(changed(planOf(cup).rings, planOf(renamed).rings)).toEqual([]);
    expect(changed(planOf(cup).lumber.strips, planOf(renamed).lumber.strips)).toEqual([]);
  });
  test('a painted ring is planned anew with the joint on it, and made no more than before', () => {
    const painted = after(cup, edit.setWood([8], cup.palette.at(-1)!.key));
    const [before, now] = [ringsOf(cup), ringsOf(painted)];
    expect(now.every(({ made }, i) => made === before[i]!.made)).toBe(true);
    expect(changed(planOf(cup).rings, planOf(painted).rings)).toEqual([8, 9]);
  });
  test('a ring that is turned takes the very same pieces, strips and boards', () => {
    const turned = after(cup, edit.setTurn([2], 0.3));
    const [before, now] = [planOf(cup), planOf(turned)];
    expect(changed(before.rings, now.rings)).toContain(2);
    const pieces = (of: typeof now) => of.rings.slice(1).map(({ pieces }) => pieces);
    expect(changed(pieces(before), pieces(now))).toEqual([]);
    expect(changed(before.lumber.strips, now.lumber.strips)).toEqual([]);
  });
  test('a ring sawn with another edge out, or with more spares, takes other pieces', () => {
    const pieces = planOf(cup).rings[8]!.pieces;
    for (const sawing of [{ edge: 'same-edge' as const }, { spares: 2 }]) {
      const other = freeze({ ...cup, rings: cup.rings.with(8, { ...cup.rings[8]!, sawing }) }, true);
      expect(planOf(other).rings[8]!.pieces).not.toEqual(pieces);
    }
    expect(planOf(cup).rings[8]!.pieces).toEqual(pieces);
  });
  test('a ring of which two segments change woods, or whose faces stay unsanded, takes other pieces', () => {
    const [one, other] = cup.palette.map(({ key }) => key) as [string, string];
    const at = cup.rings.findIndex(({ motif, woods }) => motif === undefined && woods.length > 8);
    const woods = cup.rings[at]!.woods.map((_, place) => (place === 1 ? other : one));
    const ring = (change: Partial<Project['rings'][number]>) =>
      planOf(freeze({ ...cup, rings: cup.rings.with(at, { ...cup.rings[at]!, woods, ...change }) }, true))
        .rings[at]!;
    const placesOf = (of: ReturnType<typeof ring>) => of.pieces.map(({ places }) => places);
    expect(placesOf(ring({}))).toContainEqual([1]);
    expect(placesOf(ring({ woods: woods.with(1, one).with(3, other) }))).toContainEqual([3]);
    expect(placesOf(ring({}))).toContainEqual([1]);
    const bare = ring({ sanded: 'none' });
    expect(bare.pieces.map(({ sanded }) => sanded)).toEqual(bare.pieces.map(() => 0));
  });
  test('an edge that is dragged makes two rings anew, and none above them', () => {
    const moved = after(cup, edit.moveEdge(6, ringsOf(cup)[6]!.course.topMm + 0.3));
    expect(changed(ringsOf(cup), ringsOf(moved))).toEqual([6, 7]);
  });
  test('a lip that is moved leaves the rings of the form below the points beside it', () => {
    const top = cup.form.points.length - 1;
    const moved = after(cup, edit.setPoint(top, { radiusMm: mm(cup.form.points[top]!.radiusMm + 1) }));
    const anew = changed(ringsOf(cup), ringsOf(moved));
    // A slope hangs on the points beside it, so pieces of the curve change as far as two points away; the wall is square to it.
    const bentFrom = cup.form.points[top - 2]!.heightMm - 20;
    expect(anew.length).toBeGreaterThan(0);
    expect(anew.length).toBeLessThan(cup.rings.length);
    for (const index of anew) expect(ringsOf(cup)[index]!.course.topMm).toBeGreaterThan(bentFrom);
  });
  test('there and back again is the ring that was there', () => {
    const wider = after(cup, edit.setPoint(2, { radiusMm: mm(cup.form.points[2]!.radiusMm + 1) }));
    const first = ringsOf(cup).map(({ made }) => made);
    ringsOf(wider);
    expect(ringsOf(cup).every(({ made }, i) => made === first[i])).toBe(true);
  });
});

test('a plan after many edits is the plan of the same document worked out from nothing', () => {
  for (const project of demoProjects()) {
    let now = freeze(project, true);
    planOf(now);
    const last = now.rings.length - 1;
    const edits = [
      edit.setTurn([Math.min(2, last)], 0.25),
      edit.setFormHeight(mm(now.form.points.at(-1)!.heightMm * 1.07)),
      edit.setPaletteWood(now.palette[0]!.key, 'american-beech'),
      edit.duplicateRings([0]),
      edit.setFormHeight(mm(now.form.points.at(-1)!.heightMm)),
      edit.setPoint(now.form.points.length - 1, { radiusMm: mm(now.form.points.at(-1)!.radiusMm - 0.7) }),
      edit.setPoint(0, { radiusMm: mm(now.form.points[0]!.radiusMm + 0.9) }),
      edit.moveRings([0], Math.min(3, last)),
    ];
    for (const one of edits) {
      try {
        now = after(now, one);
      } catch {
        // Not every piece takes every edit.
      }
      planOf(now);
    }
    // A clone is not frozen: nothing is remembered of it.
    expect(data(planOf(now))).toEqual(data(planOf(structuredClone(now))));
  }
});
