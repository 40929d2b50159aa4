import dxfParser, { type IDxf } from 'dxf-parser';

/** The package's default export is its class; its types name the whole module. */
const DxfParser = dxfParser as unknown as new () => { parseSync(text: string): IDxf | null };

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

/** Group codes of DXF with which an entity claims how many values follow (Autodesk DXF reference). */
const CLAIMS = new Set([71, 72, 73, 74, 90]);

/**
 * A DXF drawing; a sentence where it cannot be read. What it claims to hold is held against what it has before the parser
 * makes room for it.
 */
export function dxfDrawing(text: string): IDxf | string {
  const lines = text.split(/\r\n|\n|\r/);
  for (let i = 0; i + 1 < lines.length; i += 2) {
    const claimed = CLAIMS.has(Number(lines[i])) ? Number(lines[i + 1]) : 0;
    if (claimed > lines.length)
      return `The DXF says that it has ${claimed} points, and is ${lines.length} lines long; save it again.`;
  }
  try {
    return new DxfParser().parseSync(text) ?? UNREAD;
  } catch {
    return UNREAD;
  }
}

const UNREAD = 'The DXF cannot be read; save it as ASCII DXF with polylines.';
