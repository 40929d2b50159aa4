import { insideAt, type Vessel } from '../form/vessel.js';

/** A tool that goes in at the mouth: its shaft, how far beyond the rest it may stand out, and how far its end sweeps to the side; mm. */
export interface Tool {
  readonly shaftMm: number;
  readonly overhangMm: number;
  /** 0 for a straight one. */
  readonly sweepMm: number;
}

/** Steepest that a tool is held to the axis: a working value of this project. */
const MOST_TILT = Math.tan(Math.PI / 4);
/** A hand that sands, and fingers: least opening and greatest depth, mm (3 in and a forearm; 1 1/4 in and 4 in: common practice). */
const HAND = { openMm: 75, deepMm: 350 } as const;
const FINGERS = { openMm: 1.25 * 25.4, deepMm: 4 * 25.4 } as const;

/** Heights that the inside is looked at, at most this far from each other (mm). */
const LOOK = 1;

/** Inside radii from a height up to the mouth, lowest first. */
function insideUp(
  vessel: Vessel,
  fromMm: number,
  mouthMm: number,
): { readonly z: number; readonly r: number }[] {
  const looks = Math.max(1, Math.ceil((mouthMm - fromMm) / LOOK));
  return Array.from({ length: looks + 1 }, (_, i) => fromMm + (i / looks) * (mouthMm - fromMm)).flatMap(
    (z) => {
      const r = insideAt(vessel, z);
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
export function toolReaches(vessel: Vessel, atMm: number, mouthMm: number, tool: Tool): boolean {
  const rho = tool.shaftMm / 2;
  const up = insideUp(vessel, atMm, mouthMm);
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

/** Whether a hand with paper gets at the inside at a height, or fingers alone. */
export function handReaches(vessel: Vessel, atMm: number, mouthMm: number): 'hand' | 'fingers' | 'none' {
  const open = 2 * Math.min(...insideUp(vessel, atMm, mouthMm).map(({ r }) => r));
  // What is being sanded may be narrow itself, as the bottom is: what the hand goes through counts.
  const through =
    2 * Math.min(...insideUp(vessel, Math.min(mouthMm, atMm + HAND.openMm / 2), mouthMm).map(({ r }) => r));
  const deep = mouthMm - atMm;
  if (Math.max(open, through) >= HAND.openMm && deep <= HAND.deepMm) return 'hand';
  if (Math.max(open, through) >= FINGERS.openMm && deep <= FINGERS.deepMm) return 'fingers';
  return 'none';
}

/** A stretch of the inside, mm. */
export interface Hidden {
  readonly fromMm: number;
  readonly toMm: number;
}

/** What of the inside a tool does not get at from a mouth: stretches from the floor up, to a millimetre. */
export const hiddenFrom = (vessel: Vessel, mouthMm: number, tool: Tool): Hidden[] =>
  stretchesWhere(vessel, mouthMm, (z) => !toolReaches(vessel, z, mouthMm, tool));

/** What of the inside neither a hand nor fingers with paper get at. */
export const hiddenFromHands = (vessel: Vessel, mouthMm: number): Hidden[] =>
  stretchesWhere(vessel, mouthMm, (z) => handReaches(vessel, z, mouthMm) === 'none');

function stretchesWhere(vessel: Vessel, mouthMm: number, isHidden: (z: number) => boolean): Hidden[] {
  const hidden: { fromMm: number; toMm: number }[] = [];
  const [from, to] = [vessel.hollowFromMm, Math.min(mouthMm, vessel.hollowToMm)];
  if (vessel.inside === null || to <= from) return [];
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
