import { type Curve, radiusAt } from '../form/curve.js';
import type { Made } from '../making/contract.js';
import type { Cuts } from '../ring/slant.js';
import { type PlaceArc, placesRound } from './round.js';
import type { Standing } from './standing.js';
import { arcsThrough } from './through.js';

/**
 * A place on the turned wall between two heights of the piece: where it begins and ends round the piece at either,
 * radians counter-clockwise from the index mark; 0 ≤ `from` < 2π at the lower one.
 */
export interface WallPatch {
  readonly place: number;
  readonly low: PatchEdge;
  readonly high: PatchEdge;
}

export interface PatchEdge {
  readonly z: number;
  readonly from: number;
  readonly to: number;
}

/** Heights at which a wall is followed in one ring: joints bend little, layer lines much, faces are full of corners. */
const LEVELS = { joints: 4, layers: 8, faces: 40, shell: 64 } as const;
/** Joints of a shell meet in corners between these: the way to them is halved so often. */
const HALVINGS = 4;

/** Which places show on the outside between two heights of the piece. */
export function wallPatches(ring: Standing, outside: Curve, from: number, to: number): WallPatch[] {
  if (ring.cuts?.length) return cutPatches(ring, ring.cuts, outside, from, to);
  return atRest(ring, outside, from, to).map(({ place, low, high }) => {
    const back = 2 * Math.PI * Math.floor((low.from + ring.turn) / (2 * Math.PI));
    const moved = ({ z, ...edge }: PatchEdge) => ({
      z,
      from: edge.from + ring.turn - back,
      to: edge.to + ring.turn - back,
    });
    return { place, low: moved(low), high: moved(high) };
  });
}

interface Kept {
  readonly outside: Curve;
  readonly key: string;
  readonly patches: readonly WallPatch[];
}

/** What was last worked out for a ring: several drawings ask for the same wall, turned differently. */
const kept = new WeakMap<Made, Kept>();

/** The patches of a ring at turn 0. */
function atRest(
  { made, bottomMm }: Standing,
  outside: Curve,
  from: number,
  to: number,
): readonly WallPatch[] {
  const key = `${bottomMm} ${from} ${to}`;
  const last = kept.get(made);
  if (last?.outside === outside && last.key === key) return last.patches;
  const patches = worked(made, bottomMm, outside, from, to);
  kept.set(made, { outside, key, patches });
  return patches;
}

function worked(made: Made, bottomMm: number, outside: Curve, from: number, to: number): WallPatch[] {
  const round = (z: number) =>
    placesRound(made, radiusAt(outside, z), 0, Math.min(made.heightMm, Math.max(0, z - bottomMm)));
  if (made.radial) return round((from + to) / 2).map((arc) => patchOf(arc, arc, from, to));
  // The middle of a floor or a twisted slice is met twice by one circle: its levels are not joined.
  const floor = made.gives.innerRadiusMm === 0;
  const shell = made.ball !== null;
  const figured = floor || made.together.length > 0;
  const levels = LEVELS[shell ? 'shell' : figured ? 'faces' : made.layers.length > 0 ? 'layers' : 'joints'];
  const at = (i: number) => from + ((to - from) * i) / levels;
  if (floor)
    return Array.from({ length: levels }, (_, i) =>
      round((at(i) + at(i + 1)) / 2).map((arc) => patchOf(arc, arc, at(i), at(i + 1))),
    ).flat();
  return joined(
    round,
    Array.from({ length: levels + 1 }, (_, i) => at(i)),
    shell ? HALVINGS : 0,
  );
}

type Round = (z: number) => Arcs;

/** What shows between heights, from each to the next. */
function joined(round: Round, heights: readonly number[], halvings = 0): WallPatch[] {
  const rounds = heights.map(round);
  const step = (low: number, high: number, below: Arcs, above: Arcs, left: number): WallPatch[] => {
    const pairs = paired(below, above);
    if (pairs) return pairs.map(([arc, mate]) => patchOf(arc, mate, low, high));
    const middle = (low + high) / 2;
    const there = round(middle);
    if (left === 0) return there.map((arc) => patchOf(arc, arc, low, high));
    return [...step(low, middle, below, there, left - 1), ...step(middle, high, there, above, left - 1)];
  };
  return heights.slice(1).flatMap((to, i) => step(heights[i]!, to, rounds[i]!, rounds[i + 1]!, halvings));
}

/** Height of the bands in which a ring is followed that slanted cuts go through (mm), and how many there are at most. */
const CUT_BAND = { heightMm: 0.5, most: 240 } as const;

/** The same where cuts go through the ring: in level bands, each as it is at half its height. */
function cutPatches(ring: Standing, cuts: Cuts, outside: Curve, from: number, to: number): WallPatch[] {
  const count = Math.max(1, Math.min(CUT_BAND.most, Math.ceil((to - from) / CUT_BAND.heightMm)));
  const at = (i: number) => from + ((to - from) * i) / count;
  return Array.from({ length: count }, (_, i) => {
    const z = (at(i) + at(i + 1)) / 2;
    return arcsThrough(ring, cuts, radiusAt(outside, z), z).map((arc) => patchOf(arc, arc, at(i), at(i + 1)));
  }).flat();
}

const patchOf = (low: PlaceArc, high: PlaceArc, from: number, to: number): WallPatch => ({
  place: low.place,
  low: { z: from, from: low.from, to: low.to },
  high: { z: to, from: high.from, to: high.to },
});

type Arcs = readonly PlaceArc[];

/** What shows at two heights, arc by arc; null where not every place shows as often at both. */
function paired(low: Arcs, high: Arcs): (readonly [PlaceArc, PlaceArc])[] | null {
  const above = byPlace(high);
  const alike =
    low.length === high.length && byPlace(low).every((arcs, place) => above[place]?.length === arcs.length);
  if (!alike) return null;
  return low.map((arc) => {
    const mates = above[arc.place]!;
    let best = nearLap(mates[0]!, arc);
    for (let i = 1; i < mates.length; i++) {
      const mate = nearLap(mates[i]!, arc);
      if (away(mate, arc) < away(best, arc)) best = mate;
    }
    return [arc, best] as const;
  });
}

/** Arcs by place; places that do not show are left out of the array. */
function byPlace(arcs: readonly PlaceArc[]): PlaceArc[][] {
  const places: PlaceArc[][] = [];
  for (const arc of arcs) {
    const known = places[arc.place];
    if (known) known.push(arc);
    else places[arc.place] = [arc];
  }
  return places;
}

const middleOf = ({ from, to }: PlaceArc) => (from + to) / 2;
const away = (a: PlaceArc, b: PlaceArc) => Math.abs(middleOf(a) - middleOf(b));

/** The same stretch, counted in the lap in which it lies nearest to another. */
function nearLap(arc: PlaceArc, other: PlaceArc): PlaceArc {
  const lap = 2 * Math.PI * Math.round((middleOf(other) - middleOf(arc)) / (2 * Math.PI));
  return lap === 0 ? arc : { ...arc, from: arc.from + lap, to: arc.to + lap };
}
