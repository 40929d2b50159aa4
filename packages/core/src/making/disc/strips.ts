import { z } from 'zod';
import { length } from '../../measure/field.js';
import { mm, rad, TURN } from '../../measure/quantity.js';
import { done } from '../../measure/reason.js';
import type { BoardRows } from '../contract.js';
import type { Figure } from '../figures.js';
import type { Apart, DiscSource, LaidDisc } from './contract.js';
import { stripKinds } from './stripKinds.js';
import { ARC, isWithin, stripOutline, stripsAcross } from './stripOutline.js';
import { stripPictures } from './stripPictures.js';
import { STACK, stripSteps } from './stripSteps.js';
import { crooked, goesIn, widthOf } from './stripsTold.js';

const params = z.strictObject({
  is: z.literal('strips'),
  /** Widths of the strips that the board is glued up from, side by side. */
  stripsMm: z
    .array(length('Strip', 0.5, 500))
    .min(2, { error: () => 'The board has fewer than 2 strips.' })
    .max(60, { error: () => 'The board has too many strips; 60 are allowed.' }),
  /**
   * The discs of all sections with the same strips and woods are scribed on boards no longer than this, side by side on the
   * register strip; left out, each section has a board of its own.
   */
  longestMm: length('Longest board', 100, 6000).optional(),
});

export type Strips = z.infer<typeof params>;

/** A board of parallel strips; slices of it that are turned a little, each from the one below, swirl. */
export const strips: DiscSource<Strips> = {
  is: 'strips',
  params,
  begun: {
    is: 'strips',
    stripsMm: Array.from({ length: 41 }, (_, i) => mm(i === 20 ? 16 : i % 2 === 0 ? 12 : 8)),
  },
  called: {
    whole: { start: 'disc', called: 'Solid disc of strips' },
    sliced: { start: 'twisted', called: 'Twisted stack' },
  },
  strict: true,
  whole: null,
  groups: ({ stripsMm }) => [{ name: 'Strip', count: stripsMm.length }],
  pitch: () => rad(TURN / 360),
  longest: ({ longestMm }) => longestMm ?? null,
  mirror: (of) => ({ ...of, stripsMm: [...of.stripsMm].reverse() }),
  tones: ({ stripsMm }) => {
    const register = stripsMm.length % 2 === 1 ? (stripsMm.length - 1) / 2 : null;
    return stripsMm.map((_, i) => (i === register ? 'dark' : i % 2 === 0 ? 'light' : 'middle'));
  },
  lay(of, size) {
    const { outerRadiusMm: radius, apart } = size;
    const across = stripsAcross(of.stripsMm);
    const goes = goesIn(of, radius, apart);
    if (!goes.ok) return goes;
    const drawn = radius / Math.cos(ARC / 2);
    const outlines = across.map(({ from, to }) => stripOutline(drawn, from, to));
    const kinds = stripKinds(size, across, outlines);
    // Strips that not even the largest disc of the board reaches need not be glued on.
    const farthest = Math.max(radius, ...(apart?.shared?.discs ?? []).map(({ radiusMm }) => radiusMm));
    const met = across.map((strip) => (isWithin(strip, farthest) ? strip : null));
    const glued = met.filter((strip) => strip !== null);
    const laid: LaidDisc = {
      kinds,
      cornerMm: drawn,
      repeats: 1,
      laidOnPlan: false,
      warnings: apart ? crooked(of.stripsMm) : [],
      figures: [
        { key: 'board-width', value: glued.reduce((sum, { widthMm }) => sum + widthMm, 0), unit: 'mm' },
        ...boardFigures(apart),
        { key: 'strips-in-the-disc', value: kinds.length, unit: 'count' },
        ...(apart
          ? [
              {
                key: 'strips-in-all-slices' as const,
                value: kinds.length * apart.slices,
                unit: 'count' as const,
              },
            ]
          : []),
      ],
      lay: (place) =>
        outlines[place]!.length === 0 ? [] : { place, bottom: outlines[place]!, top: outlines[place]! },
      steps: () => stripSteps(glued, size),
      stacked: STACK,
      pictures: () => stripPictures({ size, across: met, outlines }),
    };
    return done(laid);
  },
  rows: {
    called: () => 'Strips, side by side',
    sizes: ({ stripsMm }) => stripsMm,
    withSizes: (of, sizes) => ({ ...of, stripsMm: [...sizes] }),
    places: (_, row) => [row],
    upward: () => false,
  } satisfies BoardRows<Strips>,
  instead(of, { outerRadiusMm, apart }) {
    const by = Math.max(1, (2 * outerRadiusMm * 1.01) / widthOf(of));
    const least = apart ? apart.kerfMm / 2 : 0;
    return { ...of, stripsMm: of.stripsMm.map((w) => mm(Math.min(500, Math.max(w * by, least)))) };
  },
};

const boardFigures = (apart: Apart | undefined): Figure[] =>
  apart?.shared
    ? [
        { key: 'board-length', value: apart.shared.lengthMm, unit: 'mm' },
        { key: 'discs-on-the-board', value: apart.shared.discs.length, unit: 'count' },
      ]
    : [];
