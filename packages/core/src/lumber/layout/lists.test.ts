import { describe, expect, test } from 'vitest';
import { demoBoards, demoProjects } from '../../demo/index.js';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import * as edit from '../../project/commands/edits.js';
import { rollOf } from '../../ring/owner.js';
import { DEFAULT_SHOP } from '../../settings/shop.js';
import { after, planned } from '../../testing/pieces.js';
import type { Purpose } from '../strips.js';
import { lumberTimes } from '../times.js';
import { accountsOf } from './account.js';
import { areasOf } from './areas.js';
import { laidAtOnce } from './atOnce.js';
import { boardCuts, boardParts, crosscutMarks } from './boardCuts.js';
import { demandsOf } from './demand.js';
import { canBeSawn, givenOf, givenSchema, placedGiven } from './given.js';
import { atOnce } from './greedy.js';
import { numberedBoards, ripList, sayLaid } from './laidRows.js';
import { placed } from './placed.js';

const boards = demoBoards().map((board, i) => ({ ...board, id: `b${i}` }));
const demos = demoProjects();
const known = new Map<unknown, ReturnType<typeof laidOut>>();
/** Laid out at once; pieces of the show only the first time. */
const laid = (project: (typeof demos)[number], copies = 1) => {
  const before = copies === 1 ? known.get(project) : undefined;
  const made = before ?? laidOut(project, copies);
  if (copies === 1) known.set(project, made);
  return made;
};
const laidOut = (project: (typeof demos)[number], copies: number) => {
  const plan = planned(project);
  const lumber = lumberTimes(plan.lumber, copies);
  return { plan, lumber, layouts: laidAtOnce(lumber, boards, DEFAULT_SHOP, rollOf(plan)) };
};
const [cup] = demos;

describe('the rip list', () => {
  test('every strip of every board once, fence by fence, the widest first; at each the thickest first', () => {
    for (const project of demos) {
      const { layouts } = laid(project);
      const fences = ripList(layouts);
      const strips = layouts.flatMap(({ boards: sawn }) => sawn.flatMap(({ strips: own }) => own));
      expect(new Set(fences.flatMap(({ rows }) => rows.map(({ strip }) => strip)))).toEqual(new Set(strips));
      const widths = fences.map(({ widthMm }) => widthMm);
      expect(widths).toEqual([...widths].sort((a, b) => b - a));
      for (const { widthMm, rows } of fences) {
        for (const { strip } of rows) expect(Math.abs(strip.widthMm - widthMm)).toBeLessThan(0.02);
        const thick = rows.map(({ thicknessMm }) => thicknessMm);
        expect(thick).toEqual([...thick].sort((a, b) => b - a));
        for (const { board, strip, wood } of rows) {
          const own = numberedBoards(layouts).find(({ number }) => number === board)!;
          expect([own.wood, own.laid.strips.includes(strip)]).toEqual([wood, true]);
        }
      }
    }
  });
  test('its contents are what is wanted, piece by piece: by owner, and by what the others are for', () => {
    for (const project of demos) {
      const { lumber, layouts } = laid(project);
      const counted = (purpose: Purpose) => {
        const listed = ripList(layouts).flatMap(({ rows }) =>
          rows.filter(({ what }) => what === 'strip').flatMap(({ contents }) => contents),
        );
        const not = layouts.flatMap(({ missing, leftOut, kinds }) =>
          [...missing, ...leftOut].filter(({ kind }) => kinds[kind]!.what === 'strip'),
        );
        const sum = (all: readonly { purpose: Purpose; count: number }[]) =>
          all.reduce((n, of) => n + (of.purpose === purpose ? of.count : 0), 0);
        return [sum(listed) + sum(not), sum(lumber.strips.flatMap(({ cuts }) => cuts))];
      };
      for (const purpose of ['piece', 'test', 'spare', 'other-hand'] as const) {
        const [listed, wanted] = counted(purpose);
        expect(listed, `${project.name} ${purpose}`).toBe(wanted);
      }
    }
  });
  test('said in words: whose, how many, of which hand and in which order', () => {
    const leaning = after(cup!, edit.startFrom([8], 'tilted'), edit.setLean([8], { cut: 'two-fences' }));
    const book = after(cup!, edit.startFrom([8], 'grain'));
    const said = (project: typeof leaning) =>
      ripList(laid(project).layouts)
        .flatMap(({ rows }) => rows.map(({ contents }) => sayLaid(contents, rollOf(project))))
        .join(' ');
    expect(said(leaning)).toMatch(/ring 9: \d+ (left|right); other hand: \d+ (left|right)/);
    expect(said(book)).toMatch(/ring 9: 3, nos\. 3 11 19/);
  });
});

describe('cuts of a board', () => {
  test('every strip is named once with its width, in a part that it lies in, crosscut at both ends', () => {
    for (const { laid: board, layout } of numberedBoards(laid(cup!).layouts)) {
      const parts = boardParts(board);
      const numbers = parts.flatMap(({ strips }) => strips.map(({ number }) => number));
      expect([...numbers].sort((a, b) => a - b)).toEqual(board.strips.map((_, i) => i + 1));
      const marks = crosscutMarks(board);
      for (const { xMm, lengthMm, strips } of parts) {
        for (const end of [xMm, xMm + lengthMm])
          expect(marks.some((mark) => Math.abs(mark - end) < 0.1)).toBe(true);
        for (const { strip } of strips) {
          expect(strip.xMm).toBeCloseTo(xMm, 6);
          expect(strip.lengthMm).toBeLessThanOrEqual(lengthMm + 1e-6);
        }
      }
      const words = boardCuts(board, layout.kinds, DEFAULT_SHOP).map(plain);
      expect(words[0]).toMatch(
        /^Joint one long edge \(3 mm off\) and cut the left end square \(12.7 mm off\)/,
      );
      for (const { widthMm } of board.strips)
        expect(words.join(' ')).toContain(`at ${Number(widthMm.toFixed(2))} mm`);
    }
  });
});

describe('a layout that is handed on', () => {
  const { plan, lumber } = laid(cup!);
  const demands = demandsOf(lumber, boards, DEFAULT_SHOP, rollOf(plan));
  const answers = demands.map((demand) => ({
    wood: demand.wood,
    answer: atOnce(demand.problem),
    found: [],
  }));
  const given = givenOf(answers);
  test('comes out as it went in', () => {
    const back = givenSchema.parse(JSON.parse(JSON.stringify(given)));
    const again = placedGiven(demands, back, DEFAULT_SHOP);
    expect(again.ok && again.value).toEqual(
      demands.map((demand, i) => placed(demand, answers[i]!.answer, DEFAULT_SHOP)),
    );
  });
  test('is refused where a rip, a run, a leaf or a board of it cannot be', () => {
    const { problem } = demands[0]!;
    const sawn = given[0]!.boards;
    expect(canBeSawn(problem, sawn)).toBe(true);
    const spoilt = (spoil: (all: typeof sawn) => unknown) => {
      const copy = structuredClone(sawn);
      spoil(copy);
      return canBeSawn(problem, copy);
    };
    expect(spoilt((all) => Object.assign(all[0]!, { stock: 9999 }))).toBe(false);
    expect(spoilt((all) => Object.assign(all[0]!.rips[0]!, { section: 99 }))).toBe(false);
    expect(
      spoilt((all) => void all[0]!.rips.push(...Array.from({ length: 40 }, () => all[0]!.rips[0]!))),
    ).toBe(false);
    expect(spoilt((all) => Object.assign(all[0]!.rips[0]!.runs[0]!, [9999]))).toBe(false);
    const [first] = sawn[0]!.rips;
    expect(
      spoilt((all) =>
        Object.assign(all[0]!.rips[0]!, { runs: Array.from({ length: 39 }, () => first!.runs[0]!) }),
      ),
    ).toBe(false);
    const one = problem.stocks.findIndex(({ copies }) => copies === 1);
    if (one >= 0)
      expect(
        canBeSawn(problem, [
          { stock: one, rips: [] },
          { stock: one, rips: [] },
        ]),
      ).toBe(false);
  });
});

test('several of a piece: everything so many times, test pieces once, spares with each', () => {
  const [single, triple] = [laid(cup!), laid(cup!, 3)];
  const count = (lumber: typeof single.lumber, purpose: Purpose) =>
    lumber.strips
      .flatMap(({ cuts }) => cuts)
      .reduce((n, cut) => n + (cut.purpose === purpose ? cut.count : 0), 0);
  for (const purpose of ['piece', 'spare'] as const)
    expect(count(triple.lumber, purpose)).toBe(3 * count(single.lumber, purpose));
  expect(count(triple.lumber, 'test')).toBe(count(single.lumber, 'test'));
  const [one, three] = [single, triple].map(({ lumber, layouts }) =>
    accountsOf(lumber, layouts, DEFAULT_SHOP),
  );
  three!.forEach(({ ledger, pieces }, i) => {
    expect(pieces).toBe(3 * one![i]!.pieces);
    expect(ledger.segments).toBeCloseTo(3 * one![i]!.ledger.segments, 3);
    expect(ledger.short).toBeGreaterThanOrEqual(0);
  });
});

test('a board is jointed and squared with what that takes off, and without a number where it takes nothing', () => {
  const [layout] = laid(cup!).layouts;
  const first = (change: Partial<typeof DEFAULT_SHOP>) =>
    plain(boardCuts(layout!.boards[0]!, layout!.kinds, { ...DEFAULT_SHOP, ...change })[0]!);
  expect(first({ edgeJointMm: mm(0), endTrimMm: mm(0) })).toBe(
    'Joint one long edge and cut the left end square.',
  );
  expect(first({ edgeJointMm: mm(3), endTrimMm: mm(25) })).toBe(
    'Joint one long edge (3 mm off) and cut the left end square (25 mm off).',
  );
});

test('what is left out of resawn boards: the fullest leaf counts', () => {
  for (const { layouts } of demos.map((project) => laid(project)))
    for (const { boards: sawn, kinds } of layouts)
      for (const board of sawn) {
        const { pieces } = areasOf(board, kinds, DEFAULT_SHOP);
        const fullest = board.strips.reduce((sum, { leaves, kind }) => {
          const areas = leaves.map((leaf) => {
            const one = { ...board, strips: [{ ...board.strips[0]!, kind, leaves: [leaf] }] };
            return areasOf(one as typeof board, kinds, DEFAULT_SHOP).pieces;
          });
          return sum + [...areas].sort((a, b) => b - a)[0]!;
        }, 0);
        expect(pieces).toBeCloseTo(fullest, 6);
      }
});
