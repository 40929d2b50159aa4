import { z } from 'zod';
import { length } from '../../measure/field.js';
import { mm } from '../../measure/quantity.js';
import { done } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { assemble } from '../assemble.js';
import type { Making } from '../contract.js';
import { anglesOf, flatRing } from '../flat/ring.js';
import { planedThickness } from '../planing.js';
import { thickHeight } from '../resawn/resawn.js';
import { GLUE_RING, pitchOfCount, planeAndRip, segmentCount, setTheSaw } from '../segments.js';
import { step } from '../step.js';
import type { StripStock } from '../stock.js';

const params = z
  .strictObject({
    way: z.literal('grain'),
    count: segmentCount,
    match: z.discriminatedUnion('by', [
      /** One after the other along the strip, round the whole ring. */
      z.strictObject({ by: z.literal('run') }),
      /** A half-ring from double-thick stock, resawn and opened like a book: both ends meet their like. */
      z.strictObject({
        by: z.literal('book'),
        kerfMm: length('Kerf of the resaw', 0.1, 10),
        cleanUpMm: length('Clean-up', 0, 50),
      }),
    ]),
  })
  .refine(({ count, match }) => match.by === 'run' || count % 2 === 0, {
    path: ['count'],
    error: ({ input }) =>
      `Segment count is ${(input as { count: number }).count}; two halves opened like a book need an even count.`,
  });

export type GrainParams = z.infer<typeof params>;

/** Flat segments in the order in which they were cut, so that the figure of the wood runs on from one to the next. */
export const grain: Making<GrainParams> = {
  way: 'grain',
  name: 'Grain-matched',
  says: 'segments numbered along the strip, so that the figure runs on round the ring',
  params,
  solid: false,
  bond: 'as-it-was',
  begin: ({ segments }) => ({ way: 'grain', count: segments, match: { by: 'run' } }),
  groups: ({ count }) => [{ name: 'Segment', count }],
  segments: ({ count }) => count,
  withSegments: (given, count) => ({ ...given, count }),
  pitch: ({ count }) => pitchOfCount(count),
  /** Segments i and N − 1 − i are the two leaves of one piece. */
  oneWood: ({ count, match }) =>
    match.by === 'run' ? [] : Array.from({ length: count / 2 }, (_, i) => [i, count - 1 - i]),
  make(given, need) {
    const { count, match } = given;
    const { heightMm } = need;
    const sized = flatRing(count, anglesOf(count), need);
    if (!sized.ok) return sized;
    const { kinds, lay, gives, cornerMm, repeats } = sized.value;
    const thickness =
      match.by === 'run' ? heightMm : thickHeight([heightMm, heightMm], match.kerfMm, match.cleanUpMm);
    const stock: StripStock = {
      ...(kinds[0]!.stock as StripStock),
      thicknessMm: thickness,
      cutting: 'same-edge',
      inOrder: true,
      ...(match.by === 'book' && {
        slicing: {
          slices: 2,
          inRing: 2,
          kerfMm: match.kerfMm,
          cleanUpMm: match.cleanUpMm,
          keptMm: mm(2 * heightMm),
        },
      }),
    };
    const sawn = match.by === 'run' ? count : count / 2;
    return done(
      assemble({
        heightMm,
        gives,
        cornerMm,
        repeats,
        groups: grain.groups(given),
        kinds: [{ ...kinds[0]!, stock }],
        lay,
        mark: (place) => {
          if (match.by === 'run') return String(place + 1);
          return place < count / 2 ? `${place + 1}a` : `${count - place}b`;
        },
        figures: match.by === 'book' ? [{ key: 'double-thick-stock', value: thickness, unit: 'mm' }] : [],
        steps: (planing) => [
          match.by === 'run'
            ? planeAndRip(stock, planing)
            : step(
                'rip',
                'planer',
                say`Plane strips to ${sayMm(planedThickness(stock.thicknessMm, planing), 'thickness')}, twice the ring’s thickness and what is lost, and rip them ${sayMm(stock.widthMm, 'width')} wide. Choose stock with the grain upright through its thickness, or the kerf shifts the figure.`,
                ['dust'],
              ),
          setTheSaw(stock, sawn, 'the same edge out every time'),
          step(
            'number',
            'bench',
            say`Number the pieces 1 to ${sawn} as they come off, and glue them in that order.${match.by === 'run' ? say` Segment ${count} meets segment 1: at that one joint the figure does not run on.` : ''}`,
          ),
          ...(match.by === 'run'
            ? []
            : [
                step(
                  'book',
                  'bandsaw',
                  say`Glue the ${sawn} pieces into a half-ring, resaw it through the middle of its thickness (${sayMm(match.kerfMm)} is lost) and open it like a book.`,
                  ['resawing', 'dust'],
                ),
              ]),
          GLUE_RING,
        ],
      }),
    );
  },
};
