import { z } from 'zod';
import { length } from '../../measure/field.js';
import { mm } from '../../measure/quantity.js';
import { done, refuse } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import { assemble } from '../assemble.js';
import type { Making, PieceKind } from '../contract.js';
import { boxOutline } from '../faced/pictures.js';
import { framedFor, frameOf, mirroredFrame, spacerGroup, wrongFraming } from '../joints/frame.js';
import { spacersSchema } from '../joints/spacers.js';
import { planedThickness } from '../planing.js';
import { pitchOfCount, segmentCount, segmentStock, setTheSaw } from '../segments.js';
import { step } from '../step.js';
import type { StripStock } from '../stock.js';
import { type Faces, farthest, nearest, wedgeOutline } from '../wedge.js';

const params = z
  .strictObject({
    way: z.literal('layered'),
    count: segmentCount,
    /** Between the segments; left out where they are glued to each other. */
    spacers: spacersSchema.optional(),
    /** Thickness of the board's outer layer, before turning; the inner one has the rest of the strip's width. */
    outerLayerMm: length('Outer layer', 0.3, 200),
  })
  .check(({ value, issues }) => {
    const wrong = wrongFraming(value);
    if (wrong) issues.push({ code: 'custom', path: ['spacers'], message: wrong, input: value.spacers });
  });

export interface LayeredParams extends z.infer<typeof params> {}

/** Flat segments from a board of two layers: one wood outside, another inside. */
export const layered: Making<LayeredParams> = {
  way: 'layered',
  name: 'Two-layer segments',
  says: 'segments from a board of two layers: one wood outside, another inside',
  params,
  solid: false,
  bond: 'as-it-was',
  begin: ({ segments }) => ({ way: 'layered', count: segments, outerLayerMm: mm(8) }),
  groups: (given) => [
    { name: 'Outer layer', count: given.count },
    { name: 'Inner layer', count: given.count },
    ...spacerGroup(given),
  ],
  segments: ({ count }) => count,
  withSegments: (given, count) => framedFor({ ...given, count }, count),
  mirror: mirroredFrame,
  pitch: ({ count }) => pitchOfCount(count),
  make(given, need) {
    const { count, outerLayerMm } = given;
    const { heightMm } = need;
    const sized = frameOf(given, need);
    if (!sized.ok) return sized;
    const { faces, gives, cornerMm, repeats, wedge, kinds, lay, joining, warnings } = sized.value;
    const width = faces.outerRadiusMm - faces.innerRadiusMm;
    if (outerLayerMm >= width - SAME_LENGTH)
      return refuse(
        'layer-too-thick',
        'outerLayerMm',
        say`The outer layer is ${sayMm(outerLayerMm)} thick and the strip ${sayMm(width)} wide; nothing is left for the inner layer.`,
        { most: width },
      );
    const half = Math.PI / count;
    const line = faces.outerRadiusMm - outerLayerMm;
    const outside: Faces = { ...faces, innerRadiusMm: line };
    const inside: Faces = { ...faces, outerRadiusMm: line };
    // Segments that are pushed out carry the line with them.
    const lines = Array.from({ length: given.spacers ? count : 1 }, (_, i) =>
      wedgeOutline(wedge(i), outside, 0).slice(2),
    );
    const lineNear = Math.min(...lines.map(([to, from]) => nearest(to!, from!)));
    const lineFar = Math.max(...lines.map(farthest));
    const whole = segmentStock(faces, half, heightMm);
    const outlineOf = (at: number) => wedgeOutline(wedge(at % count), at < count ? outside : inside, 0);
    const kind = (name: string, layer: Faces, first: number): PieceKind => ({
      name,
      grain: 'along',
      heightMm,
      stock: {
        ...segmentStock(layer, half, heightMm),
        cutting: 'same-edge',
        boardEdgeMm: whole.longEdgeMm,
      } satisfies StripStock,
      places: Array.from({ length: count }, (_, i) => first + i),
    });
    return done(
      assemble({
        heightMm,
        gives,
        cornerMm,
        repeats,
        groups: layered.groups(given),
        kinds: [
          kind('Outer layer', outside, 0),
          kind('Inner layer', inside, count),
          // The spacers of the frame come after both layers.
          ...kinds
            .slice(1)
            .map((spacer) => ({ ...spacer, places: spacer.places.map((place) => place + count) })),
        ],
        warnings,
        lay(place) {
          if (place >= 2 * count) return { ...lay(place - count), place };
          const outline = outlineOf(place);
          return { place, bottom: outline, top: outline };
        },
        radial: false,
        layers: [{ name: 'The layer line', nearMm: lineNear, farMm: lineFar }],
        figures: [
          { key: 'layer-line-middle-of-a-segment', value: lineNear, unit: 'mm' },
          { key: 'layer-line-at-the-joints', value: lineFar, unit: 'mm' },
        ],
        steps: (planing) => [
          step(
            'board',
            'planer',
            say`Plane one strip to ${sayMm(outerLayerMm, 'thickness')} and one to ${sayMm(width - outerLayerMm, 'thickness')}, both ${sayMm(planedThickness(heightMm, planing), 'width')} wide, and glue them face to face into a board ${sayMm(width)} thick.`,
            ['dust'],
          ),
          step('on-edge', 'saw', 'Stand the board on edge at the saw, outer layer away from the fence.'),
          setTheSaw(whole, count, 'the same edge out every time'),
          ...joining,
        ],
        pictures: () => [
          {
            step: 'board',
            title: 'Board',
            says: 'The board on edge, from its end: the inner layer lies against the fence.',
            parts: [
              { outline: boxOutline(0, 0, width - outerLayerMm, heightMm), place: count },
              { outline: boxOutline(width - outerLayerMm, 0, width, heightMm), place: 0 },
            ],
            lines: [],
            sizes: [
              { from: { x: 0, y: 0 }, to: { x: width, y: 0 }, mm: width },
              {
                from: { x: width - outerLayerMm, y: heightMm },
                to: { x: width, y: heightMm },
                mm: outerLayerMm,
              },
            ],
          },
          {
            step: 'saw',
            title: 'Segment',
            says: 'A segment from above, its outer layer away from the axis.',
            parts: [outlineOf(count), outlineOf(0)].map((outline, i) => ({
              outline,
              place: i === 0 ? count : 0,
            })),
            lines: [],
            sizes: [],
          },
        ],
      }),
    );
  },
  instead(given, need) {
    const sized = frameOf(given, need);
    if (!sized.ok) return null;
    const { outerRadiusMm, innerRadiusMm } = sized.value.faces;
    return given.outerLayerMm < outerRadiusMm - innerRadiusMm - SAME_LENGTH
      ? null
      : { ...given, outerLayerMm: mm((outerRadiusMm - innerRadiusMm) / 2) };
  },
};
