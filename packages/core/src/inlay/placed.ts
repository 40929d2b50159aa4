import type { Vessel } from '../form/vessel.js';
import { rememberedWhenFrozen } from '../measure/memo.js';
import { fromDegrees, TURN } from '../measure/quantity.js';
import { done, type Result, refuse } from '../measure/reason.js';
import { say, sayMm } from '../measure/said.js';
import type { Copy } from '../surface/marks.js';
import { type Frame, frameAt, onSurface } from './frame.js';
import { type Measures, measure } from './measures.js';
import { dense, type Loops, type PocketLoops, pocketLoops, roundOf } from './outline.js';
import type { Inlay } from './schema.js';

/** A corner of an outline on the surface: direction from the inlay's middle (radians) and height of the piece (mm). */
export interface WallCorner {
  readonly angle: number;
  readonly z: number;
}
export type WallLoops = readonly (readonly WallCorner[])[];

/** Where an inlay lies, once, and what it measures. */
export interface InlayLies extends Measures {
  readonly frame: Frame;
  readonly loops: PocketLoops;
  /** Pocket and insert on the surface. */
  readonly pocket: WallLoops;
  readonly insert: WallLoops;
  /** Heights of the piece between which it lies, and how far it reaches to either side, radians. */
  readonly fromMm: number;
  readonly toMm: number;
  readonly reach: number;
  /** Length of the seam, mm; 0 where there is none. */
  readonly seamMm: number;
}

/** A pocket's floor has to lie at least so deep at its sides (mm). */
export const LEAST_DEPTH = 0.5;

/** An inlay placed on the outside of a form, or the sentence that says why it cannot be. */
export const placeInlay = rememberedWhenFrozen((inlay: Inlay, vessel: Vessel): Result<InlayLies> => {
  const { depthMm, heightMm, seam } = inlay;
  if (heightMm >= vessel.heightMm)
    return refuse(
      'inlay-off',
      'heightMm',
      say`The middle of the inlay is at ${sayMm(heightMm)}; the piece is ${sayMm(vessel.heightMm)} high.`,
      { most: vessel.heightMm },
    );
  const frame = frameAt(vessel, heightMm);
  const loops = pocketLoops(inlay);
  if (loops.pocket.length === 0)
    return refuse(
      'inlay-fine',
      'cutterMm',
      say`The outline is finer than a cutter of ${sayMm(inlay.cutterMm)} can make. Take a smaller cutter or a larger outline.`,
    );
  if (seam && loops.insert.length === 0)
    return refuse(
      'inlay-fine',
      'seam.widthMm',
      say`A seam of ${sayMm(seam.widthMm)} fills the outline: nothing is left of the inlay in it.`,
    );
  const pocket = onWall(vessel, frame, loops.pocket);
  const insert = loops.insert === loops.pocket ? pocket : onWall(vessel, frame, loops.insert);
  if (!pocket || !insert)
    return refuse(
      'inlay-off',
      'outline',
      say`The outline leaves the turned surface: at height ${sayMm(heightMm)} the piece has a radius of ${sayMm(frame.radiusMm)} and is ${sayMm(vessel.heightMm)} high. Make it smaller, or place it elsewhere.`,
    );
  const measured = measure(vessel, frame, loops, depthMm);
  if (!measured)
    return refuse(
      'inlay-off',
      'outline',
      'The outline goes over an edge of the form that is too sharp for it.',
    );
  if (measured.leastDepthMm < LEAST_DEPTH) {
    const least = depthMm + LEAST_DEPTH - measured.leastDepthMm;
    return refuse(
      'inlay-shallow',
      'depthMm',
      say`The pocket runs out at its sides: the surface falls away by ${sayMm(depthMm - measured.leastDepthMm)} from the middle. It has to be at least ${sayMm(least)} deep, or narrower.`,
      { least },
    );
  }
  if (measured.leftMm <= 0)
    return refuse(
      'inlay-through',
      'depthMm',
      say`The pocket of ${sayMm(depthMm)} goes through the wall; it can be ${sayMm(Math.max(0, depthMm + measured.leftMm))} deep before it does.`,
      { most: Math.max(0, depthMm + measured.leftMm) },
    );
  const corners = pocket.flat();
  return done({
    frame,
    loops,
    pocket,
    insert,
    fromMm: Math.min(...corners.map(({ z }) => z)),
    toMm: Math.max(...corners.map(({ z }) => z)),
    reach: Math.max(...corners.map(({ angle }) => Math.abs(angle))),
    seamMm: seam ? roundOf(loops.pocket) : 0,
    ...measured,
  });
});

/** Loops as they lie on the surface, with corners close together; null where they leave it. */
function onWall(vessel: Vessel, frame: Frame, loops: Loops): WallLoops | null {
  const found: WallCorner[][] = [];
  for (const loop of loops) {
    const corners: WallCorner[] = [];
    for (const { u, z } of dense(loop)) {
      const at = onSurface(vessel, frame, u, z);
      if (!at) return null;
      corners.push({ angle: at.angle, z: at.heightMm });
    }
    found.push(corners);
  }
  return found;
}

/** The copies of an inlay round the piece. */
export const copiesOf = ({ copies, towardDeg, mirrored }: Inlay): Copy[] =>
  Array.from({ length: copies }, (_, i) => ({
    toward: fromDegrees(towardDeg) + (i * TURN) / copies,
    mirrored: mirrored === true && i % 2 === 1,
  }));
