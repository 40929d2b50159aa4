import { type DEFECTS, type NewBoard, newBoardSchema } from '../lumber/board.js';
import { QUARTERS } from '../lumber/quarters.js';
import type { UnitSystem } from '../measure/format.js';
import { parseLength, readNumber } from '../measure/parse.js';
import { done, type Reason, type Result, refuse, refused } from '../measure/reason.js';
import { fromZod, say, sayAll } from '../measure/said.js';
import { shortened } from '../measure/shortened.js';
import type { Species } from '../wood/species.js';

/** What a row is read by: its cells by heading, the woods that there are, the unit where a size names none. */
interface Reading {
  readonly headings: readonly string[];
  readonly woods: readonly Species[];
  readonly unit: 'mm' | 'in';
}

/** A board from the cells of its row, or all that is wrong with it. */
export function readBoardRow(cells: readonly string[], { headings, woods, unit }: Reading): Result<NewBoard> {
  const stray = cells.findIndex((cell, i) => cell.trim() !== '' && !headings[i]);
  if (stray >= 0)
    return refuse(
      'csv-row',
      '',
      say`“${shortened(cells[stray]!)}” stands in column ${stray + 1}, which has no heading; a cell with a comma in it needs quotation marks.`,
    );
  const cell = (name: string) => (cells[headings.indexOf(name)] ?? '').trim().replace(/^'/, '');
  const wrong: Reason[] = [];
  const size = (text: string, label: string): number => {
    const read = parseLength(text, SYSTEMS[unit], label);
    if (!read.ok)
      wrong.push(
        ...read.reasons.map(({ message, ...rest }) => ({
          ...rest,
          message: sayAll([`${label}: `, message]),
        })),
      );
    return read.ok ? read.value : Number.NaN;
  };
  const optional = (name: string) => {
    const text = cell(name).replace(/\s*%$/, '');
    return text === '' ? null : (readNumber(text) ?? Number.NaN);
  };
  const named = cell('wood').toLowerCase();
  const wood = woods.find(({ id, name }) => id === named || name.toLowerCase() === named);
  if (!wood)
    wrong.push({
      code: 'wood-unknown',
      path: 'wood',
      message: say`The wood “${shortened(cell('wood'))}” is not among the woods here.`,
    });
  const sawn = cell('surfaced').toLowerCase();
  if (!['', 'yes', 'no', 'true', 'false'].includes(sawn))
    wrong.push({
      code: 'surfaced',
      path: 'surfaced',
      message: say`Surfaced is “${shortened(cell('surfaced'))}”; it has to be yes or no.`,
    });
  const surfaced = ['yes', 'true'].includes(sawn);
  const thickness = cell(`thickness ${unit}`);
  const quarter = QUARTERS.find(({ name }) => name === thickness.replace(/\s/g, ''));
  const board = {
    wood: wood?.id ?? '',
    lengthMm: size(cell(`length ${unit}`), 'Length'),
    widthMm: size(cell(`width ${unit}`), 'Width'),
    thicknessMm: quarter ? quarter[surfaced ? 'surfacedMm' : 'roughMm'] : size(thickness, 'Thickness'),
    surfaced,
    price: optional('price'),
    moisturePercent: optional('moisture %'),
    note: cell('note'),
    defects: defectsOf(cell('defects'), size, wrong),
  };
  if (wrong.length > 0) return refused(...wrong);
  const parsed = newBoardSchema.safeParse(board);
  if (parsed.success) return done(parsed.data);
  return refused(
    ...parsed.error.issues.map(
      ({ message, path }): Reason => ({ code: 'board', path: path.join('.'), message: fromZod(message) }),
    ),
  );
}

const SYSTEMS: Readonly<Record<'mm' | 'in', UnitSystem>> = { mm: 'mm', in: 'inch-fraction' };

/** `knot 120 30 20 15; crack …`: kind, from the end, from the edge, length, width; a size is written without spaces. */
function defectsOf(cell: string, size: (text: string, label: string) => number, wrong: Reason[]) {
  return cell
    .split(';')
    .map((defect) => defect.trim())
    .filter(Boolean)
    .flatMap((defect, i) => {
      const [kind, ...sizes] = defect.split(/\s+/);
      if (sizes.length !== 4) {
        wrong.push({
          code: 'board',
          path: `defects.${i}`,
          message: say`Defect ${i + 1} is “${shortened(defect)}”; it has to be a kind and four sizes, like knot 120 30 20 15: from the end, from the edge, length, width.`,
        });
        return [];
      }
      const [xMm, yMm, lengthMm, widthMm] = sizes.map((text) => size(text, `Defect ${i + 1}`));
      return [{ kind: kind!.toLowerCase() as (typeof DEFECTS)[number], xMm, yMm, lengthMm, widthMm }];
    });
}
