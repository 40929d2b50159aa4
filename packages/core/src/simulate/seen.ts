import { cross, fromAxis, type Point, turnedPoint } from '../ring/plane.js';
import type { Build, BuiltRing } from './build.js';
import type { Side } from './lines.js';
import { moved, pointIn } from './quad.js';
import type { Method, ToBuild } from './subject.js';

/** A joint as wide as this is seen in a finished piece (mm; a working value). */
export const SEEN_GAP = 0.1;
/** A step is seen over this share of its stripe's width, or over this many mm where that is more (working values). */
const SEEN_SHARE = 0.1;
const SEEN_STEP = 0.3;

/** From which step on a stripe of a width is seen to wander, mm. */
export const seenFrom = (widthMm: number): number => Math.max(SEEN_STEP, SEEN_SHARE * widthMm);

/** A border where it runs from a ring to the next: how far it steps aside, counter-clockwise, and over what that is seen. */
export interface Step {
  readonly ring: number;
  readonly stepMm: number;
  readonly seenFromMm: number;
}

/** What is to be seen of one build. */
export interface Outcome {
  readonly seed: number;
  readonly build: Build;
  readonly steps: readonly Step[];
  /** The farthest that any line wanders over all its rings, mm, and the most that any does as a share of its stripe's width. */
  readonly wander: { readonly mm: number; readonly share: number };
  readonly gapMm: number;
  readonly lastMm: number;
  /** The least that is left to turn anywhere. */
  readonly leftMm: number;
  readonly layerLeftMm: number;
  /** How much it shows: the widest joint over what is seen of one, or the worst step over what is seen of it, whichever is more; over 1 it is seen. */
  readonly shows: number;
}

/** Looks at a build: joints, lines, and whether the wall lies in the wood. */
export function look(piece: ToBuild, method: Method, built: Build): Outcome {
  const lines = piece.lines.filter(({ widthMm }) => widthMm > method.letInMm);
  const asides = new Map<number, { least: number; most: number; widthMm: number }>();
  const keep = (line: number, aside: number, widthMm: number) => {
    const known = asides.get(line) ?? { least: aside, most: aside, widthMm };
    asides.set(line, {
      least: Math.min(known.least, aside),
      most: Math.max(known.most, aside),
      widthMm: Math.min(known.widthMm, widthMm),
    });
  };
  const steps = lines.map(({ line, ring, lower, upper, widthMm }): Step => {
    const [below, above] = [
      asideOf(built.rings[ring]!, piece.rings[ring]!.turn, lower),
      asideOf(built.rings[ring + 1]!, piece.rings[ring + 1]!.turn, upper),
    ];
    keep(line, below, widthMm);
    keep(line, above, widthMm);
    return { ring, stepMm: above - below, seenFromMm: seenFrom(widthMm) };
  });
  const ranges = [...asides.values()].map(({ least, most, widthMm }) => ({ mm: most - least, widthMm }));
  const gapMm = Math.max(0, ...built.rings.map(({ glued }) => glued.gapMm));
  return {
    seed: built.seed,
    build: built,
    steps,
    wander: {
      mm: Math.max(0, ...ranges.map(({ mm }) => mm)),
      share: Math.max(0, ...ranges.map(({ mm, widthMm }) => mm / widthMm)),
    },
    gapMm,
    lastMm: Math.max(0, ...built.rings.map(({ glued }) => glued.lastMm)),
    leftMm: Math.min(
      ...built.rings.map(({ leftOutsideMm, leftInsideMm }) => Math.min(leftOutsideMm, leftInsideMm)),
    ),
    layerLeftMm: Math.min(built.floorLeftMm, ...built.rings.map(({ layerLeftMm }) => layerLeftMm)),
    shows: Math.max(
      gapMm / SEEN_GAP,
      ...steps.map(({ stepMm, seenFromMm }) => Math.abs(stepMm) / seenFromMm),
    ),
  };
}

/** How far a border lies from where it is drawn, round the axis. */
function asideOf({ glued, move }: BuiltRing, turn: number, { unit, within, at }: Side): number {
  const drawn = turnedPoint(at, -turn);
  const inRing = unit < 0 ? drawn : pointIn(glued.quads[unit]!, within);
  return roundBy(drawn, moved(move, inRing));
}

/** How far a point has been moved round the axis, counter-clockwise, mm. */
function roundBy(was: Point, is: Point): number {
  const radius = fromAxis(was);
  return radius === 0 ? 0 : radius * Math.atan2(cross(was, is), was.x * is.x + was.y * is.y);
}
