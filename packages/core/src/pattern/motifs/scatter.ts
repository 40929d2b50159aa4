import { lots } from '../../measure/lots.js';
import type { Motif } from '../motif.js';

/** Length of the run of one tone that a place lies in, round the ring; undecided places end it. */
function runAt(tones: readonly (number | undefined)[], place: number): number {
  const n = tones.length;
  let run = 1;
  for (let i = 1; i < n && tones[(place + i) % n] === tones[place]; i++) run++;
  for (let i = 1; run < n && tones[(place - i + n) % n] === tones[place]; i++) run++;
  return run;
}

/** Drawn by lot, but with no longer runs than wanted. */
export const scatter: Motif = {
  kind: 'scatter',
  name: 'By lot',
  says: 'drawn by lot from a seed, with no runs longer than you allow',
  tones: { names: ['First', 'Next'], start: ['light', 'middle', 'dark'], least: 2, most: 8 },
  numbers: [
    { key: 'seed', label: 'Seed', least: 0, most: 99999, start: 1 },
    { key: 'run', label: 'Longest run', least: 1, most: 20, start: 2 },
  ],
  divides: ({ run }, tones) => (run === 1 && tones === 2 ? 2 : 1),
  ring: ({ row, middles }, { seed, run }, tones) => {
    const lot = lots(seed! * 7919 + row * 104_729);
    const drawn: (number | undefined)[] = middles.map(() => undefined);
    for (let place = 0; place < drawn.length; place++) {
      const first = Math.floor(lot() * tones);
      for (let i = 0; i < tones; i++) {
        drawn[place] = (first + i) % tones;
        if (runAt(drawn, place) <= run!) break;
      }
    }
    return drawn.map((tone) => tone ?? 0);
  },
};
