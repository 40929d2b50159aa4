import type { StripEntry } from '../../lumber/lumber.js';
import { type Owner, sameOwner } from '../../ring/owner.js';

/** What is cut of one wood for a ring: pieces, and what is cut besides. */
export interface OwnCut {
  readonly wood: string;
  readonly pieces: number;
  readonly spares: number;
  readonly tests: number;
}

/** What is cut for a ring, by wood, in the order of the strips. */
export function cutsFor(owner: Owner, strips: readonly StripEntry[]): OwnCut[] {
  const by = new Map<string, { wood: string; pieces: number; spares: number; tests: number }>();
  for (const { wood, cuts } of strips)
    for (const cut of cuts) {
      if (!cut.owner || !sameOwner(cut.owner, owner)) continue;
      const row = by.get(wood) ?? { wood, pieces: 0, spares: 0, tests: 0 };
      by.set(wood, row);
      row[cut.purpose === 'piece' ? 'pieces' : cut.purpose === 'test' ? 'tests' : 'spares'] += cut.count;
    }
  return [...by.values()];
}
