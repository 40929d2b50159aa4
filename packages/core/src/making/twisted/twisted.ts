import { z } from 'zod';
import { length, text } from '../../measure/field.js';
import { mm, rad, TURN } from '../../measure/quantity.js';
import { done, refuse } from '../../measure/reason.js';
import { say, sayList, sayMade, sayMm } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import { assemble } from '../assemble.js';
import type { Making, PieceKind } from '../contract.js';
import { thickHeight } from '../resawn/resawn.js';
import { onceFor, step } from '../step.js';
import type { Warning } from '../warnings.js';
import { twistedPictures } from './pictures.js';
import { ARC, stripOutline, strips } from './strips.js';

const params = z.strictObject({
  way: z.literal('twisted'),
  /** Widths of the strips that the board is glued up from, side by side. */
  stripsMm: z
    .array(length('Strip', 0.5, 500))
    .min(2, { error: () => 'The board has fewer than 2 strips.' })
    .max(60, { error: () => 'The board has too many strips; 60 are allowed.' }),
  /** The section that this slice is sawn from; its slices are the rings of the piece that name it. */
  from: text('Section', 40),
  /** Thickness of the board. */
  boardMm: length('Board', 2, 300),
  kerfMm: length('Kerf of the resaw', 0.1, 10),
  cleanUpMm: length('Clean-up', 0, 50),
});

export type TwistedParams = z.infer<typeof params>;

/** Slices of a height that a board gives: n = floor((T + k)/(t + k)), with a hair for what was meant exactly. */
export const slicesOf = (boardMm: number, sliceMm: number, kerfMm: number): number =>
  Math.floor((boardMm + kerfMm) / (sliceMm + kerfMm) + 1e-9);

const isSymmetric = (widths: readonly number[]): boolean =>
  widths.every((w, i) => Math.abs(w - widths[widths.length - 1 - i]!) < 0.01);

/** A slice of a disc sawn from a board of parallel strips; every slice is turned a little before it is glued. */
export const twisted: Making<TwistedParams> = {
  way: 'twisted',
  name: 'Twisted stack',
  says: 'thin discs sawn from a board of parallel strips, each turned a little: any form swirls',
  params,
  solid: true,
  bond: 'as-it-was',
  strict: true,
  begin: ({ body }) => ({
    way: 'twisted',
    stripsMm: Array.from({ length: 41 }, (_, i) => mm(i === 20 ? 16 : i % 2 === 0 ? 12 : 8)),
    from: body,
    boardMm: mm(44),
    kerfMm: mm(1.5875),
    cleanUpMm: mm(0),
  }),
  groups: ({ stripsMm }) => [{ name: 'Strip', count: stripsMm.length }],
  rows: {
    called: () => 'Strips, side by side',
    sizes: ({ stripsMm }) => stripsMm,
    withSizes: (given, sizes) => ({ ...given, stripsMm: [...sizes] }),
    places: (_, row) => [row],
    upward: () => false,
  },
  segments: () => null,
  withSegments: (given) => given,
  pitch: () => rad(TURN / 360),
  mirror: (given) => ({ ...given, stripsMm: [...given.stripsMm].reverse() }),
  body: ({ from }) => from,
  tones: ({ stripsMm }) =>
    stripsMm.map((_, i) =>
      i === Math.floor(stripsMm.length / 2) && stripsMm.length % 2 === 1
        ? 'dark'
        : i % 2 === 0
          ? 'light'
          : 'middle',
    ),
  make(given, need) {
    const { stripsMm, boardMm, kerfMm, cleanUpMm } = given;
    const { members, index } = need.body ?? { members: [need], index: 0 };
    const radius = Math.max(...members.map(({ outerRadiusMm }) => outerRadiusMm));
    const width = stripsMm.reduce((a, b) => a + b, 0);
    if (width < 2 * radius - SAME_LENGTH)
      return refuse(
        'board-narrow',
        'stripsMm',
        say`The strips make a board ${sayMm(width)} wide; the disc is ${sayMm(2 * radius)} across. Add strips, or make them wider.`,
        { least: 2 * radius },
      );
    const thin = stripsMm.findIndex((w) => w < kerfMm / 2);
    if (thin >= 0)
      return refuse(
        'strip-thinner-than-kerf',
        'stripsMm',
        say`Strip ${thin + 1} is ${sayMm(stripsMm[thin]!)} wide and the kerf ${sayMm(kerfMm)}: the saw eats more than twice what it leaves. Take strips of at least ${sayMm(kerfMm / 2)}.`,
        { least: kerfMm / 2 },
      );
    const heights = members.map(({ heightMm }) => heightMm);
    const thick = thickHeight(heights, kerfMm, cleanUpMm);
    const across = strips(stripsMm);
    const drawn = radius / Math.cos(ARC / 2);
    const outlines = across.map(({ from, to }) => stripOutline(drawn, from, to));
    const { heightMm } = need;
    const slicing = {
      slices: members.length,
      inRing: 1,
      kerfMm,
      cleanUpMm,
      keptMm: mm(heights.reduce((a, b) => a + b, 0)),
    };
    const kinds = outlines.flatMap((outline, place): PieceKind[] => {
      if (outline.length === 0) return [];
      const chord = mm(Math.max(...outline.map(({ x }) => 2 * x)));
      const sized = mm(stripsMm[place]!);
      return [
        {
          name: say`Strip ${place + 1}`,
          grain: 'across',
          heightMm,
          stock:
            index > 0
              ? { from: 'slice', longEdgeMm: chord, shortEdgeMm: chord, widthMm: sized, cutAngle: rad(0) }
              : {
                  from: 'panel',
                  shape: 'block',
                  lengthMm: chord,
                  widthMm: sized,
                  thicknessMm: mm(Math.max(thick, boardMm)),
                  slicing,
                },
          places: [place],
        },
      ];
    });
    return done(
      assemble({
        heightMm,
        gives: { outerRadiusMm: radius, innerRadiusMm: 0 },
        cornerMm: mm(drawn),
        radial: false,
        repeats: 1,
        groups: twisted.groups(given),
        kinds,
        lay: (place) =>
          outlines[place]!.length === 0 ? [] : { place, bottom: outlines[place]!, top: outlines[place]! },
        figures: [
          { key: 'slices-of-the-section', value: members.length, unit: 'count' },
          { key: 'board-thickness-for-them', value: thick, unit: 'mm' },
          { key: 'board-width', value: width, unit: 'mm' },
          { key: 'strips-in-the-disc', value: kinds.length, unit: 'count' },
        ],
        warnings: [...tooManySlices(given, heights, thick), ...crooked(stripsMm)],
        steps: () =>
          onceFor(given.from, [
            step(
              'board',
              'clamps',
              say`Glue ${stripsMm.length} strips, ${sayMm(Math.max(boardMm, thick), 'thickness')} high, side by side into a board ${sayMm(width)} wide: ${sayList(stripsMm.map((w) => sayMm(w, 'width')))}.`,
              ['dust'],
            ),
            step(
              'disc',
              'bandsaw',
              say`Bandsaw a disc of ${sayMm(2 * radius, 'diameter')} and mark the register strip in its middle on the edge.`,
              ['bandsaw', 'dust'],
            ),
            step(
              'slice',
              'bandsaw',
              say`Slice it into ${sayMade(members.length)} of ${sayList(
                [...new Set(heights)].map((t) => sayMm(t, 'thickness')),
                ' and ',
              )}, losing ${sayMm(kerfMm)} at every cut; keep their order.`,
              ['resawing', 'dust'],
            ),
            step(
              'stack',
              'clamps',
              'Glue the slices with each turned by its step (the turns are in the ledger), the register mark counted round; match the next section on with its register strip.',
            ),
          ]),
        pictures: () => twistedPictures(given, across, outlines, radius, Math.max(thick, boardMm), heights),
      }),
    );
  },
  instead(given, need) {
    const radius = Math.max(...(need.body?.members ?? [need]).map(({ outerRadiusMm }) => outerRadiusMm));
    const width = given.stripsMm.reduce((a, b) => a + b, 0);
    const by = Math.max(1, (2 * radius * 1.01) / width);
    return {
      ...given,
      stripsMm: given.stripsMm.map((w) => mm(Math.min(500, Math.max(w * by, given.kerfMm / 2)))),
    };
  },
};

function tooManySlices(
  { boardMm, kerfMm }: TwistedParams,
  heights: readonly number[],
  thick: number,
): Warning[] {
  if (thick <= boardMm + SAME_LENGTH) return [];
  const gives = slicesOf(boardMm, Math.max(...heights), kerfMm);
  return [
    {
      code: 'section-too-thick',
      message: say`${heights.length} slices take a board ${sayMm(thick)} thick; the one of ${sayMm(boardMm)} gives ${gives}. Divide the stack into sections of ${Math.max(1, gives)}.`,
    },
  ];
}

const crooked = (stripsMm: readonly number[]): Warning[] =>
  isSymmetric(stripsMm)
    ? []
    : [
        {
          code: 'board-crooked',
          message: say`The ${stripsMm.length} strips are not the same on both sides of the middle; the swirl will look crooked.`,
        },
      ];
