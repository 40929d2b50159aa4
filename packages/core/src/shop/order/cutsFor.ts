import type { StripEntry } from '../../lumber/lumber.js';
import type { Mm } from '../../measure/quantity.js';
import { SAME_ANGLE } from '../../measure/tolerance.js';
import { type Owner, sameOwner } from '../../ring/owner.js';

/** What is cut of one wood for a ring, from strips of a width and planed thickness: pieces, and what is cut besides. */
export interface OwnCut {
  readonly wood: string;
  readonly widthMm: Mm;
  readonly thicknessMm: Mm;
  readonly pieces: number;
  readonly spares: number;
}

/** What is cut for a ring, by wood, in the order of the strips. */
export function cutsFor(owner: Owner, strips: readonly StripEntry[]): OwnCut[] {
  const by = new Map<string, { -readonly [K in keyof OwnCut]: OwnCut[K] }>();
  for (const { wood, widthMm, thicknessMm, cuts } of strips)
    for (const cut of cuts) {
      if (!cut.owner || !sameOwner(cut.owner, owner)) continue;
      const key = `${wood} ${widthMm} ${thicknessMm}`;
      const row = by.get(key) ?? { wood, widthMm, thicknessMm, pieces: 0, spares: 0 };
      by.set(key, row);
      row[cut.purpose === 'piece' ? 'pieces' : 'spares'] += cut.count;
    }
  return [...by.values()];
}

/** Test pieces of a setting, by wood: they are nobody's own. */
export function testsFor(
  { cutAngle, bladeTilt }: Pick<StripEntry, 'cutAngle' | 'bladeTilt'>,
  strips: readonly StripEntry[],
): { readonly wood: string; readonly count: number }[] {
  return strips.flatMap((strip) => {
    const same =
      Math.abs(strip.cutAngle - cutAngle) < SAME_ANGLE && Math.abs(strip.bladeTilt - bladeTilt) < SAME_ANGLE;
    const count = strip.cuts.reduce((sum, cut) => sum + (cut.purpose === 'test' ? cut.count : 0), 0);
    return same && count > 0 ? [{ wood: strip.wood, count }] : [];
  });
}
