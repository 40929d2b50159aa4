import { DxfWriter, point3d, Units } from '@tarikjabiri/dxf';
import type { CurvePoint } from '../../form/curve.js';
import type { Sample } from '../../form/fit.js';
import { INCH, type UnitSystem } from '../../measure/format.js';
import { type Result, refuse } from '../../measure/reason.js';
import { say } from '../../measure/said.js';
import { dxfDrawing } from '../drawingText.js';
import { fineLine, profileFrom } from './profile.js';

/** Layers on which points stand where the curve has its own: smooth ones and corners. */
const LAYERS = { smooth: 'SMOOTH_POINTS', corner: 'CORNER_POINTS' } as const;

/**
 * A profile as a DXF polyline in mm on the layer PROFILE: x from the axis, y upwards from the bench. The points of the
 * curve are marked on layers of their own, so that it comes back as it was.
 */
export function profileDxf(points: readonly CurvePoint[]): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  dxf.addLayer('PROFILE', 7);
  dxf.setCurrentLayerName('PROFILE');
  dxf.addLWPolyline(fineLine(points).map(({ r, z }) => ({ point: point3d(r, z) })));
  for (const kind of ['smooth', 'corner'] as const) {
    dxf.addLayer(LAYERS[kind], 4);
    dxf.setCurrentLayerName(LAYERS[kind]);
    for (const point of points) if (point.kind === kind) dxf.addPoint(point.radiusMm, point.heightMm, 0);
  }
  return dxf.stringify();
}

/** $INSUNITS of a DXF header, in mm (Autodesk DXF reference). */
const DRAWING_UNITS: Readonly<Record<number, number>> = { 1: INCH, 2: 12 * INCH, 4: 1, 5: 10, 6: 1000 };

/**
 * Reads the first polyline of a DXF drawing as a profile: x from the axis, heights from its lowest point; arcs (bulges)
 * are followed. A drawing that does not say its unit is taken to be in the user's.
 */
export function readProfileDxf(text: string, system: UnitSystem): Result<CurvePoint[]> {
  const drawing = dxfDrawing(text);
  if (typeof drawing === 'string') return refuse('dxf-unreadable', '', drawing);
  const polyline = drawing.entities.find(({ type }) => type !== 'POINT');
  if (!polyline) return refuse('dxf-no-polyline', '', 'The DXF has no polyline; draw the outline as one.');
  const unit = DRAWING_UNITS[drawing.units] ?? (system === 'mm' ? 1 : INCH);
  const marks = drawing.entities.flatMap(({ type, layer, vertices: [at] }) =>
    type === 'POINT' && at && (layer === LAYERS.smooth || layer === LAYERS.corner) ? [{ layer, ...at }] : [],
  );
  if (polyline.vertices.length > MOST_VERTICES || marks.length > MOST_MARKS)
    return refuse(
      'dxf-large',
      '',
      say`The DXF has ${polyline.vertices.length} vertices and ${marks.length} points; ${MOST_VERTICES} and ${MOST_MARKS} are allowed.`,
    );
  const kindAt = (x: number, y: number) => {
    const mark = marks.find((p) => Math.hypot(p.x - x, p.y - y) < SAME_POINT);
    return mark && { point: true, corner: mark.layer === LAYERS.corner };
  };
  const marked = marks.length > 0;
  const line: Sample[] = [];
  polyline.vertices.forEach(({ x, y, bulge }, i) => {
    const next = polyline.vertices[i + 1];
    const kind = kindAt(x, y) ?? (marked ? { corner: false } : {});
    line.push({ r: x * unit, z: y * unit, ...kind });
    if (next && bulge)
      line.push(...arc({ x, y }, next, bulge).map((p) => ({ r: p.x * unit, z: p.y * unit })));
  });
  return profileFrom(line);
}

/** A polyline and its marked points have at most so many. */
const MOST_VERTICES = 50_000;
const MOST_MARKS = 400;

/** A marked point and a vertex nearer than this are the same, in the drawing's unit. */
const SAME_POINT = 1e-4;

interface Flat {
  readonly x: number;
  readonly y: number;
}

/** Points drawn on an arc, its ends left out. */
const PARTS = 64;

/** The arc between two vertices: bulge = tan(φ/4), φ its angle, positive counter-clockwise (Autodesk DXF reference). */
function arc(from: Flat, to: Flat, bulge: number): Flat[] {
  const angle = 4 * Math.atan(bulge);
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const aside = (1 - bulge * bulge) / (4 * bulge);
  const [cx, cy] = [(from.x + to.x) / 2 - dy * aside, (from.y + to.y) / 2 + dx * aside];
  const radius = Math.hypot(from.x - cx, from.y - cy);
  const start = Math.atan2(from.y - cy, from.x - cx);
  return Array.from({ length: PARTS - 1 }, (_, i) => {
    const at = start + (angle * (i + 1)) / PARTS;
    return { x: cx + radius * Math.cos(at), y: cy + radius * Math.sin(at) };
  });
}
