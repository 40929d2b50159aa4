import { z } from 'zod';
import { length, whole } from '../../measure/field.js';
import { sayMm } from '../../measure/format.js';
import { mm, rad } from '../../measure/quantity.js';
import { done, type Result, refuse } from '../../measure/reason.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import type { RingNeed } from '../../ring/need.js';
import type { Point } from '../../ring/plane.js';
import { assemble } from '../assemble.js';
import type { Making, PieceKind } from '../contract.js';
import { MOST_SEGMENTS, planeAndRip, SEGMENT_CAUTIONS, segmentStock, setTheSaw } from '../segments.js';
import { outerForSlab, type Side, slabOutline, slabStock } from '../slab.js';
import type { StripStock } from '../stock.js';
import {
  asAsked,
  bandOf,
  type Faces,
  leastOuter,
  mostInner,
  nearest,
  radialWedge,
  type Wedge,
  wedgeOutline,
} from '../wedge.js';

const halfSchema = z.strictObject({
  count: whole('Segments of a half', 2, MOST_SEGMENTS / 2),
  /** Between the segments of this half; 0: none. */
  spacerMm: length('Spacer', 0, 100),
});

const params = z.strictObject({
  way: z.literal('halves'),
  halves: z.tuple([halfSchema, halfSchema]),
  /** Between the halves, at 0° and 180°; null where they meet. */
  divider: z
    .strictObject({
      leftMm: length('Divider', 0.2, 100),
      /** Sawn through later: the ring is cut in two, and each half keeps `leftMm` at both ends. */
      sawn: z.boolean(),
      kerfMm: length('Kerf of the parting cut', 0.1, 10),
    })
    .nullable(),
});

export type HalvesParams = z.infer<typeof params>;
type Half = HalvesParams['halves'][number];

/** Thickness of the divider as it is glued in: 2·s + kerf where it is sawn through later (mm). */
export const dividerMm = (divider: HalvesParams['divider']): number =>
  divider === null ? 0 : divider.sawn ? 2 * divider.leftMm + divider.kerfMm : divider.leftMm;

/** Two half-rings of different make-up; their straight ends slide along each other, so that any two halves close. */
export const halves: Making<HalvesParams> = {
  way: 'halves',
  name: 'Half and half',
  says: 'two half-rings of different make-up, or a ring to be cut in two',
  params,
  solid: false,
  begin: ({ segments }) => {
    const half = { count: Math.max(2, Math.round(segments / 2)), spacerMm: mm(2) };
    return { way: 'halves', halves: [half, { ...half }], divider: null };
  },
  groups: ({ halves: [a, b], divider }) =>
    [
      { name: 'Segment', count: a.count + b.count },
      { name: 'Spacer of the first half', count: a.spacerMm > 0 ? a.count - 1 : 0 },
      { name: 'Spacer of the second half', count: b.spacerMm > 0 ? b.count - 1 : 0 },
      { name: 'Divider', count: divider ? 2 : 0 },
    ].filter(({ count }) => count > 0),
  segments: ({ halves: [a, b] }) => a.count + b.count,
  withSegments: (given, count) => {
    const first = Math.max(2, Math.ceil(count / 2));
    const second = Math.max(2, count - first);
    const [a, b] = given.halves;
    return {
      ...given,
      halves: [
        { ...a, count: first },
        { ...b, count: second },
      ],
    };
  },
  pitch: ({ halves: [a] }) => rad(Math.PI / a.count),
  mirror: (given) => ({ ...given, halves: [given.halves[1], given.halves[0]] }),
  make(given, need) {
    const divider = dividerMm(given.divider);
    const sized = given.halves.map((half, i) => sizedHalf(half, i, divider, need));
    const [a, b] = sized as [Sized, Sized];
    if (!a.ok) return a;
    if (!b.ok) return b;
    const pair = [a.value, b.value] as const;
    const parts = partsOf(pair, given);
    const bands = pair.map(({ wedges, faces }) => bandOf(wedges, faces, need.heightMm));
    const ends = parts
      .filter(({ name }) => name !== 'Segment')
      .map(({ outline: [from, to] }) => nearest(from!, to!));
    const corners = parts.flatMap(({ outline }) => outline.map(({ x, y }) => Math.hypot(x, y)));
    const kinds = kindsOf(parts, pair, need);
    const alike = same(given.halves);
    return done(
      assemble({
        heightMm: need.heightMm,
        gives: asAsked(
          {
            outerMm: Math.min(...bands.map(({ gives }) => gives.outerMm), ...ends),
            innerMm: Math.max(...bands.map(({ gives }) => gives.innerMm)),
          },
          need,
        ),
        cornerMm: mm(Math.max(...corners)),
        radial: divider === 0 && given.halves.every(({ spacerMm }) => spacerMm === 0),
        repeats: alike ? 2 : 1,
        groups: halves.groups(given),
        kinds,
        lay(place) {
          const { outline } = parts[place]!;
          return { place, bottom: outline, top: outline };
        },
        figures: given.divider ? [{ name: 'Divider as glued', value: divider, unit: 'mm' }] : [],
        steps: () => [
          ...kinds
            .filter(({ name }) => name.startsWith('Segment'))
            .flatMap(({ stock, places }) => [
              planeAndRip(stock as StripStock),
              setTheSaw(stock as StripStock, places.length),
            ]),
          'Glue each half by itself, its ends dry against a straight edge; sand the ends true on a flat board.',
          divider > 0
            ? `Glue the halves with a divider of ${sayMm(divider)} at both ends.`
            : 'Glue the halves to each other.',
          ...(given.divider?.sawn
            ? [
                `Saw the ring in two through the middle of the dividers; ${sayMm(given.divider.leftMm)} is left at every end.`,
              ]
            : []),
        ],
        cautions: [...SEGMENT_CAUTIONS, 'thin-stock', ...(given.divider?.sawn ? (['bandsaw'] as const) : [])],
      }),
    );
  },
};

interface HalfRing {
  readonly wedges: readonly Wedge[];
  readonly faces: Faces;
}
type Sized = Result<HalfRing>;

const same = ([a, b]: readonly [Half, Half]): boolean => a.count === b.count && a.spacerMm === b.spacerMm;

/**
 * A half of n segments, θ = 90°/n, with spacers of s between them: the apex of the first is moved by (s·cot θ / 2) along
 * the dividing line, that of the last as much the other way, and all by half the divider away from it.
 */
function sizedHalf({ count, spacerMm }: Half, side: number, divider: number, need: RingNeed): Sized {
  const half = Math.PI / (2 * count);
  const turn = side * Math.PI;
  let [x, y] = [spacerMm / Math.tan(half) / 2, divider / 2];
  const wedges = Array.from({ length: count }, (_, i) => {
    if (i > 0) {
      x -= spacerMm * Math.sin(2 * i * half);
      y += spacerMm * Math.cos(2 * i * half);
    }
    return radialWedge((2 * i + 1) * half + turn, half, side === 0 ? { x, y } : { x: -x, y: -y });
  });
  const { outerMm, innerMm, heightMm } = need;
  const slabs = wedges.map((wedge) => outerForSlab(wedge.middle - wedge.half, wedge, outerMm));
  const outer = Math.max(leastOuter(wedges, outerMm, heightMm), ...slabs);
  const inner = mostInner(wedges, innerMm, heightMm);
  const name = side === 0 ? 'first' : 'second';
  if (outer <= SAME_LENGTH)
    return refuse(
      'no-edge-left',
      `halves.${side}.spacerMm`,
      `Spacers of ${sayMm(spacerMm)} leave nothing of the segments of the ${name} half.`,
    );
  if (inner === null) {
    const least = 2 * Math.max(...wedges.map(({ shift }) => Math.hypot(shift.x, shift.y)));
    return refuse(
      'hole-too-small',
      'innerMm',
      `The hole of the ${name} half cannot be smaller than ${sayMm(least)} across with what lies between its segments, and ${sayMm(2 * innerMm)} is asked for.`,
      { least },
    );
  }
  if (outer - inner <= SAME_LENGTH)
    return refuse(
      'ring-no-width',
      'innerMm',
      `The ring has no width: outside ${sayMm(outerMm)}, inside ${sayMm(innerMm)}.`,
    );
  return done({ wedges, faces: { outerMm: outer, innerMm: inner, lean: 0 } });
}

interface Part {
  readonly name: 'Segment' | 'Spacer' | 'Divider';
  readonly side: number;
  readonly outline: readonly Point[];
}

/** Every piece in the order of the places: segments, spacers of each half, dividers. */
function partsOf(pair: readonly [HalfRing, HalfRing], given: HalvesParams): Part[] {
  const sideOf = ({ wedges, faces }: HalfRing, i: number): Side => ({ wedge: wedges.at(i)!, faces });
  const segments = pair.flatMap((half, side) =>
    half.wedges.map(
      (wedge): Part => ({ name: 'Segment', side, outline: wedgeOutline(wedge, half.faces, 0) }),
    ),
  );
  const spacers = pair.flatMap((half, side) =>
    given.halves[side]!.spacerMm === 0
      ? []
      : half.wedges.slice(1).map((wedge, i): Part => {
          const outline = slabOutline(wedge.middle - wedge.half, sideOf(half, i), sideOf(half, i + 1));
          return { name: 'Spacer', side, outline };
        }),
  );
  const dividers = given.divider
    ? pair.map((half, side): Part => {
        const before = sideOf(pair[1 - side]!, -1);
        return {
          name: 'Divider',
          side,
          outline: slabOutline(side * Math.PI, before, sideOf(half, 0)),
        };
      })
    : [];
  return [...segments, ...spacers, ...dividers];
}

function kindsOf(parts: readonly Part[], pair: readonly [HalfRing, HalfRing], need: RingNeed): PieceKind[] {
  const { heightMm } = need;
  const both =
    pair[0].wedges.length === pair[1].wedges.length &&
    Math.abs(pair[0].faces.outerMm - pair[1].faces.outerMm) < SAME_LENGTH &&
    Math.abs(pair[0].faces.innerMm - pair[1].faces.innerMm) < SAME_LENGTH;
  const kinds = (['Segment', 'Spacer', 'Divider'] as const).flatMap((name) =>
    (both || name === 'Divider' ? [[0, 1]] : [[0], [1]]).map((sides): PieceKind => {
      const places = parts.flatMap((part, place) =>
        part.name === name && sides.includes(part.side) ? [place] : [],
      );
      const half = pair[sides[0]!]!;
      const first = parts[places[0] ?? -1];
      const stock =
        name === 'Segment' || !first
          ? segmentStock(half.faces, half.wedges[0]!.half, heightMm)
          : slabStock(first.outline, heightMm);
      const whose = sides.length > 1 ? '' : sides[0] === 0 ? ' of the first half' : ' of the second half';
      return { name: name + whose, heightMm, stock, places };
    }),
  );
  return kinds.filter(({ places }) => places.length > 0);
}
