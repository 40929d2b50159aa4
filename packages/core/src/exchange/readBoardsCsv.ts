import Papa from 'papaparse';
import type { NewBoard } from '../lumber/board.js';
import { done, type Reason, type Result, refuse, refused } from '../measure/reason.js';
import { type Said, say, sayList } from '../measure/said.js';
import type { Species } from '../wood/species.js';
import { readBoardRow } from './boardRow.js';

/** Columns whose headings carry their unit, `length mm` or `length in`, and those besides them. */
const SIZES = ['length', 'width', 'thickness'] as const;
const OTHERS = ['wood', 'surfaced', 'price', 'moisture %', 'note', 'defects'] as const;
const MOST_ROWS = 2000;

/** Boards read from CSV, the line on which each begins, and what is wrong with each other line. */
export interface ReadBoards {
  readonly boards: readonly NewBoard[];
  readonly lines: readonly number[];
  readonly wrong: readonly { readonly line: number; readonly message: Said }[];
}

/**
 * Reads boards as people type them: sizes with fractions (`48 1/2`, `48"`), thicknesses by the trade's names (`4/4`), commas for
 * points. Refused whole where columns are missing, unknown or there twice. Woods are named as in the list of woods, or by their ids.
 */
export function readBoardsCsv(text: string, woods: readonly Species[]): Result<ReadBoards> {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''));
  const lines = linesOf(data);
  const first = data.findIndex((cells) => !isEmpty(cells));
  const headings = (data[first] ?? []).map((heading) => heading.trim().toLowerCase());
  const unit = headings.includes('length in') ? 'in' : 'mm';
  const wrongHeadings = columnsWrong(headings, unit, lines[first] ?? 1);
  if (wrongHeadings.length > 0) return refused(...wrongHeadings);
  const rows = data.flatMap((cells, i) =>
    i <= first || isEmpty(cells) ? [] : [{ cells, line: lines[i]!, i }],
  );
  if (rows.length > MOST_ROWS)
    return refuse('csv-rows', '', say`There are ${rows.length} boards; ${MOST_ROWS} are allowed at once.`, {
      most: MOST_ROWS,
    });
  const quotes = new Set(errors.flatMap(({ type, row }) => (type === 'Quotes' ? [row] : [])));
  const boards: NewBoard[] = [];
  const own: number[] = [];
  const wrong: { line: number; message: Said }[] = [];
  for (const { cells, line, i } of rows) {
    const read = quotes.has(i)
      ? refuse('csv-row', '', 'A quotation mark that begins a cell is not closed, or something follows it.')
      : readBoardRow(cells, { headings, woods, unit });
    if (read.ok) {
      boards.push(read.value);
      own.push(line);
    } else
      wrong.push({
        line,
        message: sayList(
          read.reasons.map(({ message }) => message),
          ' ',
        ),
      });
  }
  return done({ boards, lines: own, wrong });
}

const isEmpty = (cells: readonly string[]) => cells.every((cell) => cell.trim() === '');

/** The line on which each row begins: cells may hold line breaks. */
function linesOf(rows: readonly (readonly string[])[]): number[] {
  let line = 1;
  return rows.map((cells) => {
    const begins = line;
    line += 1 + cells.reduce((sum, cell) => sum + (cell.match(/\r\n|\r|\n/g)?.length ?? 0), 0);
    return begins;
  });
}

function columnsWrong(headings: readonly string[], unit: 'mm' | 'in', line: number): Reason[] {
  const refusedWith = (message: Said): Reason[] => [{ code: 'csv-columns', path: `line ${line}`, message }];
  const sizes: readonly string[] = SIZES.map((name) => `${name} ${unit}`);
  const missing = ['wood', ...sizes].filter((name) => !headings.includes(name));
  if (missing.length > 0)
    return refusedWith(
      say`Line ${line} has no column ${missing.map((name) => `“${name}”`).join(', ')}. Columns are: wood, length mm, width mm, thickness mm (or in for inches); and if you like ${OTHERS.slice(1).join(', ')}.`,
    );
  const known: readonly string[] = [...OTHERS, ...sizes];
  const odd = headings.find((name) => name !== '' && !known.includes(name));
  if (odd !== undefined) return refusedWith(say`Line ${line} has a column “${odd}” that is not known.`);
  const twice = headings.find((name, i) => name !== '' && headings.indexOf(name) !== i);
  return twice === undefined ? [] : refusedWith(say`Line ${line} has the column “${twice}” twice.`);
}
