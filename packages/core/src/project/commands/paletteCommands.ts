import { say } from '../../measure/said.js';
import type { Tone } from '../../pattern/tones.js';
import { frozen } from '../frozen.js';
import type { Project } from '../schema.js';
import type { Command } from './command.js';

/** The whole piece as it was at another time: an earlier version taken back. */
export const becomes = (earlier: Project, label: string): Command => ({
  label: label.slice(0, 120),
  apply(draft) {
    for (const key of Object.keys(draft) as (keyof Project)[]) if (!(key in earlier)) delete draft[key];
    Object.assign(draft, structuredCopy(earlier));
    return undefined;
  },
});

const structuredCopy = (project: Project): Project => JSON.parse(JSON.stringify(project)) as Project;

export const rename = (name: string): Command => ({
  label: 'Name',
  apply(draft) {
    draft.name = name.trim();
    return undefined;
  },
});

/** Gives a palette entry another wood: everything painted with it changes, but for rings from the stash. */
export const setPaletteWood = (key: string, wood: string): Command => ({
  label: 'Swap a wood',
  apply({ palette, rings }) {
    const entry = palette.find((other) => other.key === key);
    if (!entry) return undefined;
    const stashed = rings.filter(({ making, woods }) => making.way === 'stock' && woods.includes(key));
    if (stashed.length > 0) {
      const kept = freshKey(palette, entry.wood);
      palette.push({ ...entry, key: kept });
      for (const ring of stashed) ring.woods = ring.woods.map((other) => (other === key ? kept : other));
    }
    entry.wood = wood;
    return undefined;
  },
});

/** Which tone motifs take a palette entry for. */
export const setTone = (key: string, tone: Tone): Command => ({
  label: `Tone of a wood: ${tone}`,
  apply({ palette }) {
    const entry = palette.find((other) => other.key === key);
    if (entry) entry.tone = tone;
    return undefined;
  },
});

export function freshKey(palette: Project['palette'], wood: string): string {
  const taken = new Set(palette.map((entry) => entry.key));
  const stem = wood.slice(0, 20);
  if (!taken.has(stem)) return stem;
  for (let n = 2; ; n++) if (!taken.has(`${stem}-${n}`)) return `${stem}-${n}`;
}

/** A further wood on the palette. */
export const addPaletteWood = (wood: string, tone: Tone): Command => ({
  label: 'Add a wood',
  apply({ palette }) {
    palette.push({ key: freshKey(palette, wood), tone, wood });
    return undefined;
  },
});

/** Takes a wood off the palette; refused while a place shows it. */
export const removePaletteWood = (key: string): Command => ({
  label: 'Remove a wood',
  apply(draft) {
    const shown = frozen(draft);
    const ring = draft.rings.findIndex(
      ({ woods }, i) => woods.includes(key) || shown[i]!.woods.includes(key),
    );
    if (ring >= 0)
      return {
        reasons: [
          {
            code: 'wood-in-use',
            path: 'palette',
            message: say`The wood “${key}” is used in ring ${ring + 1}; paint over it first.`,
          },
        ],
      };
    draft.palette = draft.palette.filter((entry) => entry.key !== key);
    return undefined;
  },
});
