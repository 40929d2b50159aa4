import { bodyOf, type SawnMaking, segmentsOf, wholeOf } from '../../making/registry.js';
import type { StockParams } from '../../making/stock/fromStock.js';
import { say } from '../../measure/said.js';
import { frozen } from '../frozen.js';
import type { Project } from '../schema.js';
import type { Command } from './command.js';
import { freshKey } from './paletteCommands.js';
import { usualSegments } from './stack.js';

/** A ring in the stash. */
export type StashedRing = Omit<StockParams<SawnMaking>, 'way'>;

/** Palette keys for species; those that are not on the palette yet are put there. */
export function keysFor(draft: Project, species: readonly string[]): string[] {
  const keys = new Map(draft.palette.map(({ key, wood }) => [wood, key]));
  return species.map((wood) => {
    const known = keys.get(wood);
    if (known) return known;
    const key = freshKey(draft.palette, wood);
    draft.palette.push({ key, tone: 'accent', wood });
    keys.set(wood, key);
    return key;
  });
}

/** Puts a ring from the stash in the place of one of the piece: with its real height, sizes and woods. */
export const useStashed = (index: number, stashed: StashedRing): Command => ({
  label: `“${stashed.name}” from the stash as ring ${index + 1}`,
  apply(draft) {
    const { item, name, outerRadiusMm, innerRadiusMm, heightMm, species, of } = stashed;
    const ring = draft.rings[index]!;
    ring.making = {
      way: 'stock',
      item,
      name,
      outerRadiusMm,
      innerRadiusMm,
      heightMm,
      species: [...species],
      of,
    };
    ring.woods = keysFor(draft, species);
    ring.heightMm = heightMm;
    delete ring.fixed;
    delete ring.measured;
    delete ring.motif;
    return { note: say`Ring ${index + 1} is “${name}” from the stash now; undo puts it back.` };
  },
});

/** A slice by itself is a whole ring: in the stash it has left its glue-up. */
const alone = (slice: SawnMaking): SawnMaking =>
  wholeOf(slice) ?? (usualSegments(segmentsOf(slice)!) as SawnMaking);

/**
 * A ring of the piece as it would lie in the stash: with the sizes that it gives, as measured where it was, and its
 * species; null for one that cannot be made, or that comes from the stash.
 */
export function asStashed(
  project: Project,
  index: number,
  gives: { readonly outerRadiusMm: number; readonly innerRadiusMm: number },
  item: string,
  name: string,
): StashedRing | null {
  const { palette } = project;
  const ring = frozen(project)[index]!;
  if (ring.making.way === 'stock') return null;
  const wood = new Map(palette.map((entry) => [entry.key, entry.wood]));
  return {
    item,
    name,
    outerRadiusMm: gives.outerRadiusMm as StashedRing['outerRadiusMm'],
    innerRadiusMm: gives.innerRadiusMm as StashedRing['innerRadiusMm'],
    heightMm: ring.measured?.heightMm ?? ring.heightMm,
    species: ring.woods.map((key) => wood.get(key)!),
    of: bodyOf(ring.making) === null ? ring.making : alone(ring.making),
  };
}
