import { nextStep } from '../../measure/step.js';
import type { Shop } from '../../settings/shop.js';
import type { Section } from '../board.js';
import { type DemandKind, lengthOf, overheadOf } from './kinds.js';

/** So many ways to crosscut a board are tried at most. */
const MOST_WAYS = 25;
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

/** Ways to crosscut the clear parts of a board, each all its parts from left to right, on full steps of lengths; not at all comes first. */
export function crosscuts(
  sections: readonly Section[],
  useful: readonly number[],
  leastMm: number,
  { kerfMm, lengthStepMm }: Shop,
): Section[][] {
  const ways: Section[][] = [[...sections]];
  const add = (way: Section[]) => {
    if (ways.length < MOST_WAYS) ways.push(way);
  };
  for (let count = 2; count <= MOST_PARTS; count++) {
    const way = sections.flatMap((section) => equalParts(section, count, leastMm, { kerfMm, lengthStepMm }));
    if (way.length > ways.at(-1)!.length) add(way);
  }
  const longest = sections.reduce((a, b) => (b.lengthMm > a.lengthMm ? b : a), sections[0]!);
  const others = sections.filter((section) => section !== longest);
  const cutInto = (firsts: readonly number[]) => {
    const parts = partsOf(longest, firsts, kerfMm);
    if (parts) add([...parts, ...others]);
  };
  const onSteps = () => ways.map((parts) => parts.flatMap((part) => onStep(part, lengthStepMm)));
  if (!longest) return onSteps();
  const firsts = useful.filter((length) => length + kerfMm < longest.lengthMm).slice(0, FIRST_PARTS);
  for (const first of firsts) cutInto([first]);
  firsts.slice(0, PAIRED).forEach((first, i) => {
    for (const second of firsts.slice(i, PAIRED)) cutInto([first, second]);
  });
  for (const first of firsts) cutInto([first, first]);
  return onSteps();
}

/** A part cut off at the last full step of lengths within it; nobody measures the rest, and one that is no step long is none. */
function onStep(part: Section, stepMm: number): Section[] {
  const stepped = Math.floor(part.lengthMm / stepMm + 1e-6) * stepMm;
  if (!Number.isFinite(stepped)) return [part];
  return stepped > 0 ? [{ ...part, lengthMm: Math.min(part.lengthMm, stepped) }] : [];
}

/** A section in equal parts on a step, no shorter than `leastMm`; fewer where it is too short for so many. */
function equalParts(
  section: Section,
  count: number,
  leastMm: number,
  { kerfMm, lengthStepMm }: Pick<Shop, 'kerfMm' | 'lengthStepMm'>,
): Section[] {
  const fits = Math.max(1, Math.min(count, Math.floor((section.lengthMm + kerfMm) / (leastMm + kerfMm))));
  const each = { ...section, lengthMm: (section.lengthMm - (fits - 1) * kerfMm) / fits };
  return onStep(each, lengthStepMm).flatMap((part) =>
    Array.from({ length: fits }, (_, i) => ({ ...part, xMm: section.xMm + i * (part.lengthMm + kerfMm) })),
  );
}

/** A section with parts of given lengths cut off one after the other, and the rest; null where it is too short. */
function partsOf(section: Section, lengths: readonly number[], kerfMm: number): Section[] | null {
  let at = section.xMm;
  const end = section.xMm + section.lengthMm;
  const parts = lengths.map((lengthMm): Section => {
    const part = { ...section, xMm: at, lengthMm };
    at += lengthMm + kerfMm;
    return part;
  });
  return at >= end ? null : [...parts, { ...section, xMm: at, lengthMm: end - at }];
}
