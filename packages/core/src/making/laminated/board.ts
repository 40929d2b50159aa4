/** A hair that a length may miss by (mm). */
const HAIR = 1e-6;

/** Slices cut across a board. Lengths in mm, the angle from square in radians. */
export interface Slices {
  readonly count: number;
  /** Of a slice, square to its cuts. */
  readonly widthMm: number;
  readonly angle: number;
  readonly kerfMm: number;
  /** Thickness of the board, all layers. */
  readonly boardMm: number;
  /** Whether the two end cuts take a whole kerf each. */
  readonly wholeEnds: boolean;
  /** Not used at either end. */
  readonly endWasteMm: number;
  /** Whether the two ends that are left of every board are glued into slices too. */
  readonly endsGlued: boolean;
}

/**
 * Slices that the two ends of a sliced board give: three-cornered, with legs H and H·tan α, and glued together by the
 * square ones, layers in line, a board `H·sin α` wide between its cut faces.
 */
export const slicesFromEnds = ({ widthMm, kerfMm, boardMm, angle }: Slices): number =>
  angle === 0 ? 0 : Math.max(0, Math.floor((boardMm * Math.sin(angle) + kerfMm + HAIR) / (widthMm + kerfMm)));

/** Slices of every board that are glued from its ends. */
const glued = (slices: Slices): number => (slices.endsGlued ? slicesFromEnds(slices) : 0);

/** What a slice and the cut after it take along the board: (p + k) / cos α. */
export const slicePitch = ({ widthMm, kerfMm, angle }: Slices): number =>
  (widthMm + kerfMm) / Math.cos(angle);

/** What a board loses once, whatever is cut from it: the slope of the cuts, its end cuts, the waste at its ends. */
const onceABoard = ({ boardMm, angle, kerfMm, wholeEnds, endWasteMm }: Slices): number =>
  boardMm * Math.tan(angle) + (wholeEnds ? (2 * kerfMm) / Math.cos(angle) : 0) + 2 * endWasteMm;

/**
 * Least length of a board that gives so many slices: `(n·p + (n − 1)·k)/cos α + H·tan α`, end cuts and end waste on top.
 * Derived in docs/how-it-computes.md, “Laminated boards”. 0 for none. At least one is cut before there are ends to be glued.
 */
export function boardLength(slices: Slices, count: number = slices.count): number {
  if (count === 0) return 0;
  const cut = Math.max(1, count - glued(slices));
  return cut * slicePitch(slices) - slices.kerfMm / Math.cos(slices.angle) + onceABoard(slices);
}

/** How many slices a board of a length gives. */
export function slicesFrom(slices: Slices, lengthMm: number): number {
  const room = lengthMm + HAIR - onceABoard(slices) + slices.kerfMm / Math.cos(slices.angle);
  const cut = Math.max(0, Math.floor(room / slicePitch(slices)));
  return cut === 0 ? 0 : cut + glued(slices);
}

/** A board that is glued up: how many slices come from it, and its least length. */
export interface Board {
  readonly slices: number;
  readonly lengthMm: number;
}

/** As few boards no longer than a length as give all slices, nearly alike; none where one does not even give one. */
export function boardsFor(slices: Slices, longestMm: number): readonly Board[] | null {
  const most = slicesFrom(slices, longestMm);
  if (most < 1) return null;
  const boards = Math.ceil(slices.count / most);
  return Array.from({ length: boards }, (_, i): Board => {
    const count = Math.floor((slices.count + boards - 1 - i) / boards);
    return { slices: count, lengthMm: boardLength(slices, count) };
  });
}
