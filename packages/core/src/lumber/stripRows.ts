import type { Cutting, Hand } from '../making/stock.js';
import type { Mm, Rad } from '../measure/quantity.js';
import { type Owner, ownerKey, type Roll } from '../ring/owner.js';
import type { Lumber, StripListEntry } from './lumber.js';
import type { Cut, Purpose } from './strips.js';

/** Pieces of one owner and hand that are cut from a strip; spares and pieces of the other hand come last. */
export interface StripContent {
  readonly owner: Owner | null;
  readonly purpose: Purpose;
  readonly hand: Hand | null;
  readonly count: number;
  /** Numbers of the pieces in the order in which they are cut; none where it does not matter. */
  readonly numbers: readonly number[];
}

/** One strip that is ripped. */
export interface StripRow {
  readonly lengthMm: Mm;
  readonly contents: readonly StripContent[];
}

/** Strips of one wood, size and setting: a row of the list. Screen, paper and tables show these and add nothing. */
export interface StripListRow {
  readonly wood: string;
  readonly widthMm: Mm;
  /** Planed. */
  readonly thicknessMm: Mm;
  readonly quarter: string;
  readonly cutAngle: Rad;
  readonly bladeTilt: Rad;
  readonly cutting: Cutting;
  readonly strips: readonly StripRow[];
  /** Lengths with how many strips there are of each, longest first. */
  readonly lengths: readonly { readonly lengthMm: Mm; readonly count: number }[];
  readonly contents: readonly StripContent[];
}

/** The list of strips in the order of the work: wood by wood as they come in the piece, the thickest first. */
export function stripRows({ strips }: Pick<Lumber, 'strips'>): StripListRow[] {
  const woods = [...new Set(strips.map(({ wood }) => wood))];
  return woods.flatMap((wood) =>
    strips
      .filter((list) => list.wood === wood)
      .sort((a, b) => b.thicknessMm - a.thicknessMm || b.widthMm - a.widthMm)
      .map(rowOf),
  );
}

function rowOf({ cuts, strips, ...setting }: StripListEntry): StripListRow {
  const counts = new Map<Mm, number>();
  for (const { lengthMm } of strips) counts.set(lengthMm, (counts.get(lengthMm) ?? 0) + 1);
  return {
    ...setting,
    strips: strips.map((strip) => ({ lengthMm: strip.lengthMm, contents: contentsOf(strip.cuts) })),
    lengths: [...counts]
      .map(([lengthMm, count]) => ({ lengthMm, count }))
      .sort((a, b) => b.lengthMm - a.lengthMm),
    contents: contentsOf(cuts),
  };
}

const ORDER: readonly Purpose[] = ['piece', 'other-hand', 'spare'];

/** Cuts put together by what they are for. */
function contentsOf(cuts: readonly Cut[]): StripContent[] {
  const known = new Map<string, { -readonly [K in keyof StripContent]: StripContent[K] }>();
  for (const { owner, purpose, hand = null, count, numbers = [] } of cuts) {
    const key = [purpose, owner && ownerKey(owner), hand].join(' ');
    const same = known.get(key);
    if (!same) known.set(key, { owner, purpose, hand, count, numbers });
    else {
      same.count += count;
      same.numbers = [...same.numbers, ...numbers];
    }
  }
  return [...known.values()].sort((a, b) => ORDER.indexOf(a.purpose) - ORDER.indexOf(b.purpose));
}

/** How a strip goes through the saw, in a few words. */
export const CUTTING_SAID: Record<Cutting, string> = {
  'turned-over': 'turned over',
  'same-edge': 'same edge out',
  'two-fences': 'two fences',
};

/** `ring 3: 12 left, nos. 1–12; other hand: 3; spare: 2`. */
export const sayContents = (contents: readonly StripContent[], { nameOf }: Roll): string =>
  contents
    .map(({ owner, purpose, hand, count, numbers }) => {
      const whose = owner ? nameOf(owner) : purpose === 'spare' ? 'spare' : 'other hand';
      return `${whose}: ${count}${hand ? ` ${hand}` : ''}${numbered(numbers)}`;
    })
    .join('; ');

/** Piece numbers along the strip, a run of them short. */
function numbered(numbers: readonly number[]): string {
  const [first, last] = [numbers[0], numbers.at(-1)];
  if (first === undefined || last === undefined) return '';
  const run = numbers.every((number, i) => number === first + i);
  return `, nos. ${run ? `${first}–${last}` : numbers.join(' ')}`;
}
