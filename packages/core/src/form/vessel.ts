import { sayMm } from '../measure/format.js';
import { done, type Reason, type Result, refuse, refused } from '../measure/reason.js';
import { type Curve, curveThrough, knotsBetween, radiusAt, topOf } from './curve.js';
import type { Form } from './shape.js';
import { insideRadius } from './wall.js';

/** A form made ready to be asked: its outside, and from which height up it is open inside. All mm. */
export interface Vessel {
  readonly outside: Curve;
  readonly heightMm: number;
  readonly wallMm: number;
  /** Lowest height of the inside; equal to `heightMm` for a solid piece. */
  readonly hollowFromMm: number;
}

/** Heights looked at to find where the inside opens, besides the curve's own points. */
const STATIONS = 96;
const BISECTIONS = 40;

/** Inside radius at one height; null where the piece is solid. */
export function insideAt(vessel: Vessel, z: number): number | null {
  if (z < vessel.hollowFromMm) return null;
  return Math.max(0, insideRadius(vessel.outside, vessel.wallMm, z, z));
}

/**
 * Makes a form ready, or says what cannot be: points that do not rise, a floor above the lip, a wall that closes the
 * inside at the lip or pinches it below. The inside may begin above the floor where the foot of the form is narrow.
 */
export function vesselOf(form: Form): Result<Vessel> {
  const wrong = disorder(form);
  if (wrong.length > 0) return refused(...wrong);
  const outside = curveThrough(form.points);
  const heightMm = topOf(outside);
  if (form.floorMm > heightMm)
    return refuse(
      'floor-above-lip',
      'form.floorMm',
      `The floor, ${sayMm(form.floorMm)}, is thicker than the form is tall, ${sayMm(heightMm)}.`,
      { most: heightMm },
    );
  if (form.floorMm === heightMm)
    return done({ outside, heightMm, wallMm: form.wallMm, hollowFromMm: heightMm });
  return opening(outside, form.wallMm, form.floorMm);
}

function disorder({ points }: Form): Reason[] {
  const reasons: Reason[] = [];
  if (points[0]!.heightMm !== 0)
    reasons.push({
      code: 'form-foot',
      path: 'form.points.0.heightMm',
      message: `The lowest curve point is at height ${sayMm(points[0]!.heightMm)}; it has to be at 0, on the bench.`,
    });
  points.slice(1).forEach((point, i) => {
    const below = points[i]!.heightMm;
    if (point.heightMm - below < MIN_RISE)
      reasons.push({
        code: 'form-order',
        path: `form.points.${i + 1}.heightMm`,
        message: `Curve point ${i + 2} is at height ${sayMm(point.heightMm)}; it has to be above point ${i + 1}, which is at ${sayMm(below)}.`,
        limits: { least: below + MIN_RISE },
      });
  });
  return reasons;
}

/** Two curve points are at least this far apart in height (mm). */
export const MIN_RISE = 0.1;

function opening(outside: Curve, wallMm: number, floorMm: number): Result<Vessel> {
  const heightMm = topOf(outside);
  const open = (z: number) => insideRadius(outside, wallMm, z, z) > 0;
  const stations = knotsBetween(outside, floorMm, heightMm);
  for (let i = 1; i < STATIONS; i++) stations.push(floorMm + ((heightMm - floorMm) * i) / STATIONS);
  stations.sort((a, b) => a - b);
  let lowest = stations.length;
  while (lowest > 0 && open(stations[lowest - 1]!)) lowest--;
  const closed = stations[lowest - 1];
  if (lowest === stations.length) return tooThick(outside, wallMm, heightMm);
  if (closed === undefined) return done({ outside, heightMm, wallMm, hollowFromMm: floorMm });
  if (stations.slice(0, lowest).some(open)) return tooThick(outside, wallMm, closed);
  let [low, high] = [closed, stations[lowest]!];
  for (let i = 0; i < BISECTIONS; i++) {
    const middle = (low + high) / 2;
    if (open(middle)) high = middle;
    else low = middle;
  }
  return done({ outside, heightMm, wallMm, hollowFromMm: high });
}

function tooThick(outside: Curve, wallMm: number, z: number): Result<never> {
  const radius = sayMm(radiusAt(outside, z));
  return refuse(
    'wall-too-thick',
    'form.wallMm',
    `The wall thickness, ${sayMm(wallMm)}, fills the form at height ${sayMm(z)}, where its radius is ${radius}: no inside is left there.`,
  );
}
