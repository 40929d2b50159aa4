import { z } from 'zod';
import { length, text } from '../../measure/field.js';
import { type Mm, mm, rad } from '../../measure/quantity.js';
import { done } from '../../measure/reason.js';
import { say, sayList, sayMade, sayMm } from '../../measure/said.js';
import type { RingNeed } from '../../ring/need.js';
import { assemble } from '../assemble.js';
import type { Making, PieceKind } from '../contract.js';
import { doesNotGoIn, goesIn, mirroredParts, partsField, withCount } from '../flat/parts.js';
import { closingFrame, framedFor, frameOf, mirroredFrame, wrongFraming } from '../joints/frame.js';
import { spacerGroups, spacersSchema } from '../joints/spacers.js';
import { thickerFrame } from '../joints/thicker.js';
import { planeAndRip, segmentCount, setTheSaw } from '../segments.js';
import { numbered, onceFor, step } from '../step.js';
import type { StripStock } from '../stock.js';

const params = z
  .strictObject({
    way: z.literal('resawn'),
    count: segmentCount,
    parts: partsField,
    /** Between the segments of the thick ring; left out where they are glued to each other. */
    spacers: spacersSchema.optional(),
    /** The thick ring that this one is a slice of; its slices are the rings of the piece that name it. */
    from: text('Thick ring', 40),
    kerfMm: length('Kerf of the resaw', 0.1, 10),
    /** Planed or sanded off the slices, in all. */
    cleanUpMm: length('Clean-up', 0, 50),
  })
  .refine(goesIn, doesNotGoIn)
  .check(({ value, issues }) => {
    const wrong = wrongFraming(value);
    if (wrong) issues.push(wrong);
  });

export interface ResawnParams extends z.infer<typeof params> {}

/** Height of the thick ring: T = Σt + (n − 1)·k + clean-up (mm). */
export const thickHeight = (slicesMm: readonly number[], kerfMm: number, cleanUpMm: number): Mm =>
  mm(slicesMm.reduce((a, b) => a + b, 0) + (slicesMm.length - 1) * kerfMm + cleanUpMm);

/** A slice of a thick ring of upright segments, with spacers between them or without; all slices share colours and radii, each has its own turn. */
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
  groups: (given) => [{ name: 'Segment', count: given.count }, ...spacerGroups(given.count, given.spacers)],
  segments: ({ count }) => count,
  withSegments: (given, count) => framedFor(withCount(given, count), count),
  pitch: ({ count, parts }) => rad((2 * Math.PI * (parts?.length ?? 1)) / count),
  thicker: thickerFrame,
  mirror: (given) => mirroredFrame(mirroredParts(given)),
  body: ({ from }) => from,
  instead: closingFrame,
  make(given, need) {
    const { kerfMm, cleanUpMm } = given;
    const { members, index } = need.body ?? { members: [need], index: 0 };
    const shared: RingNeed = {
      outerRadiusMm: mm(Math.max(...members.map(({ outerRadiusMm }) => outerRadiusMm))),
      innerRadiusMm: mm(Math.min(...members.map(({ innerRadiusMm }) => innerRadiusMm))),
      heightMm: need.heightMm,
    };
    const sized = frameOf(given, shared);
    if (!sized.ok) return sized;
    const { kinds, lay, gives, cornerMm, repeats, radial, warnings, joining } = sized.value;
    const heights = members.map(({ heightMm }) => heightMm);
    const thick = thickHeight(heights, kerfMm, cleanUpMm);
    const stockOf = (strip: StripStock): PieceKind['stock'] => {
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
    const first = { ...kinds[0]!.stock, thicknessMm: thick };
    const segments = kinds.filter(({ grain }) => grain === 'along');
    return done(
      assemble({
        heightMm: need.heightMm,
        gives,
        cornerMm,
        repeats,
        groups: resawn.groups(given),
        kinds: kinds.map((kind) => ({ ...kind, stock: stockOf(kind.stock) })),
        radial,
        warnings,
        lay,
        figures: [
          { key: 'thick-ring', value: thick, unit: 'mm' },
          { key: 'slices-of-it', value: members.length, unit: 'count' },
        ],
        steps: (planing) => [
          ...onceFor(given.from, [
            planeAndRip(first, planing),
            ...segments.map(({ places, stock }, i) => {
              const saw = setTheSaw(stock, places.length);
              return segments.length > 1 ? numbered(saw, i + 1) : saw;
            }),
            ...joining,
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
