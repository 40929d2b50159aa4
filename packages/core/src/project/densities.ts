import { density, type Species } from '../wood/species.js';
import type { Project } from './schema.js';

/** Density of the wood behind a palette key, kg/m³; 0 of one that is not known. */
export function densitiesOf(
  { palette }: Pick<Project, 'palette'>,
  woods: readonly Species[],
): (key: string | undefined) => number {
  const of = new Map(
    palette.flatMap(({ key, wood }) => {
      const species = woods.find(({ id }) => id === wood);
      return species ? [[key, density(species)] as const] : [];
    }),
  );
  return (key) => of.get(key ?? '') ?? 0;
}
