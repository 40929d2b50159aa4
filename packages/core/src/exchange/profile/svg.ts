import svgpath from 'svgpath';
import { type CurvePiece, type CurvePoint, curveThrough, topOf } from '../../form/curve.js';
import type { Sample } from '../../form/fit.js';
import { INCH, trimZeros } from '../../measure/format.js';
import { type Result, refuse } from '../../measure/reason.js';
import { say } from '../../measure/said.js';
import { attribute, MOST_DRAWN, svgPaths } from '../drawingText.js';
import { profileFrom } from './profile.js';

const figure = (value: number): string => trimZeros(value.toFixed(5));

/**
 * A profile as an SVG drawing, full size in mm: one path from the foot to the lip, the axis at x = 0. A cubic piece of
 * radius over height is a cubic Bézier exactly, its handles a third of the height in.
 */
export function profileSvg(points: readonly CurvePoint[]): string {
  const curve = curveThrough(points);
  const height = topOf(curve);
  const widest = Math.max(...points.map(({ radiusMm }) => radiusMm));
  const at = (r: number, z: number) => `${figure(r)} ${figure(height - z)}`;
  const bezier = ({ z0, z1, r0, r1, d0, d1 }: CurvePiece) => {
    const third = (z1 - z0) / 3;
    return `C${at(r0 + d0 * third, z0 + third)} ${at(r1 - d1 * third, z1 - third)} ${at(r1, z1)}`;
  };
  const d = `M${at(points[0]!.radiusMm, 0)} ${curve.pieces.map(bezier).join(' ')}`;
  const [w, h] = [figure(widest), figure(height)];
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" height="${h}mm" viewBox="0 0 ${w} ${h}">
  <path d="${d}" fill="none" stroke="#000000" stroke-width="0.3"/>
</svg>
`;
}

/** Letters of a transform that are followed. */
const MOST_TRANSFORM = 500;

/** Points sampled on every curved part of a path. */
const PARTS = 96;

/**
 * Reads the first path of an SVG drawing as a profile: x from the axis at x = 0, heights from its lowest point. Size
 * from the drawing's width and viewBox; without them a unit is 1/96 in (CSS). Transforms on the path are followed,
 * those of groups are not.
 */
export function readProfileSvg(text: string): Result<CurvePoint[]> {
  const [first] = svgPaths(text, 1);
  if (!first) return refuse('svg-no-path', '', 'The SVG has no path; draw the outline as one path.');
  if (first.d.length > MOST_DRAWN)
    return refuse('svg-large', '', say`The path has more than ${MOST_DRAWN} letters; make it simpler.`);
  let path = svgpath.from(first.d);
  if (first.transform) path = path.transform(first.transform.slice(0, MOST_TRANSFORM));
  const pen = penOf(millimetresPerUnit(text));
  let failed = false;
  path
    .abs()
    .unshort()
    .unarc()
    .iterate(([name, ...given], _, x, y) => {
      const n = given as number[];
      if (name === 'C') pen.curve([x, y, ...n]);
      else if (name === 'Q') pen.curve(raised(x, y, n[0]!, n[1]!, n[2]!, n[3]!));
      else if (name === 'M' && pen.line.length > 0) failed = true;
      else if (name === 'M' || name === 'L') pen.straight(n[0]!, n[1]!);
      else if (name === 'H') pen.straight(n[0]!, y);
      else if (name === 'V') pen.straight(x, n[0]!);
    });
  const { line } = pen;
  return failed || line.length === 0
    ? refuse(
        'svg-path',
        '',
        'The path is not one unbroken line; draw the outline in one go from foot to lip.',
      )
    : profileFrom(line);
}

const UNITS: Record<string, number> = { mm: 1, cm: 10, in: INCH, pt: INCH / 72, pc: INCH / 6, px: INCH / 96 };

function millimetresPerUnit(text: string): number {
  const at = text.search(/<svg\s/i);
  const root = at < 0 ? '' : text.slice(at, text.indexOf('>', at));
  const width = /^\s*([\d.]+)\s*([a-z]*)\s*$/i.exec(attribute(root, 'width') ?? '');
  const box = (attribute(root, 'viewBox') ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const perUnit = UNITS[(width?.[2] || 'px').toLowerCase()] ?? UNITS.px!;
  const wide = Number(width?.[1]) * perUnit;
  return wide > 0 && box.length === 4 && box[2]! > 0 ? wide / box[2]! : UNITS.px!;
}

/** A quadratic Bézier's control points as a cubic's. */
const raised = (x: number, y: number, cx: number, cy: number, ex: number, ey: number): number[] => [
  x,
  y,
  x + (2 / 3) * (cx - x),
  y + (2 / 3) * (cy - y),
  ex + (2 / 3) * (cx - ex),
  ey + (2 / 3) * (cy - ey),
  ex,
  ey,
];

/** A turn between two parts of a path sharper than this is a corner (rad): of a curve, and between two straight lines. */
const CORNER = 0.002;
const STRAIGHT_CORNER = 0.14;

interface Heading {
  readonly angle: number;
  readonly straight: boolean;
}

/** Follows a path: samples its curves, and marks its own points as corners or smooth by the headings that meet there. */
function penOf(scale: number) {
  const line: Sample[] = [];
  let before: Heading | null = null;
  const put = (x: number, y: number, mark: Partial<Sample>) =>
    line.push({ r: x * scale, z: -y * scale, ...mark });
  /** Sets out in a direction: says of the point where it does so whether it is a corner. */
  const leave = (heading: Heading) => {
    const last = line.at(-1);
    if (!last || !before) return;
    const turn = Math.abs(
      Math.atan2(Math.sin(heading.angle - before.angle), Math.cos(heading.angle - before.angle)),
    );
    const sharp = before.straight && heading.straight ? STRAIGHT_CORNER : CORNER;
    line[line.length - 1] = { ...last, corner: turn > sharp };
  };
  return {
    line: line as readonly Sample[],
    straight(x: number, y: number) {
      const last = line.at(-1);
      if (last) {
        const heading = { angle: Math.atan2(-y * scale - last.z, x * scale - last.r), straight: true };
        leave(heading);
        before = heading;
      }
      put(x, y, { point: true, corner: false });
    },
    /** A cubic Bézier: eight numbers, start, two control points, end. */
    curve(p: readonly number[]) {
      const angle = (from: number, to: number) => Math.atan2(p[from + 1]! - p[to + 1]!, p[to]! - p[from]!);
      leave({ angle: angle(0, 2), straight: false });
      before = { angle: angle(4, 6), straight: false };
      for (let i = 1; i <= PARTS; i++) {
        const [t, u] = [i / PARTS, 1 - i / PARTS];
        const weights = [u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t];
        const sum = (from: number) => weights.reduce((total, w, k) => total + w * p[2 * k + from]!, 0);
        put(sum(0), sum(1), { corner: false, ...(i === PARTS && { point: true }) });
      }
    },
  };
}
