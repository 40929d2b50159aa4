import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoBoards, demoProjects } from '../../demo/index.js';
import * as edit from '../../project/commands/edits.js';
import type { Point } from '../../ring/plane.js';
import { DEFAULT_SHOP } from '../../settings/shop.js';
import { after, NOBODY, planned } from '../../testing/pieces.js';
import { anyBoard } from '../../testing/randomBoards.js';
import { clearSections } from '../board.js';
import { demandsOf } from './demand.js';
import { greedy } from './greedy.js';
import { drawnPieces } from './outlines.js';
import { placed } from './placed.js';

const boards = demoBoards().map((board, i) => ({ ...board, id: String(i) }));
const cup = demoProjects()[0]!;
const layoutsOf = (project = cup) =>
  demandsOf(planned(project).lumber, boards, DEFAULT_SHOP, NOBODY).map((demand) =>
    placed(demand, greedy(demand.problem), DEFAULT_SHOP),
  );

/** Length of the side of an outline that lies at its lower or its upper edge. */
const side = (outline: readonly Point[], of: 'low' | 'high'): number => {
  const [a, b, c, d] = outline as [Point, Point, Point, Point];
  return of === 'low' ? b.x - a.x : c.x - d.x;
};

describe('pieces as they are drawn on a board', () => {
  const same = after(
    cup,
    edit.setEdgeOut(
      cup.rings.map((_, i) => i),
      'same-edge',
    ),
  );
  test.each([
    ['turned over', cup],
    ['same edge out', same],
  ])('%s: the long edge is the stop, the short edge what the angle leaves of it', (_, project) => {
    for (const { boards: sawn, kinds } of layoutsOf(project))
      for (const strip of sawn.flatMap(({ strips }) => strips)) {
        const kind = kinds[strip.kind]!;
        const slant = 2 * kind.widthMm * Math.tan(kind.setting.cutAngle);
        for (const { piece, outline } of drawnPieces(strip, kind)) {
          const edges = [side(outline, 'low'), side(outline, 'high')].sort((a, b) => a - b);
          expect(edges[1]).toBeCloseTo(piece.edgeMm, 6);
          expect(edges[0]).toBeCloseTo(piece.edgeMm - slant, 6);
        }
      }
  });
  test.each([
    ['turned over', cup],
    ['same edge out', same],
  ])(
    '%s: between two pieces there is a kerf at every height of the strip, and none lies beyond it',
    (_, project) => {
      for (const { boards: sawn, kinds } of layoutsOf(project))
        for (const strip of sawn.flatMap(({ strips }) => strips)) {
          const kind = kinds[strip.kind]!;
          const kerf = DEFAULT_SHOP.kerfMm / Math.cos(kind.setting.cutAngle);
          const drawn = drawnPieces(strip, kind);
          drawn.forEach(({ outline }, i) => {
            const [a, b, c, d] = outline as [Point, Point, Point, Point];
            for (const p of outline) {
              expect(p.x).toBeGreaterThanOrEqual(strip.xMm - 1e-6);
              expect(p.x).toBeLessThanOrEqual(strip.xMm + strip.lengthMm + 1e-6);
            }
            const next = drawn[i + 1]?.outline as [Point, Point, Point, Point] | undefined;
            if (!next) return;
            expect(next[0].x - b.x).toBeGreaterThanOrEqual(kerf - 1e-6);
            expect(next[3].x - c.x).toBeGreaterThanOrEqual(kerf - 1e-6);
            expect(a.y).toBe(b.y);
            expect(c.y - b.y).toBeCloseTo(kind.widthMm, 9);
            expect(d.y).toBe(c.y);
          });
        }
    },
  );
  test('resawn strips have as many leaves as they say, each drawn by itself', () => {
    const thick = boards.map((board) => ({
      ...board,
      thicknessMm: 101.6 as never,
      lengthMm: 700 as never,
      defects: [],
    }));
    const resawn = demandsOf(planned(cup).lumber, thick, DEFAULT_SHOP, NOBODY).flatMap((demand) => {
      const { boards: sawn, kinds } = placed(demand, greedy(demand.problem), DEFAULT_SHOP);
      return sawn.flatMap(({ strips }) => strips.map((strip) => ({ strip, kind: kinds[strip.kind]! })));
    });
    const several = resawn.filter(({ strip }) => strip.leaves.length > 1);
    expect(several.length).toBeGreaterThan(0);
    for (const { strip, kind } of several)
      strip.leaves.forEach((leaf, i) => {
        expect(drawnPieces(strip, kind, i)).toHaveLength(leaf.length);
      });
    expect(drawnPieces(several[0]!.strip, several[0]!.kind, 99)).toEqual([]);
  });
});

describe('sawing round defects', () => {
  test('a crack thinner than the saw parts a board by the saw’s width', () => {
    const whole = { xMm: 0, yMm: 0, lengthMm: 1000, widthMm: 200 };
    const [left, right] = clearSections(whole, [{ xMm: 500, yMm: 0, lengthMm: 0.5, widthMm: 200 }], 3);
    expect(right!.xMm - left!.xMm - left!.lengthMm).toBe(3);
  });
  test('a knot in the middle leaves the larger part whole, and the saw’s cut is lost beside it', () => {
    const whole = { xMm: 0, yMm: 0, lengthMm: 1000, widthMm: 200 };
    const knot = { xMm: 600, yMm: 80, lengthMm: 40, widthMm: 40 };
    const sections = clearSections(whole, [knot], 3);
    const largest = sections.reduce((a, b) => (a.lengthMm * a.widthMm > b.lengthMm * b.widthMm ? a : b));
    expect(largest).toEqual({ xMm: 0, yMm: 0, lengthMm: 600, widthMm: 200 });
    const beside = sections.filter(({ xMm }) => xMm > 600 && xMm < 640);
    expect(beside.map(({ xMm, lengthMm }) => [xMm, lengthMm])).toEqual(beside.map(() => [603, 34]));
  });
  test('sections at a kerf from each other: no two are nearer than the saw is wide', () => {
    fc.assert(
      fc.property(anyBoard(['x']), ({ lengthMm, widthMm, defects }) => {
        const kerf = 3;
        const sections = clearSections({ xMm: 0, yMm: 0, lengthMm, widthMm }, defects, kerf);
        sections.forEach((a, i) => {
          for (const b of sections.slice(i + 1)) {
            const alongGap = Math.max(b.xMm - a.xMm - a.lengthMm, a.xMm - b.xMm - b.lengthMm);
            const acrossGap = Math.max(b.yMm - a.yMm - a.widthMm, a.yMm - b.yMm - b.widthMm);
            expect(Math.max(alongGap, acrossGap)).toBeGreaterThanOrEqual(kerf - 1e-9);
          }
        });
      }),
    );
  });
});
