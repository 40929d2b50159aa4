import { type Point, polar } from '../ring/plane.js';
import { type Border, betweenDirections, bordersRound, type WallRing } from './borders.js';
import { frameOf } from './frame.js';
import { type Within, withinOf } from './quad.js';

/** Where a border lies in a ring: as far round as drawn, and in which unit, at turn 0; no unit where the ring is as one. */
export interface Side {
  readonly unit: number;
  readonly within: Within;
  /** As drawn, turned as the ring is. */
  readonly at: Point;
}

/** A border between woods on the turned outside that runs on from a ring to the one above it. */
export interface LineOver {
  /** Borders of one number run on into each other over several rings. */
  readonly line: number;
  /** The lower ring. */
  readonly ring: number;
  readonly lower: Side;
  readonly upper: Side;
  /** Of the narrowest stripe beside it, mm. */
  readonly widthMm: number;
}

/** Borders nearer to each other run on (mm): nobody draws a step as small. */
const RUNS_ON = 0.25;
/** So does a stripe of one wood that goes aside by less than this share of its width from ring to ring, as in a twist. */
const GOES_ASIDE = 0.35;
/** Above its bottom and below its top a ring is looked at so near to its faces (share of its height). */
const AT_FACE = 1e-6;

/** All borders that run on, from the bottom up. */
export function linesOver(rings: readonly (WallRing | null)[]): LineOver[] {
  const lines: LineOver[] = [];
  const known = new Map<string, number>();
  let count = 0;
  rings.forEach((below, ring) => {
    const above = rings[ring + 1];
    const radius = below?.topRadiusMm ?? 0;
    if (!below || !above || radius <= 0) return;
    const low = bordersRound(below, radius, below.made.heightMm * (1 - AT_FACE));
    const high = bordersRound(above, radius, above.made.heightMm * AT_FACE);
    for (const border of low) {
      const mate = nearestMate(border, high, radius);
      if (!mate) continue;
      const line = known.get(nameOf(ring, border)) ?? count++;
      known.set(nameOf(ring + 1, mate), line);
      lines.push({
        line,
        ring,
        lower: sideOf(below, border, radius),
        upper: sideOf(above, mate, radius),
        widthMm: radius * Math.min(border.width, mate.width),
      });
    }
  });
  return lines;
}

const nameOf = (ring: number, { before, after }: Border): string => `${ring} ${before} ${after}`;

/** The border above that this one runs on into; undefined where it ends here. */
function nearestMate(border: Border, above: readonly Border[], radius: number): Border | undefined {
  const off = (mate: Border) => radius * betweenDirections(mate.at, border.at);
  const alike = (mate: Border) =>
    mate.woodBefore === border.woodBefore && mate.woodAfter === border.woodAfter;
  const near = above.filter(
    (mate) =>
      off(mate) < RUNS_ON ||
      (alike(mate) && off(mate) < GOES_ASIDE * radius * Math.min(mate.width, border.width)),
  );
  return near.reduce<Border | undefined>(
    (best, mate) => (best && off(best) <= off(mate) ? best : mate),
    undefined,
  );
}

/** The border belongs to the narrower stripe beside it: that is what the eye follows. */
function sideOf({ made, turn }: WallRing, border: Border, radius: number): Side {
  const frame = frameOf(made);
  const unit = frame?.unitOf[border.narrower] ?? -1;
  return {
    unit,
    within:
      unit < 0 ? { across: 0, deep: 0 } : withinOf(frame!.units[unit]!.quad, polar(radius, border.at - turn)),
    at: polar(radius, border.at),
  };
}
