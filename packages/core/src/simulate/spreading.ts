import type { Point } from '../ring/plane.js';
import { leastThat } from './leastThat.js';
import {
  about,
  after,
  along,
  lengthOf,
  type Move,
  minus,
  moved,
  movedQuad,
  NO_MOVE,
  type Quad,
  toward,
} from './quad.js';
import { against } from './tight.js';

/** A ring that is closed: where every unit lies, and how wide every joint stands open. */
export interface Closed {
  /** Where the units lie, in the ring as it is drawn. */
  readonly quads: readonly Quad[];
  /** Joint i is between unit i and the next, mm; where it is more than 0 it is open outside. */
  readonly openMm: readonly number[];
}

/** Two units as they lie tight: the move that brings the next against its neighbour, and the faces that meet, by their length. */
interface Joint {
  readonly move: Move;
  readonly corner: Point;
  readonly face: Point;
  readonly stepMm: number;
  readonly ownMm: number;
  readonly itsMm: number;
}

/** What a joint does so that the ring closes: it opens by an angle, outside where it is more than 0, and slides along its face (mm inwards). */
interface Given {
  readonly opens: number;
  readonly slides: number;
}
const TIGHT: Given = { opens: 0, slides: 0 };

const ROUNDS = 12;
const STEPS = 4;
/** A joint that would turn about the one end and then about the other is shut at both. */
const MOST_TURNS = 2;
/** Nearer than this the ring is closed (mm and radians). */
const SHUT = 1e-10;

/**
 * A ring clamped so that what does not add up spreads over all joints: each opens by turning about the end where it touches,
 * inner or outer, and its faces slide on each other; of all ways to close the ring the one is taken with the least sum of squares of
 * these angles, a slide counting as the angle that it makes over the joint's length. Closing is three equations, one for the
 * turn and two for the place; they are solved by Newton's method, each step the least one (Lagrange).
 */
export function spreadOut(cut: readonly Quad[], steps: readonly number[]): Closed {
  const count = cut.length;
  const joints = cut.map((quad, i): Joint => {
    const next = cut[(i + 1) % count]!;
    return {
      move: against(quad, next, steps[i]!),
      corner: quad.outerTo,
      face: toward(quad.outerTo, quad.innerTo),
      stepMm: steps[i]!,
      ownMm: lengthOf(minus(quad.innerTo, quad.outerTo)),
      itsMm: lengthOf(minus(next.innerFrom, next.outerFrom)),
    };
  });
  let given: readonly Given[] = joints.map(() => TIGHT);
  let moves = laid(joints, given, []);
  // Cut too flat, they do not come all the way round: joints open outside.
  const outside = joints.map(() => moves[count]!.sin < 0);
  const turns = joints.map(() => 0);
  for (let round = 0; round < ROUNDS; round++) {
    for (let step = 0; step < STEPS && !(step > 0 && isShut(moves[count]!)); step++) {
      given = closing(joints, moves, outside, given, turns);
      moves = laid(joints, given, outside);
    }
    const wrong = given.flatMap(({ opens }, i) => (opens !== 0 && opens > 0 !== outside[i] ? [i] : []));
    if (wrong.length === 0) break;
    for (const i of wrong) {
      outside[i] = !outside[i];
      turns[i]!++;
    }
    given = given.map((each, i) => (each.opens > 0 === outside[i] ? each : { ...each, opens: 0 }));
    moves = laid(joints, given, outside);
  }
  return {
    quads: cut.map((quad, i) => movedQuad(moves[i]!, quad)),
    openMm: given.map(({ opens, slides }, i) => 2 * Math.sin(opens / 2) * longMm(joints[i]!, slides)),
  };
}

const isShut = ({ x, y, sin }: Move): boolean =>
  Math.abs(x) < SHUT && Math.abs(y) < SHUT && Math.abs(sin) < SHUT;

/** Where both faces reach, from the outer corner inwards. */
const fromMm = ({ stepMm }: Joint, slides: number): number => Math.max(0, stepMm + slides);
const toMm = ({ stepMm, ownMm, itsMm }: Joint, slides: number): number =>
  Math.min(ownMm, stepMm + slides + itsMm);
const longMm = (joint: Joint, slides: number): number =>
  Math.max(0, toMm(joint, slides) - fromMm(joint, slides));

/** The end about which a joint opens. */
const pivotOf = (joint: Joint, slides: number, outside: boolean | undefined): Point =>
  along(joint.corner, joint.face, outside ? toMm(joint, slides) : fromMm(joint, slides));

/** Where the units come to lie; one more than there are: where the first would come again. */
function laid(joints: readonly Joint[], given: readonly Given[], outside: readonly boolean[]): Move[] {
  const moves: Move[] = [NO_MOVE];
  joints.forEach((joint, i) => {
    const { opens, slides } = given[i]!;
    let { move } = joint;
    if (slides !== 0)
      move = { ...move, x: move.x + slides * joint.face.x, y: move.y + slides * joint.face.y };
    if (opens !== 0) move = after(move, about(pivotOf(joint, slides, outside[i]), opens));
    moves.push(after(move, moves[i]!));
  });
  return moves;
}

/**
 * The least of all that joints can do which, as far as it is little, brings the unit after the last onto the first; `given` is what
 * led to `moves`. Opening by a about p turns by a and moves the axis by (a·p.y, −a·p.x).
 */
function closing(
  joints: readonly Joint[],
  moves: readonly Move[],
  outside: readonly boolean[],
  given: readonly Given[],
  turns: readonly number[],
): Given[] {
  // Two values a joint, by how much it opens and slides, and for each what it does to the turn and to the place; flat, for this is
  // most of what a build costs.
  const ways = new Float64Array(6 * joints.length);
  const now = new Float64Array(2 * joints.length);
  for (let i = 0; i < joints.length; i++) {
    const { opens, slides } = given[i]!;
    const { ownMm, face } = joints[i]!;
    const move = moves[i]!;
    if (turns[i]! < MOST_TURNS) {
      const p = moved(move, pivotOf(joints[i]!, slides, outside[i]));
      ways[6 * i] = 1;
      ways[6 * i + 1] = p.y;
      ways[6 * i + 2] = -p.x;
    }
    ways[6 * i + 4] = ownMm * (move.cos * face.x - move.sin * face.y);
    ways[6 * i + 5] = ownMm * (move.sin * face.x + move.cos * face.y);
    now[2 * i] = opens;
    now[2 * i + 1] = slides / ownMm;
  }
  const { x, y, sin, cos } = moves[joints.length]!;
  const least = leastThat(ways, now, [Math.atan2(sin, cos), x, y]);
  return joints.map(({ ownMm }, i) => ({ opens: least[2 * i]!, slides: least[2 * i + 1]! * ownMm }));
}
