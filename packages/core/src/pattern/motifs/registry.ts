import type { Motif } from '../motif.js';
import { basket } from './basket.js';
import { blocks } from './blocks.js';
import { bricks } from './bricks.js';
import { chequer } from './chequer.js';
import { diamonds, lozenges } from './diamonds.js';
import { gradient } from './gradient.js';
import { halfAndHalf } from './halves.js';
import { honeycomb } from './honeycomb.js';
import { key } from './key.js';
import { panels } from './panels.js';
import { scatter } from './scatter.js';
import { spiral } from './spiral.js';
import { steps } from './steps.js';
import { stripes } from './stripes.js';
import { waves, zigzag } from './zigzag.js';

/** Every motif there is; the only list of them. */
export const MOTIFS: readonly Motif[] = [
  stripes,
  chequer,
  spiral,
  zigzag,
  waves,
  steps,
  diamonds,
  lozenges,
  key,
  blocks,
  basket,
  honeycomb,
  bricks,
  gradient,
  scatter,
  halfAndHalf,
  panels,
];

const byKind = new Map(MOTIFS.map((motif) => [motif.kind, motif]));

/** The motif of a kind; undefined where there is none. */
export const motifOf = (kind: string): Motif | undefined => byKind.get(kind);
