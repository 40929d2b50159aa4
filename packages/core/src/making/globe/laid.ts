import { once } from '../../measure/memo.js';
import { type Convex, solidBetween } from '../../ring/convex.js';
import { turned, wrapped } from '../../ring/plane.js';
import { dot, type Plane, type Point3, plus, times } from '../../ring/space.js';
import type { LaidPiece } from '../contract.js';
import {
  type Bevels,
  type Faced,
  type GlobePart,
  innerCorners,
  nippedAlong,
  panelBetween,
  type Sawn,
  sawnAlong,
  unitFaces,
} from './panels.js';
import type { GlobeSize } from './size.js';
import { slabsOf } from './slabs.js';

/** A fifth of a turn, and a quarter of that: laps begin where no panel has its middle. */
const LAP = (2 * Math.PI) / 5;

const middleOf = ({ points }: Faced): Point3 => points.reduce(plus);

/** Turned over about a level axis: half a globe hangs from its level circle of ten edges, its mouth up. */
const over = ({ x, y, z }: Point3): Point3 => ({ x, y: -y, z: -z });

/** All faces of a globe as it stands in a piece. */
const STANDING: readonly Faced[] = unitFaces().map((face) => ({
  ...face,
  normal: over(face.normal),
  points: face.points.map(over) as unknown as Faced['points'],
}));

/** The planes along which each of them is sawn on the unit globe: they only grow with it. */
const SIDES = {
  whole: {
    'half-angle': sides({ part: 'whole', bevels: 'half-angle' }),
    centre: sides({ part: 'whole', bevels: 'centre' }),
  },
  half: {
    'half-angle': sides({ part: 'half', bevels: 'half-angle' }),
    centre: sides({ part: 'half', bevels: 'centre' }),
  },
};

function sides(sawn: Sawn): () => ReadonlyMap<Faced, readonly Plane[]> {
  return once(() => new Map(STANDING.map((face) => [face, sawnAlong(STANDING, face, sawn)] as const)));
}

/**
 * The panels in the order of their places: isosceles first, then equilaterals; a fifth of the turn after the other from the index mark
 * on, in each from the top down, so that the order comes to itself five times.
 */
export function orderedFaces(part: GlobePart): readonly Faced[] {
  const wanted = part === 'whole' ? STANDING : STANDING.filter((face) => middleOf(face).z < -1e-9);
  const keyed = wanted.map((face) => {
    const { x, y, z } = middleOf(face);
    const round = wrapped(Math.atan2(y, x) + LAP / 4);
    const lap = Math.floor(round / LAP);
    return {
      face,
      equilateral: Number(face.kind === 'equilateral'),
      lap,
      down: -z,
      round: round - lap * LAP,
    };
  });
  const first = (...differences: number[]) => differences.find((each) => Math.abs(each) > 1e-6) ?? 0;
  return keyed
    .sort((a, b) => first(a.equilateral - b.equilateral, a.lap - b.lap, a.down - b.down, a.round - b.round))
    .map(({ face }) => face);
}

/** The planes of a panel that stands in a ring, mm above its bottom. */
const planesOf = (face: Faced, { part, bevels }: Sawn, size: GlobeSize, centreMm: number): Plane[] =>
  panelBetween(face, SIDES[part][bevels]().get(face)!, bevels, size).map(({ normal, at }) => ({
    normal,
    at: at + normal.z * centreMm,
  }));

const LEVEL: Point3 = { x: 0, y: 0, z: 1 };

/** A panel as flat faces, as far as it lies in the ring. */
export const panelSolid = (
  face: Faced,
  place: number,
  sawn: Sawn,
  size: GlobeSize,
  centreMm: number,
  heightMm: number,
): Convex =>
  solidBetween(
    [
      { normal: LEVEL, at: heightMm },
      { normal: times(LEVEL, -1), at: 0 },
      ...planesOf(face, sawn, size, centreMm),
    ],
    place,
  );

/** Every panel as it lies in the ring, between its bottom and its top: those of a fifth, and these turned on. */
export function laidPanels(
  faces: readonly Faced[],
  sawn: Sawn,
  size: GlobeSize,
  centreMm: number,
  heightMm: number,
): LaidPiece[][] {
  const laid: LaidPiece[][] = [];
  const isosceles = faces.filter(({ kind }) => kind === 'isosceles').length;
  for (const [first, count] of [[0, isosceles] as const, [isosceles, faces.length - isosceles] as const]) {
    const fifth = count / 5;
    for (let i = 0; i < count; i++) {
      const place = first + i;
      const lap = Math.floor(i / fifth);
      laid.push(
        lap === 0
          ? slabsOf(planesOf(faces[place]!, sawn, size, centreMm), place, 0, heightMm)
          : turnedOn(laid[place - fifth * lap]!, place, lap * LAP),
      );
    }
  }
  return laid;
}

const turnedOn = (parts: readonly LaidPiece[], place: number, angle: number): LaidPiece[] =>
  parts.map((part) => ({
    ...part,
    place,
    bottom: turned(part.bottom, angle),
    top: turned(part.top, angle),
  }));

/** How far the inner tips of equilaterals are nipped off, mm; null where they are not. */
export function nippedBy(bevels: Bevels, radiusMm: number, thickMm: number): number | null {
  if (bevels === 'centre') return null;
  const all = unitFaces();
  const face = all.find(({ kind }) => kind === 'equilateral')!;
  const along = sawnAlong(all, face, { part: 'whole', bevels });
  const tips = innerCorners(face, along, thickMm / radiusMm);
  const planes = nippedAlong(face);
  return radiusMm * Math.max(...tips.map((tip, i) => dot(planes[i]!.normal, tip)));
}
