import type { Project, Ring } from './schema.js';

/** Longest name of a piece. */
const MOST_NAME = 80;

/**
 * A piece of its own with the same form, rings and woods. There is only one of each ring in the stash, so the copy plans
 * those anew: made as they were, of their sizes and woods.
 */
export const copyOf = (project: Project, name: string): Project => ({
  ...project,
  name: name.slice(0, MOST_NAME),
  rings: project.rings.map(anew),
});

/** How many rings of a piece come from the stash, and are planned anew in its copy. */
export const fromStash = ({ rings }: Pick<Project, 'rings'>): number =>
  rings.filter(({ making }) => making.way === 'stock').length;

function anew(ring: Ring): Ring {
  const { making } = ring;
  if (making.way !== 'stock') return ring;
  const { outerRadiusMm, innerRadiusMm, of } = making;
  return { ...ring, making: of, fixed: { outerRadiusMm, innerRadiusMm } };
}
