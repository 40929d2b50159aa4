import { type Said, say, sayList, sayMm } from '../../measure/said.js';
import type { Shop } from '../../settings/shop.js';
import type { Section } from '../board.js';
import type { DemandKind } from './kinds.js';
import type { LaidBoard, LaidStrip } from './placed.js';

/** A part that a board is crosscut into, with the strips that are ripped from it, by their numbers on the board. */
export interface BoardPart extends Section {
  /** A, B, C from the board's left end. */
  readonly name: string;
  readonly strips: readonly { readonly number: number; readonly strip: LaidStrip }[];
}

/** The parts of a board from its left end, and from its lower edge where two lie above each other; those that strips come from. */
export function boardParts({ sections, strips }: Pick<LaidBoard, 'sections' | 'strips'>): BoardPart[] {
  const numbered = strips.map((strip, i) => ({ number: i + 1, strip }));
  return sections
    .map((section) => ({ ...section, strips: numbered.filter(({ strip }) => liesIn(strip, section)) }))
    .filter((part) => part.strips.length > 0)
    .sort((a, b) => a.xMm - b.xMm || a.yMm - b.yMm)
    .map((part, i) => ({ ...part, name: letter(i) }));
}

const liesIn = (strip: Section, part: Section): boolean =>
  Math.abs(strip.xMm - part.xMm) < 1e-6 &&
  strip.yMm >= part.yMm - 1e-6 &&
  strip.yMm < part.yMm + part.widthMm;

/** A to Z, then AA, AB. */
const letter = (i: number): string =>
  (i >= 26 ? letter(Math.floor(i / 26) - 1) : '') + String.fromCharCode(65 + (i % 26));

/** Where a crosscut lies that ends a part, or begins one: mm from the board's left end, nearest first. */
export function crosscutMarks(board: Pick<LaidBoard, 'sections' | 'strips'>): number[] {
  const marks = boardParts(board).flatMap(({ xMm, lengthMm }) => [xMm, xMm + lengthMm]);
  return marks.sort((a, b) => a - b).filter((mark, i, all) => i === 0 || mark - all[i - 1]! > 0.05);
}

/** How a board is sawn up, cut by cut, in the order of the work. */
export function boardCuts(laid: LaidBoard, kinds: readonly DemandKind[], shop: Shop): Said[] {
  const { stock, offcuts } = laid;
  const parts = boardParts(laid);
  const whole = parts.length === 1 && parts[0]!.lengthMm > stock.lengthMm - 2 * shop.endTrimMm - 0.05;
  const cuts: Said[] = [
    say`Joint one long edge${shop.edgeJointMm > 0 ? say` (${sayMm(shop.edgeJointMm)} off)` : ''} and cut the left end square${shop.endTrimMm > 0 ? say` (${sayMm(shop.endTrimMm)} off)` : ''}.`,
  ];
  if (!whole)
    cuts.push(
      say`Crosscut, measured from the end as it was: ${sayList(
        parts.map(
          (part) =>
            say`part ${part.name} from ${sayMm(part.xMm, 'place')} to ${sayMm(part.xMm + part.lengthMm, 'place')}${beside(part, laid)}`,
        ),
        '; ',
      )}.`,
    );
  for (const part of parts)
    cuts.push(
      say`${whole ? 'Rip' : say`Part ${part.name}: rip`} ${sayList(ripsOf(part, kinds))}, widest first, from the jointed edge.`,
    );
  for (const part of parts) {
    const short = part.strips.filter(({ strip }) => part.lengthMm - strip.lengthMm > 0.05);
    if (short.length > 0)
      cuts.push(
        say`Crosscut ${sayList(short.map(({ number, strip }) => say`strip ${number} to ${sayMm(strip.lengthMm, 'place')}`))}: what is behind is kept.`,
      );
  }
  for (const { number, strip } of parts.flatMap(({ strips }) => strips)) {
    const { thicknessMm } = kinds[strip.kind]!;
    if (strip.leaves.length > 1)
      cuts.push(
        say`Resaw strip ${number} into ${strip.leaves.length} leaves and plane each to ${sayMm(thicknessMm, 'thickness')}.`,
      );
  }
  if (offcuts.length > 0)
    cuts.push(
      say`Keep ${sayList(
        offcuts.map(({ lengthMm, widthMm }) => say`${sayMm(widthMm)} × ${sayMm(lengthMm)}`),
        ', ',
      )}.`,
    );
  return cuts;
}

/** Where a part lies across the board, where it is not the whole width. */
function beside(part: Section, { sections }: LaidBoard): Said {
  const shares = sections.some(
    (other) =>
      Math.abs(other.yMm - part.yMm) > 0.05 &&
      other.xMm < part.xMm + part.lengthMm &&
      part.xMm < other.xMm + other.lengthMm,
  );
  return shares ? say`, ${sayMm(part.yMm)} to ${sayMm(part.yMm + part.widthMm)} from the jointed edge` : '';
}

/** `strips 1 and 2 at 1 1/4", strip 3 at 1"`. */
function ripsOf({ strips }: BoardPart, kinds: readonly DemandKind[]): Said[] {
  const runs: { widthMm: number; numbers: number[] }[] = [];
  for (const { number, strip } of strips) {
    const { widthMm } = kinds[strip.kind]!;
    const last = runs.at(-1);
    if (last && Math.abs(last.widthMm - widthMm) < 0.01) last.numbers.push(number);
    else runs.push({ widthMm, numbers: [number] });
  }
  return runs.map(({ widthMm, numbers }) => {
    const [first, last] = [numbers[0]!, numbers.at(-1)!];
    const which = numbers.length === 1 ? `strip ${first}` : `strips ${first} to ${last}`;
    return say`${which} at ${sayMm(widthMm, 'width')}`;
  });
}
