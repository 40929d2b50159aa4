import { z } from 'zod';
import type { PieceKind } from '../making/contract.js';
import type { Figure } from '../making/figures.js';
import { length, number, whole } from '../measure/field.js';
import { mm, rad } from '../measure/quantity.js';
import { done, type Result, refuse } from '../measure/reason.js';
import { say, sayMm, sayRad } from '../measure/said.js';
import { holdsPoint, type Point3, type Solid, volumeOfSolid } from '../ring/space.js';
import { bentSteps, bentWarnings } from './bentTold.js';
import { finder, type MadeBlank } from './contract.js';

export const bentParams = z.strictObject({
  kind: z.literal('bent'),
  /** Of the tube, as sawn from rings of segments. */
  outerRadiusMm: length('Outer radius of the tube', 3, 300),
  innerRadiusMm: length('Inner radius of the tube', 0, 300),
  segments: whole('Segments of a ring', 3, 60),
  /** Rings along the curve, each sawn to a wedge. */
  wedges: whole('Wedges', 3, 360),
  /** From the middle of the curve to the middle of the tube. */
  curveMm: length('Radius of the curve', 5, 2000),
  /** How far round it goes; 360 closes it to a link. */
  sweepDeg: number('Sweep', 10, 360, '°'),
  /** Middle of a second link of the same size that passes through this one; 0 for none. */
  linkAsideMm: length('Second link, aside', 0, 4000),
});

export type BentParams = z.infer<typeof bentParams>;

/** Thickness of a wedge at a distance from the middle of the curve: 2·R·tan(φ/2), φ its share of the sweep. */
export const wedgeThickness = (fromMiddle: number, angle: number): number =>
  2 * fromMiddle * Math.tan(angle / 2);

/** Steps in which the nearest points of two links are looked for. */
const STEPS = 720;

/**
 * Room between two alike links of circles that stand square to each other, the second's middle `aside` in the plane of the
 * first: least distance of the circles less two tube radii; below 0 they run into each other.
 */
export function linkClearance(curveMm: number, tubeMm: number, asideMm: number): number {
  let least = Number.POSITIVE_INFINITY;
  for (let i = 0; i < STEPS; i++) {
    const angle = (2 * Math.PI * i) / STEPS;
    // A point of the second circle, in the upright plane y = 0; its distance from the first circle, in the plane z = 0.
    const [x, z] = [asideMm + curveMm * Math.cos(angle), curveMm * Math.sin(angle)];
    least = Math.min(least, Math.hypot(Math.abs(x) - curveMm, z));
  }
  return least - 2 * tubeMm;
}

/** Whether two such links pass through each other at all: one point of the second lies within the first, one without. */
export const isLinked = (curveMm: number, asideMm: number): boolean => asideMm > 0 && asideMm < 2 * curveMm;

/** A tube bent round a curve: rings of segments, each sawn to a wedge, glued face to face. */
export function makeBent(given: BentParams): Result<MadeBlank> {
  const { outerRadiusMm, innerRadiusMm, segments, wedges, curveMm, sweepDeg, linkAsideMm } = given;
  const half = Math.PI / segments;
  const corner = outerRadiusMm / Math.cos(half);
  if (innerRadiusMm >= outerRadiusMm - 0.5)
    return refuse(
      'tube-no-wall',
      'innerRadiusMm',
      say`The tube is ${sayMm(outerRadiusMm)} outside and ${sayMm(innerRadiusMm)} inside; it needs a wall of at least ${sayMm(0.5)}.`,
      { most: outerRadiusMm - 0.5 },
    );
  if (curveMm <= corner)
    return refuse(
      'curve-too-tight',
      'curveMm',
      say`The curve has a radius of ${sayMm(curveMm)} and the tube reaches ${sayMm(corner)} with its corners; the wedges would come to less than nothing inside. Take at least ${sayMm(corner)}.`,
      { least: corner },
    );
  const angle = (sweepDeg * Math.PI) / 180 / wedges;
  if (angle > Math.PI / 3)
    return refuse(
      'wedge-too-wide',
      'wedges',
      say`${wedges} wedges over ${sayRad(angle * wedges)} take ${sayRad(angle)} each; ${sayRad(Math.PI / 3)} is the most. Take more of them.`,
      { least: Math.ceil(sweepDeg / 60) },
    );
  const solids = Array.from({ length: wedges * segments }, (_, place) => wedgePiece(given, place, angle));
  const thick = wedgeThickness(curveMm + outerRadiusMm, angle);
  const thin = wedgeThickness(curveMm - outerRadiusMm, angle);
  const clearance = linkAsideMm > 0 ? linkClearance(curveMm, corner, linkAsideMm) : null;
  const kinds: PieceKind[] = [
    {
      name: 'Segment',
      grain: 'along',
      heightMm: mm(thick),
      stock: {
        from: 'strip',
        longEdgeMm: mm(2 * outerRadiusMm * Math.tan(half)),
        shortEdgeMm: mm(2 * innerRadiusMm * Math.cos(half) * Math.tan(half)),
        widthMm: mm(outerRadiusMm - innerRadiusMm * Math.cos(half)),
        thicknessMm: mm(thick),
        cutAngle: rad(half),
        bladeTilt: rad(0),
        cutting: 'turned-over',
      },
      places: Array.from({ length: wedges * segments }, (_, i) => i),
    },
  ];
  return done<MadeBlank>({
    groups: [{ name: 'Segment', count: wedges * segments }],
    kinds,
    solids,
    beside: linkAsideMm > 0 ? solids.map((solid) => secondLink(solid, linkAsideMm)) : [],
    flat: solids.map((_, place) => ({ outline: flatCell(given, place, angle), place })),
    placeAt: finder(solids, holdsPoint),
    figures: [
      { key: 'pieces', value: wedges * segments, unit: 'count' },
      { key: 'angle-of-a-wedge', value: angle, unit: 'rad' },
      { key: 'wedge-outside', value: thick, unit: 'mm' },
      { key: 'wedge-in-the-middle', value: wedgeThickness(curveMm, angle), unit: 'mm' },
      { key: 'wedge-inside', value: thin, unit: 'mm' },
      ...(clearance === null
        ? []
        : [{ key: 'room-between-the-links', value: clearance, unit: 'mm' } satisfies Figure]),
    ],
    warnings: bentWarnings(given, thin, clearance, isLinked(curveMm, linkAsideMm)),
    steps: () => bentSteps(given, angle, thick, thin, clearance),
  });
}

/** A piece as it lies in a second link: stood upright, its middle aside. */
const secondLink = (solid: Solid, aside: number): Solid => ({
  ...solid,
  corners: solid.corners.map(({ x, y, z }) => ({ x: x + aside, y: -z, z: y })),
});

/** One segment of one wedge: its section, mitred ends to its neighbours, between the two faces of the wedge. */
function wedgePiece(
  { outerRadiusMm, innerRadiusMm, segments, curveMm }: BentParams,
  place: number,
  angle: number,
): Solid {
  const [wedge, segment] = [Math.floor(place / segments), place % segments];
  const half = Math.PI / segments;
  const middle = (2 * segment + 1) * half;
  const hole = innerRadiusMm * Math.cos(half);
  const section = [
    [outerRadiusMm, -1],
    [outerRadiusMm, 1],
    [hole, 1],
    [hole, -1],
  ].map(([from, side]) => {
    const [x, y] = [from!, side! * from! * Math.tan(half)];
    return {
      out: x * Math.cos(middle) - y * Math.sin(middle),
      up: x * Math.sin(middle) + y * Math.cos(middle),
    };
  });
  const at = (direction: number) =>
    section.map(({ out, up }): Point3 => {
      const reach = curveMm + out;
      return { x: reach * Math.cos(direction), y: reach * Math.sin(direction), z: up };
    });
  const [from, to] = [at(wedge * angle), at((wedge + 1) * angle)];
  return {
    place,
    corners: [...from, ...to],
    faces: [
      [0, 1, 2, 3],
      [7, 6, 5, 4],
      [0, 4, 5, 1],
      [1, 5, 6, 2],
      [2, 6, 7, 3],
      [3, 7, 4, 0],
    ],
  };
}

/** The tube slit open and laid flat: a row for each segment, its cells as wide as the wedge is there. */
function flatCell({ outerRadiusMm, segments, curveMm }: BentParams, place: number, angle: number) {
  const [wedge, segment] = [Math.floor(place / segments), place % segments];
  const high = 2 * outerRadiusMm * Math.tan(Math.PI / segments);
  const width = wedgeThickness(
    curveMm + outerRadiusMm * Math.cos(((2 * segment + 1) * Math.PI) / segments),
    angle,
  );
  const pitch = wedgeThickness(curveMm + outerRadiusMm, angle);
  const left = wedge * pitch + (pitch - width) / 2;
  return [
    { x: left, y: segment * high },
    { x: left + width, y: segment * high },
    { x: left + width, y: (segment + 1) * high },
    { x: left, y: (segment + 1) * high },
  ];
}

/** Volume of all pieces, mm³. */
export const volumeOfBlank = ({ solids }: Pick<MadeBlank, 'solids'>): number =>
  solids.reduce((sum, solid) => sum + volumeOfSolid(solid), 0);
