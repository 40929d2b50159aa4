import { wrapped } from '../ring/plane.js';
import type { LaidPiece, Made } from './contract.js';
import { layOut, placesIn } from './layOut.js';

/** A ring that comes to itself many times in a turn, looked at in one of its laps: the others are that lap, turned. */
export interface Laps {
  /** What may be met in the first lap, with all of its neighbours' pieces; places as they are there. */
  readonly pieces: readonly LaidPiece[];
  /** Which lap a direction (radians) falls in, and how far it has to be turned back into the first. */
  lapAt(angle: number): { readonly lap: number; readonly back: number };
  /** The place that takes the part of a place of the first lap so many laps on. */
  shifted(place: number, lap: number): number;
}

/** Laps that are worth it: fewer are laid out whole. */
const FEWEST = 6;

const known = new WeakMap<Made, Laps>();

/** The laps of a ring whose segments are glued up of many parts; null of others: laying those out whole is quick. */
export function lapsOf(made: Made): Laps | null {
  if (made.together.length === 0 || made.repeats < FEWEST) return null;
  const laps = known.get(made) ?? worked(made);
  known.set(made, laps);
  return laps;
}

function worked(made: Made): Laps {
  const { repeats } = made;
  const width = (2 * Math.PI) / repeats;
  const places = placesIn(made.groups);
  const first = new Int32Array(places);
  const count = new Int32Array(places);
  let from = 0;
  for (const group of made.groups) {
    first.fill(from, from, from + group.count);
    count.fill(group.count, from, from + group.count);
    from += group.count;
  }
  /** Pieces of a lap; those that do not come again and again are in every one of them. */
  const periodOf = (place: number) => (count[place]! % repeats === 0 ? count[place]! / repeats : 0);
  const shifted = (place: number, lap: number): number => {
    const period = periodOf(place);
    return period === 0 ? place : first[place]! + ((place - first[place]! + lap * period) % count[place]!);
  };
  const inFirst = Array.from({ length: places }, (_, place) => place).filter((place) => {
    const period = periodOf(place);
    return period === 0 || place - first[place]! < period;
  });
  const near = new Set([0, 1, repeats - 1].flatMap((lap) => inFirst.map((place) => shifted(place, lap))));
  return {
    pieces: [...near].sort((a, b) => a - b).flatMap((place) => made.lay(place)),
    lapAt(angle) {
      const lap = Math.min(repeats - 1, Math.floor(wrapped(angle) / width));
      return { lap, back: lap * width };
    },
    shifted,
  };
}

/** The pieces that a level direction from the axis can meet, the direction among them, and what their places are really. */
export function towards(made: Made, angle: number) {
  const laps = lapsOf(made);
  if (!laps) return { pieces: layOut(made), angle, placeOf: (place: number) => place };
  const { lap, back } = laps.lapAt(angle);
  return {
    pieces: laps.pieces,
    angle: angle - back,
    placeOf: (place: number) => laps.shifted(place, lap),
  };
}
