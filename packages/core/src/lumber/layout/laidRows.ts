import type { Hand } from '../../making/stock.js';
import type { Mm } from '../../measure/quantity.js';
import type { Said } from '../../measure/said.js';
import { SAME_SETTING } from '../../measure/tolerance.js';
import { type Owner, ownerKey, type Roll } from '../../ring/owner.js';
import { PURPOSE_SAID, type Purpose } from '../strips.js';
import type { LaidBoard, LaidStrip, WoodLayout } from './placed.js';

/** Pieces of one owner and hand that come from a strip, in the order in which they first come. */
export interface LaidContent {
  readonly owner: Owner | null;
  readonly purpose: Purpose;
  readonly hand: Hand | null;
  readonly count: number;
  /** Numbers of the pieces in the order in which they are cut; none where it does not matter. */
  readonly numbers: readonly number[];
}

const ORDER: readonly Purpose[] = ['piece', 'other-hand', 'test', 'spare'];

/** What is cut from a strip; spares and pieces of the other hand come last. */
export function laidContents({ leaves }: Pick<LaidStrip, 'leaves'>): LaidContent[] {
  const known = new Map<string, { -readonly [K in keyof LaidContent]: LaidContent[K] }>();
  for (const { owner, purpose, hand = null, number } of leaves.flat()) {
    const key = [purpose, owner && ownerKey(owner), hand].join(' ');
    const numbers = number === undefined ? [] : [number];
    const same = known.get(key);
    if (!same) known.set(key, { owner, purpose, hand, count: 1, numbers });
    else {
      same.count++;
      same.numbers = [...same.numbers, ...numbers];
    }
  }
  return [...known.values()].sort((a, b) => ORDER.indexOf(a.purpose) - ORDER.indexOf(b.purpose));
}

/** Whom pieces are for: a ring by its name, or what they are there for. */
export const whoseSaid = (
  { owner, purpose }: Pick<LaidContent, 'owner' | 'purpose'>,
  { nameOf }: Pick<Roll, 'nameOf'>,
): string => (owner ? nameOf(owner) : PURPOSE_SAID[purpose as keyof typeof PURPOSE_SAID]);

/** `ring 3: 12 left, nos. 1–12; other hand: 3; spare: 2`. */
export const sayLaid = (contents: readonly LaidContent[], roll: Pick<Roll, 'nameOf'>): string =>
  contents
    .map(
      (content) =>
        `${whoseSaid(content, roll)}: ${content.count}${content.hand ? ` ${content.hand}` : ''}${numbered(content.numbers)}`,
    )
    .join('; ');

/** Piece numbers along the strip, a run of them short. */
function numbered(numbers: readonly number[]): string {
  const [first, last] = [numbers[0], numbers.at(-1)];
  if (first === undefined || last === undefined) return '';
  const run = numbers.every((number, i) => number === first + i);
  return `, nos. ${run && numbers.length > 1 ? `${first}–${last}` : numbers.join(' ')}`;
}

/** A board of a layout with its number: all boards are numbered through, wood by wood. */
export interface NumberedBoard {
  readonly number: number;
  readonly wood: string;
  readonly layout: WoodLayout;
  readonly laid: LaidBoard;
}

export const numberedBoards = (layouts: readonly WoodLayout[]): NumberedBoard[] =>
  layouts
    .flatMap((layout) => layout.boards.map((laid) => ({ wood: layout.wood, layout, laid })))
    .map((board, i) => ({ number: i + 1, ...board }));

/** One rip: a strip, or part of a board that blocks are crosscut from. */
export interface RipRow {
  readonly wood: string;
  /** Number of the board that it comes from. */
  readonly board: number;
  readonly what: 'strip' | 'block';
  readonly name: Said;
  readonly lengthMm: Mm;
  /** Planed; each leaf of a resawn strip. */
  readonly thicknessMm: Mm;
  /** Strips that it is resawn into; 1 where it is not. */
  readonly leaves: number;
  readonly strip: LaidStrip;
  readonly contents: readonly LaidContent[];
}

/** One position of the rip fence, and all that is ripped at it. */
export interface Fence {
  readonly widthMm: Mm;
  readonly rows: readonly RipRow[];
}

/** The rip list in the order of the work: fence by fence, widest first, all woods; at each the thickest first, then board by board. */
export function ripList(layouts: readonly WoodLayout[]): Fence[] {
  const rows = numberedBoards(layouts).flatMap(({ number, wood, layout, laid }) =>
    laid.strips.map((strip) => {
      const { what, name, thicknessMm, widthMm } = layout.kinds[strip.kind]!;
      const row: RipRow = {
        wood,
        board: number,
        what,
        name,
        lengthMm: strip.lengthMm as Mm,
        thicknessMm,
        leaves: strip.leaves.length,
        strip,
        contents: laidContents(strip),
      };
      return { widthMm, row };
    }),
  );
  rows.sort((a, b) => b.widthMm - a.widthMm);
  const fences: { widthMm: Mm; rows: RipRow[] }[] = [];
  for (const { widthMm, row } of rows) {
    const last = fences.at(-1);
    if (last && last.widthMm - widthMm < SAME_SETTING) last.rows.push(row);
    else fences.push({ widthMm, rows: [row] });
  }
  for (const { rows: own } of fences)
    own.sort((a, b) => b.thicknessMm - a.thicknessMm || a.board - b.board || b.lengthMm - a.lengthMm);
  return fences;
}
