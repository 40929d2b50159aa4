import { z } from 'zod';
import { length, text } from '../../measure/field.js';
import { type Mm, mm, rad } from '../../measure/quantity.js';
import { done } from '../../measure/reason.js';
import { say, sayList, sayMade, sayMm } from '../../measure/said.js';
import type { RingNeed } from '../../ring/need.js';
import { assemble } from '../assemble.js';
import type { Making, PieceKind } from '../contract.js';
import { doesNotGoIn, goesIn, mirroredParts, partsField, withCount } from '../flat/parts.js';
import { anglesOf, flatRing } from '../flat/ring.js';
import { GLUE_RING, planeAndRip, segmentCount, setTheSaw } from '../segments.js';
import { numbered, onceFor, step } from '../step.js';
import type { StripStock } from '../stock.js';

const params = z
  .strictObject({
    way: z.literal('resawn'),
    count: segmentCount,
    parts: partsField,
    /** The thick ring that this one is a slice of; its slices are the rings of the piece that name it. */
    from: text('Thick ring', 40),
    kerfMm: length('Kerf of the resaw', 0.1, 10),
    /** Planed or sanded off the slices, in all. */
    cleanUpMm: length('Clean-up', 0, 50),
  })
  .refine(goesIn, doesNotGoIn);

export type ResawnParams = z.infer<typeof params>;

/** Height of the thick ring: T = Σt + (n − 1)·k + clean-up (mm). */
export const thickHeight = (slicesMm: readonly number[], kerfMm: number, cleanUpMm: number): Mm =>
  mm(slicesMm.reduce((a, b) => a + b, 0) + (slicesMm.length - 1) * kerfMm + cleanUpMm);

/** A slice of a thick ring of flat segments; all slices share colours and radii, each has its own turn. */
export const resawn: Making<ResawnParams> = {
  way: 'resawn',
  name: 'Slices of a thick ring',
  says: 'one thick ring sawn into thin ones, each turned a little: waves and spirals for little gluing',
  params,
  solid: false,
  bond: 'as-it-was',
  begin: ({ segments, body }) => ({
    way: 'resawn',
    count: segments,
    from: body,
    kerfMm: mm(1.5875),
    cleanUpMm: mm(1.5875),
  }),
  groups: ({ count }) => [{ name: 'Segment', count }],
  segments: ({ count }) => count,
  withSegments: withCount,
  pitch: ({ count, parts }) => rad((2 * Math.PI * (parts?.length ?? 1)) / count),
  mirror: mirroredParts,
  body: ({ from }) => from,
  make(given, need) {
    const { count, parts, kerfMm, cleanUpMm } = given;
    const { members, index } = need.body ?? { members: [need], index: 0 };
    const shared: RingNeed = {
      outerRadiusMm: mm(Math.max(...members.map(({ outerRadiusMm }) => outerRadiusMm))),
      innerRadiusMm: mm(Math.min(...members.map(({ innerRadiusMm }) => innerRadiusMm))),
      heightMm: need.heightMm,
    };
    const sized = flatRing(count, anglesOf(count, parts), shared);
    if (!sized.ok) return sized;
    const { kinds, lay, gives, cornerMm, repeats } = sized.value;
    const heights = members.map(({ heightMm }) => heightMm);
    const thick = thickHeight(heights, kerfMm, cleanUpMm);
    const stockOf = ({ stock }: PieceKind): PieceKind['stock'] => {
      const strip = stock as StripStock;
      const { longEdgeMm, shortEdgeMm, widthMm, cutAngle } = strip;
      if (index > 0) return { from: 'slice', longEdgeMm, shortEdgeMm, widthMm, cutAngle };
      const slicing = {
        slices: members.length,
        inRing: 1,
        kerfMm,
        cleanUpMm,
        keptMm: mm(heights.reduce((a, b) => a + b, 0)),
      };
      return { ...strip, thicknessMm: thick, slicing };
    };
    const first = { ...(kinds[0]!.stock as StripStock), thicknessMm: thick };
    const _slices = `${members.length} ${members.length === 1 ? 'slice' : 'slices'}`;
    return done(
      assemble({
        heightMm: need.heightMm,
        gives,
        cornerMm,
        repeats,
        groups: resawn.groups(given),
        kinds: kinds.map((kind) => ({ ...kind, stock: stockOf(kind) })),
        lay,
        figures: [
          { key: 'thick-ring', value: thick, unit: 'mm' },
          { key: 'slices-of-it', value: members.length, unit: 'count' },
        ],
        steps: (planing) => [
          ...onceFor(given.from, [
            planeAndRip(first, planing),
            ...kinds.map(({ places, stock }, i) => {
              const saw = setTheSaw(stock as StripStock, places.length);
              return kinds.length > 1 ? numbered(saw, i + 1) : saw;
            }),
            GLUE_RING,
            step(
              'slice',
              'bandsaw',
              say`True one face of the thick ring, ${sayMm(thick)} high, and saw off ${sayMade(members.length)} of ${sayList(
                [...new Set(heights)].map((h) => sayMm(h, 'thickness')),
                ' and ',
              )}, losing ${sayMm(kerfMm)} at every cut; mark 0° on the outside of the whole ring first.`,
              ['resawing', 'dust'],
            ),
          ]),
          step(
            'measure',
            'bench',
            'Clean up each slice, measure its thickness and enter it: small errors add up over many slices.',
          ),
        ],
      }),
    );
  },
};
