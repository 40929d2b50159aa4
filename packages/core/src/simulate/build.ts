import type { Point } from '../ring/plane.js';
import type { Errors } from '../settings/errors.js';
import { type Draws, drawsOf, Settings } from './draws.js';
import { drawnFlats, flatsAbout, type Glued, glued } from './glued.js';
import { about, after, type Move } from './quad.js';
import { type Method, PIN_PLAY, type RingToBuild, type ToBuild } from './subject.js';

/** A ring as it was built. */
export interface BuiltRing {
  readonly glued: Glued;
  /** From where the units lie in the glued ring to where they lie in the piece; the ring's own turn is not in it. */
  readonly move: Move;
  readonly bottomMm: number;
  readonly topMm: number;
  /** Most less least distance of its outer edges from the axis of the lathe, beyond what is drawn. */
  readonly outOfRoundMm: number;
  /** What is left to turn off outside, and inside: less than 0 where the wall does not lie in the wood. */
  readonly leftOutsideMm: number;
  /** Infinite where the ring is solid. */
  readonly leftInsideMm: number;
  /** What is left over the nearest line between woods; infinite where there is none. */
  readonly layerLeftMm: number;
}

export interface Build {
  readonly seed: number;
  readonly rings: readonly BuiltRing[];
  /** By how much the piece is higher than it was drawn. */
  readonly heightErrorMm: number;
  /** What is left of the joint under the hollow's floor: less than 0 where it is hollowed through; infinite where there is none. */
  readonly floorLeftMm: number;
}

/** A row of draws of its own for each glue-up, so that a ring more or less leaves all others as they were. */
const RINGS = 100_000;

/**
 * One piece, built with the errors of a shop: units are cut and glued to rings; each ring is flattened to a thickness that is
 * a little out and a little out of true, which leans all that stands on it; and it slips as it is glued on, sideways from the
 * axis and round. The same seed draws the same, whatever the errors are; without any the piece is as drawn.
 */
export function build(piece: ToBuild, errors: Errors, method: Method, seed: number): Build {
  const settings = new Settings(drawsOf(seed * RINGS + RINGS - 1));
  const bodies = new Map<string, Glued>();
  const rings: BuiltRing[] = [];
  let [z, turn] = [0, 0];
  let [lean, aside]: [Point, Point] = [
    { x: 0, y: 0 },
    { x: 0, y: 0 },
  ];
  piece.rings.forEach((ring, i) => {
    const draws = drawsOf(seed * RINGS + i);
    const own = gluedRing(ring, errors, method, settings, draws, bodies);
    const { thick, slipped, round, slope } = set(ring, errors, method, draws);
    turn = (method.aligning === 'below' ? turn : 0) + round;
    const high = ring.topMm - ring.bottomMm + thick;
    const off = {
      x: aside.x + slipped.x + (lean.x * high) / 2,
      y: aside.y + slipped.y + (lean.y * high) / 2,
    };
    rings.push(standing(ring, own, z, high, turn, off));
    aside = { x: aside.x + lean.x * high, y: aside.y + lean.y * high };
    lean = { x: lean.x + slope.x, y: lean.y + slope.y };
    z += high;
  });
  const { floor } = piece;
  const last = piece.rings.at(-1);
  return {
    seed,
    rings,
    heightErrorMm: last ? z - last.topMm + piece.rings[0]!.bottomMm : 0,
    floorLeftMm: floor ? floor.fromMm - piece.rings[0]!.bottomMm - rings[floor.ring]!.topMm : Infinity,
  };
}

function gluedRing(
  { made, body }: RingToBuild,
  errors: Errors,
  method: Method,
  settings: Settings,
  draws: Draws,
  bodies: Map<string, Glued>,
): Glued {
  const known = body === null ? undefined : bodies.get(body);
  if (known) return known;
  const own = glued(made, errors, method, settings, draws);
  if (body !== null) bodies.set(body, own);
  return own;
}

/** How a ring comes out of flattening and of gluing it on. */
function set({ made, body, bottomMm }: RingToBuild, errors: Errors, { pinned }: Method, draws: Draws) {
  const across = 2 * made.gives.outerRadiusMm;
  const own = () => draws.normal();
  const thick = (body === null ? errors.thicknessMm : errors.slicedMm) * own();
  const slope = { x: (errors.flatMm / across) * own(), y: (errors.flatMm / across) * own() };
  // The lowest ring is what the others are set by.
  const lowest = bottomMm <= 0 ? 0 : 1;
  const [sideways, rim] = pinned
    ? [Math.min(PIN_PLAY, errors.asideMm), Math.min(PIN_PLAY, errors.roundMm)]
    : [errors.asideMm, errors.roundMm];
  const slipped = { x: lowest * sideways * own(), y: lowest * sideways * own() };
  const round = (lowest * rim * own()) / made.gives.outerRadiusMm;
  return { thick, slope, slipped, round };
}

function standing(
  { made, turn: drawn, bottomMm, wall, risesBy, layerLeftMm }: RingToBuild,
  own: Glued,
  z: number,
  high: number,
  turn: number,
  aside: Point,
): BuiltRing {
  const [cos, sin] = [Math.cos(drawn), Math.sin(drawn)];
  // Seen from the ring, whose own turn is not in the move.
  const off = { x: aside.x * cos + aside.y * sin, y: aside.y * cos - aside.x * sin };
  const move = after(about({ x: 0, y: 0 }, turn), { cos: 1, sin: 0, ...off });
  const less = lessWood(own, off, turn);
  const rises = z - bottomMm;
  const { outerRadiusMm, innerRadiusMm } = made.gives;
  const solid = wall.innerRadiusMm <= 0;
  return {
    glued: own,
    move,
    bottomMm: z,
    topMm: z + high,
    outOfRoundMm: less.outOfRoundMm,
    leftOutsideMm: outerRadiusMm - less.outsideMm - wall.outerRadiusMm - rises * risesBy.outerRadiusMm,
    leftInsideMm: solid
      ? Infinity
      : wall.innerRadiusMm + rises * risesBy.innerRadiusMm - innerRadiusMm - less.insideMm,
    layerLeftMm: layerLeftMm === null ? Infinity : layerLeftMm - Math.max(less.outsideMm, less.insideMm),
  };
}

/** By how much less wood there is all round than drawn, outside and inside, about the axis that the ring is set off from. */
function lessWood({ frame, quads }: Glued, off: Point, turn: number) {
  const aside = Math.hypot(off.x, off.y);
  if (!frame) return { outOfRoundMm: 2 * aside, outsideMm: aside, insideMm: aside };
  const drawn = drawnFlats(frame);
  // The axis of the lathe as the glued ring sees it.
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const is = flatsAbout(quads, -(off.x * cos + off.y * sin), -(off.y * cos - off.x * sin));
  return {
    outOfRoundMm: is.mostMm - is.leastMm - (drawn.mostMm - drawn.leastMm),
    outsideMm: drawn.leastMm - is.leastMm,
    insideMm: is.holeMm - drawn.holeMm,
  };
}
