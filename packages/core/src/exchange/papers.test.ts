import dxfParser from 'dxf-parser';
import fc from 'fast-check';
import Papa from 'papaparse';
import svgpath from 'svgpath';
import { describe, expect, test } from 'vitest';
import { demoBoards, demoProjects } from '../demo/index.js';
import { type Board, newBoardSchema } from '../lumber/board.js';
import { accountsOf } from '../lumber/layout/account.js';
import { crosscutMarks } from '../lumber/layout/boardCuts.js';
import { buyingOf } from '../lumber/layout/buying.js';
import { demandsOf } from '../lumber/layout/demand.js';
import { greedy } from '../lumber/layout/greedy.js';
import { placed } from '../lumber/layout/placed.js';
import { afterCutting, splitBoard } from '../lumber/splitBoard.js';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { BOARD_FOOT } from '../measure/volume.js';
import { prepare } from '../project/prepare.js';
import { rollOf } from '../ring/owner.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { planned } from '../testing/pieces.js';
import { anyBoard } from '../testing/randomBoards.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import { boardsCsv } from './boardsCsv.js';
import { drawingDxf, drawingSvg, type FlatDrawing } from './drawing.js';
import { layoutDrawing } from './layoutDrawing.js';
import { readBoardsCsv } from './readBoardsCsv.js';
import { ringDrawing } from './ringDrawing.js';
import { segmentDrawing } from './segmentDrawing.js';
import { accountCsv, buyingCsv, layoutCsv, ringsCsv, ripsCsv, setupsCsv } from './tablesCsv.js';
import { profileDrawing, segmentTemplates } from './templates.js';

/** dxf-parser: an independent reader; its default export is its class. */
const DxfParser = dxfParser as unknown as new () => {
  parseSync(text: string): {
    entities: { type: string; layer: string; vertices?: { x: number; y: number }[] }[];
  };
};

const cup = demoProjects()[0]!;
const plan = planned(cup);
const boards: Board[] = demoBoards().map((board, i) => ({ ...board, id: `b${i}` }));
const shop = { ...DEFAULT_SHOP, prices: { purpleheart: 20 } };
const layouts = demandsOf(plan.lumber, boards, shop, rollOf(plan)).map((demand) =>
  placed(demand, greedy(demand.problem), shop),
);
const read = (csv: string) => Papa.parse<Record<string, string>>(csv, { header: true }).data;

/** Both files hold the very lines of the drawing, on their layers. */
function readBack(drawing: FlatDrawing): void {
  const { entities } = new DxfParser().parseSync(drawingDxf(drawing));
  const polylines = entities.filter(({ type }) => type === 'LWPOLYLINE');
  expect(polylines).toHaveLength(drawing.lines.length);
  const reach = (points: readonly { x: number; y: number }[]) =>
    [Math.min, Math.max].flatMap((of) => [of(...points.map((p) => p.x)), of(...points.map((p) => p.y))]);
  const all = drawing.lines.flatMap(({ points }) => points);
  reach(polylines.flatMap(({ vertices = [] }) => vertices)).forEach((side, i) => {
    expect(side).toBeCloseTo(reach(all)[i]!, 4);
  });
  const svg = drawingSvg(drawing);
  const paths = [...svg.matchAll(/<path d="([^"]+)"/g)].map(([, d]) => d!);
  expect(paths).toHaveLength(drawing.lines.length);
  const points: { x: number; y: number }[] = [];
  for (const d of paths)
    svgpath.from(d).iterate(([name, x, y]) => {
      if (name !== 'Z') points.push({ x: x as number, y: drawing.heightMm - (y as number) });
    });
  reach(points).forEach((side, i) => {
    expect(side).toBeCloseTo(reach(all)[i]!, 3);
  });
  expect(svg).toContain(`width="${Math.round(drawing.widthMm * 1e4) / 1e4}mm"`);
}

describe('drawings, read back by other libraries', () => {
  test('boards as sawn: boards, defects, strips, pieces and offcuts on layers', () => {
    const drawing = layoutDrawing(layouts, SHIPPED_WOODS, rollOf(plan));
    readBack(drawing);
    const pieces = layouts.flatMap((layout) =>
      layout.boards.flatMap(({ strips }) => strips.map(({ leaves }) => leaves.flat().length)),
    );
    expect(drawing.lines.filter(({ layer }) => layer === 'Pieces')).toHaveLength(
      pieces.reduce((a, b) => a + b, 0),
    );
    // A crosscut begins and ends every part.
    const parts = layouts.flatMap(({ boards: sawn }) => sawn.flatMap(crosscutMarks));
    expect(drawing.lines.filter(({ layer }) => layer === 'Crosscuts')).toHaveLength(parts.length);
    const strips = layouts.flatMap(({ boards: sawn }) => sawn.flatMap(({ strips: own }) => own));
    expect(drawing.texts.filter(({ words }) => /leaf \d+$/.test(words))).toHaveLength(
      strips.reduce((sum, { leaves }) => sum + leaves.length - 1, 0),
    );
  });
  test('boards lie one above the other on their sheet, every piece within a board or a leaf of it, closed', () => {
    const { lines, widthMm, heightMm } = layoutDrawing(layouts, SHIPPED_WOODS, rollOf(plan));
    const box = ({ points }: (typeof lines)[number]) => {
      const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)];
      return [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)] as const;
    };
    for (const line of lines) {
      const [left, right, low, high] = box(line);
      expect(Math.min(left, low)).toBeGreaterThanOrEqual(0);
      expect([right <= widthMm, high <= heightMm]).toEqual([true, true]);
      if (['Pieces', 'Strips', 'Boards'].includes(line.layer)) expect(line.closed).toBe(true);
    }
    const boards = lines.filter(({ layer }) => layer === 'Boards').map(box);
    boards.slice(1).forEach(([, , low], i) => {
      expect(low).toBeGreaterThan(boards[i]![3]);
    });
    const lie = [
      ...boards,
      ...lines.filter(({ layer, title }) => layer === 'Strips' && /leaf/.test(title ?? '')).map(box),
    ];
    for (const line of lines.filter(({ layer }) => layer === 'Pieces')) {
      const [left, right, low, high] = box(line);
      const within = lie.some(
        ([l, r, b, t]) => left >= l - 0.01 && right <= r + 0.01 && low >= b - 0.01 && high <= t + 0.01,
      );
      expect(within).toBe(true);
    }
    const resawn = layouts.flatMap(({ boards: sawn }) =>
      sawn.flatMap(({ strips }) => strips.filter(({ leaves }) => leaves.length > 1)),
    );
    expect(lines.filter(({ title }) => /resawn into/.test(title ?? ''))).toHaveLength(resawn.length);
  });
  test('segments for a router: every piece once, a cutter and a half between any two', () => {
    const made = segmentDrawing(plan, SHIPPED_WOODS, { lengthMm: 900, cutterMm: 6 });
    if (!made.ok) throw new Error('drawing');
    const count = plan.rings.flatMap(({ pieces }) => pieces).reduce((sum, { count }) => sum + count, 0);
    expect(made.value.lines).toHaveLength(count);
    readBack(made.value);
    const { lines } = made.value;
    for (let i = 0; i < lines.length; i += 7)
      for (let k = Math.max(0, i - 30); k < Math.min(lines.length, i + 30); k++)
        if (k !== i) expect(apart(lines[i]!.points, lines[k]!.points)).toBeGreaterThan(9 - 1e-6);
  });
  test('a ring and the templates: sizes are the plan’s, and the measure is 100 mm', () => {
    const prepared = prepare(cup);
    if (!prepared.ok) throw new Error('prepare');
    const { made, turn } = prepared.value.rings[8]!;
    if (!made.ok) throw new Error('ring');
    const ring = ringDrawing(made.value, turn, 'Ring 9');
    readBack(ring);
    const [from, to] = ring.lines.find(({ layer }) => layer === 'Measure')!.points;
    expect(to!.x - from!.x).toBe(100);
    // All pieces lie round one middle, the farthest corner as far from it as the ring's, clear of the measure.
    const parts = ring.lines.filter(({ layer }) => layer !== 'Measure');
    const corners = parts.flatMap(({ points }) => points);
    const [cx, cy] = [
      (Math.min(...corners.map(({ x }) => x)) + Math.max(...corners.map(({ x }) => x))) / 2,
      (Math.min(...corners.map(({ y }) => y)) + Math.max(...corners.map(({ y }) => y))) / 2,
    ];
    expect(Math.max(...corners.map(({ x, y }) => Math.hypot(x - cx, y - cy)))).toBeCloseTo(
      made.value.cornerMm,
      3,
    );
    expect(Math.min(...corners.map(({ y }) => y))).toBeGreaterThan(from!.y);
    expect(parts.every(({ closed }) => closed)).toBe(true);
    const profile = profileDrawing(prepared.value);
    expect(profile.lines.find(({ layer }) => layer === 'Inside')).toMatchObject({ closed: false });
    const words = profile.texts.filter(({ layer }) => layer === 'Rings');
    expect(words.length).toBe(
      prepared.value.rings.filter(({ stands }) => stands.bottomMm < prepared.value.vessel.heightMm).length,
    );
    readBack(profile);
    const outside = profile.lines.find(({ layer }) => layer === 'Outside')!.points;
    const radii = outside.map((p) => p.x);
    expect(2 * (profile.widthMm - 20)).toBeCloseTo(plan.diameterMm, 1);
    expect(Math.max(...radii) - Math.min(...radii)).toBeLessThan(plan.diameterMm / 2);
    const two = segmentTemplates(
      [
        { name: 'a', longEdgeMm: 30, shortEdgeMm: 22, widthMm: 20 },
        { name: 'b', longEdgeMm: 30.001, shortEdgeMm: 22, widthMm: 20 },
        { name: 'c', longEdgeMm: 40, shortEdgeMm: 30, widthMm: 25 },
      ],
      180,
    );
    expect(two.lines).toHaveLength(2);
  });
  test('a cutter that cannot be, or a board too short, is told with its limit', () => {
    const says = (lengthMm: number, cutterMm: number) => {
      const made = segmentDrawing(plan, SHIPPED_WOODS, { lengthMm, cutterMm });
      return made.ok ? '' : plain(made.reasons[0]!.message);
    };
    expect(says(900, 0)).toMatch(/The cutter is 0 mm/);
    expect(says(30, 6)).toMatch(/The board is 30 mm long; the longest piece needs/);
  });
});

type Points = readonly { readonly x: number; readonly y: number }[];

/** Least distance between two outlines that do not cross, by corners against edges both ways. */
function apart(a: Points, b: Points): number {
  const toEdge = (p: Points[number], q: Points[number], r: Points[number]) => {
    const [dx, dy] = [r.x - q.x, r.y - q.y];
    const t = Math.min(
      1,
      Math.max(0, ((p.x - q.x) * dx + (p.y - q.y) * dy) / Math.max(1e-12, dx * dx + dy * dy)),
    );
    return Math.hypot(p.x - q.x - t * dx, p.y - q.y - t * dy);
  };
  const least = (from: Points, to: Points) =>
    Math.min(...from.flatMap((p) => to.map((q, i) => toEdge(p, q, to[(i + 1) % to.length]!))));
  return Math.min(least(a, b), least(b, a));
}

describe('tables', () => {
  test('each has a row for what it lists, and its counts are the plan’s', () => {
    const count = plan.rings.flatMap(({ pieces }) => pieces).reduce((sum, { count }) => sum + count, 0);
    expect(read(ringsCsv(plan, SHIPPED_WOODS, 'mm')).reduce((sum, row) => sum + Number(row.pieces), 0)).toBe(
      count,
    );
    const accounts = accountsOf(plan.lumber, layouts, shop);
    const rips = accounts.reduce((sum, { strips, blocks }) => sum + strips + blocks, 0);
    expect(read(ripsCsv(layouts, SHIPPED_WOODS, 'mm', rollOf(plan)))).toHaveLength(rips);
    const mitred = plan.lumber.strips.flatMap(({ cuts }) => cuts).reduce((sum, { count }) => sum + count, 0);
    const set = read(setupsCsv(plan, SHIPPED_WOODS, 'inch-decimal'));
    expect(
      set.reduce((sum, row) => sum + Number(row.pieces) + Number(row.tests) + Number(row.spares), 0),
    ).toBe(mitred);
    expect(Object.keys(set[0]!)).toContain('stop in');
    expect(read(accountCsv(accounts, SHIPPED_WOODS, 'mm'))).toHaveLength(plan.lumber.woods.length);
    const sawn = read(layoutCsv(layouts, SHIPPED_WOODS, 'mm', rollOf(plan)));
    expect(sawn).toHaveLength(
      layouts.flatMap(({ boards }) => boards).reduce((sum, { strips }) => sum + strips.length, 0),
    );
  });
  // NIST SP 811, Appendix B: a board foot is 2.359 737 × 10⁻³ m³ (from memory).
  test('what to buy: board feet, cubic metres and price go together, and nothing comes on top of boards that are laid out', () => {
    const buying = buyingOf(layouts, plan.lumber, shop);
    expect(buying.length).toBeGreaterThan(0);
    for (const each of buying) {
      const volume = each.boards.reduce(
        (sum, { count, widthMm, lengthMm }) => sum + count * widthMm * lengthMm * 25.4,
        0,
      );
      if (each.quarter === '4/4') expect(each.boardFeet).toBeCloseTo(volume / BOARD_FOOT, 9);
      expect(each.cubicMetres).toBeCloseTo(each.boardFeet * 2.359737e-3, 7);
      expect(each.price).toEqual(each.wood === 'purpleheart' ? 20 * each.boardFeet : null);
    }
    expect(read(buyingCsv(buying, SHIPPED_WOODS, 'mm'))).toHaveLength(buying.length);
  });
});

describe('boards in files and hands', () => {
  test('boards go out as CSV and come back, in millimetres and inches', () => {
    fc.assert(
      fc.property(
        fc.array(anyBoard(['sugar-maple', 'wenge']), { minLength: 1, maxLength: 5 }),
        fc.boolean(),
        (all, metric) => {
          const back = readBoardsCsv(
            boardsCsv(all, SHIPPED_WOODS, metric ? 'mm' : 'inch-fraction'),
            SHIPPED_WOODS,
          );
          if (!back.ok) throw new Error(plain(back.reasons[0]!.message));
          expect(back.value.wrong).toEqual([]);
          back.value.boards.forEach((board, i) => {
            const was = all[i]!;
            expect([board.wood, board.surfaced, board.defects.length]).toEqual([
              was.wood,
              was.surfaced,
              was.defects.length,
            ]);
            expect(board.lengthMm).toBeCloseTo(was.lengthMm, 1);
            expect(board.widthMm).toBeCloseTo(was.widthMm, 1);
          });
        },
      ),
      { numRuns: 40 },
    );
  });
  test.each([
    ['wood,length mm,width mm\r\n', /Line 1 has no column “thickness mm”/],
    ['wood,length mm,width mm,thickness mm,colour\r\n', /a column “colour” that is not known/],
  ])('columns that are wrong take nothing: %s', (text, says) => {
    const answer = readBoardsCsv(text, SHIPPED_WOODS);
    expect(answer.ok ? '' : plain(answer.reasons[0]!.message)).toMatch(says);
  });
  test('lines that are wrong are told by number, with what is allowed; the others can be taken', () => {
    const answer = readBoardsCsv(
      'wood,length mm,width mm,thickness mm,price\nhard maple,2000,150,25,\nhard maple,abc,150,25,\nelfwood,2000,150,25,\nhard maple,2000,150,25,0\n',
      SHIPPED_WOODS,
    );
    if (!answer.ok) throw new Error('csv');
    expect(answer.value.boards).toHaveLength(1);
    expect(answer.value.wrong.map(({ line }) => line)).toEqual([3, 4, 5]);
    expect(plain(answer.value.wrong[0]!.message)).toMatch(/Length: “abc” is not a length/);
    expect(plain(answer.value.wrong[2]!.message)).toMatch(/Price is 0; it has to be a number from 0.01/);
  });
  test('a board split in two loses the kerf and keeps its defects with their parts', () => {
    const board = boards[1]!;
    const parts = splitBoard(board, 'across', 600, 3);
    if (!parts.ok) throw new Error('split');
    const [first, second] = parts.value as [Board, Board];
    expect(first.lengthMm + second.lengthMm + 3).toBeCloseTo(board.lengthMm, 9);
    for (const part of parts.value) expect(newBoardSchema.safeParse(part).success).toBe(true);
    const area = (all: typeof board.defects) => all.reduce((sum, d) => sum + d.lengthMm * d.widthMm, 0);
    expect(area(first.defects) + area(second.defects)).toBeLessThanOrEqual(area(board.defects) + 1e-6);
    expect(area(first.defects) + area(second.defects)).toBeGreaterThan(
      area(board.defects) - 3 * board.widthMm,
    );
    const refused = splitBoard(board, 'along', 500, 3);
    expect(refused.ok ? '' : plain(refused.reasons[0]!.message)).toMatch(/the cut can lie from 10 mm to/);
  });
  test('after sawing the boards used are gone and the offcuts are there, as thick and as sound', () => {
    const { gone, offcuts } = afterCutting(layouts, cup.name);
    expect(new Set(gone).size).toBe(gone.length);
    for (const id of gone) expect(boards.map((board) => board.id)).toContain(id);
    expect(offcuts.length).toBeGreaterThan(0);
    for (const offcut of offcuts) {
      expect(newBoardSchema.safeParse(offcut).success).toBe(true);
      expect(offcut.note).toBe('Offcut of Fell Race Cup');
      expect(offcut.lengthMm).toBeGreaterThanOrEqual(mm(200));
    }
  });
});
