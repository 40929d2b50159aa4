import { mm, rad, TURN } from '../../measure/quantity.js';
import { done, refuse } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import { assemble } from '../assemble.js';
import type { BoardRows, Making } from '../contract.js';
import { thickHeight } from '../segmented/after.js';
import { stripKinds } from './kinds.js';
import { type TwistedParams, twistedParams } from './params.js';
import { twistedPictures } from './pictures.js';
import { discRadius, sharedBoard } from './scribed.js';
import { twistedSteps } from './steps.js';
import { ARC, stripOutline, strips } from './strips.js';
import { twistedWarnings } from './told.js';

/** A slice of a disc sawn from a board of parallel strips; every slice is turned a little before it is glued. */
export const twisted: Making<TwistedParams> = {
  way: 'twisted',
  starts: {
    twisted: {
      name: 'Twisted stack',
      says: 'thin discs sawn from a board of parallel strips, each turned a little: any form swirls',
      bond: 'as-it-was',
      begin: ({ body }) => ({
        way: 'twisted',
        stripsMm: Array.from({ length: 41 }, (_, i) => mm(i === 20 ? 16 : i % 2 === 0 ? 12 : 8)),
        from: body,
        boardMm: mm(44),
        kerfMm: mm(1.5875),
        cleanUpMm: mm(0),
      }),
    },
  },
  params: twistedParams,
  solid: () => true,
  strict: () => true,
  groups: ({ stripsMm }) => [{ name: 'Strip', count: stripsMm.length }],
  boards: () => [BOARD],
  segments: () => null,
  withSegments: (given) => given,
  pitch: () => rad(TURN / 360),
  mirror: (given) => ({ ...given, stripsMm: [...given.stripsMm].reverse() }),
  body: ({ from }) => from,
  board: ({ longestMm, stripsMm, boardMm, kerfMm, cleanUpMm }) =>
    longestMm === undefined ? null : [longestMm, boardMm, kerfMm, cleanUpMm, ...stripsMm].join(),
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
    const members = need.body?.members ?? [need];
    const radius = discRadius(members);
    const width = stripsMm.reduce((a, b) => a + b, 0);
    const shared = sharedBoard(need, given.longestMm);
    if (shared && shared.lengthMm > given.longestMm! + SAME_LENGTH)
      return refuse(
        'board-short',
        'longestMm',
        say`A disc ${sayMm(2 * radius)} across takes a board of ${sayMm(shared.lengthMm)} with the room round it; the longest is ${sayMm(given.longestMm!)}.`,
        { least: shared.lengthMm },
      );
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
    const thickest = Math.max(
      boardMm,
      ...(shared?.sections ?? [members]).map((section) =>
        thickHeight(
          section.map((ring) => ring.heightMm),
          kerfMm,
          cleanUpMm,
        ),
      ),
    );
    const across = strips(stripsMm);
    // Strips that not even the largest disc of the board reaches need not be glued on.
    const farthest = Math.max(radius, ...(shared?.discs ?? []).map(({ radiusMm }) => radiusMm));
    const met = across.map(({ from, to }) => from < farthest - SAME_LENGTH && to > SAME_LENGTH - farthest);
    const glued = stripsMm.filter((_, i) => met[i]);
    const boardWidth = glued.reduce((a, b) => a + b, 0);
    const drawn = radius / Math.cos(ARC / 2);
    const outlines = across.map(({ from, to }) => stripOutline(drawn, from, to));
    const kinds = stripKinds(given, need, { outlines, across, shared, thickMm: thickest });
    const { heightMm } = need;
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
          { key: 'board-width', value: boardWidth, unit: 'mm' },
          ...(shared
            ? [
                { key: 'board-length' as const, value: shared.lengthMm, unit: 'mm' as const },
                { key: 'discs-on-the-board' as const, value: shared.discs.length, unit: 'count' as const },
              ]
            : []),
          { key: 'strips-in-the-disc', value: kinds.length, unit: 'count' },
          { key: 'strips-in-all-slices', value: kinds.length * members.length, unit: 'count' },
        ],
        warnings: twistedWarnings(given, need, heights, thick),
        steps: () => twistedSteps(given, { glued, radiusMm: radius, heights, thickMm: thickest, shared }),
        pictures: () =>
          twistedPictures({
            given,
            across: across.map((strip, i) => (met[i] ? strip : null)),
            outlines,
            radius,
            thickMm: thickest,
            heights,
            shared,
          }),
      }),
    );
  },
  instead(given, need) {
    const radius = discRadius(need.body?.members ?? [need]);
    const width = given.stripsMm.reduce((a, b) => a + b, 0);
    const by = Math.max(1, (2 * radius * 1.01) / width);
    return {
      ...given,
      stripsMm: given.stripsMm.map((w) => mm(Math.min(500, Math.max(w * by, given.kerfMm / 2)))),
    };
  },
};

const BOARD: BoardRows<TwistedParams> = {
  called: () => 'Strips, side by side',
  sizes: ({ stripsMm }) => stripsMm,
  withSizes: (given, sizes) => ({ ...given, stripsMm: [...sizes] }),
  places: (_, row) => [row],
  upward: () => false,
};
