/** A point of the middle of the tube in the plane of its curve, mm, and which way out is there. */
export interface Station {
  readonly x: number;
  readonly y: number;
  /** Direction away from the middle of the curve, radians. */
  readonly out: number;
}

/** A ring of the tube: from one face to the other. */
export interface Cell {
  readonly from: Station;
  readonly to: Station;
  readonly straight: boolean;
}

/** The middle of a bent tube: wedges round a curve; straight lengths between its halves, two of them where it is closed. */
export interface BentPath {
  readonly wedges: number;
  readonly curveMm: number;
  readonly sweepDeg: number;
  /** Length of a straight, and how many rings it is glued up from; none where it is left out. */
  readonly straight?: { readonly lengthMm: number; readonly rings: number } | undefined;
}

/**
 * The rings of a tube in their order. The first half of the wedges goes round the curve from direction 0; then comes the straight, along
 * the tangent there, and the second half; a closed tube comes back along a second straight. Its first half is moved by half
 * a straight, so that the middle of a link stays where it was.
 */
export function cellsOf({ wedges, curveMm, sweepDeg, straight }: BentPath): Cell[] {
  const angle = (sweepDeg * Math.PI) / 180 / wedges;
  const closed = sweepDeg === 360;
  const length = straight?.lengthMm ?? 0;
  const turn = (wedges * angle) / 2;
  const along = { x: -Math.sin(turn), y: Math.cos(turn) };
  // Seen from the middle: the first half goes back, the second on; of an open tube the first half stays.
  const share = (second: boolean) => (closed ? (second ? 0.5 : -0.5) : second ? 1 : 0) * length;
  const at = (direction: number, moved: number): Station => ({
    x: curveMm * Math.cos(direction) + along.x * moved,
    y: curveMm * Math.sin(direction) + along.y * moved,
    out: direction,
  });
  const bend = (first: number, last: number, second: boolean): Cell[] =>
    Array.from({ length: last - first }, (_, i) => ({
      from: at((first + i) * angle, share(second)),
      to: at((first + i + 1) * angle, share(second)),
      straight: false,
    }));
  if (!straight) return bend(0, wedges, false);
  const run = (direction: number, from: number, to: number): Cell[] =>
    Array.from({ length: straight.rings }, (_, i) => {
      const moved = (k: number) => from + ((to - from) * k) / straight.rings;
      return { from: at(direction, moved(i)), to: at(direction, moved(i + 1)), straight: true };
    });
  const half = wedges / 2;
  return [
    ...bend(0, half, false),
    ...run(half * angle, share(false), share(true)),
    ...bend(half, wedges, true),
    ...(closed ? run(0, share(true), share(false)) : []),
  ];
}

/** Steps in which the nearest points of two links are looked for. */
const STEPS = 720;

/**
 * Room between two alike links that stand square to each other, the second's middle `aside` along the first's length: least distance
 * of their middles less two tube radii; below 0 they run into each other. A link is two half circles and two straights.
 */
export function linkClearance(curveMm: number, tubeMm: number, asideMm: number, straightMm = 0): number {
  const half = straightMm / 2;
  /** Distance of a point from the first link, which lies in the plane z = 0, its length along x. */
  const away = (x: number, z: number): number => {
    const beyond = Math.max(0, Math.abs(x) - half);
    // The second link lies in the plane y = 0: within the straights it is a whole radius of the curve from them.
    const flat = Math.abs(x) <= half ? curveMm : Math.abs(beyond - curveMm);
    return Math.sqrt(flat * flat + z * z);
  };
  let least = Number.POSITIVE_INFINITY;
  for (let i = 0; i < STEPS; i++) {
    const angle = (2 * Math.PI * i) / STEPS;
    const end = Math.cos(angle) >= 0 ? half : -half;
    const [x, z] = [asideMm + end + curveMm * Math.cos(angle), curveMm * Math.sin(angle)];
    least = Math.min(least, away(x, z));
  }
  for (let i = 0; straightMm > 0 && i <= STEPS; i++) {
    const x = asideMm + straightMm * (i / STEPS - 0.5);
    least = Math.min(least, away(x, curveMm));
  }
  return least - 2 * tubeMm;
}

/** Whether two such links pass through each other at all: one end of the second lies within the first, one without. */
export const isLinked = (curveMm: number, asideMm: number, straightMm = 0): boolean =>
  asideMm > 0 && asideMm < 2 * curveMm + straightMm;

/** The least straight with which two neighbours go through one link side by side: its hole, 2(R − r) + L long, holds two tubes 2r thick. */
export const straightForTwo = (curveMm: number, tubeMm: number): number =>
  Math.max(0, 6 * tubeMm - 2 * curveMm);
