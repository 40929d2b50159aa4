import {
  type CurvePoint,
  curveThrough,
  extremes,
  knotsBetween,
  pieceAt,
  pieceRadius,
  radiusAt,
  topOf,
} from '../../form/curve.js';
import { fitPoints, type Sample, within } from '../../form/fit.js';
import { LEAST_RADIUS, MIN_RISE } from '../../form/order.js';
import { MOST_POINTS } from '../../form/shape.js';
import { mm } from '../../measure/quantity.js';
import { done, type Result, refuse } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { MOST_DRAWN } from '../drawingText.js';

/** An end that is drawn so near to the axis is a point (mm). */
const POINT = 0.05;

/** An outline whose ends run out on the axis ends in points. */
const pointedEnds = <P extends { readonly radiusMm: number }>(points: readonly P[]): P[] =>
  points.map((point, i) =>
    (i === 0 || i === points.length - 1) && point.radiusMm < POINT ? { ...point, radiusMm: mm(0) } : point,
  );

/** Lines drawn for a curve stay this near to it (mm). */
const DRAWN = 0.001;
/** Points read from a file make a curve that passes the file's line this near (mm). */
export const READ_WITHIN = 0.004;

/** A curve as a fine line: its points, and between them as many as keep the line true to a micrometre. */
export function fineLine(points: readonly CurvePoint[]): Sample[] {
  const curve = curveThrough(points);
  const corners = new Set(points.filter(({ kind }) => kind === 'corner').map(({ heightMm }) => heightMm));
  const knots = knotsBetween(curve, 0, topOf(curve));
  return knots.flatMap((z, i): Sample[] => {
    const next = knots[i + 1];
    const here: Sample = { r: radiusAt(curve, z), z, corner: corners.has(z as never), point: true };
    if (next === undefined) return [here];
    const piece = pieceAt(curve, (z + next) / 2);
    const bend = Math.max(Math.abs(bendAt(piece, 0)), Math.abs(bendAt(piece, 1)));
    const parts = Math.max(1, Math.ceil(Math.sqrt(bend / (8 * DRAWN))));
    const between = Array.from({ length: parts - 1 }, (_, k) => z + ((next - z) * (k + 1)) / parts);
    return [here, ...between.map((height) => ({ r: pieceRadius(piece, height), z: height }))];
  });
}

/** Second derivative of a piece by its parameter t = 0 at the bottom, 1 at the top (mm). */
function bendAt({ z0, z1, r0, r1, d0, d1 }: ReturnType<typeof pieceAt>, t: number): number {
  const h = z1 - z0;
  return 6 * (r1 - r0) * (1 - 2 * t) + h * (d0 * (6 * t - 4) + d1 * (6 * t - 2));
}

/** A turn of a line sharper than this is a corner (rad): a fine line of a smooth curve turns less at each of its points. */
const CORNER = 0.14;

/**
 * Curve points from a line of a half-section, in mm: x is the distance from the axis, z the height. It may run up or
 * down and lie on either side of the axis; a level start along the bench or end across the top is left out. Refused when
 * it turns back in height, touches the axis, or takes too many points to follow within `READ_WITHIN`.
 */
export function profileFrom(line: readonly Sample[]): Result<CurvePoint[]> {
  if (line.length > MOST_DRAWN)
    return refuse(
      'profile-fine',
      '',
      say`The outline comes to ${line.length} points, its curves followed; ${MOST_DRAWN} are allowed.`,
    );
  const risen = upwards(line);
  if (!risen.ok) return risen;
  const samples = close(marked(risen.value));
  const points = fitPoints(samples, within(samples, READ_WITHIN), MOST_POINTS);
  if (points.length > MOST_POINTS)
    return refuse(
      'profile-fine',
      '',
      say`The outline needs more than ${MOST_POINTS} curve points, which is the most there may be. Is it rough, or drawn very large?`,
    );
  const ended = pointedEnds(points);
  const least = ended.some(({ radiusMm }) => radiusMm === 0)
    ? Math.min(...ended.flatMap(({ radiusMm }) => (radiusMm === 0 ? [] : [radiusMm])))
    : extremes(curveThrough(ended), 0, topOf(curveThrough(ended))).least;
  return least >= LEAST_RADIUS
    ? done(ended)
    : refuse(
        'profile-axis',
        '',
        say`The outline comes to ${sayMm(least)} from the axis; it has to stay ${sayMm(LEAST_RADIUS)} away, or end in a point on it.`,
      );
}

const LEVEL = 1e-6;

function upwards(line: readonly Sample[]): Result<Sample[]> {
  const finite = line.filter(({ r, z }) => Number.isFinite(r) && Number.isFinite(z));
  if (finite.length < 2) return refuse('profile-empty', '', 'There is no outline of at least two points.');
  const up = finite[0]!.z <= finite.at(-1)!.z ? [...finite] : [...finite].reverse();
  const left = up.reduce((sum, { r }) => sum + r, 0) < 0;
  while (up.length > 1 && up[1]!.z - up[0]!.z < LEVEL) up.shift();
  while (up.length > 1 && up.at(-1)!.z - up.at(-2)!.z < LEVEL) up.pop();
  const foot = up[0]!.z;
  const risen: Sample[] = [];
  for (const { r, z, ...rest } of up) {
    const before = risen.at(-1);
    const height = z - foot;
    if (before && height < before.z - MIN_RISE)
      return refuse(
        'profile-back',
        '',
        say`The outline turns back at height ${sayMm(before.z)}; the outside of a piece rises all the way from the foot to the lip.`,
      );
    if (before && height - before.z < LEVEL) continue;
    risen.push({ ...rest, r: left ? -r : r, z: height });
  }
  return risen.length >= 2 ? done(risen) : refuse('profile-flat', '', 'The outline has no height.');
}

/** The same points, corners marked where the line turns sharply, unless the file says itself where they are. */
function marked(samples: readonly Sample[]): Sample[] {
  if (samples.some(({ corner }) => corner !== undefined)) return samples.map((sample) => ({ ...sample }));
  return samples.map((sample, i) => {
    const [before, after] = [samples[i - 1], samples[i + 1]];
    if (!before || !after) return { ...sample };
    const turn =
      Math.atan2(after.r - sample.r, after.z - sample.z) -
      Math.atan2(sample.r - before.r, sample.z - before.z);
    return { ...sample, corner: Math.abs(turn) > CORNER };
  });
}

/** Points on straight parts are at most this share of the height apart, so that a curve is held to them too. */
const CLOSE = 1 / 400;

function close(samples: readonly Sample[]): Sample[] {
  const step = CLOSE * samples.at(-1)!.z;
  const sampled = samples.some(({ point }) => point);
  return samples.flatMap((sample, i) => {
    const next = samples[i + 1];
    if (!next || (sampled && !(sample.point && next.point))) return [sample];
    const parts = Math.max(1, Math.ceil((next.z - sample.z) / step));
    const between = Array.from({ length: parts - 1 }, (_, k): Sample => {
      const share = (k + 1) / parts;
      return { r: sample.r + share * (next.r - sample.r), z: sample.z + share * (next.z - sample.z) };
    });
    return [sample, ...between];
  });
}
