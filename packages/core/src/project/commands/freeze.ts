import { current } from 'immer';
import { say } from '../../measure/said.js';
import { motifOf } from '../../pattern/motifs/registry.js';
import { frozen } from '../frozen.js';
import type { Project } from '../schema.js';
import type { Outcome } from './command.js';
import type { Rings } from './each.js';

/** Turns motifs into painted places, as they show. */
export function freeze(draft: Project, ids: ReadonlySet<string>): void {
  const shown = frozen(current(draft as object) as Project);
  draft.rings.forEach((ring, i) => {
    if (ring.motif === undefined || !ids.has(ring.motif)) return;
    ring.woods = [...shown[i]!.woods];
    delete ring.motif;
  });
  draft.motifs = draft.motifs.filter(({ id }) => !ids.has(id));
}

/** Before rings are painted over: motifs that lie on any of them become painted places; says so. */
export function freezeUnder(draft: Project, rings: Rings): Outcome | undefined {
  const ids = new Set(rings.flatMap((index) => draft.rings[index]?.motif ?? []));
  if (ids.size === 0) return undefined;
  const names = draft.motifs.filter(({ id }) => ids.has(id)).map(({ use }) => motifOf(use.kind)!.name);
  freeze(draft, ids);
  return {
    note: say`${names.join(' and ')} ${ids.size === 1 ? 'is' : 'are'} painted places now and no longer ${ids.size === 1 ? 'follows' : 'follow'} changes; undo brings ${ids.size === 1 ? 'it' : 'them'} back.`,
  };
}
