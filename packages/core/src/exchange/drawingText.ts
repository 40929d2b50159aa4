/** Largest drawing that is read, letters: a line of some fifty thousand points. */
export const MOST_LETTERS = 2e6;
/** Most points that a drawing may come to, its curves followed. */
export const MOST_DRAWN = 100_000;

/** A path of an SVG: its data and its own transform. */
export interface SvgPath {
  readonly d: string;
  readonly transform: string | undefined;
}

const TAG = '<path';

/** The paths of an SVG in their order, at most so many; read in one go, however the text is made up. */
export function svgPaths(text: string, most: number): SvgPath[] {
  const paths: SvgPath[] = [];
  for (let at = text.indexOf(TAG); at >= 0 && paths.length < most; at = text.indexOf(TAG, at)) {
    const end = text.indexOf('>', at);
    if (end < 0) break;
    const element = text.slice(at, end);
    at = end;
    const d = /^<path[\s/]/.test(element) ? attribute(element, 'd') : undefined;
    if (d) paths.push({ d, transform: attribute(element, 'transform') });
  }
  return paths;
}

/** An attribute of an element's opening tag. */
export const attribute = (element: string, name: string): string | undefined =>
  new RegExp(`\\s${name}\\s*=\\s*(?:"([^"]*)"|'([^']*)')`, 'i')
    .exec(element)
    ?.slice(1)
    .find((value) => value !== undefined);

/** A point of a polyline; `bulge` of the arc to the next, tan(φ/4) (Autodesk DXF reference). */
export interface DxfVertex {
  x: number;
  y: number;
  bulge?: number;
}

/** What is read of a DXF: polylines, and points with their layers. */
export interface DxfEntity {
  readonly type: string;
  layer: string;
  readonly vertices: DxfVertex[];
}

export interface DxfDrawing {
  /** $INSUNITS of the header; 0 where it does not say. */
  readonly units: number;
  readonly entities: readonly DxfEntity[];
}

/** Entities that have points of their own, and the one that carries those of a POLYLINE. */
const READ = new Set(['LWPOLYLINE', 'POLYLINE', 'POINT']);
/** Group codes (Autodesk DXF reference): x, y, bulge, layer, and how many vertices there are said to be. */
const CODE = { x: 10, y: 20, bulge: 42, layer: 8, claimed: 90 } as const;

/**
 * Reads an ASCII DXF pair by pair, once, however it is made up; a sentence where it cannot be read. What it claims to
 * hold is held against what it has.
 */
export function dxfDrawing(text: string): DxfDrawing | string {
  const lines = text.split(/\r\n|\n|\r/);
  const entities: DxfEntity[] = [];
  let units = 0;
  let variable = '';
  let open: DxfEntity | null = null;
  let takes = false;
  for (let i = 0; i + 1 < lines.length; i += 2) {
    const code = Number(lines[i]);
    const value = lines[i + 1]!.trim();
    if (lines[i]!.trim() === '' || !Number.isInteger(code)) return UNREAD;
    if (code === 0) {
      if (READ.has(value)) {
        open = { type: value, layer: '', vertices: [] };
        entities.push(open);
      } else if (!(value === 'VERTEX' && open?.type === 'POLYLINE')) open = null;
      // The point of a POLYLINE itself is only its height; its vertices follow as entities.
      takes = value !== 'POLYLINE';
    } else if (code === 9) variable = value;
    else if (code === 70 && variable === '$INSUNITS') [units, variable] = [Number(value), ''];
    else if (open) {
      const problem = take(open, code, value, takes, lines.length);
      if (problem) return problem;
    }
  }
  return entities.length > 0 || /\bENTITIES\b/.test(text) ? { units, entities } : UNREAD;
}

function take(open: DxfEntity, code: number, value: string, takes: boolean, lines: number): string | null {
  const number = Number(value);
  if (code === CODE.claimed && number > lines)
    return `The DXF says that it has ${number} points, and is ${lines} lines long; save it again.`;
  if (code === CODE.layer && open.layer === '') open.layer = value;
  if (!takes) return null;
  const last = open.vertices.at(-1);
  if (code === CODE.x) open.vertices.push({ x: number, y: Number.NaN });
  else if (code === CODE.y && last) last.y = number;
  else if (code === CODE.bulge && last) last.bulge = number;
  return null;
}

const UNREAD = 'The DXF cannot be read; save it as ASCII DXF with polylines.';
