import { cutInsert, type Loops } from '../inlay/outline.js';
import type { InlayLies } from '../inlay/placed.js';
import type { Inlay } from '../inlay/schema.js';
import { onPaper } from '../inlay/template.js';
import { formatLength, type UnitSystem } from '../measure/format.js';
import { mm } from '../measure/quantity.js';
import type { Prepared } from '../project/prepare.js';
import type { Point } from '../ring/plane.js';
import type { DrawnLine, DrawnText, FlatDrawing } from './drawing.js';

/** Left free round each outline, and how high words stand, mm. */
const ROOM = 10;
const WORDS = 3;
/** Parts in which the edge of a ring is drawn. */
const EDGE = 24;

/**
 * An inlay at full size: the template that is laid round the piece (layer Template, with the edges of the rings it lies over on
 * layer Rings and a cross at its middle), the pocket and the insert as a router cuts them.
 */
export function inlayDrawing(
  inlay: Inlay,
  placed: InlayLies,
  { vessel, rings }: Pick<Prepared, 'vessel' | 'rings'>,
  system: UnitSystem,
): FlatDrawing {
  const { frame, pocket, fromMm, toMm, reach, loops } = placed;
  const onCone = (corner: { angle: number; z: number }) => onPaper(vessel, frame, corner);
  const edges = [0, ...rings.map(({ stands }) => stands.topMm)].filter(
    (z) => z > fromMm - ROOM && z < toMm + ROOM,
  );
  const wide = reach * 1.25;
  const cross = ROOM / 2;
  const length = (value: number) => formatLength(mm(value), system);
  const template: Part = {
    layer: 'Template',
    words: `Template, laid round: cross at ${length(inlay.heightMm)} above the bench`,
    closed: pocket.map((loop) => loop.map(onCone)),
    open: [
      ...edges
        .filter((z) => z <= vessel.heightMm)
        .map((z) =>
          Array.from({ length: EDGE + 1 }, (_, i) => onCone({ angle: wide * ((2 * i) / EDGE - 1), z })),
        ),
      [
        { x: -cross, y: 0 },
        { x: cross, y: 0 },
      ],
      [
        { x: 0, y: -cross },
        { x: 0, y: cross },
      ],
    ],
  };
  const flat = (of: Loops) => of.map((loop) => loop.map(({ u, z }): Point => ({ x: u, y: z })));
  const parts: Part[] = [
    template,
    {
      layer: 'Pocket',
      words: `Pocket × ${inlay.copies}, ${length(inlay.depthMm)} deep`,
      closed: flat(loops.pocket),
      open: [],
    },
    { layer: 'Insert', words: `Insert × ${inlay.copies}`, closed: flat(cutInsert(inlay)), open: [] },
  ];
  return beside(parts);
}

interface Part {
  readonly layer: string;
  readonly words: string;
  readonly closed: readonly (readonly Point[])[];
  readonly open: readonly (readonly Point[])[];
}

/** Parts one beside the other, each with its words under it. */
function beside(parts: readonly Part[]): FlatDrawing {
  const lines: DrawnLine[] = [];
  const texts: DrawnText[] = [];
  const sized = parts.map((part) => {
    const all = [...part.closed, ...part.open].flat();
    const [left, low] = [Math.min(...all.map(({ x }) => x)), Math.min(...all.map(({ y }) => y))];
    const [right, high] = [Math.max(...all.map(({ x }) => x)), Math.max(...all.map(({ y }) => y))];
    return {
      part,
      left,
      low,
      wide: Math.max(right - left, part.words.length * WORDS * 0.55),
      high: high - low,
    };
  });
  let x = ROOM;
  const foot = ROOM + 2 * WORDS;
  for (const { part, left, low, wide } of sized) {
    const at = (p: Point): Point => ({ x: p.x - left + x, y: p.y - low + foot });
    for (const points of part.closed)
      lines.push({ layer: part.layer, title: part.words, closed: true, points: points.map(at) });
    for (const points of part.open) lines.push({ layer: 'Rings', closed: false, points: points.map(at) });
    texts.push({ layer: part.layer, at: { x, y: ROOM }, heightMm: WORDS, words: part.words });
    x += wide + ROOM;
  }
  return { widthMm: x, heightMm: foot + Math.max(...sized.map(({ high }) => high)) + ROOM, lines, texts };
}
