import { CLOSES, closes } from './closing.js';

/** As many sets as this are tried for each number of changed joints: a few milliseconds. */
const MOST_TRIES = 2e5;

/**
 * The nearest set of joints that closes: fewest spacers added or taken away, all of the thickness of the thickest one.
 * All changes of a few joints are tried (six of 24, three of 96); beyond that, sets made up of regular polygons, which
 * always close.
 * `thicknesses` has one entry for each joint, 0 where there is no spacer; null where nothing near closes.
 */
export function nearestBalanced(thicknesses: readonly number[]): number[] | null {
  if (closes(thicknesses)) return [...thicknesses];
  const thickest = Math.max(...thicknesses);
  const given = thicknesses.map((s) => s > 0);
  const joints = byFewChanges(given, thickest) ?? byPolygons(given);
  return joints?.map((there) => (there ? thickest : 0)) ?? null;
}

function byFewChanges(given: readonly boolean[], thickness: number): boolean[] | null {
  const step = (2 * Math.PI) / given.length;
  const toward = given.map((_, j) => ({ x: Math.cos(j * step), y: Math.sin(j * step) }));
  const set = [...given];
  /** Turns up to `left` joints over, none before `from`; x and y are the sum over the set, n how many there are. */
  const tried = (left: number, from: number, x: number, y: number, n: number): boolean => {
    if (left === 0) return n > 0 && Math.hypot(x, y) * thickness < CLOSES;
    for (const added of [true, false])
      for (let j = from; j < set.length; j++) {
        if (set[j] === added) continue;
        const sign = added ? 1 : -1;
        set[j] = added;
        if (tried(left - 1, j + 1, x + sign * toward[j]!.x, y + sign * toward[j]!.y, n + sign)) return true;
        set[j] = !added;
      }
    return false;
  };
  const there = toward.filter((_, j) => given[j]);
  const sum = (axis: 'x' | 'y') => there.reduce((total, p) => total + p[axis], 0);
  const many = set.length;
  for (let changes = 0, ways = 1; changes <= many && ways <= MOST_TRIES; changes++) {
    if (tried(changes, 0, sum('x'), sum('y'), there.length)) return set;
    ways *= (many - changes) / (changes + 1);
  }
  return null;
}

/**
 * For every prime that goes into the count: each regular polygon of that many joints stays where half of it is there;
 * where that leaves none, the one that most of is there.
 */
function byPolygons(given: readonly boolean[]): boolean[] | null {
  const count = given.length;
  const sets = primesIn(count).map((corners) => {
    const step = count / corners;
    const there = Array.from(
      { length: step },
      (_, first) => Array.from({ length: corners }, (_, k) => given[first + k * step]).filter(Boolean).length,
    );
    const enough = Math.min(corners / 2, Math.max(...there));
    return given.map((_, j) => there[j % step]! >= enough);
  });
  const far = (set: readonly boolean[]) => set.filter((there, j) => there !== given[j]).length;
  return sets.sort((a, b) => far(a) - far(b))[0] ?? null;
}

function primesIn(count: number): number[] {
  const primes: number[] = [];
  for (let p = 2, rest = count; rest > 1; p++)
    if (rest % p === 0) {
      primes.push(p);
      while (rest % p === 0) rest /= p;
    }
  return primes;
}
