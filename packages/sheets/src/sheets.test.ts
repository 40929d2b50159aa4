import {
  accountsOf,
  type Board,
  DEFAULT_SHOP,
  demandsOf,
  formatAngle,
  formatLength,
  formatStop,
  givenOf,
  greedy,
  plain as inMm,
  laidAtOnce,
  mitred,
  mm,
  type Plan,
  pieceRows,
  placed,
  plan,
  rad,
  ripList,
  rollOf,
  SHIPPED_WOODS,
  workOf,
} from '@fellside/core';
import { demoBoards, demoProjects } from '@fellside/core/demo';
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { describe, expect, test } from 'vitest';
import { SHEET_PAPERS, type SheetsAsk, shopSheets } from './index.js';
import { loadSolver } from './solver.js';

const boards: Board[] = demoBoards().map((board, i) => ({ ...board, id: String(i) }));

const ask = (change: Partial<SheetsAsk>): SheetsAsk => ({
  project: demoProjects()[0]!,
  woods: SHIPPED_WOODS,
  shop: DEFAULT_SHOP,
  boards,
  paper: 'a4',
  templates: true,
  solved: false,
  ...change,
});

/** Most tests read the same file: sheets that were asked for once are read once. */
const known = new Map<string, ReturnType<typeof made>>();
function read(change: Partial<SheetsAsk>) {
  const asked = JSON.stringify(ask(change));
  const there = known.get(asked) ?? made(change);
  known.set(asked, there);
  return there;
}

/** pdf.js: an independent reader. */
async function made(change: Partial<SheetsAsk>) {
  const drawn = await shopSheets(ask(change), loadSolver);
  if (!drawn.ok) throw new Error(inMm(drawn.reasons[0]!.message));
  const pdf = await getDocument({ data: new Uint8Array(drawn.value), useSystemFonts: false, verbosity: 0 })
    .promise;
  const pages = await Promise.all(
    Array.from({ length: pdf.numPages }, async (_, i) => {
      const page = await pdf.getPage(i + 1);
      const { items } = await page.getTextContent();
      const text = items.map((item) => ('str' in item ? item.str : '')).join(' ');
      return { page, text };
    }),
  );
  return { pages, bytes: drawn.value };
}

const PT = 72 / 25.4;

/** Straight lines of a page with two ends, mm: what was given to the page, times how the page was scaled. */
async function lines(page: Awaited<ReturnType<typeof read>>['pages'][number]['page']): Promise<number[]> {
  const { fnArray, argsArray } = await page.getOperatorList();
  const lengths: number[] = [];
  fnArray.forEach((op, i) => {
    if (op !== OPS.constructPath) return;
    const [, [path]] = argsArray[i] as [number, [Float32Array | null]];
    if (!path) return;
    const numbers = [...path];
    // 0: move to, 1: line to; each with two numbers.
    if (numbers.length === 6 && numbers[0] === 0 && numbers[3] === 1)
      lengths.push(Math.hypot(numbers[4]! - numbers[1]!, numbers[5]! - numbers[2]!) / PT);
  });
  return lengths;
}

const layoutsAtOnce = (planned: Plan) => laidAtOnce(planned.lumber, boards, DEFAULT_SHOP, rollOf(planned));
const wood = (id: string) => {
  const species = SHIPPED_WOODS.find((each) => each.id === id)!;
  return `${species.letter} ${species.name}`;
};

describe('shop sheets', () => {
  test('cover, rings, strips, settings, boards and templates, on the paper that was asked for', async () => {
    for (const paper of ['a4', 'letter'] as const) {
      const { pages } = await read({ paper });
      const [, , width, height] = pages[0]!.page.view as [number, number, number, number];
      expect([width / PT, height / PT].map((side) => Math.round(10 * side) / 10)).toEqual([
        ...SHEET_PAPERS[paper],
      ]);
      const titles = pages.map(({ text }) => text).join('\n');
      for (const title of [
        'Fell Race Cup',
        'Rings and pieces',
        'Wood',
        'Rip list',
        'Settings of the saw',
        'Boards',
        'Half-section, full size',
      ])
        expect(titles).toContain(title);
      expect(titles).toMatch(/machine maker’s instructions and local rules come first/);
    }
  });
  test('the 100 mm line of every template is 100 mm in the file, and nothing scales the page', async () => {
    const { pages } = await read({});
    const templates = pages.filter(({ text }) => text.includes('full size'));
    expect(templates.length).toBeGreaterThan(1);
    for (const { page, text } of templates) {
      expect(text).toContain('This line is 100 mm');
      const measured = (await lines(page)).filter((length) => Math.abs(length - 100) < 0.01);
      expect(measured.length).toBeGreaterThanOrEqual(1);
      expect(page.userUnit).toBe(1);
    }
  });
  test('the order of work with a box to tick for every job, its cautions, and how each ring lies on the one below', async () => {
    const work = workOf(ask({}).project, DEFAULT_SHOP, SHIPPED_WOODS);
    if (!work.ok) throw new Error('work');
    const { pages } = await read({ templates: false });
    const own = pages
      .filter(({ text }) => text.startsWith('Order of work'))
      .map(({ text }) => text)
      .join(' ')
      .replace(/\s+/g, ' ');
    const boxes = own.match(/\[ +\]/g)!;
    expect(boxes).toHaveLength(work.value.jobs.length);
    expect(own).toContain('[ ] of 24');
    expect(own).toMatch(/face shield/);
    expect(own).toMatch(/Draw the circle of its outside on ring 8, 6 5\/16"/);
    expect(own).toMatch(/7.5° clockwise from the mark of ring 8/);
    // No row of a table that goes on lies over the head of its page (26.5 mm down).
    for (const { page, text } of pages.filter(({ text }) => text.includes('continued'))) {
      const { items } = await page.getTextContent();
      const tops = items.flatMap((item) =>
        'str' in item && item.str.trim() ? [297 - item.transform[5] / PT] : [],
      );
      expect(Math.min(...tops), text.slice(0, 40)).toBeGreaterThan(14);
    }
    const without = (await read({ templates: false, work: false })).pages.map(({ text }) => text).join(' ');
    expect(without).not.toContain('Order of work');
  });
  test('millimetres and inches, as the shop has them; templates left out when not wanted', async () => {
    const metric = await read({ shop: { ...DEFAULT_SHOP, units: 'mm' }, templates: false });
    const words = metric.pages.map(({ text }) => text).join(' ');
    expect(words).toMatch(/\d mm/);
    expect(words).not.toContain('full size');
    const inches = (await read({ templates: false })).pages.map(({ text }) => text).join(' ');
    expect(inches).toMatch(/\d\/\d+"/);
  });
  test('the fonts are in the file', async () => {
    const { bytes } = await read({ templates: false });
    const text = Buffer.from(bytes).toString('latin1');
    expect(text).toMatch(/FontFile/);
  });
  test('a feature ring has its steps, a slanted band its board, and boards may be solved', async () => {
    const vase = demoProjects().find(({ name }) => name.includes('Drystone'))!;
    const words = (await read({ project: vase, solved: true, templates: false })).pages
      .map(({ text }) => text)
      .join(' ');
    expect(words).toContain('Feature rings, step by step');
    const becks = demoProjects().find(({ slants }) => slants)!;
    expect(
      (await read({ project: becks, templates: false })).pages.map(({ text }) => text).join(' '),
    ).toContain('slanted band 1');
  });
  test('a floor that is laid on a plan has it among the templates, at full size', async () => {
    const dish = demoProjects().find(({ name }) => name.includes('Star'))!;
    const index = dish.rings.findIndex(
      ({ making }) => making.way === 'disc' && making.sawnFrom !== undefined,
    );
    const words = (await read({ project: dish })).pages.map(({ text }) => text).join(' ');
    expect(words).toContain(`Ring ${index + 1} from above, full size`);
  });
  test('halves on rods have base and foot among the templates, at full size', async () => {
    const gate = demoProjects().find(({ name }) => name.includes('Gate'))!;
    const words = (await read({ project: gate })).pages.map(({ text }) => text).join(' ');
    for (const said of ['Halves on rods, full size', 'Base from above', 'Foot from below'])
      expect(words).toContain(said);
  });
  test('where nothing is bought, what is short is told beside the boards', async () => {
    const words = (await read({ boards: [], buying: false, templates: false })).pages
      .map(({ text }) => text)
      .join(' ');
    expect(words).toMatch(/Short of \d+ pieces of ring/);
    const bought = (await read({ boards: [], templates: false })).pages.map(({ text }) => text).join(' ');
    expect(bought).not.toMatch(/Short of/);
    expect(bought).toContain('to buy, 4/4');
  });
  test('columns of the tables stand in the order of their heads: a ring’s pieces, and a strip with its tilt and cut', async () => {
    const project = demoProjects().find(({ name }) => name.includes('Lantern'))!;
    const words = (await read({ project, templates: false })).pages.map(({ text }) => text).join(' ');
    const planned = plan(project, DEFAULT_SHOP);
    if (!planned.ok) throw new Error('plan');
    const size = (mm2: number) => formatLength(mm(mm2), DEFAULT_SHOP.units);
    const stop = (mm2: number) => formatStop(mm(mm2), DEFAULT_SHOP.units);
    const plain = (text: string) => text.replace(/\s+/g, ' ').trim();
    const { pieces } = planned.value.rings.find(({ pieces: [first] }) => first?.kind.stock.from === 'strip')!;
    const { kind, count } = pieces[0]!;
    const stock = mitred(kind.stock)!;
    const planed = pieceRows(planned.value, DEFAULT_SHOP).find((row) => row.name === kind.name)!.planedMm!;
    const tilt = 'bladeTilt' in stock ? stock.bladeTilt : 0;
    expect(plain(words)).toContain(
      plain(
        `${inMm(kind.name)} ${count} ${formatAngle(stock.cutAngle)}${tilt > 0 ? ` / ${formatAngle(rad(tilt))}` : ''} ${stop(stock.longEdgeMm)} ${stop(stock.shortEdgeMm)} ${size(stock.widthMm)} ${size(planed)} ${size(kind.heightMm)}`,
      ),
    );
    const [fence] = ripList(layoutsAtOnce(planned.value));
    const [row] = fence!.rows;
    expect(plain(words)).toContain(
      plain(
        `${size(fence!.widthMm)} ${size(row!.thicknessMm)} ${wood(row!.wood)} ${size(row!.lengthMm)} ${row!.board} ${row!.leaves > 1 ? row!.leaves : ''}`,
      ),
    );
  });
  test('numbers on the sheets are the plan’s: pieces, board feet and settings', async () => {
    const { pages } = await read({ templates: false });
    const planned = plan(demoProjects()[0]!, DEFAULT_SHOP);
    if (!planned.ok) throw new Error('plan');
    const words = pages.map(({ text }) => text).join(' ');
    expect(words).toContain(`${planned.value.pieces} pieces in ${planned.value.rings.length} rings`);
    const { lumber } = planned.value;
    for (const { onHandFeet, boughtFeet } of accountsOf(lumber, layoutsAtOnce(planned.value), DEFAULT_SHOP)) {
      if (onHandFeet > 0) expect(words).toContain(`${onHandFeet.toFixed(2)} bd ft on hand`);
      if (boughtFeet > 0) expect(words).toContain(`${boughtFeet.toFixed(2)} bd ft to buy`);
    }
    expect(words).toContain('7.5°');
    expect(words).toMatch(new RegExp(`${pages.length} of ${pages.length}`));
  });
  test('the layout that is handed over is what is printed; one of another state is refused', async () => {
    const planned = plan(demoProjects()[0]!, DEFAULT_SHOP);
    if (!planned.ok) throw new Error('plan');
    const demands = demandsOf(planned.value.lumber, boards, DEFAULT_SHOP, rollOf(planned.value));
    // A layout that nobody would find: every wood on boards that are bought, one after the other in greedy order.
    const given = givenOf(
      demands.map((demand) => ({ wood: demand.wood, answer: greedy(demand.problem), found: [] })),
    );
    const words = (await read({ given, templates: false })).pages.map(({ text }) => text).join(' ');
    const layouts = demands.map((demand) => placed(demand, greedy(demand.problem), DEFAULT_SHOP));
    const rips = layouts.flatMap((layout) => layout.boards.flatMap(({ strips }) => strips)).length;
    expect(words.match(/\[ +\]/g)!.length).toBeGreaterThanOrEqual(rips);
    const other = await shopSheets(ask({ given: given.slice(1) }), loadSolver);
    expect(other.ok ? '' : inMm(other.reasons[0]!.message)).toMatch(/another state of the piece/);
    const broken = structuredClone(given);
    for (const wood of broken)
      for (const board of wood.boards) for (const rip of board.rips) rip.runs = [[99999]];
    expect((await shopSheets(ask({ given: broken }), loadSolver)).ok).toBe(false);
  });
  test('several of one piece are cut together; cells are never cut off', async () => {
    const words = (await read({ copies: 3, templates: false })).pages.map(({ text }) => text).join(' ');
    expect(words).toContain('Lists are for 3 of it, cut together');
    expect(words).not.toContain('…');
  });
  test('what cannot be planned is a reason, not a broken file', async () => {
    const made = await shopSheets(ask({ woods: [] }), loadSolver);
    expect(made.ok ? '' : inMm(made.reasons[0]!.message)).toMatch(/not among the woods here/);
  });
});
