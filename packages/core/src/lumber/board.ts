import { z } from 'zod';
import { length, number, text } from '../measure/field.js';
import { INCH } from '../measure/format.js';
import { type Mm, mm } from '../measure/quantity.js';
import type { Reason } from '../measure/reason.js';
import { forZod, say, sayMm } from '../measure/said.js';
import { SAME_LENGTH } from '../measure/tolerance.js';
import { boardFeet } from '../measure/volume.js';
import type { Shop } from '../settings/shop.js';
import { QUARTERS } from './quarters.js';

export const DEFECTS = ['crack', 'knot', 'sap', 'other'] as const;

const defectSchema = z.strictObject({
  kind: z.enum(DEFECTS, { error: () => `A defect is one of ${DEFECTS.join(', ')}.` }),
  /** From the board's left end and from its lower edge. */
  xMm: length('Defect from the end', 0, 10_000),
  yMm: length('Defect from the edge', 0, 2000),
  lengthMm: length('Length of the defect', 0.1, 10_000),
  widthMm: length('Width of the defect', 0.1, 2000),
});
export type Defect = z.infer<typeof defectSchema>;

const boardFields = z.strictObject({
  id: text('Id', 40),
  /** Species. */
  wood: text('Wood', 60),
  lengthMm: length('Length of the board', 50, 10_000),
  widthMm: length('Width of the board', 10, 2000),
  thicknessMm: length('Thickness of the board', 1, 300),
  /** Whether both faces are planed; rough boards lose what the trade takes off. */
  surfaced: z.boolean(),
  /** Of a board foot; null where it is not known. */
  price: number('Price', 0.01, 100_000).nullable(),
  moisturePercent: number('Moisture', 0, 100, ' %').nullable(),
  /** Where it stands, where it came from. */
  note: z.string().trim().max(200),
  defects: z.array(defectSchema).max(40, { abort: true }),
});

type Fields = z.infer<typeof boardFields>;

/** Defects lie within the board. */
function defectsWithin({ lengthMm, widthMm, defects }: Omit<Fields, 'id'>, context: z.RefinementCtx): void {
  defects.forEach((defect, i) => {
    const [over, above] = [defect.xMm + defect.lengthMm - lengthMm, defect.yMm + defect.widthMm - widthMm];
    if (over > 0.01 || above > 0.01)
      context.addIssue({
        code: 'custom',
        path: ['defects', i],
        message: forZod(
          say`Defect ${i + 1} reaches to ${sayMm(defect.xMm + defect.lengthMm)} × ${sayMm(defect.yMm + defect.widthMm)}; the board is ${sayMm(lengthMm)} × ${sayMm(widthMm)}.`,
        ),
      });
  });
}

/** A board on hand. */
export const boardSchema = boardFields.superRefine(defectsWithin);
export type Board = z.infer<typeof boardSchema>;

/** A board as it is entered, before it is kept. */
export const newBoardSchema = boardFields.omit({ id: true }).superRefine(defectsWithin);
export type NewBoard = z.infer<typeof newBoardSchema>;

/** Boards that are taken out, by id, and others that are put in. */
export const replaceBoardsSchema = z.strictObject({
  remove: z.array(text('Id', 40)).max(2000, { abort: true }),
  add: z
    .array(newBoardSchema)
    .max(2000, { error: () => 'There are too many boards; 2000 are allowed at once.' }),
});

/** What rough boards between the trade's thicknesses lose to the planer, both faces together. */
const USUAL_SURFACING = (3 / 16) * INCH;
/** A rough board this near to a quarter is of it (mm). */
const SAME_QUARTER = 0.8;

/** Thickness that is left when both faces are planed. */
export function surfacedThickness({ thicknessMm, surfaced }: Pick<Board, 'thicknessMm' | 'surfaced'>): Mm {
  if (surfaced) return mm(thicknessMm);
  const quarter = QUARTERS.find(({ roughMm }) => Math.abs(roughMm - thicknessMm) < SAME_QUARTER);
  return mm(Math.max(0, quarter?.surfacedMm ?? thicknessMm - USUAL_SURFACING));
}

/**
 * Board feet that a board is charged as. Hardwood trade practice: by its nominal thickness, which a surfaced board had before it
 * was planed and one between two of them has from the next; thinner than an inch counts as one. Or by volume, as it is.
 */
export function chargedFeet(
  {
    lengthMm,
    widthMm,
    thicknessMm,
    surfaced,
  }: Pick<Board, 'lengthMm' | 'widthMm' | 'thicknessMm' | 'surfaced'>,
  { charges }: Pick<Shop, 'charges'>,
): number {
  const nominal = QUARTERS.find(
    (quarter) => thicknessMm < quarter[surfaced ? 'surfacedMm' : 'roughMm'] + SAME_QUARTER,
  );
  const thick = charges === 'volume' ? thicknessMm : (nominal?.roughMm ?? thicknessMm);
  return boardFeet(lengthMm * widthMm * thick);
}

/** A clear rectangle of a board, mm from its left end and its lower edge. */
export interface Section {
  readonly xMm: number;
  readonly yMm: number;
  readonly lengthMm: number;
  readonly widthMm: number;
}

/** Sections smaller than this either way are of no use, mm. */
const LEAST = 10;

/**
 * The clear rectangles that a board comes to when it is sawn through beside its defects, right across or along: each time the
 * cut that keeps the largest clear part whole.
 */
export function clearSections(whole: Section, defects: readonly Section[], kerfMm = 0): Section[] {
  const inside = defects.filter((defect) => overlap(whole, defect));
  if (whole.lengthMm < LEAST || whole.widthMm < LEAST) return [];
  if (inside.length === 0) return [whole];
  const best = inside
    .flatMap((defect) => cutsBeside(whole, defect, kerfMm))
    .map((parts) => ({ parts, clear: Math.max(...parts.map((part) => clearArea(part, inside))) }))
    .reduce((a, b) => (b.clear > a.clear ? b : a));
  return best.parts.flatMap((part) => clearSections(part, inside, kerfMm));
}

/** Whether they share anything; what only rounding makes them share is nothing, or a cut beside a defect would still hold it. */
const overlap = (a: Section, b: Section): boolean =>
  b.xMm + b.lengthMm - a.xMm > SAME_LENGTH &&
  a.xMm + a.lengthMm - b.xMm > SAME_LENGTH &&
  b.yMm + b.widthMm - a.yMm > SAME_LENGTH &&
  a.yMm + a.widthMm - b.yMm > SAME_LENGTH;

const clearArea = (part: Section, defects: readonly Section[]): number =>
  defects.some((defect) => overlap(part, defect)) ? 0 : part.lengthMm * part.widthMm;

/** Parts left and right of a defect, and parts below and above it; the stretch with the defect itself is split further. */
function cutsBeside(whole: Section, defect: Section, kerfMm: number): Section[][] {
  const [x0, x1] = [whole.xMm, whole.xMm + whole.lengthMm];
  const [y0, y1] = [whole.yMm, whole.yMm + whole.widthMm];
  // A defect narrower than the saw, a crack for one, takes the saw's width all the same.
  const [a, c] = [Math.max(x0, defect.xMm), Math.max(y0, defect.yMm)];
  const b = Math.min(x1, Math.max(defect.xMm + defect.lengthMm, a + kerfMm));
  const d = Math.min(y1, Math.max(defect.yMm + defect.widthMm, c + kerfMm));
  const across = (from: number, to: number): Section => ({ ...whole, xMm: from, lengthMm: to - from });
  const along = (from: number, to: number): Section => ({ ...whole, yMm: from, widthMm: to - from });
  // The saw takes its cut from the stretch beside the defect.
  const middleAcross = across(a + kerfMm, b - kerfMm);
  const middleAlong = along(c + kerfMm, d - kerfMm);
  const rest = [
    { ...middleAcross, yMm: y0, widthMm: c - y0 },
    { ...middleAcross, yMm: d, widthMm: y1 - d },
  ];
  const restAlong = [
    { ...middleAlong, xMm: x0, lengthMm: a - x0 },
    { ...middleAlong, xMm: b, lengthMm: x1 - b },
  ];
  return [
    [across(x0, a), across(b, x1), ...rest],
    [along(y0, c), along(d, y1), ...restAlong],
  ];
}

/** Why a board cannot give a single strip of what is wanted. */
export const tooNarrow = ({ id, widthMm }: Board, leastMm: number): Reason => ({
  code: 'board-too-narrow',
  path: `boards.${id}`,
  message: say`A board is ${sayMm(widthMm)} wide; the narrowest strip of its wood needs ${sayMm(leastMm)}.`,
  limits: { least: leastMm },
});
