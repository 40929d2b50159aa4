import { say, sayMm } from '../../measure/said.js';
import { type Point, polar } from '../../ring/plane.js';
import { boxOutline, type PictureLine, type PicturePart, type StepPicture } from '../picture.js';
import type { DiscSize } from './contract.js';
import type { SharedBoard } from './scribed.js';
import type { Strip } from './stripOutline.js';

export interface StripView {
  readonly size: DiscSize;
  /** Where every strip lies across the board; null of those that are left off. */
  readonly across: readonly (Strip | null)[];
  /** Of every strip in the disc; empty where the disc misses it. */
  readonly outlines: readonly (readonly Point[])[];
}

/** Board and disc as pictures; a board that several discs are scribed on from above as well. */
export function stripPictures(view: StripView): StepPicture[] {
  const { outlines, size } = view;
  const { outerRadiusMm: radius, heightMm, apart } = size;
  const [left, right] = edgesOf(view);
  return [
    {
      step: 'board',
      title: 'Board',
      says: apart ? 'The board from its end, with the cuts that slice the disc.' : 'The board from its end.',
      parts: stripParts(view, (from, to) => boxOutline(from, 0, to, heightMm)),
      lines: (apart?.cutsMm ?? []).map((y) => ({
        from: { x: left, y },
        to: { x: right, y },
        is: 'cut' as const,
      })),
      sizes: [
        { from: { x: left, y: 0 }, to: { x: right, y: 0 }, mm: right - left },
        { from: { x: right, y: 0 }, to: { x: right, y: heightMm }, mm: heightMm },
      ],
    },
    ...(apart?.shared && apart.shared.discs.length > 1 ? [scribedPicture(view, apart.shared)] : []),
    {
      step: 'disc',
      title: 'Disc',
      says: apart ? 'The disc from above: every slice of it has these strips.' : 'The disc from above.',
      parts: outlines.flatMap((outline, place) => (outline.length > 0 ? [{ outline, place }] : [])),
      lines: pin(view, 0),
      sizes: [{ from: { x: -radius, y: -radius }, to: { x: radius, y: -radius }, mm: 2 * radius }],
    },
  ];
}

/** Where the board begins and ends, across. */
function edgesOf({ across }: StripView): [number, number] {
  const on = across.filter((strip) => strip !== null);
  return [on[0]!.from, on.at(-1)!.to];
}

const stripParts = ({ across }: StripView, outline: (from: number, to: number) => Point[]): PicturePart[] =>
  across.flatMap((strip, place) => (strip ? [{ outline: outline(strip.from, strip.to), place }] : []));

/** The board from above, its strips lengthwise, with the discs that are scribed on it. */
function scribedPicture(view: StripView, { lengthMm, discs }: SharedBoard): StepPicture {
  const [left, right] = edgesOf(view);
  return {
    step: 'board',
    title: 'Scribed',
    says: say`The board from above, ${sayMm(lengthMm)} long, with ${discs.length} discs on the middle line of the register strip.`,
    parts: stripParts(view, (from, to) => boxOutline(0, from, lengthMm, to)),
    lines: discs.flatMap(({ radiusMm, atMm }) => [...circle(atMm, radiusMm), ...pin(view, atMm)]),
    sizes: [
      { from: { x: 0, y: left }, to: { x: lengthMm, y: left }, mm: lengthMm },
      { from: { x: lengthMm, y: left }, to: { x: lengthMm, y: right }, mm: right - left },
    ],
  };
}

const pin = ({ size: { apart } }: StripView, x: number): PictureLine[] =>
  apart?.pinMm ? circle(x, apart.pinMm / 2) : [];

/** Chords that a scribed circle is drawn in. */
const CHORDS = 48;

function circle(x: number, radius: number): PictureLine[] {
  const at = (i: number) => {
    const p = polar(radius, (i / CHORDS) * 2 * Math.PI);
    return { x: x + p.x, y: p.y };
  };
  return Array.from({ length: CHORDS }, (_, i) => ({ from: at(i), to: at(i + 1), is: 'cut' as const }));
}
