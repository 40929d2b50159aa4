import type { Made } from '../making/contract.js';
import { remembered } from '../measure/memo.js';
import type { Errors } from '../settings/errors.js';
import { centred } from './centring.js';
import { cutErrors, cutQuad } from './cutting.js';
import type { Draws, Settings } from './draws.js';
import { type Frame, frameOf } from './frame.js';
import { lengthOf, minus, type Quad, toward } from './quad.js';
import { spreadOut } from './spreading.js';
import type { Method } from './subject.js';
import { lastGap, stepsAlong } from './tight.js';
import { halfwayOf, trued } from './trueing.js';

/** A ring as it came out of the clamps, before it is set on the work. */
export interface Glued {
  /** Null where no units go round: nothing can go wrong between them. */
  readonly frame: Frame | null;
  /** Where every unit lies, at turn 0; as drawn where there is no error. */
  readonly quads: readonly Quad[];
  /** The widest joint, mm. */
  readonly gapMm: number;
  /** How wide the last joint would stand open, outside or inside, were all others glued tight. */
  readonly lastMm: number;
}

const RIGID: Glued = { frame: null, quads: [], gapMm: 0, lastMm: 0 };

/** What is the same in all builds of a ring. */
const asDrawn = remembered((frame: Frame) => {
  const drawn = frame.units.map(({ quad }) => quad);
  return { drawn, steps: stepsAlong(drawn), flats: flatsAbout(drawn, 0, 0) };
});

/** How round a ring is as it is drawn. */
export const drawnFlats = (frame: Frame): Flats => asDrawn(frame).flats;

/** Cuts the units of a ring with what the shop is out by, and glues them. */
export function glued(made: Made, errors: Errors, method: Method, settings: Settings, draws: Draws): Glued {
  const frame = frameOf(made);
  if (!frame) return RIGID;
  const { drawn, steps } = asDrawn(frame);
  const wrong = cutErrors(frame, errors, settings, draws);
  const cut = frame.units.map((unit, i) => cutQuad(unit, wrong[i]!));
  const halfway = method.closing === 'halves' ? halfwayOf(drawn) : null;
  const closed = halfway === null ? spreadOut(cut, steps) : trued(drawn, cut, steps, halfway);
  const last = lastGap(cut, steps);
  return {
    frame,
    quads: centred(drawn, closed.quads),
    gapMm: Math.max(...closed.openMm.map(Math.abs)),
    lastMm: Math.max(Math.abs(last.outsideMm), Math.abs(last.insideMm)),
  };
}

/** Distance of the outer edges from a point: where they come nearest, and where the nearest point of any lies farthest. */
export interface Flats {
  readonly leastMm: number;
  readonly mostMm: number;
  /** The inner corner that lies farthest. */
  readonly holeMm: number;
}

const nearestOnEdge = ({ outerFrom, outerTo }: Quad, x: number, y: number): number => {
  const edge = toward(outerFrom, outerTo);
  const off = { x: x - outerFrom.x, y: y - outerFrom.y };
  const by = Math.min(lengthOf(minus(outerTo, outerFrom)), Math.max(0, off.x * edge.x + off.y * edge.y));
  return by === 0 ? lengthOf(off) : Math.hypot(off.x - by * edge.x, off.y - by * edge.y);
};

/** How round a ring is about a point. */
export function flatsAbout(quads: readonly Quad[], x: number, y: number): Flats {
  let [least, most, hole] = [Infinity, 0, 0];
  for (const quad of quads) {
    const flat = nearestOnEdge(quad, x, y);
    least = Math.min(least, flat);
    most = Math.max(most, flat);
    for (const { x: ix, y: iy } of [quad.innerFrom, quad.innerTo])
      hole = Math.max(hole, Math.hypot(ix - x, iy - y));
  }
  return { leastMm: least, mostMm: most, holeMm: hole };
}
