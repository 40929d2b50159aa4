import { DxfWriter, LWPolylineFlags, point3d, Units } from '@tarikjabiri/dxf';
import { trimZeros } from '../measure/format.js';
import type { Point } from '../ring/plane.js';

/** A closed or open line on a layer, mm, y up. */
export interface DrawnLine {
  readonly layer: string;
  readonly points: readonly Point[];
  readonly closed: boolean;
  readonly title?: string;
}

export interface DrawnText {
  readonly layer: string;
  readonly at: Point;
  readonly heightMm: number;
  readonly words: string;
}

/** A drawing at full size for other programs: lines and words on named layers. */
export interface FlatDrawing {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly lines: readonly DrawnLine[];
  readonly texts: readonly DrawnText[];
}

/** Names that every reader of DXF takes: letters, digits, dashes. */
export const layerName = (words: string): string =>
  words
    .toUpperCase()
    .replace(/[^A-Z0-9]+/g, '-')
    .replace(/^-|-$/g, '') || 'LAYER';

const figure = (value: number): string => trimZeros(value.toFixed(4));
const escaped = (words: string): string => words.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);

/** As SVG in mm, a group for every layer. */
export function drawingSvg({ widthMm, heightMm, lines, texts }: FlatDrawing): string {
  const layers = [...new Set([...lines, ...texts].map(({ layer }) => layer))];
  const path = ({ points, closed }: DrawnLine) =>
    `M${points.map(({ x, y }) => `${figure(x)} ${figure(heightMm - y)}`).join('L')}${closed ? 'Z' : ''}`;
  const group = (layer: string) => {
    const drawn = lines
      .filter((line) => line.layer === layer)
      .map(
        (line) =>
          `    <path d="${path(line)}">${line.title ? `<title>${escaped(line.title)}</title>` : ''}</path>`,
      );
    const words = texts
      .filter((text) => text.layer === layer)
      .map(
        ({ at, heightMm: high, words }) =>
          `    <text x="${figure(at.x)}" y="${figure(heightMm - at.y)}" font-size="${figure(high)}" fill="#1d2527" stroke="none">${escaped(words)}</text>`,
      );
    return `  <g id="${escaped(layer)}">\n${[...drawn, ...words].join('\n')}\n  </g>`;
  };
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${figure(widthMm)}mm" height="${figure(heightMm)}mm" viewBox="0 0 ${figure(widthMm)} ${figure(heightMm)}" fill="none" stroke="#1d2527" stroke-width="0.2" font-family="sans-serif">
${layers.map(group).join('\n')}
</svg>
`;
}

/** As DXF in mm, lines as polylines on their layers. */
export function drawingDxf({ lines, texts }: FlatDrawing): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  const layers = [...new Set([...lines, ...texts].map(({ layer }) => layer))];
  layers.forEach((layer, i) => {
    const name = layerName(layer);
    dxf.addLayer(name, (i % 7) + 1);
    dxf.setCurrentLayerName(name);
    for (const { points, closed } of lines.filter((line) => line.layer === layer))
      dxf.addLWPolyline(
        points.map(({ x, y }) => ({ point: point3d(x, y) })),
        closed ? { flags: LWPolylineFlags.Closed } : {},
      );
    for (const { at, heightMm, words } of texts.filter((text) => text.layer === layer))
      dxf.addText(point3d(at.x, at.y), heightMm, words);
  });
  return dxf.stringify();
}

export type DrawingFormat = 'svg' | 'dxf';
export const drawingFile = (drawing: FlatDrawing, format: DrawingFormat): string =>
  format === 'svg' ? drawingSvg(drawing) : drawingDxf(drawing);
