import type { Prepared } from '../project/prepare.js';
import { insideLine, outsideLine } from '../surface/drawing.js';
import type { DrawnLine, DrawnText, FlatDrawing } from './drawing.js';

/** Left free round a template, and how high its words stand, mm. */
const ROOM = 10;
const WORDS = 3;

/** The half-section at full size: outside, inside, axis, and the edges of the rings, for a card to hold against the work. */
export function profileDrawing({ vessel, rings }: Prepared): FlatDrawing {
  const outside = outsideLine(vessel);
  const reach = Math.max(...outside.map(({ r }) => r));
  const at = ({ r, z }: { r: number; z: number }) => ({ x: ROOM + reach - r, y: ROOM + z });
  const inside = insideLine(vessel);
  const { heightMm } = vessel;
  const edges = rings.map(({ stands }) => stands.topMm).filter((z) => z < heightMm);
  const lines: DrawnLine[] = [
    { layer: 'Outside', closed: false, points: outside.map(at) },
    ...(inside.length > 0 ? [{ layer: 'Inside', closed: false, points: inside.map(at) }] : []),
    {
      layer: 'Rings',
      closed: false,
      points: [
        { r: 0, z: 0 },
        { r: 0, z: heightMm },
      ].map(at),
    },
    ...edges.map((z) => ({
      layer: 'Rings',
      closed: false,
      points: [
        { r: 0, z },
        { r: reach, z },
      ].map(at),
    })),
  ];
  const texts = rings.flatMap(({ stands }): DrawnText[] => {
    const top = Math.min(heightMm, stands.topMm);
    return stands.bottomMm >= top
      ? []
      : [
          {
            layer: 'Rings',
            at: { x: ROOM + reach + 1, y: ROOM + (stands.bottomMm + top) / 2 - WORDS / 2 },
            heightMm: WORDS,
            words: String(stands.index + 1),
          },
        ];
  });
  return { widthMm: reach + 2 * ROOM, heightMm: heightMm + 2 * ROOM, lines, texts };
}

interface SegmentSize {
  readonly name: string;
  readonly longEdgeMm: number;
  readonly shortEdgeMm: number;
  readonly widthMm: number;
}

/** One segment of every size at full size, in rows of a width; those that are alike to a twentieth of a millimetre are one. */
export function segmentTemplates(sizes: readonly SegmentSize[], rowMm: number): FlatDrawing {
  const key = ({ longEdgeMm, shortEdgeMm, widthMm }: SegmentSize) =>
    [longEdgeMm, shortEdgeMm, widthMm].map((size) => Math.round(20 * size)).join(' ');
  const each = [...new Map(sizes.map((size) => [key(size), size])).values()];
  const placed: { size: SegmentSize; x: number; down: number }[] = [];
  let [x, down, high] = [ROOM, ROOM, 0];
  for (const size of each) {
    const wide = Math.max(size.longEdgeMm, 34) + ROOM;
    if (x > ROOM && x + wide > rowMm) [x, down, high] = [ROOM, down + high + 2 * ROOM, 0];
    placed.push({ size, x, down });
    high = Math.max(high, size.widthMm);
    x += wide;
  }
  const heightMm = down + high + 2 * ROOM;
  const lines = placed.map(
    ({ size: { name, longEdgeMm, shortEdgeMm, widthMm }, x: from, down: top }): DrawnLine => {
      const slant = (longEdgeMm - shortEdgeMm) / 2;
      const y = heightMm - top;
      return {
        layer: 'Segments',
        title: name,
        closed: true,
        points: [
          { x: from, y },
          { x: from + longEdgeMm, y },
          { x: from + longEdgeMm - slant, y: y - widthMm },
          { x: from + slant, y: y - widthMm },
        ],
      };
    },
  );
  const texts = placed.map(
    ({ size, x: from, down: top }): DrawnText => ({
      layer: 'Segments',
      at: { x: from, y: heightMm - top - size.widthMm - WORDS - 1.5 },
      heightMm: WORDS,
      words: size.name,
    }),
  );
  return { widthMm: rowMm, heightMm, lines, texts };
}
