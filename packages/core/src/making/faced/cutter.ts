import {
  ClipperD,
  ClipType,
  EndType,
  FillRule,
  inflatePathsD,
  JoinType,
  type PathsD,
  ramerDouglasPeuckerPathsD,
} from 'clipper2-ts';
import type { FacePoint } from './face.js';

type Loops = readonly (readonly FacePoint[])[];

/** Decimals kept in offsetting: a tenth of a micrometre. */
const DECIMALS = 4;
/** How far a rounded corner may lie beside its arc, and how far points may be dropped (mm). */
const ARC = 0.01;

const toPaths = (loops: Loops) => loops.map((loop) => loop.map(({ u, z }) => ({ x: u, y: z })));

function offset(loops: Loops, by: number): FacePoint[][] {
  if (by === 0) return loops.map((loop) => [...loop]);
  const moved = inflatePathsD(toPaths(loops), by, JoinType.Round, EndType.Polygon, 2, DECIMALS, ARC);
  return moved.map((path) => path.map(({ x, y }) => ({ u: x, z: y })));
}

/**
 * Loops in which outer ones run counter-clockwise and holes clockwise, nothing overlapping (even-odd). Points on a straight line
 * between their neighbours are dropped: with them kept, Clipper never ends on an edge that doubles back on itself.
 */
export function tidied(loops: Loops): FacePoint[][] {
  const clipper = new ClipperD(DECIMALS);
  clipper.preserveCollinear = false;
  clipper.addSubjectPaths(toPaths(loops.filter(encloses)));
  const out: PathsD = [];
  clipper.execute(ClipType.Union, FillRule.EvenOdd, out);
  return out.map((path) => path.map(({ x, y }) => ({ u: x, z: y })));
}

/** Whether a loop has three points that are apart at all; Clipper throws on less. */
const encloses = (loop: readonly FacePoint[]): boolean =>
  new Set(loop.map(({ u, z }) => `${u.toFixed(DECIMALS)} ${z.toFixed(DECIMALS)}`)).size > 2;

/** Loops with fewer points, none of them moved; dropped ones lie within `withinMm` of what is left. */
export const thinned = (loops: Loops, withinMm: number): FacePoint[][] =>
  ramerDouglasPeuckerPathsD(toPaths(loops), withinMm)
    .map((path) => path.map(({ x, y }) => ({ u: x, z: y })))
    .filter((loop) => loop.length > 2);

/**
 * The shape that a round cutter of a diameter can make both ways, pocket and insert: corners inside and outside rounded to
 * its radius (closing, then opening, of mathematical morphology). What is narrower than the cutter is gone.
 */
export function cuttable(loops: Loops, cutterMm: number): FacePoint[][] {
  const r = cutterMm / 2;
  const closed = offset(offset(tidied(loops), r), -r);
  return thinned(offset(offset(closed, -r), r), ARC);
}

/** The insert for a pocket: smaller by a clearance all round. */
export const insertFor = (pocket: Loops, clearanceMm: number): FacePoint[][] =>
  thinned(offset(pocket, -clearanceMm), ARC);
