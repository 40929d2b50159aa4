import Papa from 'papaparse';
import { type Board, type DEFECTS, type NewBoard, newBoardSchema } from '../lumber/board.js';
import { INCH, trimZeros, type UnitSystem } from '../measure/format.js';
import { type Reason, type Result, refuse } from '../measure/reason.js';
import { fromZod, type Said, say, sayList } from '../measure/said.js';
import type { Species } from '../wood/species.js';
import { csvOf } from './csv.js';

/** Columns besides the sizes, whose headings carry their unit: `length mm` or `length in`. */
const SIZES = ['length', 'width', 'thickness'] as const;
const OTHERS = ['wood', 'surfaced', 'price', 'moisture %', 'note', 'defects'] as const;
const MOST_ROWS = 2000;

/** Boards on hand as CSV (RFC 4180), a row each. Defects: `knot 120 30 20 15; crack …`: kind, from the end, from the edge, length, width. */
export function boardsCsv(boards: readonly Board[], woods: readonly Species[], system: UnitSystem): string {
  const unit = system === 'mm' ? 'mm' : 'in';
  const size = (mm: number) => trimZeros(unit === 'mm' ? mm.toFixed(2) : (mm / INCH).toFixed(4));
  const nameOf = new Map(woods.map(({ id, name }) => [id, name]));
  const rows = boards.map((board) => ({
    wood: nameOf.get(board.wood) ?? board.wood,
    [`length ${unit}`]: size(board.lengthMm),
    [`width ${unit}`]: size(board.widthMm),
    [`thickness ${unit}`]: size(board.thicknessMm),
    surfaced: board.surfaced ? 'yes' : 'no',
    price: board.price ?? '',
    'moisture %': board.moisturePercent ?? '',
    note: board.note,
    defects: board.defects
      .map(({ kind, xMm, yMm, lengthMm, widthMm }) =>
        [kind, ...[xMm, yMm, lengthMm, widthMm].map(size)].join(' '),
      )
      .join('; '),
  }));
  return csvOf(rows);
}

/** Boards read from CSV: those that can be, and what is wrong with each other line. */
export interface ReadBoards {
  readonly boards: readonly NewBoard[];
  readonly wrong: readonly { readonly line: number; readonly message: Said }[];
}

/** Reads boards; refused whole where columns are missing. Woods are named as in the list of woods, or by their ids. */
export function readBoardsCsv(text: string, woods: readonly Species[]): Result<ReadBoards> {
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (heading) => heading.trim().toLowerCase(),
  });
  const headings = meta.fields ?? [];
  const unit = ['mm', 'in'].find((of) => headings.includes(`length ${of}`));
  const missing = [
    ...(headings.includes('wood') ? [] : ['wood']),
    ...SIZES.map((name) => `${name} ${unit ?? 'mm'}`).filter((name) => !headings.includes(name)),
  ];
  if (missing.length > 0)
    return refuse(
      'csv-columns',
      'line 1',
      say`Line 1 has no column ${missing.map((name) => `“${name}”`).join(', ')}. Columns are: wood, length mm, width mm, thickness mm (or in for inches); and if you like ${OTHERS.slice(1).join(', ')}.`,
    );
  const odd = headings.filter(
    (name) =>
      name !== '' &&
      !(OTHERS as readonly string[]).includes(name) &&
      !SIZES.some((of) => name === `${of} ${unit}`),
  );
  if (odd.length > 0)
    return refuse('csv-columns', 'line 1', say`Line 1 has a column “${odd[0]!}” that is not known.`);
  if (data.length > MOST_ROWS)
    return refuse('csv-rows', '', say`There are ${data.length} boards; ${MOST_ROWS} are allowed at once.`, {
      most: MOST_ROWS,
    });
  const boards: NewBoard[] = [];
  const wrong: { line: number; message: Said }[] = [];
  data.forEach((row, i) => {
    const read = readRow(row, woods, unit === 'mm' ? 1 : INCH);
    if (read.ok) boards.push(read.value);
    else
      wrong.push({
        line: i + 2,
        message: sayList(
          read.reasons.map(({ message }) => message),
          ' ',
        ),
      });
  });
  return { ok: true, value: { boards, wrong } };
}

function readRow(row: Record<string, string>, woods: readonly Species[], perUnit: number): Result<NewBoard> {
  const cell = (name: string) => (row[name] ?? '').trim().replace(/^'/, '');
  const number = (name: string) => (cell(name) === '' ? Number.NaN : Number(cell(name).replace(',', '.')));
  const size = (name: string) => number(`${name} ${perUnit === 1 ? 'mm' : 'in'}`) * perUnit;
  const named = cell('wood').toLowerCase();
  const wood = woods.find(({ id, name }) => id === named || name.toLowerCase() === named);
  if (!wood)
    return refuse('wood-unknown', 'wood', say`The wood “${cell('wood')}” is not among the woods here.`);
  const sawn = cell('surfaced').toLowerCase();
  if (!['', 'yes', 'no', 'true', 'false'].includes(sawn))
    return refuse('surfaced', 'surfaced', say`Surfaced is “${cell('surfaced')}”; it has to be yes or no.`);
  const optional = (name: string) => (cell(name) === '' ? null : number(name));
  const parsed = newBoardSchema.safeParse({
    wood: wood.id,
    lengthMm: size('length'),
    widthMm: size('width'),
    thicknessMm: size('thickness'),
    surfaced: ['yes', 'true'].includes(sawn),
    price: optional('price'),
    moisturePercent: optional('moisture %'),
    note: cell('note'),
    defects: cell('defects')
      .split(';')
      .map((defect) => defect.trim())
      .filter(Boolean)
      .map((defect) => {
        const [kind, ...sizes] = defect.split(/\s+/);
        const [xMm, yMm, lengthMm, widthMm] = sizes.map((of) => Number(of) * perUnit);
        return { kind: kind as (typeof DEFECTS)[number], xMm, yMm, lengthMm, widthMm };
      }),
  });
  if (!parsed.success)
    return {
      ok: false,
      reasons: parsed.error.issues.map(
        ({ message, path }): Reason => ({ code: 'board', path: path.join('.'), message: fromZod(message) }),
      ),
    };
  return { ok: true, value: parsed.data };
}
