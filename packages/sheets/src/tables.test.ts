import {
  accountsOf,
  boardFeet,
  boardParts,
  buyingOf,
  DEFAULT_SHOP,
  formatAngle,
  laidAtOnce,
  laidContents,
  lumberTimes,
  type Mm,
  mm,
  numberedBoards,
  parseLength,
  pieceRows,
  plain,
  plan,
  ripList,
  rollOf,
  SHIPPED_WOODS,
  type Shop,
  sayLaid,
  setupsOf,
  woodShares,
} from '@fellside/core';
import { demoBoards, demoProjects } from '@fellside/core/demo';
import { beforeAll, describe, expect, test } from 'vitest';
import { shopSheets } from './index.js';
import { QUIET } from './page.js';
import { type ReadTable, readTables } from './readTables.js';
import { loadSolver } from './solver.js';

const boards = demoBoards().map((board, i) => ({ ...board, id: String(i) }));
const nameOf = (wood: string) => SHIPPED_WOODS.find(({ id }) => id === wood)!.name;
const lettered = (wood: string) => `${SHIPPED_WOODS.find(({ id }) => id === wood)!.letter} ${nameOf(wood)}`;

/** A length within the half of the finest fraction that is read off a tape, or of what a stop is set to. */
const HALF = { fractions: 25.4 / 128, mm: 0.051 } as const;

describe.each([
  ['Fell Race Cup', DEFAULT_SHOP, 'a4'],
  ['Drystone', { ...DEFAULT_SHOP, units: 'mm' } as Shop, 'letter'],
] as const)('the tables of %s, read back column by column', (name, shop, paper) => {
  const project = demoProjects().find((each) => each.name.includes(name))!;
  const made = plan(project, shop, SHIPPED_WOODS);
  if (!made.ok) throw new Error(plain(made.reasons[0]!.message));
  const planned = made.value;
  const lumber = lumberTimes(planned.lumber, 1);
  const roll = rollOf(planned);
  const layouts = laidAtOnce(lumber, boards, shop, roll);
  const accounts = accountsOf(lumber, layouts, shop);
  let tables: ReadTable[];
  beforeAll(async () => {
    const sheets = await shopSheets(
      { project, woods: SHIPPED_WOODS, shop, boards, paper, templates: false, solved: false },
      loadSolver,
    );
    if (!sheets.ok) throw new Error('sheets');
    tables = await readTables(sheets.value, QUIET);
  }, 60_000);

  /** The rows of all tables that have some heads, by head; empty where a column is left out. */
  const rowsOf = (...heads: string[]): Record<string, string>[] =>
    tables
      .filter((table) => heads.every((head) => table.heads.includes(head)))
      .flatMap((table) =>
        table.rows.map((cells) => Object.fromEntries(table.heads.map((head, i) => [head, cells[i]!]))),
      );
  const lengthIn = (cell: string | undefined): number => {
    // A hair more or less than the fraction is marked behind it.
    const read = parseLength((cell ?? '').replace(/[+−](?="?$)/, ''), shop.units);
    return read.ok ? read.value : Number.NaN;
  };
  const isLength = (cell: string | undefined, length: Mm | number | null) =>
    length === null
      ? expect(cell ?? '').toBe('')
      : expect(Math.abs(lengthIn(cell) - length)).toBeLessThanOrEqual(
          HALF[shop.units === 'mm' ? 'mm' : 'fractions'] + 1e-6,
        );

  test('rings and pieces', () => {
    const read = rowsOf('For', 'Piece', 'Count');
    const rows = pieceRows(planned, shop);
    expect(read).toHaveLength(rows.length);
    rows.forEach((row, i) => {
      const cells = read[i]!;
      expect(cells.For).toBe(row.first ? roll.nameOf(row.owner) : '');
      expect([cells.Wood, Number(cells.Count)]).toEqual([lettered(row.wood), row.count]);
      expect(cells.Angle ?? '').toBe(
        [row.cutAngle, row.bladeTilt]
          .flatMap((angle) => (angle === null ? [] : formatAngle(angle)))
          .join(' / '),
      );
      isLength(cells['Long edge'], row.longEdgeMm ?? row.lengthMm);
      isLength(cells['Short edge'], row.shortEdgeMm);
      isLength(cells.Width, row.widthMm);
      isLength(cells.Planed, row.planedMm);
      isLength(cells.Height, row.heightMm);
    });
    const turned = planned.rings.filter(({ turn }) => turn.angle !== 0);
    expect(read.filter(({ Turn }) => Turn?.includes('°'))).toHaveLength(turned.length);
  });
  test('rip list, and the blocks below it', () => {
    const read = rowsOf('Fence', 'Planed', 'Board');
    const rows = ripList(layouts).flatMap(({ widthMm, rows }) => rows.map((row, i) => ({ row, widthMm, i })));
    expect(read).toHaveLength(rows.length);
    rows.forEach(({ row, widthMm, i }, at) => {
      const cells = read[at]!;
      if (i === 0) isLength(cells.Fence, widthMm);
      else expect(cells.Fence).toBe('');
      isLength(cells.Planed, row.thicknessMm);
      isLength(cells.Length, row.lengthMm);
      expect([cells.Wood, Number(cells.Board)]).toEqual([lettered(row.wood), row.board]);
      expect(cells.Leaves ?? '').toBe(row.leaves > 1 ? String(row.leaves) : '');
      expect(cells['What is cut from it']).toContain(sayLaid(row.contents, roll));
    });
    const blocks = rowsOf('For', 'What', 'Count');
    expect(blocks).toHaveLength(lumber.panels.length);
    lumber.panels.forEach((panel, i) => {
      expect([blocks[i]!.Wood, Number(blocks[i]!.Count)]).toEqual([nameOf(panel.wood), panel.count]);
      isLength(blocks[i]!.Length, panel.lengthMm);
      isLength(blocks[i]!.Width, panel.widthMm);
      isLength(blocks[i]!.Planed, panel.thicknessMm);
    });
  });
  test('settings of the saw', () => {
    const read = rowsOf('Stop at', 'Pieces');
    const rows = setupsOf(lumber).flatMap(({ stops }) =>
      stops.flatMap(({ edgeMm, woods }) => woods.map((of, i) => ({ of, edgeMm: i === 0 ? edgeMm : null }))),
    );
    expect(read).toHaveLength(rows.length);
    rows.forEach(({ of, edgeMm }, i) => {
      const cells = read[i]!;
      isLength(cells['Stop at'], edgeMm);
      isLength(cells.Width, of.widthMm);
      isLength(cells.Planed, of.thicknessMm);
      expect([cells.Wood, cells.Hand ?? '', Number(cells.Pieces)]).toEqual([
        lettered(of.wood),
        of.hand ?? '',
        of.pieces,
      ]);
      expect([Number(cells.Test), Number(cells.Spare)].map((count) => count || 0)).toEqual([
        of.tests,
        of.spares,
      ]);
      expect(cells.For).toBe(of.owners.map(roll.nameOf).join(', '));
    });
    const strips = planned.lumber.strips.flatMap(({ cuts }) => cuts);
    const pieces = strips.filter(({ purpose }) => purpose === 'piece' || purpose === 'other-hand');
    const sum = (counts: readonly number[]) => counts.reduce((a, b) => a + b, 0);
    expect(sum(read.map(({ Pieces }) => Number(Pieces)))).toBe(sum(pieces.map(({ count }) => count)));
  });
  test('what to buy and where the wood goes', () => {
    const bought = rowsOf('Thickness', 'Boards', 'Price');
    const buying = buyingOf(layouts, lumber, shop);
    expect(bought.map((cells) => [cells.Wood, cells.Thickness, cells['bd ft'], cells['m³']])).toEqual(
      buying.map((each) => [
        nameOf(each.wood),
        each.quarter,
        each.boardFeet.toFixed(2),
        each.cubicMetres.toFixed(4),
      ]),
    );
    const goes = rowsOf('Wood', 'On hand', 'To buy');
    expect(goes).toHaveLength(accounts.length);
    accounts.forEach(({ wood, ledger }, i) => {
      const cells = goes[i]!;
      expect(cells.Wood).toBe(nameOf(wood));
      const shares = woodShares(ledger);
      for (const { short, mm3 } of shares) expect(cells[short]).toBe(boardFeet(mm3).toFixed(2));
      expect(cells['To buy']).toBe(boardFeet(ledger.bought).toFixed(2));
      // Every column of a row together is the last but two, to what is lost in rounding each.
      const sum = shares.reduce((all, { short }) => all + Number(cells[short]), 0);
      expect(Math.abs(sum - Number(cells.Boards))).toBeLessThan(0.005 * (shares.length + 1));
    });
  });
  test('the strips of every board', () => {
    const read = rowsOf('Strip', 'Part', 'Pieces');
    const rows = numberedBoards(layouts).flatMap(({ layout, laid }) =>
      boardParts(laid).flatMap(({ name: part, strips }) =>
        strips.map(({ number, strip }) => ({ part, number, strip, kind: layout.kinds[strip.kind]! })),
      ),
    );
    expect(read).toHaveLength(rows.length);
    rows.forEach(({ part, number, strip, kind }, i) => {
      const cells = read[i]!;
      expect([Number(cells.Strip), cells.Part]).toEqual([number, part]);
      isLength(cells.Width, mm(strip.widthMm));
      isLength(cells.Length, mm(strip.lengthMm));
      isLength(cells.Planed, kind.thicknessMm);
      expect(cells.Leaves ?? '').toBe(strip.leaves.length > 1 ? String(strip.leaves.length) : '');
      expect(cells.Pieces).toBe(sayLaid(laidContents(strip), roll));
    });
  });
});
