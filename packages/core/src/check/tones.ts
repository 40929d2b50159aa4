import { say } from '../measure/said.js';
import { motifOf } from '../pattern/motifs/registry.js';
import { hasTone } from '../pattern/tones.js';
import type { Check, Subject } from './check.js';

/** Motifs that speak of a tone which the palette does not have: another stands in, and two tones may look the same. */
export const toneChecks = ({ palette, motifs }: Subject): Check[] =>
  motifs.flatMap(({ use }): Check[] => {
    const missing = [...new Set(use.tones)].filter((tone) => !hasTone(palette, tone));
    if (missing.length === 0) return [];
    const which = missing.map((tone) => `“${tone}”`).join(' and ');
    return [
      {
        code: 'tone-missing',
        owners: [],
        message: say`The motif “${motifOf(use.kind)!.name}” speaks of ${which}, which no wood on the palette is; another wood stands in. Give a wood that tone, or the motif another one.`,
        remedies: [],
      },
    ];
  });
