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
  const own = new Set(inFirst);
  const beside = new Set([1, repeats - 1].flatMap((lap) => inFirst.map((place) => shifted(place, lap))));
  const near = [...new Set([...own, ...beside])].sort((a, b) => a - b);
  return {
    pieces: near.flatMap((place) =>
      own.has(place) ? made.lay(place) : made.lay(place).filter((piece) => reaches(piece, width)),
    ),
    lapAt(angle) {
      const lap = Math.min(repeats - 1, Math.floor(wrapped(angle) / width));
      return { lap, back: lap * width };
    },
    shifted,
  };
}

/** Beyond its lap a piece may be met by rounding (radians). */
const HAIR = 1e-6;

/** Whether a part of a piece lies in directions from 0 to `width`; so does one that goes round the axis. */
function reaches({ bottom, top }: LaidPiece, width: number): boolean {
  const [middle, half] = [width / 2, width / 2 + HAIR];
  let [least, most] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (const outline of bottom === top ? [bottom] : [bottom, top])
    for (const { x, y } of outline) {
      const aside = wrapped(Math.atan2(y, x) - middle + Math.PI) - Math.PI;
      least = Math.min(least, aside);
      most = Math.max(most, aside);
    }
  return (least < half && most > -half) || most - least > Math.PI;
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
