import { prepare } from './prepare.js';
import type { Project, Ring } from './schema.js';

/** The rings with the woods that show written down as painted places, and no motif; as they are where the form cannot be. */
export function frozen(project: Project): Ring[] {
  if (project.motifs.length === 0) return project.rings;
  const prepared = prepare(project);
  if (!prepared.ok) return project.rings;
  return prepared.value.rings.map(({ ring: { motif: _, ...ring } }) => ring);
}
