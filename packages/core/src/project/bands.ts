import { radiusAt } from '../form/curve.js';
import type { Vessel } from '../form/vessel.js';
import type { OwnedPieces } from '../lumber/owned.js';
import type { LaidPiece, Made } from '../making/contract.js';
import type { Step } from '../making/step.js';
import { type Mm, mm } from '../measure/quantity.js';
import { bandOwner } from '../ring/owner.js';
import { polar } from '../ring/plane.js';
import type { Reach } from '../ring/reach.js';
import { type Cut, type Cuts, type Slant, stretchesRound } from '../ring/slant.js';
import { dot } from '../ring/space.js';
import { bandSteps } from './bandSteps.js';

/** A slanted band as it lies in the piece. It is shown behind the rings: band i under the number of rings + i. */
export interface PreparedBand {
  readonly slant: Slant;
  readonly reaches: readonly Reach[];
  /** The board that is glued in: along the slope and level across it. */
  readonly lengthMm: Mm;
  readonly widthMm: Mm;
  /** The least that it may be: as far as the turned wall reaches. */
  readonly leastMm: { readonly lengthMm: Mm; readonly widthMm: Mm };
  /** The band as a ring that stands upright round it: wood wherever it is asked. */
  readonly made: Made;
  readonly bottomMm: number;
  /** Its grain runs up the slope. */
  readonly turn: number;
}

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
    const { along, across, farthest } = extents[i]!;
    const board = { lengthMm: mm(2 * (along + outsideMm)), widthMm: mm(2 * (across + outsideMm)) };
    const { lengthMm, widthMm } = slant.made ?? board;
    const moved = reaches[i]!.map(({ region: { shift }, fromMm, toMm }) => [
      fromMm - shift.z,
      toMm - shift.z,
    ]);
    const bottomMm = Math.min(...moved.map(([from]) => from!), slant.heightMm);
    const topMm = Math.max(...moved.map(([, to]) => to!), slant.heightMm);
    const size = { lengthMm, widthMm, thicknessMm: slant.thicknessMm };
    return {
      slant,
      reaches: reaches[i]!,
      lengthMm,
      widthMm,
      leastMm: { lengthMm: mm(2 * along), widthMm: mm(2 * across) },
      made: madeBand(size, farthest + outsideMm, topMm - bottomMm),
      bottomMm,
      turn: (slant.towardDeg * Math.PI) / 180,
    };
  });
};

/** How far the turned piece reaches in every band from where its cut met the axis: up the slope, across it, from the axis (mm). */
function extentsOf(cuts: Cuts, reaches: readonly (readonly Reach[])[], { outside, heightMm }: Vessel) {
  const bands = cuts.map((cut) => {
    const directions = directionsOf(cut);
    const middle = dot(directions.up, { x: 0, y: 0, z: cut.atMm / cut.normal.z });
    return { ...directions, middle, along: 0, across: 0, farthest: 0 };
  });
  const all = reaches.flat();
  const lowest = all.reduce((least, { fromMm }) => Math.min(least, fromMm), heightMm);
  const highest = all.reduce((most, { toMm }) => Math.max(most, toMm), 0);
  for (let z = lowest; z <= Math.min(heightMm, highest) + STEP; z += STEP) {
    const radius = radiusAt(outside, Math.min(z, heightMm));
    for (const { from, to, region } of stretchesRound(cuts, radius, z)) {
      const band = region.band === null ? undefined : bands[region.band];
      if (!band) continue;
      for (let i = 0; i <= LOOKS; i++) {
        const at = polar(radius, from + ((to - from) * i) / LOOKS);
        const p = { x: at.x - region.shift.x, y: at.y - region.shift.y, z: z - region.shift.z };
        band.along = Math.max(band.along, Math.abs(dot(band.up, p) - band.middle));
        band.across = Math.max(band.across, Math.abs(dot(band.level, p)));
        band.farthest = Math.max(band.farthest, Math.hypot(p.x, p.y));
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

/** Corners that a band is drawn with. */
const CORNERS = 96;

interface Board {
  readonly lengthMm: Mm;
  readonly widthMm: Mm;
  readonly thicknessMm: Mm;
}

function madeBand({ lengthMm, widthMm, thicknessMm }: Board, outerRadiusMm: number, heightMm: number): Made {
  const corner = outerRadiusMm / Math.cos(Math.PI / CORNERS);
  const outline = Array.from({ length: CORNERS }, (_, i) => polar(corner, (2 * Math.PI * i) / CORNERS));
  const piece: LaidPiece = { place: 0, fromMm: 0, toMm: heightMm, bottom: outline, top: outline };
  return {
    heightMm: mm(heightMm),
    gives: { outerRadiusMm, innerRadiusMm: 0 },
    lean: 0,
    closed: true,
    radial: false,
    repeats: 1,
    cornerMm: mm(Math.hypot(lengthMm, widthMm) / 2),
    groups: [{ name: 'Slanted band', count: 1 }],
    kinds: [
      {
        name: 'slanted band',
        grain: 'across',
        heightMm: thicknessMm,
        stock: { from: 'panel', shape: 'layer', lengthMm, widthMm, thicknessMm },
        places: [0],
      },
    ],
    together: [],
    hidesGlue: false,
    reads: null,
    layers: [],
    figures: [],
    warnings: [],
    lay: () => [piece],
    placeAt: () => 0,
    mark: () => null,
    steps: () => [],
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
  bands.map(({ slant, made, lengthMm, widthMm }) => ({
    id: slant.id,
    pieces: [
      {
        owner: bandOwner(slant.id),
        wood: woodOf.get(slant.wood)!,
        kind: made.kinds[0]!,
        count: 1,
        places: [0],
        volumeMm3: lengthMm * widthMm * slant.thicknessMm,
      },
    ],
    steps: bandSteps(slant, lengthMm, widthMm),
  }));
