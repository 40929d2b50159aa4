import type { Figure } from '../wood/figure.js';

/** Where in its tree a piece of wood grew: a tree of nested, slightly wavy cones round a pith. Lengths in mm. */
export interface Growth {
  readonly figure: Figure;
  /** Where the pith lies, across and down from the middle of the piece. */
  readonly pithAcross: number;
  readonly pithUp: number;
  /** How much farther from the pith each mm along the grain lies. */
  readonly slope: number;
  /** Where the waves of the growth lines begin, radians. */
  readonly phase: number;
  /** How much lighter or darker the piece is than others of its wood. */
  readonly shade: number;
  /** How much of fibres and pores tells: less where points lie farther apart than these are thick. */
  readonly detail: number;
  readonly seed: number;
}

/** Pieces of one wood differ from each other by so much at most. */
const SHADE = 0.07;
/** Distance of the pith, mm: boards are sawn from trunks. */
const PITH = { least: 35, most: 130 };
const MOST_SLOPE = 0.06;
/** A fibre is so long and thick, and tells by so much, mm. */
const FIBRE = { long: 9, thick: 0.55, tells: 0.07 };
const PORES = {
  none: null,
  fine: { long: 2.2, thick: 0.34, share: 0.1, tells: 0.1 },
  coarse: { long: 5, thick: 0.45, share: 0.16, tells: 0.26 },
};
/** Early wood, in which large pores lie, is this share of a growth line. */
const EARLY = 0.45;
/** Late wood ends within this share of a growth line. */
const EDGE = 0.1;

/** A number of four whole ones, well mixed: 0 to 1. */
export function mixed(a: number, b: number, c: number, seed: number): number {
  let h = (Math.imul(a, 0x27d4eb2d) ^ Math.imul(b, 0x165667b1) ^ Math.imul(c, 0x9e3779b1) ^ seed) | 0;
  h = Math.imul(h ^ (h >>> 15), 0x85ebca6b);
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
  return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
}

/** The tree of a piece, looked at in points so far apart (mm): the same for the same seed. */
export function growthOf(figure: Figure, seed: number, apartMm = 0): Growth {
  const drawn = (n: number) => mixed(n, 0, 0, seed);
  const [away, direction] = [PITH.least + drawn(1) * (PITH.most - PITH.least), 2 * Math.PI * drawn(2)];
  return {
    figure,
    pithAcross: away * Math.cos(direction),
    pithUp: away * Math.sin(direction),
    slope: MOST_SLOPE * (2 * drawn(3) - 1),
    phase: 2 * Math.PI * drawn(4),
    shade: 1 + SHADE * (drawn(5) - 0.5),
    detail: Math.min(1, FIBRE.thick / Math.max(apartMm, 1e-9)),
    seed: Math.floor(0x7fffffff * drawn(6)),
  };
}

const STEPS = 1024;
const SINES = Float32Array.from({ length: STEPS }, (_, i) => Math.sin((2 * Math.PI * i) / STEPS));
/** The sine to a hundredth. */
const sine = (x: number): number => SINES[Math.floor((x * STEPS) / (2 * Math.PI)) & (STEPS - 1)]!;

/** Smoothly from one number to the next at every whole value of `x`. */
function alongNoise(x: number, b: number, c: number, seed: number): number {
  const whole = Math.floor(x);
  const part = x - whole;
  const share = part * part * (3 - 2 * part);
  return mixed(whole, b, c, seed) * (1 - share) + mixed(whole + 1, b, c, seed) * share;
}

/** The light that a point in a piece of wood keeps of its colour, about 0.3 to 1.1; mm along the grain and across it. */
export function lightAt(growth: Growth, along: number, across: number, up: number): number {
  const { figure, phase, seed } = growth;
  const { ringMm, contrast, pores } = figure;
  const [x, y] = [across - growth.pithAcross, up - growth.pithUp];
  // Asked for every point: as Math.hypot and Math.sin, quicker.
  const away = Math.sqrt(x * x + y * y) + growth.slope * along;
  const wave = 0.5 * sine(along / 31 + phase) + 0.25 * sine(along / 13 + away / 23 + 2 * phase);
  const years = away / ringMm + wave * Math.min(1, 3 / ringMm);
  // Some years are good, others lean.
  const year = years + 0.3 * sine(1.7 * years + phase) + 0.15 * sine(0.41 * years + 3 * phase);
  const since = year - Math.floor(year);
  const late = since * since * Math.min(1, (1 - since) / EDGE);
  let light = growth.shade * (1 - (contrast / 100) * late);
  const [row, layer] = [Math.floor(across / FIBRE.thick), Math.floor(up / FIBRE.thick)];
  light *= 1 + growth.detail * FIBRE.tells * (alongNoise(along / FIBRE.long, row, layer, seed) - 0.5);
  const pore = PORES[pores];
  if (pore && (pores === 'fine' || since < EARLY)) {
    const cell = mixed(
      Math.floor(along / pore.long + mixed(row, layer, 7, seed)),
      Math.floor(across / pore.thick),
      Math.floor(up / pore.thick),
      seed + 1,
    );
    if (cell < pore.share) light *= 1 - growth.detail * pore.tells;
  }
  return light;
}
