import { z } from 'zod';
import { number, whole } from '../../measure/field.js';
import { formatAngle, sayMm } from '../../measure/format.js';
import { mm, rad, TURN } from '../../measure/quantity.js';
import { done, refuse } from '../../measure/reason.js';
import { SAME_ANGLE, SAME_LENGTH } from '../../measure/tolerance.js';
import type { RingNeed } from '../../ring/need.js';
import { polar, wrapped } from '../../ring/plane.js';
import type { LaidPiece, Made, Making } from '../contract.js';
import { innerOfWidth, type RingSizes, ringSizes } from './geometry.js';

export const FEWEST_SEGMENTS = 3;
export const MOST_SEGMENTS = 360;
/** A segment of a wider angle is no longer cut by a mitre. */
const WIDEST = (150 * Math.PI) / 180;

const params = z
  .strictObject({
    way: z.literal('flat'),
    count: whole('Segment count', FEWEST_SEGMENTS, MOST_SEGMENTS),
    /** Unequal segments: their angles in proportion, repeated round the ring. Left out, all are equal. */
    parts: z
      .array(number('Share of a segment', 0.05, 20))
      .min(2)
      .max(60)
      .optional(),
  })
  .refine(({ count, parts }) => !parts || count % parts.length === 0, {
    path: ['parts'],
    error: ({ input }) => {
      const { count, parts } = input as { count: number; parts: unknown[] };
      return `A pattern of ${parts.length} unequal segments does not go into ${count}; the count has to be a multiple of ${parts.length}.`;
    },
  });
export type FlatParams = z.infer<typeof params>;

/** N segments, equal or not, mitred at half their included angle, grain along the segment. */
export const flat: Making<FlatParams> = {
  way: 'flat',
  name: 'Flat segments',
  says: 'segments mitred and glued into a flat ring: the usual ring',
  params,
  places: ({ count }) => count,
  pitch: ({ count, parts }) => rad((TURN * (parts?.length ?? 1)) / count),
  make(given, need) {
    const pattern = patternOf(given);
    if (need.outerMm - need.innerMm <= SAME_LENGTH)
      return refuse(
        'ring-no-width',
        'innerMm',
        `The ring has no width: outside ${sayMm(need.outerMm)}, inside ${sayMm(need.innerMm)}.`,
      );
    const widest = Math.max(...pattern);
    if (widest > WIDEST)
      return refuse(
        'segment-wide',
        'parts',
        `The widest segment takes ${formatAngle(rad(widest))} of the circle; ${formatAngle(rad(WIDEST))} is the most that can be mitred.`,
      );
    return done(ringOf(given.count, pattern, need, ringSizes(pattern, need.outerMm, need.innerMm)));
  },
  asMeasured(given, planned, outerMm) {
    const pattern = patternOf(given);
    const { segments } = ringSizes(pattern, planned.outerMm, planned.innerMm);
    return {
      ...planned,
      outerMm,
      innerMm: innerOfWidth(Math.max(...pattern), outerMm, segments[0]!.widthMm),
    };
  },
};

/** Included angles of the segments that are repeated round the ring, from the index mark. */
function patternOf({ count, parts = [1] }: FlatParams): number[] {
  const round = parts.reduce((a, b) => a + b, 0) * (count / parts.length);
  return parts.map((part) => (TURN * part) / round);
}

/** `count` segments of the angles of `pattern`, again and again. */
function ringOf(count: number, pattern: readonly number[], need: RingNeed, sizes: RingSizes): Made {
  let sum = 0;
  const starts = pattern.map((angle) => {
    sum += angle;
    return sum - angle;
  });
  const repeat = sum;
  const startOf = (place: number) =>
    Math.floor(place / pattern.length) * repeat + starts[place % pattern.length]!;
  const alike = sameAngles(pattern);
  return {
    gives: need,
    cornerMm: sizes.cornerMm,
    kinds: alike.map((members) => {
      const segment = sizes.segments[members[0]!]!;
      const meanEdge = (segment.longEdgeMm + segment.shortEdgeMm) / 2;
      return {
        name: alike.length === 1 ? 'Segment' : `Segment of ${formatAngle(rad(pattern[members[0]!]!))}`,
        heightMm: need.heightMm,
        volumeMm3: meanEdge * segment.widthMm * need.heightMm,
        stock: { from: 'strip', ...segment },
        places: placesOfMembers(count, pattern.length, members),
      };
    }),
    lay: (place) =>
      segmentAt(place, startOf(place), pattern[place % pattern.length]!, need, sizes.innerApothemMm),
    placeAt(x, y, z) {
      if (z < 0 || z > need.heightMm) return null;
      const angle = wrapped(Math.atan2(y, x));
      const lap = Math.min(count / pattern.length - 1, Math.floor(angle / repeat));
      let member = pattern.length - 1;
      while (member > 0 && starts[member]! > angle - lap * repeat) member--;
      const place = lap * pattern.length + member;
      const middle = lap * repeat + starts[member]! + pattern[member]! / 2;
      const along = x * Math.cos(middle) + y * Math.sin(middle);
      return along >= sizes.innerApothemMm && along <= need.outerMm ? place : null;
    },
    steps: () => [
      `Plane strips to the ring's thickness and rip them ${sayMm(sizes.segments[0]!.widthMm)} wide.`,
      ...alike.map((members) => {
        const { cutAngle, longEdgeMm } = sizes.segments[members[0]!]!;
        const pieces = (members.length * count) / pattern.length;
        return `Set the saw to ${formatAngle(cutAngle)} from square and the stop so that the long edge is ${sayMm(longEdgeMm)}; cut ${pieces} segments, turning the strip over between cuts, and one to test the setting.`;
      }),
      'Dry-fit the ring, close the last joint, then glue.',
    ],
    cautions: ['short-pieces', 'trapped-offcut', 'dust'],
  };
}

/** Members of a pattern that have the same angle, in the order they are met. */
function sameAngles(pattern: readonly number[]): number[][] {
  const groups: number[][] = [];
  pattern.forEach((angle, i) => {
    const group = groups.find(([first]) => Math.abs(pattern[first!]! - angle) < SAME_ANGLE);
    if (group) group.push(i);
    else groups.push([i]);
  });
  return groups;
}

function placesOfMembers(count: number, period: number, members: readonly number[]): number[] {
  const places: number[] = [];
  for (let lap = 0; lap < count; lap += period) for (const member of members) places.push(lap + member);
  return places;
}

function segmentAt(
  place: number,
  from: number,
  angle: number,
  { outerMm, innerMm }: RingNeed,
  innerApothemMm: number,
): LaidPiece {
  const to = from + angle;
  const [outer, inner] = [outerMm / Math.cos(angle / 2), innerApothemMm / Math.cos(angle / 2)];
  const hole = innerMm > 0 ? [polar(inner, to), polar(inner, from)] : [{ x: 0, y: 0 }];
  const outline = [polar(mm(outer), from), polar(mm(outer), to), ...hole];
  return { place, bottom: outline, top: outline };
}
