import { say, sayMm } from '../../measure/said.js';
import { type Point, polar } from '../../ring/plane.js';
import { boxOutline, type PictureLine, type PicturePart, type StepPicture } from '../picture.js';
import type { TwistedParams } from './params.js';
import type { SharedBoard } from './scribed.js';

export interface TwistedView {
  readonly given: TwistedParams;
  /** Where every strip lies across the board; null of those that are left out. */
  readonly across: readonly ({ readonly from: number; readonly to: number } | null)[];
  /** Of every strip in the disc; empty where the disc misses it. */
  readonly outlines: readonly (readonly Point[])[];
  readonly radius: number;
  readonly thickMm: number;
  readonly heights: readonly number[];
  readonly shared: SharedBoard | null;
}

/** Board and disc as pictures; a board that several discs are scribed on from above as well. */
export function twistedPictures(view: TwistedView): StepPicture[] {
  const { given, outlines, radius, thickMm, heights, shared } = view;
  const [left, right] = edgesOf(view);
  let low = 0;
  const cuts = heights.slice(0, -1).map((height) => {
    low += height;
    const y = low + given.kerfMm / 2;
    low += given.kerfMm;
    return { from: { x: left, y }, to: { x: right, y }, is: 'cut' as const };
  });
  return [
    {
      step: 'board',
      title: 'Board',
      says: 'The board from its end, with the cuts that slice the disc.',
      parts: stripParts(view, (from, to) => boxOutline(from, 0, to, thickMm)),
      lines: cuts,
      sizes: [
        { from: { x: left, y: 0 }, to: { x: right, y: 0 }, mm: right - left },
        { from: { x: right, y: 0 }, to: { x: right, y: thickMm }, mm: thickMm },
      ],
    },
    ...(shared && shared.discs.length > 1 ? [scribedPicture(view, shared)] : []),
    {
      step: 'disc',
      title: 'Disc',
      says: 'The disc from above: every slice of it has these strips.',
      parts: outlines.flatMap((outline, place) => (outline.length > 0 ? [{ outline, place }] : [])),
      lines: given.pinMm === undefined ? [] : circle(0, 0, given.pinMm / 2),
      sizes: [{ from: { x: -radius, y: -radius }, to: { x: radius, y: -radius }, mm: 2 * radius }],
    },
  ];
}

/** Where the board begins and ends, across. */
function edgesOf({ across }: TwistedView): [number, number] {
  const on = across.filter((strip) => strip !== null);
  return [on[0]!.from, on.at(-1)!.to];
}

const stripParts = ({ across }: TwistedView, outline: (from: number, to: number) => Point[]): PicturePart[] =>
  across.flatMap((strip, place) => (strip ? [{ outline: outline(strip.from, strip.to), place }] : []));

/** The board from above, its strips lengthwise, with the discs that are scribed on it. */
function scribedPicture(view: TwistedView, { lengthMm, discs }: SharedBoard): StepPicture {
  const { given } = view;
  const [left, right] = edgesOf(view);
  return {
    step: 'board',
    title: 'Scribed',
    says: say`The board from above, ${sayMm(lengthMm)} long, with ${discs.length} discs on the middle line of the register strip.`,
    parts: stripParts(view, (from, to) => boxOutline(0, from, lengthMm, to)),
    lines: discs.flatMap(({ radiusMm, atMm }) => [
      ...circle(atMm, 0, radiusMm),
      ...(given.pinMm === undefined ? [] : circle(atMm, 0, given.pinMm / 2)),
    ]),
    sizes: [
      { from: { x: 0, y: left }, to: { x: lengthMm, y: left }, mm: lengthMm },
      { from: { x: lengthMm, y: left }, to: { x: lengthMm, y: right }, mm: right - left },
    ],
  };
}

/** Chords that a scribed circle is drawn in. */
const CHORDS = 48;

function circle(x: number, y: number, radius: number): PictureLine[] {
  const at = (i: number) => {
    const p = polar(radius, (i / CHORDS) * 2 * Math.PI);
    return { x: x + p.x, y: y + p.y };
  };
  return Array.from({ length: CHORDS }, (_, i) => ({ from: at(i), to: at(i + 1), is: 'cut' as const }));
}
