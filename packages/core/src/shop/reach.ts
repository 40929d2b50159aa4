import type { Tools } from '../settings/workshop.js';
import { type Cavity, type Hidden, hiddenWhere, insideUp } from './cavity.js';

/** A tool that goes in at the mouth: its shaft, how far beyond the rest it may stand out, and how far its end sweeps to the side; mm. */
export interface Tool {
  readonly shaftMm: number;
  readonly overhangMm: number;
  /** 0 for a straight one. */
  readonly sweepMm: number;
}

/** Steepest that a tool is held to the axis: a working value of this project. */
const MOST_TILT = Math.tan(Math.PI / 4);
/** How far the lean of a shaft may vary (a tangent; less than nothing where it cannot pass) when it ends somewhere (mm), and its slope there. */
interface Varies {
  readonly end: number;
  readonly by: number;
  readonly slope: number;
}
/** Less than this is what computing leaves behind. */
const NOTHING = 1e-9;

/**
 * Whether a tool gets at the inside at a height from the mouth of the moment. In the half-section its shaft is a line that ends the shaft's
 * radius ρ within the wall, or up to its sweep farther in; it has to keep ρ clear of the inside, on either side of the axis, at every
 * height up to the mouth, to lean no more than 45° and to be no longer than its overhang. All are straight limits on where the line
 * ends and how it leans: how far the lean may vary is a concave function of where it ends, made of straight parts. Its greatest is
 * looked for where the lines that lie on it at either end meet, which is also more than which it cannot be (Kelley, The cutting-plane
 * method, 1960).
 */
export function toolReaches(cavity: Cavity, atMm: number, mouthMm: number, tool: Tool): boolean {
  const rho = tool.shaftMm / 2;
  const up = insideUp(cavity, atMm, mouthMm);
  const [first] = up;
  if (!first) return false;
  const deep = mouthMm - atMm;
  if (deep > tool.overhangMm) return false;
  // The end itself may lie in a bottom that is narrower than the shaft.
  const roomOf = ({ z, r }: { readonly z: number; readonly r: number }) =>
    z - atMm <= tool.shaftMm ? Math.max(0, r - rho) : r - rho;
  const tilt = deep > 0 ? Math.min(MOST_TILT, Math.sqrt((tool.overhangMm / deep) ** 2 - 1)) : MOST_TILT;
  const above = up.filter(({ z }) => z > atMm).map((look) => ({ up: look.z - atMm, room: roomOf(look) }));
  /** How far the lean may vary for a line that ends there, and how that changes with where it ends. */
  const varies = (end: number): Varies => {
    let [least, most, leastSlope, mostSlope] = [-tilt, tilt, 0, 0];
    for (const { up, room } of above) {
      const [low, high] = [(-room - end) / up, (room - end) / up];
      if (high < most) [most, mostSlope] = [high, -1 / up];
      if (low > least) [least, leastSlope] = [low, -1 / up];
    }
    return { end, by: most - least, slope: mostSlope - leastSlope };
  };
  const wall = roomOf(first);
  let [left, right] = [varies(Math.max(-wall, wall - tool.sweepMm)), varies(wall)];
  for (const { by } of [left, right]) if (by >= -NOTHING) return true;
  while (left.slope > 0 && right.slope < 0) {
    const end =
      (left.by - left.slope * left.end - right.by + right.slope * right.end) / (right.slope - left.slope);
    // Between the two, or there is nothing left to look through.
    if (!(end > left.end && end < right.end)) return false;
    if (left.by + left.slope * (end - left.end) < -NOTHING) return false;
    const met = varies(end);
    if (met.by >= -NOTHING) return true;
    if (met.slope > 0) left = met;
    else right = met;
  }
  return false;
}

/** Legs of callipers are as thick as this (mm; 1/4 in: a working value). */
const LEG = 25.4 / 4;

/** The inner leg of wall callipers as a tool that goes in at the mouth. */
export const calliperLeg = ({
  calliperDeepMm,
  calliperBowMm,
}: Pick<Tools, 'calliperDeepMm' | 'calliperBowMm'>): Tool => ({
  shaftMm: LEG,
  overhangMm: calliperDeepMm,
  sweepMm: calliperBowMm,
});

/** What a hand needs: least opening and greatest depth, mm, for a hand with paper and for fingers alone. */
export type Hands = Pick<Tools, 'handOpenMm' | 'handDeepMm' | 'fingersOpenMm' | 'fingersDeepMm'>;

/** Whether a hand with paper gets at the inside at a height, or fingers alone. */
export function handReaches(
  cavity: Cavity,
  atMm: number,
  mouthMm: number,
  { handOpenMm, handDeepMm, fingersOpenMm, fingersDeepMm }: Hands,
): 'hand' | 'fingers' | 'none' {
  const open = (from: number) => 2 * Math.min(...insideUp(cavity, from, mouthMm).map(({ r }) => r));
  // What is being sanded may be narrow itself, as the bottom is: what the hand goes through counts.
  const through = Math.max(open(atMm), open(Math.min(mouthMm, atMm + handOpenMm / 2)));
  const deep = mouthMm - atMm;
  if (through >= handOpenMm && deep <= handDeepMm) return 'hand';
  return through >= fingersOpenMm && deep <= fingersDeepMm ? 'fingers' : 'none';
}

/** What of the inside a tool does not get at from a mouth: stretches from the floor up, to a millimetre. */
export const hiddenFrom = (cavity: Cavity, mouthMm: number, tool: Tool): Hidden[] =>
  hiddenWhere(cavity, mouthMm, (z) => !toolReaches(cavity, z, mouthMm, tool));

/** What of the inside neither a hand nor fingers with paper get at. */
export const hiddenFromHands = (cavity: Cavity, mouthMm: number, hands: Hands): Hidden[] =>
  hiddenWhere(cavity, mouthMm, (z) => handReaches(cavity, z, mouthMm, hands) === 'none');
