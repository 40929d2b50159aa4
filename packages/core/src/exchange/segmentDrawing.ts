import type { PieceKind } from '../making/contract.js';
import { isRound, mitred } from '../making/stock.js';
import { done, type Result, refuse } from '../measure/reason.js';
import { plain, say, sayMm } from '../measure/said.js';
import type { Plan } from '../project/plan.js';
import { type Point, polar } from '../ring/plane.js';
import type { Species } from '../wood/species.js';
import type { DrawnLine, FlatDrawing } from './drawing.js';

/** Corners that a round outline is drawn with. */
const CORNERS = 96;
/** More outlines than this are not put on one drawing. */
const MOST = 5000;

/** What a router cuts them from, and with. */
export interface RouterSheet {
  /** Boards are as long as this; rows are added until all pieces lie on one. */
  readonly lengthMm: number;
  readonly cutterMm: number;
}

interface Shape {
  readonly layer: string;
  readonly title: string;
  readonly count: number;
  readonly lengthMm: number;
  readonly widthMm: number;
  /** How much shorter each end is at the upper edge. */
  readonly slant: number;
  readonly round: boolean;
}

/** The outline of a piece as it is sawn from a board; null for what has no flat outline of its own. */
function shapeOf({ stock, name }: PieceKind): Omit<Shape, 'layer' | 'title' | 'count'> | null {
  const strip = mitred(stock);
  if (strip && strip.cutAngle > 0)
    return {
      lengthMm: strip.longEdgeMm,
      widthMm: strip.widthMm,
      slant: (strip.longEdgeMm - strip.shortEdgeMm) / 2,
      round: false,
    };
  if (strip) return { lengthMm: strip.longEdgeMm, widthMm: strip.widthMm, slant: 0, round: false };
  if (stock.from !== 'panel' || name === '') return null;
  const { lengthMm, widthMm } = stock;
  return { lengthMm, widthMm, slant: 0, round: isRound(stock) };
}

const shapesOf = (plan: Plan, woods: readonly Species[]): Shape[] =>
  plan.rings.flatMap(({ index, pieces }) =>
    pieces.flatMap(({ kind, wood, count }): Shape[] => {
      const shape = shapeOf(kind);
      const of = woods.find(({ id }) => id === wood)?.name ?? wood;
      return shape
        ? [
            {
              ...shape,
              count,
              layer: plain(say`${of} ${sayMm(kind.heightMm)}`),
              title: `Ring ${index + 1}, ${plain(kind.name)}`,
            },
          ]
        : [];
    }),
  );

/**
 * Every piece as a flat outline at full size, nested in rows on a board: a cutter and a half between any two, every other
 * mitred piece turned over. A layer for every wood and thickness, each below the last. Cut outside the line.
 */
export function segmentDrawing(
  plan: Plan,
  woods: readonly Species[],
  sheet: RouterSheet,
): Result<FlatDrawing> {
  const { lengthMm, cutterMm } = sheet;
  if (!(cutterMm > 0 && cutterMm <= 50))
    return refuse(
      'cutter',
      'cutterMm',
      say`The cutter is ${sayMm(cutterMm)}; it has to be from ${sayMm(0.1)} to ${sayMm(50)}.`,
    );
  const shapes = shapesOf(plan, woods);
  const total = shapes.reduce((sum, { count }) => sum + count, 0);
  if (total > MOST)
    return refuse('many-outlines', '', say`There are ${total} pieces; ${MOST} go on one drawing.`);
  const apart = 1.5 * cutterMm;
  const longest = Math.max(0, ...shapes.map((shape) => shape.lengthMm));
  if (longest + 2 * apart > lengthMm)
    return refuse(
      'board-short',
      'lengthMm',
      say`The board is ${sayMm(lengthMm)} long; the longest piece needs ${sayMm(longest + 2 * apart)}.`,
      { least: longest + 2 * apart },
    );
  const lines: DrawnLine[] = [];
  let up = apart;
  for (const layer of new Set(shapes.map((shape) => shape.layer))) {
    const own = shapes.filter((shape) => shape.layer === layer).sort((a, b) => b.widthMm - a.widthMm);
    let [x, high] = [apart, 0];
    for (const shape of own) {
      // Two slanted ends lie side by side when every other piece is turned over.
      const pitch = shape.lengthMm - shape.slant + apart / Math.cos(Math.atan2(shape.slant, shape.widthMm));
      for (let n = 0; n < shape.count; n++) {
        const fresh = x === apart;
        if (
          x + shape.lengthMm + apart > lengthMm ||
          (!fresh && high > 0 && shape.widthMm < high - 1e-9 && n === 0)
        ) {
          up += high + apart;
          [x, high] = [apart, 0];
        }
        const over = n % 2 === 1 && shape.slant > 0;
        lines.push({ layer, title: shape.title, closed: true, points: outlineOf(shape, x, up, over) });
        high = Math.max(high, shape.widthMm);
        x += pitch;
      }
      x += shape.slant;
    }
    up += high + 2 * apart;
  }
  return done({ widthMm: lengthMm, heightMm: up, lines, texts: [] });
}

function outlineOf({ lengthMm, widthMm, slant, round }: Shape, x: number, y: number, over: boolean): Point[] {
  if (round) {
    const radius = Math.min(lengthMm, widthMm) / 2;
    return Array.from({ length: CORNERS }, (_, i) => {
      const p = polar(radius, (2 * Math.PI * i) / CORNERS);
      return { x: x + radius + p.x, y: y + radius + p.y };
    });
  }
  const [low, high] = over ? [slant, 0] : [0, slant];
  return [
    { x: x + low, y },
    { x: x + lengthMm - low, y },
    { x: x + lengthMm - high, y: y + widthMm },
    { x: x + high, y: y + widthMm },
  ];
}
