import { insideAt, type Vessel } from '../form/vessel.js';
import type { Tools } from '../settings/workshop.js';

/** A tool that goes in at the mouth: its shaft, how far beyond the rest it may stand out, and how far its end sweeps to the side; mm. */
export interface Tool {
  readonly shaftMm: number;
  readonly overhangMm: number;
  /** 0 for a straight one. */
  readonly sweepMm: number;
}

/** Steepest that a tool is held to the axis: a working value of this project. */
const MOST_TILT = Math.tan(Math.PI / 4);
/** A hollow as it stands while it is worked at: its radius at a height, null where it is solid, and where it begins and ends; mm. */
export interface Cavity {
  at(z: number): number | null;
  readonly fromMm: number;
  readonly toMm: number;
}

/** The hollow of a form; empty where it is solid. */
export const cavityOf = (vessel: Vessel): Cavity => ({
  at: (z) => insideAt(vessel, z),
  fromMm: vessel.hollowFromMm,
  toMm: vessel.hollowToMm,
});

/** The same from the other end, as the upper part of a piece hangs on its own plate; heights from its top. */
export const upsideDown = ({ at, fromMm, toMm }: Cavity, heightMm: number): Cavity => ({
  at: (z) => at(heightMm - z),
  fromMm: heightMm - toMm,
  toMm: heightMm - fromMm,
});

/** Heights that the inside is looked at, at most this far from each other (mm). */
const LOOK = 1;

/** Inside radii from a height up to the mouth, lowest first. */
function insideUp(
  cavity: Cavity,
  fromMm: number,
  mouthMm: number,
): { readonly z: number; readonly r: number }[] {
  const looks = Math.max(1, Math.ceil((mouthMm - fromMm) / LOOK));
  return Array.from({ length: looks + 1 }, (_, i) => fromMm + (i / looks) * (mouthMm - fromMm)).flatMap(
    (z) => {
      const r = cavity.at(z);
      return r === null ? [] : [{ z, r }];
    },
  );
}

/**
 * Whether a tool gets at the inside at a height from the mouth of the moment. In the half-section its shaft is a line that ends the shaft's
 * radius ρ within the wall, or up to its sweep farther in; it has to keep ρ clear of the inside, on either side of the axis, at every
 * height up to the mouth, to lean no more than 45° and to be no longer than its overhang. All are straight limits on where the line
 * ends and how it leans, so that the room left is greatest at one place, which is looked for by thirds.
 */
export function toolReaches(cavity: Cavity, atMm: number, mouthMm: number, tool: Tool): boolean {
  const rho = tool.shaftMm / 2;
  const up = insideUp(cavity, atMm, mouthMm);
  const [first] = up;
  const above = up.filter(({ z }) => z > atMm);
  if (!first) return false;
  const deep = mouthMm - atMm;
  if (deep > tool.overhangMm) return false;
  // The end itself may lie in a bottom that is narrower than the shaft.
  const room = ({ z, r }: { readonly z: number; readonly r: number }) =>
    z - atMm <= tool.shaftMm ? Math.max(0, r - rho) : r - rho;
  const tilt = deep > 0 ? Math.min(MOST_TILT, Math.sqrt((tool.overhangMm / deep) ** 2 - 1)) : MOST_TILT;
  const roomAt = (end: number): number => {
    let [least, most] = [-tilt, tilt];
    for (const look of above) {
      most = Math.min(most, (room(look) - end) / (look.z - atMm));
      least = Math.max(least, (-room(look) - end) / (look.z - atMm));
    }
    return most - least;
  };
  const wall = room(first);
  let [from, to] = [Math.max(-wall, wall - tool.sweepMm), wall];
  for (let i = 0; i < 60 && to - from > 1e-9; i++) {
    const [a, b] = [from + (to - from) / 3, to - (to - from) / 3];
    if (roomAt(a) < roomAt(b)) from = a;
    else to = b;
  }
  return Math.max(roomAt(from), roomAt(to), roomAt((from + to) / 2)) >= -1e-9;
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

/** A stretch of the inside, mm. */
export interface Hidden {
  readonly fromMm: number;
  readonly toMm: number;
}

/** What of the inside a tool does not get at from a mouth: stretches from the floor up, to a millimetre. */
export const hiddenFrom = (cavity: Cavity, mouthMm: number, tool: Tool): Hidden[] =>
  hiddenWhere(cavity, mouthMm, (z) => !toolReaches(cavity, z, mouthMm, tool));

/** What of the inside neither a hand nor fingers with paper get at. */
export const hiddenFromHands = (cavity: Cavity, mouthMm: number, hands: Hands): Hidden[] =>
  hiddenWhere(cavity, mouthMm, (z) => handReaches(cavity, z, mouthMm, hands) === 'none');

/** Stretches of the inside below a mouth that are hidden, looked at every millimetre. */
export function hiddenWhere(cavity: Cavity, mouthMm: number, isHidden: (z: number) => boolean): Hidden[] {
  const hidden: { fromMm: number; toMm: number }[] = [];
  const [from, to] = [cavity.fromMm, Math.min(mouthMm, cavity.toMm)];
  if (to <= from) return [];
  const looks = Math.max(1, Math.ceil((to - from) / LOOK));
  for (let i = 0; i <= looks; i++) {
    const z = from + (i / looks) * (to - from);
    if (!isHidden(z)) continue;
    const last = hidden.at(-1);
    if (last && z - last.toMm <= (1.01 * (to - from)) / looks) last.toMm = z;
    else hidden.push({ fromMm: z, toMm: z });
  }
  return hidden;
}
