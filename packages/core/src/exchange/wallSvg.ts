import { radiusAt } from '../form/curve.js';
import { slopeLength } from '../form/slope.js';
import type { Prepared } from '../project/prepare.js';
import { type Drawn, drawnOf, sampledCuts, shownOn } from '../project/standing.js';
import { copyLoops, type WallMark } from '../surface/marks.js';
import { type UnrolledPart, unrolledParts } from '../surface/unrolled.js';
import type { Species } from '../wood/species.js';

/** Papers that a full-size drawing is cut up for, mm. */
export const PAPERS = {
  a4: { name: 'A4', widthMm: 210, heightMm: 297 },
  a3: { name: 'A3', widthMm: 297, heightMm: 420 },
  letter: { name: 'Letter', widthMm: 215.9, heightMm: 279.4 },
} as const;
export type Paper = keyof typeof PAPERS;

/** Left free round a page, and drawn on two neighbouring pages, mm. */
const MARGIN = 10;
const LAP = 8;
/** Left of the rings, for their numbers, mm. */
const NUMBERS = 10;

/** A ring laid flat at full size: its width is its circumference at half height, its height that of the wall along the slope. */
interface Row {
  readonly drawn: Drawn;
  readonly parts: readonly UnrolledPart[];
  readonly widthMm: number;
  /** Upper and lower edge, mm from the top of the drawing. */
  readonly top: number;
  readonly bottom: number;
}

interface Sheet {
  /** What is let into the outside, each with the wood that it shows. */
  readonly marks: readonly { readonly wood: string; readonly loops: WallMark['loops'] }[];
  readonly rows: readonly Row[];
  readonly widthMm: number;
  readonly heightMm: number;
}

function sheetOf(prepared: Prepared): Sheet {
  const { outside } = prepared.vessel;
  let down = 0;
  const rows: Row[] = [];
  for (const drawn of drawnOf(prepared).sort((a, b) => b.fromMm + b.toMm - a.fromMm - a.toMm)) {
    const { fromMm, toMm } = drawn;
    const slant = slopeLength(outside, fromMm, toMm);
    rows.push({
      drawn,
      parts: unrolledParts(drawn, outside, fromMm, toMm),
      widthMm: 2 * Math.PI * radiusAt(outside, (fromMm + toMm) / 2),
      top: down,
      bottom: down + slant,
    });
    down += slant;
  }
  const shown = shownOn(prepared);
  const marks = (sampledCuts(prepared).marks ?? []).flatMap(({ ring, place, loops, copies }) =>
    copies.map((copy) => ({ wood: shown[ring]!.woods[place]!, loops: copyLoops(loops, copy) })),
  );
  return {
    marks,
    rows,
    widthMm: NUMBERS + Math.max(0, ...rows.map(({ widthMm }) => widthMm)),
    heightMm: down,
  };
}

const figure = (mm: number): number => Math.round(mm * 100) / 100;

const escaped = (text: string): string =>
  text.replace(/[&<>"]/g, (letter) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[letter]!);

/** Everything on the sheet that lies between two distances from the left, as SVG in mm. */
function drawing(
  { rows, marks }: Sheet,
  palette: ReadonlyMap<string, Species>,
  from: number,
  to: number,
): string {
  return rows
    .flatMap(({ drawn, parts, widthMm, top, bottom }) => {
      const { index, band, woods, fromMm, toMm } = drawn;
      const x = (share: number) => NUMBERS + Math.min(1, Math.max(0, share)) * widthMm;
      const y = (z: number) => bottom - ((z - fromMm) / Math.max(1e-9, toMm - fromMm)) * (bottom - top);
      const shown = parts.filter(
        ({ low, high }) => x(Math.max(low.to, high.to)) >= from && x(Math.min(low.from, high.from)) <= to,
      );
      const shapes = shown.map(({ place, low, high }) => {
        const corners = [
          [x(low.from), y(low.z)],
          [x(high.from), y(high.z)],
          [x(high.to), y(high.z)],
          [x(low.to), y(low.z)],
        ];
        const points = corners.map(([a, b]) => `${figure(a!)},${figure(b!)}`).join(' ');
        return `<polygon points="${points}" fill="${palette.get(woods[place]!)?.colour ?? '#999999'}"/>`;
      });
      const number = `<text x="1" y="${figure((top + bottom) / 2 + 1.2)}">${band === undefined ? index + 1 : `b${band + 1}`}</text>`;
      return [
        ...shapes,
        ...inlaid(marks, { x, y, fromMm, toMm, top, bottom, widthMm }, `row-${index}`, palette),
        number,
      ];
    })
    .join('\n');
}

/** Where a row lies on the sheet. */
interface RowPlace extends Pick<Row, 'top' | 'bottom' | 'widthMm'> {
  readonly fromMm: number;
  readonly toMm: number;
  readonly x: (share: number) => number;
  readonly y: (z: number) => number;
}

/** What is let into a ring: outlines cut off at its edges, where they run over into the next row. */
function inlaid(
  marks: Sheet['marks'],
  { x, y, fromMm, toMm, top, bottom, widthMm }: RowPlace,
  id: string,
  palette: ReadonlyMap<string, Species>,
): string[] {
  const turn = 2 * Math.PI;
  const here = marks.filter(({ loops }) =>
    loops.some((loop) => loop.some(({ z }) => z > fromMm && z < toMm)),
  );
  if (here.length === 0) return [];
  const paths = here.map(({ wood, loops }) => {
    const laps = [-1, 0, 1].map((lap) =>
      loops
        .map(
          (loop) =>
            `M${loop.map(({ angle, z }) => `${figure(x(0) + (angle / turn + lap) * widthMm)} ${figure(y(z))}`).join('L')}Z`,
        )
        .join(''),
    );
    return `<path d="${laps.join('')}" fill="${palette.get(wood)?.colour ?? '#999999'}" fill-rule="evenodd"/>`;
  });
  return [
    `<clipPath id="${id}"><rect x="${figure(x(0))}" y="${figure(top)}" width="${figure(widthMm)}" height="${figure(bottom - top)}"/></clipPath>`,
    `<g clip-path="url(#${id})">${paths.join('')}</g>`,
  ];
}

const svg = (widthMm: number, heightMm: number, title: string, body: string): string =>
  `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${figure(widthMm)}mm" height="${figure(heightMm)}mm" viewBox="0 0 ${figure(widthMm)} ${figure(heightMm)}" font-family="sans-serif" font-size="3.5" stroke="#1d2527" stroke-width="0.1">
<title>${escaped(title)}</title>
<style>text{stroke:none;fill:#1d2527}</style>
${body}
</svg>
`;

/** The unrolled wall at full size on one sheet; ring numbers at its left, every ring begins at the index mark. */
export function wallSvg(prepared: Prepared, palette: ReadonlyMap<string, Species>, name: string): string {
  const sheet = sheetOf(prepared);
  const body = drawing(sheet, palette, 0, sheet.widthMm);
  return svg(sheet.widthMm, sheet.heightMm, `${name}: wall, unrolled, full size`, body);
}

export interface WallPage {
  readonly name: string;
  readonly svg: string;
}

/** The same cut up for a paper: pages from the top left, row by row, that lap over each other and have crosses to lay them by. */
export function wallPages(
  prepared: Prepared,
  palette: ReadonlyMap<string, Species>,
  name: string,
  paper: Paper,
): WallPage[] {
  const sheet = sheetOf(prepared);
  const { widthMm, heightMm } = PAPERS[paper];
  const [wide, tall] = [widthMm - 2 * MARGIN, heightMm - 2 * MARGIN - 6];
  const pages = (whole: number, one: number) => Math.max(1, Math.ceil((whole - LAP) / (one - LAP)));
  const [across, down] = [pages(sheet.widthMm, wide), pages(sheet.heightMm, tall)];
  return Array.from({ length: across * down }, (_, i) => {
    const [row, column] = [Math.floor(i / across), i % across];
    const [left, top] = [column * (wide - LAP), row * (tall - LAP)];
    const words = `${escaped(name)}, wall unrolled, full size: page ${i + 1} of ${across * down}, row ${row + 1}, column ${column + 1}. This line is 100 mm:`;
    const body = `<svg x="${MARGIN}" y="${MARGIN}" width="${wide}" height="${tall}" viewBox="${figure(left)} ${figure(top)} ${wide} ${tall}">
${drawing(sheet, palette, left, left + wide)}
</svg>
${crosses(wide, tall)}
<text x="${MARGIN}" y="${heightMm - MARGIN - 2}">${words}</text>
<path d="M${MARGIN} ${heightMm - MARGIN}h100" stroke-width="0.3"/>`;
    return {
      name: `wall-${String(row + 1).padStart(2, '0')}-${String(column + 1).padStart(2, '0')}.svg`,
      svg: svg(widthMm, heightMm, `${name}, page ${i + 1}`, body),
    };
  });
}

/** Crosses in the middle of the laps, at the corners of a page. */
function crosses(wide: number, tall: number): string {
  const at = [LAP / 2, wide - LAP / 2].flatMap((x) => [LAP / 2, tall - LAP / 2].map((y) => [x, y] as const));
  const marks = at.map(([x, y]) => `M${MARGIN + x - 3} ${MARGIN + y}h6m-3 -3v6`).join('');
  return `<path d="${marks}" fill="none" stroke-width="0.2"/>`;
}
