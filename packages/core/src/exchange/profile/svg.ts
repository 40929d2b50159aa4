import svgpath from 'svgpath';
import { type CurvePiece, type CurvePoint, curveThrough, topOf } from '../../form/curve.js';
import type { Sample } from '../../form/fit.js';
import { INCH, trimZeros } from '../../measure/format.js';
import { type Result, refuse } from '../../measure/reason.js';
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

/** Points sampled on every curved part of a path. */
const PARTS = 96;

/**
 * Reads the first path of an SVG drawing as a profile: x from the axis at x = 0, heights from its lowest point. Size
 * from the drawing's width and viewBox; without them a unit is 1/96 in (CSS). Transforms on the path are followed,
 * those of groups are not.
 */
export function readProfileSvg(text: string): Result<CurvePoint[]> {
  const element = /<path\b[^>]*>/i.exec(text)?.[0];
  const d = element && attribute(element, 'd');
  if (!d) return refuse('svg-no-path', '', 'The SVG has no path; draw the outline as one path.');
  let path = svgpath.from(d);
  const transform = attribute(element, 'transform');
  if (transform) path = path.transform(transform);
  const scale = millimetresPerUnit(text);
  const line: Sample[] = [];
  const to = (x: number, y: number, point = false) =>
    line.push({ r: x * scale, z: -y * scale, ...(point && { point }) });
  let failed = false;
  path
    .abs()
    .unshort()
    .unarc()
    .iterate(([name, ...given], _, x, y) => {
      const n = given as number[];
      if (name === 'C') bezier([x, y, n[0]!, n[1]!, n[2]!, n[3]!, n[4]!, n[5]!], to);
      else if (name === 'Q') bezier(raised(x, y, n[0]!, n[1]!, n[2]!, n[3]!), to);
      else if (name === 'M' && line.length > 0) failed = true;
      else if (name === 'M' || name === 'L') to(n[0]!, n[1]!, true);
      else if (name === 'H') to(n[0]!, y, true);
      else if (name === 'V') to(x, n[0]!, true);
    });
  return failed || line.length === 0
    ? refuse(
        'svg-path',
        '',
        'The path is not one unbroken line; draw the outline in one go from foot to lip.',
      )
    : profileFrom(line);
}

function attribute(element: string, name: string): string | undefined {
  return new RegExp(`\\s${name}\\s*=\\s*(["'])([\\s\\S]*?)\\1`, 'i').exec(element)?.[2];
}

const UNITS: Record<string, number> = { mm: 1, cm: 10, in: INCH, pt: INCH / 72, pc: INCH / 6, px: INCH / 96 };

function millimetresPerUnit(text: string): number {
  const root = /<svg\b[^>]*>/i.exec(text)?.[0] ?? '';
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

function bezier(p: readonly number[], to: (x: number, y: number, point: boolean) => void): void {
  for (let i = 1; i <= PARTS; i++) {
    const [t, u] = [i / PARTS, 1 - i / PARTS];
    const weights = [u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t];
    const sum = (from: number) => weights.reduce((total, w, k) => total + w * p[2 * k + from]!, 0);
    to(sum(0), sum(1), i === PARTS);
  }
}
