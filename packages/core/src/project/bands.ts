import { radiusAt } from '../form/curve.js';
import { insideAt, type Vessel } from '../form/vessel.js';
import type { OwnedPieces } from '../lumber/owned.js';
import type { Step } from '../making/step.js';
import { mm } from '../measure/quantity.js';
import { bandOwner } from '../ring/owner.js';
import { polar } from '../ring/plane.js';
import type { Reach } from '../ring/reach.js';
import { bandWoods, type Cut, type Cuts, type Slant, stretchesRound } from '../ring/slant.js';
import { dot } from '../ring/space.js';
import { boardBand, segmentBand } from './bandMade.js';
import { bandSteps } from './bandSteps.js';
import type { PreparedBand } from './preparedBand.js';

/** Heights at which the extent of a band is looked for, mm, and directions in a stretch. */
const STEP = 0.5;
const LOOKS = 12;

export const bandsOf = (
  slants: readonly Slant[],
  cuts: Cuts,
  reaches: readonly (readonly Reach[])[],
  vessel: Vessel,
  outsideMm: number,
): PreparedBand[] => {
  const extents = extentsOf(cuts, reaches, vessel);
  return slants.map((slant, i) => {
    const { along, across, farthest, nearest } = extents[i]!;
    const board = { lengthMm: mm(2 * (along + outsideMm)), widthMm: mm(2 * (across + outsideMm)) };
    const { lengthMm, widthMm } = slant.made ?? board;
    const moved = reaches[i]!.map(({ region: { shift }, fromMm, toMm }) => [
      fromMm - shift.z,
      toMm - shift.z,
    ]);
    const bottomMm = Math.min(...moved.map(([from]) => from!), slant.heightMm);
    const topMm = Math.max(...moved.map(([, to]) => to!), slant.heightMm);
    const size = { lengthMm, widthMm, thicknessMm: slant.thicknessMm };
    const outerMm = farthest + outsideMm;
    const hole = Math.max(0, nearest - outsideMm);
    return {
      slant,
      reaches: reaches[i]!,
      lengthMm,
      widthMm,
      leastMm: { lengthMm: mm(2 * along), widthMm: mm(2 * across) },
      made:
        slant.count === undefined
          ? boardBand(size, outerMm, topMm - bottomMm)
          : segmentBand(
              { ...slant, count: slant.count },
              { outerRadiusMm: Math.max(lengthMm, widthMm) / 2, innerRadiusMm: hole },
              outerMm,
              bottomMm,
              topMm,
            ),
      bottomMm,
      turn: (slant.towardDeg * Math.PI) / 180,
    };
  });
};

/**
 * How far the turned piece reaches in every band from where its cut met the axis: up the slope, across it, from the axis; and how near
 * its inside comes in the band, 0 where the piece is solid there (mm).
 */
function extentsOf(cuts: Cuts, reaches: readonly (readonly Reach[])[], vessel: Vessel) {
  const { outside, heightMm } = vessel;
  const bands = cuts.map((cut) => {
    const directions = directionsOf(cut);
    const middle = dot(directions.up, { x: 0, y: 0, z: cut.atMm / cut.normal.z });
    return { ...directions, middle, along: 0, across: 0, farthest: 0, nearest: Infinity };
  });
  const all = reaches.flat();
  const lowest = all.reduce((least, { fromMm }) => Math.min(least, fromMm), heightMm);
  const highest = all.reduce((most, { toMm }) => Math.max(most, toMm), 0);
  for (let z = lowest; z <= Math.min(heightMm, highest) + STEP; z += STEP) {
    const radius = radiusAt(outside, Math.min(z, heightMm));
    const inside = insideAt(vessel, Math.min(z, heightMm)) ?? 0;
    for (const of of [radius, inside])
      for (const { from, to, region } of stretchesRound(cuts, of, z)) {
        const band = region.band === null ? undefined : bands[region.band];
        if (!band) continue;
        for (let i = 0; i <= LOOKS; i++) {
          const at = polar(of, from + ((to - from) * i) / LOOKS);
          const p = { x: at.x - region.shift.x, y: at.y - region.shift.y, z: z - region.shift.z };
          const [along, across] = [Math.abs(dot(band.up, p) - band.middle), Math.abs(dot(band.level, p))];
          if (of === inside) band.nearest = Math.min(band.nearest, Math.sqrt(along ** 2 + across ** 2));
          else {
            band.along = Math.max(band.along, along);
            band.across = Math.max(band.across, across);
            band.farthest = Math.max(band.farthest, Math.hypot(p.x, p.y));
          }
        }
      }
  }
  return bands;
}

/** Up the slope of a cut, and level across it. */
function directionsOf({ normal }: Cut) {
  const toward = Math.atan2(normal.y, normal.x);
  const [cos, sin] = [Math.cos(toward), Math.sin(toward)];
  const level = Math.hypot(normal.x, normal.y);
  return {
    up: { x: -normal.z * cos, y: -normal.z * sin, z: level },
    level: { x: -sin, y: cos, z: 0 },
  };
}

/** A slanted band with its board. */
export interface PlannedBand {
  readonly id: string;
  readonly pieces: readonly OwnedPieces[];
  /** What is done to make it, in order. */
  readonly steps: readonly Step[];
}

/** The boards of all bands as pieces. */
export const plannedBands = (
  bands: readonly PreparedBand[],
  woodOf: ReadonlyMap<string, string>,
): PlannedBand[] =>
  bands.map((band) => ({
    id: band.slant.id,
    pieces: piecesOf(band, woodOf),
    steps: bandSteps(band),
  }));

/** Its board, or its segments by their woods. */
function piecesOf(
  { slant, made, lengthMm, widthMm }: PreparedBand,
  woodOf: ReadonlyMap<string, string>,
): OwnedPieces[] {
  const kind = made.kinds[0]!;
  const { stock } = kind;
  const volumeMm3 =
    stock.from === 'strip'
      ? ((stock.longEdgeMm + stock.shortEdgeMm) / 2) * stock.widthMm * slant.thicknessMm
      : lengthMm * widthMm * slant.thicknessMm;
  const places = new Map<string, number[]>();
  bandWoods(slant).forEach((key, place) => {
    const wood = woodOf.get(key)!;
    places.set(wood, [...(places.get(wood) ?? []), place]);
  });
  return [...places].map(([wood, own]) => ({
    owner: bandOwner(slant.id),
    wood,
    kind,
    count: own.length,
    places: own,
    volumeMm3,
  }));
}
