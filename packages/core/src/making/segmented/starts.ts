import { mm } from '../../measure/quantity.js';
import type { Beginning, Start } from '../contract.js';
import { halvesBegun, LEAST_OF_A_HALF } from '../halves/params.js';
import { betweenBegun, SPACER_BEGUN } from '../joints/begun.js';
import { LEAN_BEGUN } from '../joints/lean.js';
import { FIRST_GLYPH } from '../lettered/lettered.js';
import type { SawnFrom } from '../sources/registry.js';
import { RESAW } from './after.js';
import type { SegmentedParams } from './params.js';

/** A ring with these answers, of as many segments as are asked for, and no more than it may have. */
const begin =
  (answers: (from: Beginning) => Partial<SegmentedParams>, most = Number.POSITIVE_INFINITY) =>
  (from: Beginning): SegmentedParams => ({
    way: 'segmented',
    count: Math.min(most, from.segments),
    ...answers(from),
  });

const AS_IT_WAS = 'as-it-was';

/** Names that turners use, as starting points: the answers that they stand for. What is kept of a ring that was segmented before is named. */
export const SEGMENTED_STARTS = {
  flat: {
    name: 'Flat segments',
    says: 'segments mitred and glued into a flat ring: the usual ring',
    bond: AS_IT_WAS,
    keeps: ['parts'],
    begin: begin(() => ({})),
  },
  spaced: {
    name: 'Spaced segments',
    says: 'thin parallel spacers between segments: lines up the piece, or room round a feature',
    bond: AS_IT_WAS,
    keeps: ['plug'],
    begin: begin(({ segments }) => ({ between: betweenBegun('spacers', segments) })),
  },
  open: {
    name: 'Open segments',
    says: 'gaps between segments, each bridging a gap below: light comes through the wall',
    bond: 'half-pitch',
    keeps: [],
    begin: begin(({ segments }) => ({ between: betweenBegun('gaps', segments) })),
  },
  tilted: {
    name: 'Tilted joints',
    says: 'joints lean by the tilt of the blade: stripes that run round the piece as they climb',
    bond: AS_IT_WAS,
    keeps: ['plug'],
    begin: begin(() => ({ lean: { ...LEAN_BEGUN, cut: 'two-fences' } })),
  },
  climbing: {
    name: 'Climbing stripe',
    says: 'spacers in every other leaning joint: coloured stripes that climb round the piece',
    bond: AS_IT_WAS,
    keeps: ['plug'],
    begin: begin(({ segments }) => ({
      lean: LEAN_BEGUN,
      between:
        segments % 2 === 0
          ? { put: 'spacers', spacers: { at: 'even', number: segments / 2, thicknessMm: SPACER_BEGUN } }
          : betweenBegun('spacers', segments),
    })),
  },
  basket: {
    name: 'Basket band',
    says: 'light segments with dark spacers leaning between them; over three rings or more they read as weaving',
    bond: 'half-pitch',
    keeps: [],
    begin: begin(() => ({
      lean: { tiltDeg: 20, hand: 'right', cut: 'same-edge' },
      between: { put: 'spacers', spacers: { at: 'every', thicknessMm: mm(2.5) } },
      woven: true,
    })),
  },
  resawn: {
    name: 'Slices of a thick ring',
    says: 'one thick ring sawn into thin ones, each turned a little: waves and spirals for little gluing',
    bond: AS_IT_WAS,
    keeps: ['parts', 'between'],
    begin: begin(({ body }) => ({ after: { done: 'sliced', from: body, ...RESAW } })),
  },
  grain: {
    name: 'Grain-matched',
    says: 'segments numbered along the strip, so that the figure runs on round the ring',
    bond: AS_IT_WAS,
    keeps: [],
    begin: begin(() => ({ inOrder: true })),
  },
  layered: {
    name: 'Segments of layers',
    says: 'segments from a board of layers: one wood outside and another inside, or one above the other',
    bond: AS_IT_WAS,
    keeps: ['between'],
    begin: begin(() => ({ sawnFrom: { is: 'layers', laid: 'outside-in', layersMm: [mm(8)] } })),
  },
  laminated: {
    name: 'Laminated board',
    says: 'slices of a board glued up in layers: stripes, ramps, zigzags, chevrons, diamonds, chequers',
    bond: AS_IT_WAS,
    keeps: [],
    begin: begin(
      () => ({
        sawnFrom: {
          is: 'laminated',
          figure: 'zigzag',
          layersMm: [16, 4, 8, 4, 16].map(mm),
          angleDeg: 30,
          turn: 'upright',
          turnedFirst: false,
          across: 2,
          trimMm: mm(2),
          upMm: mm(0),
          kerfMm: mm(3.175),
          ends: 'whole',
          endWasteMm: mm(10),
          spares: 2,
          longestMm: mm(900),
          glueLines: false,
        },
      }),
      120,
    ),
  },
  inlaid: {
    name: 'Plugs and frames',
    says: 'dots, square plugs or windows let into the segments, or a field with an edge all round',
    bond: AS_IT_WAS,
    keeps: ['between'],
    begin: begin(
      () => ({
        sawnFrom: {
          is: 'plugs',
          plugs: [{ shape: 'round', acrossMm: mm(8), asideMm: mm(0), upMm: mm(0), depthMm: mm(10) }],
          edge: { topMm: mm(0), bottomMm: mm(0), sidesMm: mm(0) },
        },
      }),
      120,
    ),
  },
  lettered: {
    name: 'Letters and pictures',
    says: 'one letter or picture let into each segment, with spacers between them to make room',
    bond: AS_IT_WAS,
    keeps: ['between'],
    begin: begin(
      ({ segments }) => ({
        sawnFrom: {
          is: 'letters',
          glyphs: [FIRST_GLYPH],
          order: Array.from({ length: Math.min(60, segments) }, () => 0),
          sizeMm: mm(12),
          upMm: mm(0),
          depthMm: mm(8),
          cutterMm: mm(1),
          clearanceMm: mm(0.04),
          turnedOver: false,
        },
      }),
      60,
    ),
  },
  illusion: {
    name: 'Solid illusions',
    says: 'faces that look like solid things: tumbling blocks, stairs, raised lozenges, woven bands',
    bond: AS_IT_WAS,
    keeps: [],
    begin: begin(
      () => ({ sawnFrom: { is: 'illusion', figure: 'blocks', rows: 1, seen: 'outside', by: 'wood' } }),
      120,
    ),
  },
  halves: {
    name: 'Half and half',
    says: 'two half-rings of different make-up, or a ring to be cut in two',
    bond: AS_IT_WAS,
    keeps: [],
    begin({ segments }) {
      const count = 2 * Math.max(LEAST_OF_A_HALF, Math.round(segments / 2));
      return {
        way: 'segmented',
        count,
        inHalves: { ...halvesBegun(count), spacersMm: [SPACER_BEGUN, SPACER_BEGUN] },
      };
    },
  },
  staved: {
    name: 'Staves',
    says: 'grain upright, like a bucket: tall bands, and feature rings with a figured face',
    bond: AS_IT_WAS,
    keeps: ['parts', 'between'],
    begin: begin(() => ({ staves: { leanDeg: 0 } })),
  },
  pie: {
    name: 'Pie with a plug',
    says: 'segments to the centre: patterned floors and feet; a plug hides where the points meet',
    bond: AS_IT_WAS,
    keeps: ['parts'],
    begin: begin(() => ({ toCentre: true, plug: { diameterMm: mm(25), drillMm: mm(25) } })),
  },
} satisfies Record<string, Start<SegmentedParams>>;

export type SegmentedStart = keyof typeof SEGMENTED_STARTS;

/** The starting point of each that segments are sawn from. */
export const START_OF = {
  layers: 'layered',
  laminated: 'laminated',
  plugs: 'inlaid',
  letters: 'lettered',
  illusion: 'illusion',
} as const satisfies Record<SawnFrom['is'], SegmentedStart>;

/** What segments are sawn from as it is begun, in a ring of `count`. */
export const sourceBegun = (is: SawnFrom['is'], count: number): SawnFrom =>
  SEGMENTED_STARTS[START_OF[is]].begin({ segments: count, body: '' }).sawnFrom!;
