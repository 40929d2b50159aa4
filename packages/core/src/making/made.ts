import type { Result } from '../measure/reason.js';
import type { Ball, NeededBall, RingNeed } from '../ring/need.js';
import type { Band } from '../ring/overlap.js';
import type { Made } from './contract.js';

/** A ring as it was made, with all that it was made from. */
interface Kept {
  readonly need: RingNeed;
  /** What the need answered when it was asked for the spheres that hold the wall. */
  readonly ball: { is: NeededBall | null };
  /** What it answered when it was asked how the wall leans. */
  readonly leans: ReadonlyMap<number, { readonly outerRadiusMm: number; readonly innerRadiusMm: number }>;
  readonly made: Result<Made>;
}

/** So many sizes of a ring are kept: a drag there and back, an undo and its redo make nothing anew. */
const MOST = 4;

/**
 * Makes a ring once for the same parameters and need: drawings, samplers, meshes and lists that hang on what was made stay
 * as long. Parameters that are not frozen may still be written on; their rings are made anew every time.
 */
export function madeOnce<Making extends object>(
  make: (making: Making, need: RingNeed) => Result<Made>,
): typeof make {
  const known = new WeakMap<Making, Kept[]>();
  return (making, need) => {
    if (!Object.isFrozen(making)) return make(making, need);
    const kept = known.get(making) ?? [];
    const place = kept.findIndex((each) => sameNeed(each, need));
    const found = kept[place];
    if (found) {
      if (place > 0) known.set(making, [found, ...kept.filter((each) => each !== found)]);
      return found.made;
    }
    const leans = new Map<number, { outerRadiusMm: number; innerRadiusMm: number }>();
    const ball: { is: NeededBall | null } = { is: null };
    const listened: RingNeed = {
      ...need,
      ...(need.leaning && {
        leaning(slope) {
          const band = need.leaning!(slope);
          leans.set(slope, band);
          return band;
        },
      }),
      ...(need.round && {
        round() {
          ball.is = need.round!();
          return ball.is;
        },
      }),
    };
    const made = make(making, listened);
    known.set(making, [{ need, leans, ball, made }, ...kept].slice(0, MOST));
    return made;
  };
}

function sameNeed({ need, leans, ball }: Kept, other: RingNeed): boolean {
  return (
    sameSize(need, other) &&
    sameBody(need.body, other.body) &&
    (need.leaning === undefined) === (other.leaning === undefined) &&
    (need.round === undefined) === (other.round === undefined) &&
    (ball.is === null || sameBall(ball.is, other.round!())) &&
    [...leans].every(([slope, band]) => {
      const now = other.leaning!(slope);
      return now.outerRadiusMm === band.outerRadiusMm && now.innerRadiusMm === band.innerRadiusMm;
    })
  );
}

type Body = RingNeed['body'];

const sameBody = (a: Body, b: Body): boolean =>
  a === b ||
  (a !== undefined &&
    b !== undefined &&
    a.index === b.index &&
    sameMembers(a.members, b.members) &&
    a.board?.index === b.board?.index &&
    a.board?.names.join() === b.board?.names.join() &&
    sameLists(a.board?.bodies ?? [], b.board?.bodies ?? [], sameMembers));

const sameMembers = (a: readonly Size[], b: readonly Size[]): boolean => sameLists(a, b, sameSize);

const sameLists = <T>(a: readonly T[], b: readonly T[], same: (a: T, b: T) => boolean): boolean =>
  a.length === b.length && a.every((each, i) => same(each, b[i]!));

const sameBall = (a: NeededBall, b: NeededBall): boolean => sameSpheres(a, b) && sameBand(a.turned, b.turned);

const sameSpheres = (a: Ball, b: Ball): boolean => a.centreMm === b.centreMm && sameBand(a, b);

const sameBand = (a: Band, b: Band): boolean =>
  a.outerRadiusMm === b.outerRadiusMm && a.innerRadiusMm === b.innerRadiusMm;

type Size = { readonly outerRadiusMm: number; readonly innerRadiusMm: number; readonly heightMm: number };

const sameSize = (a: Size, b: Size): boolean =>
  a.outerRadiusMm === b.outerRadiusMm && a.innerRadiusMm === b.innerRadiusMm && a.heightMm === b.heightMm;
