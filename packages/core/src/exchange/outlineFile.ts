import { DxfWriter, LWPolylineFlags, point3d, Units } from '@tarikjabiri/dxf';
import svgpath from 'svgpath';
import { thinned, tidied } from '../making/faced/cutter.js';
import type { FacePoint } from '../making/faced/face.js';
import { inlayOutlines } from '../making/lettered/outlines.js';
import type { Glyph, LetteredRing } from '../making/lettered/params.js';
import { trimZeros } from '../measure/format.js';
import { done, type Result, refuse } from '../measure/reason.js';
import { say } from '../measure/said.js';
import { dxfDrawing, MOST_DRAWN, MOST_LETTERS, svgPaths } from './drawingText.js';

type Loop = readonly (readonly [number, number])[];

/** Points that an outline is brought down to, and by how much of its height that may move it, step by step. */
const MOST_POINTS = 400;
const FINENESS = [0.0015, 0.003, 0.006, 0.012, 0.025];

/**
 * An outline for an inlay from closed loops (any unit, y up): its middle at 0, 0 and `unit` of it one high, its own height
 * where no unit is given. A sentence where it cannot be used.
 */
export function glyphFromLoops(name: string, loops: readonly Loop[], unit?: number): Glyph | string {
  const given = distinct(loops);
  if (given.length > MOST_LOOPS)
    return `“${name}” has ${given.length} closed lines; ${MOST_LOOPS} are allowed. Make it simpler.`;
  const points = given.flat();
  if (points.length > MOST_GIVEN)
    return `“${name}” has ${points.length} points; ${MOST_GIVEN} are allowed. Make it simpler.`;
  if (points.length < 3) return `“${name}” has no closed outline.`;
  if (!points.every(([x, y]) => Math.abs(x) < FARTHEST && Math.abs(y) < FARTHEST))
    return `“${name}” has points that lie nowhere; numbers have to be below a million million.`;
  const [left, right] = [Math.min(...points.map(([x]) => x)), Math.max(...points.map(([x]) => x))];
  const [low, high] = [Math.min(...points.map(([, y]) => y)), Math.max(...points.map(([, y]) => y))];
  const size = unit ?? high - low;
  if (!(size > 0) || !(right > left)) return `“${name}” has no height or no width.`;
  if (Math.max(right - left, high - low) > LONGEST * Math.min(size, right - left))
    return `“${name}” is over ${LONGEST} times as long one way as the other; that is no outline for an inlay.`;
  const scaled = given.map((loop) =>
    loop.map(
      ([x, y]): FacePoint => ({ u: (x - (left + right) / 2) / size, z: (y - (low + high) / 2) / size }),
    ),
  );
  const whole = tidied(scaled);
  if (whole.length === 0) return `“${name}” has no closed outline.`;
  for (const within of FINENESS) {
    const fine = thinned(whole, within);
    if (fine.length > 0 && fine.reduce((sum, loop) => sum + loop.length, 0) <= MOST_POINTS)
      return {
        name,
        loops: fine.map((loop) => loop.map(({ u, z }): [number, number] => [places(u), places(z)])),
      };
  }
  return `“${name}” has too many points, even when it is made simpler; ${MOST_POINTS} are allowed.`;
}

/** Paths that are looked at; those that are there twice count once. */
const MOST_PATHS = 3000;
/** Closed lines and points that an outline may be given with. */
const MOST_LOOPS = 120;
const MOST_GIVEN = 20_000;

/** Farther than any drawing (its own units), and how many times as long an outline may be one way as the other. */
const FARTHEST = 1e12;
const LONGEST = 200;

/** Loops without those that are there before, point for point. */
const distinct = (loops: readonly Loop[]): Loop[] => {
  const seen = new Map(loops.map((loop) => [loop.join(' '), loop]));
  return [...seen.values()];
};

const places = (value: number): number => Math.round(value * 1e4) / 1e4 + 0;

/** Reads closed outlines from an SVG (paths) or a DXF (closed polylines). */
export function readOutline(fileName: string, text: string): Result<Glyph> {
  const name = fileName.replace(/\.[a-z]+$/i, '').slice(0, 40) || 'outline';
  if (text.length > MOST_LETTERS)
    return refuse('outline-unreadable', '', say`“${name}” is too large; 2 million letters are allowed.`);
  const loops = /\.dxf$/i.test(fileName) ? dxfLoops(text) : svgLoops(text);
  if (typeof loops === 'string') return refuse('outline-unreadable', '', loops);
  const glyph = glyphFromLoops(name, loops);
  return typeof glyph === 'string' ? refuse('outline-unusable', '', glyph) : done(glyph);
}

/** Parts that a curve is followed in. */
const PARTS = 16;

function svgLoops(text: string): Loop[] | string {
  const drawn = svgPaths(text, MOST_PATHS).map(({ d }) => d);
  if (drawn.length === 0) return 'The SVG has no path; draw the outline as paths.';
  const loops: [number, number][][] = [];
  let points = 0;
  for (const d of drawn) {
    if (d.length > MOST_DRAWN || loops.length > MOST_PATHS || points > MOST_DRAWN)
      return `The SVG has more than ${MOST_DRAWN} points; make the outline simpler.`;
    const path = svgpath.from(d).abs().unshort().unarc();
    path.iterate(([name, ...given], _, x, y) => {
      const n = given as number[];
      if (name === 'M') loops.push([[n[0]!, -n[1]!]]);
      const loop = loops.at(-1);
      if (!loop) return;
      if (name === 'L') loop.push([n[0]!, -n[1]!]);
      else if (name === 'H') loop.push([n[0]!, -y]);
      else if (name === 'V') loop.push([x, -n[0]!]);
      points++;
      if (name === 'C' || name === 'Q')
        for (let i = 1; i <= PARTS; i++) loop.push(bezier([x, y, ...n], i / PARTS));
    });
  }
  return loops.filter((loop) => loop.length > 2);
}

/** A point of a Bézier curve of any degree (de Casteljau), y turned up. */
function bezier(numbers: readonly number[], t: number): [number, number] {
  let points = Array.from({ length: numbers.length / 2 }, (_, i) => [numbers[2 * i]!, numbers[2 * i + 1]!]);
  while (points.length > 1)
    points = points.slice(1).map((q, i) => [0, 1].map((k) => points[i]![k]! * (1 - t) + q[k]! * t));
  return [points[0]![0]!, -points[0]![1]!];
}

function dxfLoops(text: string): Loop[] | string {
  const read = dxfDrawing(text);
  if (typeof read === 'string') return read;
  const loops = read.entities.flatMap(({ type, vertices }) =>
    type === 'POINT' ? [] : [vertices.map(({ x, y }): [number, number] => [x, y])],
  );
  return loops.length > 0 ? loops : 'The DXF has no polyline; draw the outline as closed polylines.';
}

/** Between two outlines on a sheet: a cutter and a half, at least this (mm). */
const LEAST_APART = 6;

interface Sheet {
  readonly name: string;
  readonly layer: 'POCKET' | 'INSERT';
  readonly loops: readonly Loop[];
}

/** Pockets in the upper row, inserts in the lower one, moved apart so that a cutter goes between them; and their size. */
function laidOut(given: LetteredRing): { sheets: Sheet[]; width: number; height: number } {
  const apart = Math.max(LEAST_APART, 1.5 * given.cutterMm);
  const pairs = inlayOutlines(given);
  const high = Math.max(1, ...pairs.flatMap(({ pocket }) => pocket.flat()).map(({ z }) => 2 * Math.abs(z)));
  let x = apart;
  const sheets = pairs.flatMap(({ name, pieces, pocket, insert }): Sheet[] => {
    const half = Math.max(...pocket.flat().map(({ u }) => Math.abs(u)));
    const at = (loops: readonly (readonly FacePoint[])[], y: number): Loop[] =>
      loops.map((loop) => loop.map(({ u, z }) => [u + x + half, z + y] as const));
    const row = [
      { name: `${name} × ${pieces}`, layer: 'POCKET' as const, loops: at(pocket, 2 * apart + 1.5 * high) },
      { name: `${name} × ${pieces}`, layer: 'INSERT' as const, loops: at(insert, apart + 0.5 * high) },
    ];
    x += 2 * half + apart;
    return row;
  });
  return { sheets, width: x, height: 2 * high + 3 * apart };
}

const figure = (value: number): string => trimZeros(value.toFixed(4));

/** Pockets and inserts of a ring at full size in mm: SVG groups, or DXF layers POCKET and INSERT. */
export function inlayFile(given: LetteredRing, format: 'svg' | 'dxf'): string {
  const { sheets, width, height } = laidOut(given);
  if (format === 'dxf') {
    const dxf = new DxfWriter();
    dxf.setUnits(Units.Millimeters);
    for (const layer of ['POCKET', 'INSERT'] as const) {
      dxf.addLayer(layer, layer === 'POCKET' ? 7 : 4);
      dxf.setCurrentLayerName(layer);
      for (const sheet of sheets.filter((each) => each.layer === layer))
        for (const loop of sheet.loops)
          dxf.addLWPolyline(
            loop.map(([x, y]) => ({ point: point3d(x, y) })),
            { flags: LWPolylineFlags.Closed },
          );
    }
    return dxf.stringify();
  }
  const path = (loop: Loop) => `M${loop.map(([x, y]) => `${figure(x)} ${figure(height - y)}`).join('L')}Z`;
  const group = (layer: Sheet['layer'], colour: string) =>
    `  <g id="${layer}" fill="none" stroke="${colour}" stroke-width="0.1" fill-rule="evenodd">
${sheets
  .filter((sheet) => sheet.layer === layer)
  .map(
    ({ name, loops }) => `    <path d="${loops.map(path).join('')}"><title>${escaped(name)}</title></path>`,
  )
  .join('\n')}
  </g>`;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${figure(width)}mm" height="${figure(height)}mm" viewBox="0 0 ${figure(width)} ${figure(height)}">
${group('POCKET', '#000000')}
${group('INSERT', '#1f6f72')}
</svg>
`;
}

const escaped = (text: string): string => text.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);
