import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { plain, quantitiesOf } from '../measure/said.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { planned } from '../testing/pieces.js';
import type { Check, Subject } from './check.js';
import { saidBy } from './eachRing.js';
import { latheChecks } from './lathe.js';
import { leftSaid, marginSaid } from './layerMargins.js';
import { noContactChecks, openEndChecks } from './openWork.js';
import { otherHandChecks } from './otherHand.js';
import { overlapChecks } from './overlap.js';
import { alike, numbersSaid, ringsSaid } from './said.js';
import { shortSegmentChecks } from './shortSegment.js';
import { stackChecks } from './stack.js';
import { thinWallChecks } from './thinWall.js';
import { tooNarrowChecks } from './tooNarrow.js';

const said = (checks: readonly Check[]) => checks.map(({ code, message }) => `${code}: ${plain(message)}`);
const plan = planned(demoProjects()[0]!);
/** Rings of the cup with figures of their own; what a check does not ask about may be anything. */
const subject = (change: Record<string, unknown>): Subject => ({ ...plan, ...change }) as unknown as Subject;
const ring = (index: number, change: Record<string, unknown>) => ({
  ...plan.rings[index]!,
  index,
  id: `r${index}`,
  ...change,
});
const shop = (change: Record<string, number>) => ({ ...DEFAULT_SHOP, ...change });
/** A cylinder of 50 mm radius, 100 mm high, hollow from 10 mm up; walls are what the inside leaves. */
const cylinder = (insideMm: number) => {
  const piece = (r: number, z0: number) => ({ z0, z1: 100, r0: r, r1: r, d0: 0, d1: 0 });
  return {
    outside: { pieces: [piece(50, 0)] },
    inside: { pieces: [piece(insideMm, 10)] },
    heightMm: 100,
    hollowFromMm: 10,
    hollowToMm: 100,
    recess: null,
    lidMm: null,
  };
};

describe('each side of what checks allow', () => {
  test('numbers of rings in runs', () => {
    expect(
      [[], [4], [0, 1], [4, 2, 3, 1], [0, 2, 6, 7, 8]].map((indexes) => plain(numbersSaid(indexes))),
    ).toEqual(['', '5', '1 and 2', '2 to 5', '1, 3 and 7 to 9']);
    expect(plain(ringsSaid([{ index: 3, id: 'a' }]))).toBe('Ring 4');
    // Numbers are counts, not text.
    expect(quantitiesOf(ringsSaid([{ index: 3, id: 'a' }]))).toEqual([{ unit: 'count', value: 4 }]);
    expect(plain(ringsSaid([ring(1, {}), ring(2, {})]))).toBe('Rings 2 and 3');
  });
  test('what is the same is told once, with each ring once', () => {
    const [a, b] = [ring(0, {}), ring(1, {})];
    const found = alike(
      [a, b],
      (of) => (of === a ? ['x', 'x', 'y'] : ['x']),
      (key) => key,
    );
    expect(found.map(({ of, rings }) => [of, rings.map(({ index }) => index)])).toEqual([
      ['x', [0, 1]],
      ['y', [0]],
    ]);
  });
  test('the wall: 8 mm are as much as 8 mm, and a hundredth less', () => {
    const at = (insideMm: number) =>
      said(thinWallChecks(subject({ vessel: cylinder(insideMm), shop: shop({ leastWallMm: 8 }) })));
    expect([at(42), at(42.009)]).toEqual([[], []]);
    expect(at(42.02)).toEqual([
      'thin-wall: The wall is only 7.98 mm thick at height 10 mm; you want at least 8 mm.',
    ]);
  });
  test('the lathe: the widest of the rings, the foot and the reach, to the millimetre', () => {
    const of = (change: Record<string, number>) =>
      said(
        latheChecks(
          subject({
            rings: [ring(0, { cornerMm: 90 }), ring(1, { cornerMm: 95 }), ring(2, { cornerMm: 95 })],
            vessel: cylinder(42),
            shop: shop({
              swingRadiusMm: 95,
              bedDistanceMm: 95,
              jawLeastMm: 100,
              jawMostMm: 100,
              reachMm: 90,
              ...change,
            }),
          }),
        ),
      );
    expect(of({})).toEqual([]);
    expect(of({ swingRadiusMm: 94 })[0]).toBe(
      'swing: Ring 2 is 95 mm from the axis to its corners before turning; the lathe swings 94 mm.',
    );
    expect(of({ bedDistanceMm: 94 })[0]).toMatch(/^bed: Ring 2 is 95 mm .*; the bed is 94 mm away/);
    expect(of({ jawMostMm: 99 })[0]).toMatch(
      /^jaws: The foot is 100 mm across; your jaws hold 100 mm to 99 mm/,
    );
    expect(of({ jawLeastMm: 101 })[0]).toMatch(/^jaws/);
    expect(of({ reachMm: 89 })[0]).toMatch(/^reach: The hollow is 90 mm deep; your tools reach 89 mm/);
  });
  test('open rings: nothing below, nothing above, less than a square millimetre of glue', () => {
    const open = (index: number, change = {}) => ring(index, { closed: false, contactMm2: null, ...change });
    const shut = (index: number, change = {}) => ring(index, { closed: true, contactMm2: null, ...change });
    const of = (...rings: unknown[]) =>
      saidBy([openEndChecks, noContactChecks])(subject({ rings })).map(({ code }) => code);
    expect(of(shut(0), open(1), shut(2))).toEqual([]);
    expect(of(open(0), open(1))).toEqual(['open-below', 'open-above']);
    expect(of(open(0, { gives: null }), shut(1))).toEqual([]);
    expect(of(shut(0), open(1, { contactMm2: 1 }), shut(2))).toEqual([]);
    expect(of(shut(0), open(1, { contactMm2: 0.9 }), shut(2))).toEqual(['no-contact']);
  });
  test('segments: one ring has, several have down to the shortest; a square end is no segment', () => {
    const pieces = (edges: number[], cutAngle = 0.1) =>
      edges.map((longEdgeMm) => ({ kind: { stock: { from: 'strip', longEdgeMm, cutAngle } } }));
    const of = (...rings: unknown[]) =>
      said(shortSegmentChecks(subject({ rings, shop: shop({ shortestEdgeMm: 10 }) })));
    expect(of(ring(0, { pieces: pieces([10, 30]) }), ring(1, { pieces: pieces([4], 0) }))).toEqual([]);
    expect(of(ring(0, { pieces: pieces([30, 9]) }))).toEqual([
      'short-segment: Ring 1 has segments with a long edge of 9 mm; under 10 mm they cannot be held at the saw.',
    ]);
    expect(of(ring(0, { pieces: pieces([9]) }), ring(1, { pieces: pieces([8]) }))[0]).toMatch(
      /Rings 1 and 2 have segments with a long edge of down to 8 mm/,
    );
  });
  test('joints, walls and stacks that fall short say by how much', () => {
    const joint = (overlapMm: number | null) =>
      said(
        saidBy([overlapChecks])(
          subject({ rings: [ring(3, { overlapMm })], shop: shop({ leastOverlapMm: 6 }) }),
        ),
      );
    expect([joint(null), joint(6)]).toEqual([[], []]);
    expect(joint(5)).toEqual([
      'overlap: Ring 4 and ring 3 are glued over only 5 mm; you want at least 6 mm.',
    ]);
    expect(joint(-2)[0]).toMatch(/^overlap: Ring 4 and ring 3 do not meet: 2 mm of air/);
    const gives = { outerRadiusMm: 50, innerRadiusMm: 40 };
    const wall = (outerRadiusMm: number, innerRadiusMm: number) =>
      said(
        saidBy([tooNarrowChecks])(
          subject({ rings: [ring(0, { gives, wallAlong: { outerRadiusMm, innerRadiusMm } })] }),
        ),
      );
    expect(wall(50.005, 39.995)).toEqual([]);
    expect(wall(52, 37)).toEqual([
      'too-narrow: Ring 1 is 2 mm short of the wall outside and has a hole that is 3 mm too large in radius.',
    ]);
    const stack = (topMm: number) =>
      said(stackChecks(subject({ rings: [ring(0, { topMm })], vessel: cylinder(42) })));
    expect(stack(100)).toEqual([]);
    expect(stack(97)).toEqual([
      'stack-short: The rings end at height 97 mm, 3 mm below the top of the form.',
    ]);
  });
  test('what is left over a layer, and by how much turning breaks through', () => {
    const margin = { deepMm: 4, outsideLeftMm: 2, insideLeftMm: -1 };
    expect(plain(marginSaid(margin as never))).toBe(
      'turned 4 mm deep; 2 mm is left outside, turning breaks through it inside by 1 mm',
    );
    expect(plain(leftSaid('outside', 0))).toBe('0 mm is left outside');
  });
  test('pieces of the other hand are counted, with the rings of their edge; two rings can lean in turn', () => {
    const cut = (id: string, purpose: string, longEdgeMm: number, count: number) => ({
      owner: { of: 'ring', id: plan.rings[Number(id)]!.id },
      purpose,
      longEdgeMm,
      count,
    });
    const { roll } = {
      roll: { indexOf: ({ id }: { id: string }) => plan.rings.findIndex((of) => of.id === id) },
    };
    const of = (cuts: unknown[]) => otherHandChecks(subject({ lumber: { strips: [{ cuts }] }, roll }));
    expect(of([cut('2', 'piece', 30, 12)])).toEqual([]);
    const [check] = of([cut('4', 'piece', 30, 12), cut('2', 'other-hand', 30, 11), cut('6', 'piece', 99, 5)]);
    expect(plain(check!.message)).toMatch(/^11 leaning pieces/);
    expect(check!.remedies).toEqual([
      { does: 'alternate-hands', rings: [2, 4] },
      { does: 'cut-one-hand', rings: [2, 4] },
    ]);
    expect(of([cut('2', 'other-hand', 30, 3)])[0]!.remedies).toEqual([{ does: 'cut-one-hand', rings: [2] }]);
  });
});
