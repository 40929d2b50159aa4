import { z } from 'zod';
import type { PieceKind } from '../making/contract.js';
import type { Figure } from '../making/figures.js';
import { length, number, whole } from '../measure/field.js';
import { mm, rad } from '../measure/quantity.js';
import { done, type Result, refuse } from '../measure/reason.js';
import { say, sayMm, sayRad } from '../measure/said.js';
import { holdsPoint, volumeOfSolid } from '../ring/space.js';
import { cellsOf, isLinked, linkClearance, straightForTwo } from './bentPath.js';
import { cellPiece, flatCells, secondLink, wedgeThickness } from './bentPieces.js';
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
  /** Straight lengths that join the two halves of the curve; left out where there are none. */
  straight: z
    .strictObject({
      lengthMm: length('Straight length', 1, 2000),
      rings: whole('Rings of a straight length', 1, 60),
    })
    .optional(),
});

export interface BentParams extends z.infer<typeof bentParams> {}

/** A tube bent round a curve: rings of segments, each sawn to a wedge, glued face to face. */
export function makeBent(given: BentParams): Result<MadeBlank> {
  const { outerRadiusMm, innerRadiusMm, segments, wedges, curveMm, sweepDeg, linkAsideMm, straight } = given;
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
  if (straight && wedges % 2 === 1)
    return refuse(
      'wedges-odd',
      'wedges',
      say`${wedges} wedges do not divide into two halves that straight lengths could join; take an even number.`,
    );
  const cells = cellsOf(given);
  const solids = cells.flatMap((cell, i) =>
    Array.from({ length: segments }, (_, segment) => cellPiece(given, i * segments + segment, segment, cell)),
  );
  const thick = wedgeThickness(curveMm + outerRadiusMm, angle);
  const thin = wedgeThickness(curveMm - outerRadiusMm, angle);
  const clearance = linkAsideMm > 0 ? linkClearance(curveMm, corner, linkAsideMm, straight?.lengthMm) : null;
  const kindOf = (name: string, highMm: number, straights: boolean): PieceKind => ({
    name,
    grain: 'along',
    heightMm: mm(highMm),
    stock: {
      from: 'strip',
      longEdgeMm: mm(2 * outerRadiusMm * Math.tan(half)),
      shortEdgeMm: mm(2 * innerRadiusMm * Math.cos(half) * Math.tan(half)),
      widthMm: mm(outerRadiusMm - innerRadiusMm * Math.cos(half)),
      thicknessMm: mm(highMm),
      cutAngle: rad(half),
      bladeTilt: rad(0),
      cutting: 'turned-over',
    },
    places: solids.flatMap(({ place }) =>
      cells[Math.floor(place / segments)]!.straight === straights ? [place] : [],
    ),
  });
  const kinds = [
    kindOf('Segment', thick, false),
    ...(straight ? [kindOf('Segment of the straights', straight.lengthMm / straight.rings, true)] : []),
  ];
  return done<MadeBlank>({
    groups: [{ name: 'Segment', count: solids.length }],
    kinds,
    solids,
    beside:
      linkAsideMm > 0 ? solids.map((solid) => secondLink(solid, linkAsideMm, straight !== undefined)) : [],
    flat: flatCells(given, cells, angle),
    placeAt: finder(solids, holdsPoint),
    figures: [
      { key: 'pieces', value: solids.length, unit: 'count' },
      { key: 'angle-of-a-wedge', value: angle, unit: 'rad' },
      { key: 'wedge-outside', value: thick, unit: 'mm' },
      { key: 'wedge-in-the-middle', value: wedgeThickness(curveMm, angle), unit: 'mm' },
      { key: 'wedge-inside', value: thin, unit: 'mm' },
      ...(clearance === null
        ? []
        : [
            { key: 'room-between-the-links', value: clearance, unit: 'mm' } satisfies Figure,
            {
              key: 'straight-for-two-links-in-one',
              value: straightForTwo(curveMm, corner),
              unit: 'mm',
            } satisfies Figure,
          ]),
      ...(straight
        ? [
            {
              key: 'ring-of-a-straight',
              value: straight.lengthMm / straight.rings,
              unit: 'mm',
            } satisfies Figure,
          ]
        : []),
    ],
    warnings: bentWarnings(given, thin, clearance, isLinked(curveMm, linkAsideMm, straight?.lengthMm)),
    steps: () => bentSteps(given, angle, thick, thin, clearance),
  });
}

/** Places of a bent stack, by its parameters alone. */
export const bentPlaces = ({ wedges, segments, straight, sweepDeg }: BentParams): number =>
  (wedges + (straight ? straight.rings * (sweepDeg === 360 ? 2 : 1) : 0)) * segments;

/** Volume of all pieces, mm³. */
export const volumeOfBlank = ({ solids }: Pick<MadeBlank, 'solids'>): number =>
  solids.reduce((sum, solid) => sum + volumeOfSolid(solid), 0);
