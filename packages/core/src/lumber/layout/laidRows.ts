import { type Owner, ownerKey, type Roll } from '../../ring/owner.js';
import type { LaidStrip } from './placed.js';

/** How many pieces of whom come from one laid strip, in the order in which they first come; `owner` null for spares. */
export interface LaidContent {
  readonly owner: Owner | null;
  readonly count: number;
}

export function laidContents({ leaves }: Pick<LaidStrip, 'leaves'>): LaidContent[] {
  const known = new Map<string, { owner: Owner | null; count: number }>();
  for (const { owner } of leaves.flat()) {
    const key = owner ? ownerKey(owner) : '';
    const same = known.get(key);
    if (same) same.count++;
    else known.set(key, { owner, count: 1 });
  }
  return [...known.values()];
}

/** `ring 3: 12; spare: 2`. */
export const sayLaid = (contents: readonly LaidContent[], { nameOf }: Pick<Roll, 'nameOf'>): string =>
  contents.map(({ owner, count }) => `${owner ? nameOf(owner) : 'spare'}: ${count}`).join('; ');
