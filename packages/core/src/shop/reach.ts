import type { Tools } from '../settings/workshop.js';
import { type Cavity, type Hidden, hiddenWhere, insideUp, type Look } from './cavity.js';

/** A tool that goes in at the mouth: its shaft, how far beyond the rest it may stand out, and how far its end sweeps to the side; mm. */
export interface Tool {
  readonly shaftMm: number;
  readonly overhangMm: number;
  /** 0 for a straight one. */
  readonly sweepMm: number;
}

/** Steepest that a tool is held to the axis: a working value of this project. */
const MOST_TILT = Math.tan(Math.PI / 4);

/** Less than this is what computing leaves behind. */
const NOTHING = 1e-9;

/** A function at a place: its value and its slope. */
interface Tangent {
  readonly at: number;
  readonly value: number;
  readonly slope: number;
}

/**
 * Whether a concave function is nothing or more anywhere from one place to another. Where the tangents at both ends meet it is
 * looked at next; more than they have there it has nowhere between (Kelley, The cutting-plane method, 1960).
 */
function isEverMore(tangentAt: (at: number) => Tangent, from: number, to: number): boolean {
  let [left, right] = [tangentAt(from), tangentAt(to)];
  if (Math.max(left.value, right.value) >= -NOTHING) return true;
  while (left.slope > 0 && right.slope < 0) {
    const at =
      (left.value - left.slope * left.at - right.value + right.slope * right.at) / (right.slope - left.slope);
    // Between the two, or there is nothing left to look through.
    if (!(at > left.at && at < right.at)) return false;
    if (left.value + left.slope * (at - left.at) < -NOTHING) return false;
    const met = tangentAt(at);
    if (met.value >= -NOTHING) return true;
    if (met.slope > 0) left = met;
    else right = met;
  }
  return false;
}

/**
 * Whether a tool gets at the inside at a height from the mouth of the moment. In the half-section its shaft is a line that ends the shaft's
 * radius ρ within the wall, or up to its sweep farther in; it has to keep ρ clear of the inside, on either side of the axis, at every
 * height up to the mouth, to lean no more than 45° and to be no longer than its overhang. All are straight limits on where the line
 * ends and how it leans, so that how far its lean may vary is a concave function of where it ends.
 */
export function toolReaches(cavity: Cavity, atMm: number, mouthMm: number, tool: Tool): boolean {
  const rho = tool.shaftMm / 2;
  const inside = insideUp(cavity, atMm, mouthMm);
  const [first] = inside;
  const deep = mouthMm - atMm;
  if (!first || deep > tool.overhangMm) return false;
  // The end itself may lie in a bottom that is narrower than the shaft.
  const roomOf = ({ z, r }: Look) => (z - atMm <= tool.shaftMm ? Math.max(0, r - rho) : r - rho);
  const limits = inside
    .filter(({ z }) => z > atMm)
    .map((look) => ({ up: look.z - atMm, room: roomOf(look) }));
  const tilt = deep > 0 ? Math.min(MOST_TILT, Math.sqrt((tool.overhangMm / deep) ** 2 - 1)) : MOST_TILT;
  /** How far the lean (a tangent) may vary of a line that ends there; less than nothing where it cannot pass. */
  const variesAt = (end: number): Tangent => {
    let [least, leastSlope, most, mostSlope] = [-tilt, 0, tilt, 0];
    for (const { up, room } of limits) {
      const [low, high] = [(-room - end) / up, (room - end) / up];
      if (low > least) [least, leastSlope] = [low, -1 / up];
      if (high < most) [most, mostSlope] = [high, -1 / up];
    }
    return { at: end, value: most - least, slope: mostSlope - leastSlope };
  };
  const wall = roomOf(first);
  return isEverMore(variesAt, Math.max(-wall, wall - tool.sweepMm), wall);
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
