import { z } from 'zod';
import { length, text } from '../../measure/field.js';
import { type Mm, mm, rad } from '../../measure/quantity.js';
import { say, sayList, sayMade, sayMm } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import type { RingNeed } from '../../ring/need.js';
import type { PieceKind } from '../contract.js';
import type { Figure } from '../figures.js';
import type { Within } from '../joints/frame.js';
import { onceFor, type Step, step } from '../step.js';
import type { Slicing, Stock } from '../stock.js';

const lost = {
  kerfMm: length('Kerf of the resaw', 0.1, 10),
  /** Planed or sanded off what is sawn apart, in all. */
  cleanUpMm: length('Clean-up', 0, 50),
};

/** The thick ring that this one is a slice of; its slices are the rings of the piece that name it. */
export const slicedSchema = z.strictObject({
  done: z.literal('sliced'),
  from: text('Thick ring', 40),
  ...lost,
});

/** What is done with a ring once it is glued, or with the half of one; left out where it stays whole. */
export const afterSchema = z.discriminatedUnion('done', [
  slicedSchema,
  /** A half-ring from double-thick stock, resawn and opened like a book: both ends meet their like. */
  z.strictObject({ done: z.literal('opened'), ...lost }),
]);

export type After = z.infer<typeof afterSchema>;

/** What a resaw takes as a rule: a sixteenth of an inch, and as much to clean up. */
export const RESAW = { kerfMm: mm(1.5875), cleanUpMm: mm(1.5875) };

/** Height of the thick ring: T = Σt + (n − 1)·k + clean-up (mm). */
export const thickHeight = (slicesMm: readonly number[], kerfMm: number, cleanUpMm: number): Mm =>
  mm(slicesMm.reduce((a, b) => a + b, 0) + (slicesMm.length - 1) * kerfMm + cleanUpMm);

/** What is glued up for a ring: how large it has to be, which part of it the ring is, and how it is sawn apart. */
export interface GluedUp {
  readonly need: RingNeed;
  readonly within: Within;
  /** null where the ring stays whole. */
  readonly slicing: Slicing | null;
  /** Heights of the slices, bottom to top, and which of them this is. */
  readonly heightsMm: readonly number[];
  readonly index: number;
}

/** What is glued up for a ring of `need`. */
export function gluedUp(after: After | undefined, need: RingNeed): GluedUp {
  const { heightMm } = need;
  if (!after)
    return { need, within: { fromMm: 0, heightMm }, slicing: null, heightsMm: [heightMm], index: 0 };
  const { kerfMm, cleanUpMm } = after;
  const sliced = after.done === 'sliced';
  const { members, index } = sliced && need.body ? need.body : { members: [need], index: 0 };
  const heightsMm = sliced ? members.map((member) => member.heightMm) : [heightMm, heightMm];
  const thickMm = thickHeight(heightsMm, kerfMm, cleanUpMm);
  const below = heightsMm.slice(0, index).reduce((sum, height) => sum + height + kerfMm, 0);
  return {
    need: {
      outerRadiusMm: mm(Math.max(...members.map(({ outerRadiusMm }) => outerRadiusMm))),
      innerRadiusMm: mm(Math.min(...members.map(({ innerRadiusMm }) => innerRadiusMm))),
      heightMm: thickMm,
    },
    within: { fromMm: cleanUpMm / 2 + below, heightMm },
    slicing: {
      slices: heightsMm.length,
      inRing: sliced ? 1 : 2,
      kerfMm,
      cleanUpMm,
      keptMm: mm(heightsMm.reduce((a, b) => a + b, 0)),
    },
    heightsMm,
    index,
  };
}

/** A kind of piece as it is sawn for what is glued up: once, with the ring that is the first slice of it. */
export function sawnWith({ slicing, index, need }: GluedUp, kind: PieceKind): PieceKind {
  const { stock } = kind;
  if (!slicing || (stock.from !== 'strip' && stock.from !== 'panel')) return kind;
  return { ...kind, stock: index > 0 ? offSlice(stock) : { ...stock, slicing: leaning() } };

  /** What leans is as much longer than the ring is high. */
  function leaning(): Slicing {
    const by = stock.from === 'strip' || stock.from === 'panel' ? stock.thicknessMm / need.heightMm : 1;
    const { kerfMm, cleanUpMm, keptMm } = slicing!;
    return {
      ...slicing!,
      kerfMm: mm(kerfMm * by),
      cleanUpMm: mm(cleanUpMm * by),
      keptMm: mm(keptMm * by),
    };
  }
}

function offSlice(stock: Exclude<Stock, { from: 'slice' | 'stash' }>): Stock {
  if (stock.from === 'strip') {
    const { longEdgeMm, shortEdgeMm, widthMm, cutAngle } = stock;
    return { from: 'slice', longEdgeMm, shortEdgeMm, widthMm, cutAngle };
  }
  const { lengthMm, widthMm } = stock;
  return { from: 'slice', longEdgeMm: lengthMm, shortEdgeMm: lengthMm, widthMm, cutAngle: rad(0) };
}

/** What sawing apart comes to. */
export function slicingFigures(
  after: After | undefined,
  { need, heightsMm }: GluedUp,
  called: 'ring' | 'disc' = 'ring',
): Figure[] {
  if (after?.done === 'opened') return [{ key: 'double-thick-stock', value: need.heightMm, unit: 'mm' }];
  return after
    ? [
        { key: `thick-${called}`, value: need.heightMm, unit: 'mm' },
        { key: 'slices-of-it', value: heightsMm.length, unit: 'count' },
      ]
    : [];
}

/**
 * The steps to the glued ring with those of sawing it apart; of slices of one ring all but the last are done once, and that too
 * where something is done with all of them (`stacked`).
 */
export function slicedSteps(
  after: Extract<After, { done: 'sliced' }>,
  { need, heightsMm }: GluedUp,
  gluing: readonly Step[],
  called: 'ring' | 'disc' = 'ring',
  stacked?: Step,
): Step[] {
  const heights = heightsMm
    .filter((height, i) => heightsMm.findIndex((other) => Math.abs(other - height) < SAME_LENGTH) === i)
    .map((height) => sayMm(height, 'thickness'));
  return [
    ...onceFor(after.from, [
      ...gluing,
      step(
        'slice',
        'bandsaw',
        say`True one face of the thick ${called}, ${sayMm(need.heightMm)} high, and saw off ${sayMade(heightsMm.length)} of ${sayList(heights, ' and ')}, losing ${sayMm(after.kerfMm)} at every cut; keep them in order, and draw the index mark down the outside of the whole ${called} first.`,
        ['resawing', 'dust'],
      ),
      ...(stacked ? [stacked] : []),
    ]),
    ...(stacked ? [] : [MEASURE]),
  ];
}

const MEASURE = step(
  'measure',
  'bench',
  'Clean up each slice, measure its thickness and enter it: small errors add up over many slices.',
);

/** Opening a half-ring like a book. */
export const openBook = ({ kerfMm }: After, pieces: number): Step =>
  step(
    'book',
    'bandsaw',
    say`Glue the ${pieces} pieces into a half-ring, resaw it through the middle of its thickness (${sayMm(kerfMm)} is lost) and open it like a book.`,
    ['resawing', 'dust'],
  );
