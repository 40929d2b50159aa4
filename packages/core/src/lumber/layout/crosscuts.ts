import { nextStep } from '../../measure/step.js';
import type { Shop } from '../../settings/shop.js';
import type { Section } from '../board.js';
import { type DemandKind, lengthOf, overheadOf } from './kinds.js';

/** A way to crosscut a board: for each of its clear parts the lengths that are cut off one after the other (mm); the rest follows them. */
export type Crosscut = readonly (readonly number[])[];

/** So many ways to crosscut a board are tried at most before any is looked for by price, and so many of all boards of a wood. */
const MOST_WAYS = 25;
const MOST_OF_A_WOOD = 75;
/** Lengths nearer than this are one (mm). */
const SAME_PART = 3;
/** Equal parts that a board is crosscut into at most. */
const MOST_PARTS = 5;
/** So many different lengths are tried as first parts, and so many of them in pairs. */
const FIRST_PARTS = 12;
const PAIRED = 3;

/**
 * Lengths that parts of a board might have: blocks, and strips that give all, half or a third of what is wanted of them; those
 * of the most wood first (mm).
 */
export function usefulParts(kinds: readonly DemandKind[], { lengthStepMm }: Shop): number[] {
  const parts = kinds.flatMap((kind) => {
    const overheadMm = overheadOf(kind) / 10;
    const counts = kind.pieces.map((piece) => ({
      length: lengthOf(kind, piece),
      count: piece.owners.reduce((sum, { count }) => sum + count, 0),
    }));
    const area = counts.reduce((sum, { length, count }) => sum + length * count, 0) * kind.widthMm;
    const shares = kind.what === 'block' ? counts.map(({ count }) => count) : [1, 2, 3];
    return shares.map((share) => ({
      area: area / share,
      lengthMm: nextStep(
        overheadMm +
          counts.reduce((sum, { length, count }) => sum + length * Math.ceil(count / share), 0) +
          0.2,
        lengthStepMm,
      ),
    }));
  });
  const lengths: number[] = [];
  for (const { lengthMm } of parts.sort((a, b) => b.area - a.area))
    if (!lengths.some((known) => Math.abs(known - lengthMm) < SAME_PART)) lengths.push(lengthMm);
  return lengths;
}

/** How many ways to crosscut each board are tried where there are so many sorts of boards. */
export const mostWays = (groups: number): number =>
  Math.max(1, Math.min(MOST_WAYS, Math.floor(MOST_OF_A_WOOD / Math.max(1, groups))));

/** Ways to crosscut the clear parts of a board that are tried in any case, at most so many; not at all comes first. */
export function crosscuts(
  sections: readonly Section[],
  useful: readonly number[],
  leastMm: number,
  { kerfMm, lengthStepMm }: Pick<Shop, 'kerfMm' | 'lengthStepMm'>,
  most = MOST_WAYS,
): Crosscut[] {
  const ways: Crosscut[] = [sections.map(() => [])];
  const add = (way: Crosscut) => {
    if (ways.length < most) ways.push(way);
  };
  const cutsOf = (way: Crosscut) => way.flat().length;
  for (let count = 2; count <= MOST_PARTS; count++) {
    const way = sections.map((section) => equalParts(section, count, leastMm, { kerfMm, lengthStepMm }));
    if (cutsOf(way) > cutsOf(ways.at(-1)!)) add(way);
  }
  const long = Math.max(0, ...sections.map(({ lengthMm }) => lengthMm));
  const longest = sections.findIndex(({ lengthMm }) => lengthMm === long);
  const cutInto = (firsts: readonly number[]) => {
    const way = sections.map((_, s) => (s === longest ? firsts : []));
    if (partsOf(sections, way, { kerfMm, lengthStepMm })) add(way);
  };
  const firsts = useful.filter((length) => length + kerfMm < long).slice(0, FIRST_PARTS);
  for (const first of firsts) cutInto([first]);
  firsts.slice(0, PAIRED).forEach((first, i) => {
    for (const second of firsts.slice(i, PAIRED)) cutInto([first, second]);
  });
  for (const first of firsts) cutInto([first, first]);
  return ways;
}

/** Lengths of equal parts of a section but for the last, no shorter than `leastMm`, on a step; fewer where it is too short for so many. */
function equalParts(
  section: Section,
  count: number,
  leastMm: number,
  { kerfMm, lengthStepMm }: Pick<Shop, 'kerfMm' | 'lengthStepMm'>,
): number[] {
  const fits = Math.max(1, Math.min(count, Math.floor((section.lengthMm + kerfMm) / (leastMm + kerfMm))));
  const each = stepped((section.lengthMm - (fits - 1) * kerfMm) / fits, lengthStepMm);
  return each > 0 ? Array.from({ length: fits - 1 }, () => each) : [];
}

/**
 * The parts that a way to crosscut makes of a board's clear parts, from left to right, all on full steps of lengths; nobody measures
 * the rest, and one that is no step long is none. Null where a clear part is too short for its cuts.
 */
export function partsOf(
  sections: readonly Section[],
  way: Crosscut,
  { kerfMm, lengthStepMm }: Pick<Shop, 'kerfMm' | 'lengthStepMm'>,
): Section[] | null {
  const parts: Section[] = [];
  for (const [s, section] of sections.entries()) {
    let at = section.xMm;
    const end = section.xMm + section.lengthMm;
    for (const asked of way[s] ?? []) {
      const lengthMm = stepped(asked, lengthStepMm);
      if (lengthMm <= 0) continue;
      parts.push({ ...section, xMm: at, lengthMm });
      at += lengthMm + kerfMm;
    }
    if (at >= end) return null;
    const rest = stepped(end - at, lengthStepMm);
    if (rest > 0) parts.push({ ...section, xMm: at, lengthMm: rest });
  }
  return parts;
}

/** The last full step within a length; the length itself where there are no steps. */
function stepped(lengthMm: number, stepMm: number): number {
  const step = Math.floor(lengthMm / stepMm + 1e-6) * stepMm;
  return Number.isFinite(step) ? Math.min(lengthMm, step) : lengthMm;
}
