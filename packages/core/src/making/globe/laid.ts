import { once } from '../../measure/memo.js';
import { turned, wrapped } from '../../ring/plane.js';
import { dot, type Plane, type Point3, plus } from '../../ring/space.js';
import type { LaidPiece } from '../contract.js';
import {
  type Bevels,
  type Faced,
  type GlobePart,
  innerCorners,
  nippedAlong,
  sawnAlong,
  unitFaces,
} from './panels.js';
import type { GlobeSize } from './size.js';
import { slabsOf } from './slabs.js';

/** How the panels of a globe are sawn. */
interface Sawn {
  readonly part: GlobePart;
  readonly bevels: Bevels;
}

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
const sidesOf = once(() => {
  const all = (bevels: Bevels) =>
    new Map(STANDING.map((face) => [face, sawnAlong(STANDING, face, bevels)] as const));
  return { centre: all('centre'), 'half-angle': all('half-angle') };
});

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

/** Whether an edge of a face lies in the level circle. */
const isLevel = ({ points }: Faced, i: number): boolean =>
  Math.abs(points[i]!.z) + Math.abs(points[(i + 1) % 3]!.z) < 1e-9;

/**
 * The planes of a panel about the centre, mm. With half-angle bevels the inner tips of equilaterals are nipped off, and the rim
 * of half a globe is sawn level.
 */
function planesOf(face: Faced, { part, bevels }: Sawn, { radiusMm, thickMm }: GlobeSize): Plane[] {
  const flat = dot(face.normal, face.points[0]) * radiusMm;
  const { x, y, z } = face.normal;
  const level = sidesOf().centre.get(face)!;
  const sides = sidesOf()
    [bevels].get(face)!
    .map((side, i) => (part === 'half' && isLevel(face, i) ? level[i]! : side))
    .map(({ normal, at }) => ({ normal, at: at * radiusMm }));
  return [
    { normal: face.normal, at: flat },
    { normal: { x: -x, y: -y, z: -z }, at: thickMm - flat },
    ...sides,
    ...(bevels === 'half-angle' ? nippedAlong(face) : []),
  ];
}

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
          ? slabsOf(raised(planesOf(faces[place]!, sawn, size), centreMm), place, 0, heightMm)
          : turnedOn(laid[place - fifth * lap]!, place, lap * LAP),
      );
    }
  }
  return laid;
}

const raised = (planes: readonly Plane[], centreMm: number): Plane[] =>
  planes.map(({ normal, at }) => ({ normal, at: at + normal.z * centreMm }));

const turnedOn = (parts: readonly LaidPiece[], place: number, angle: number): LaidPiece[] =>
  parts.map((part) => ({
    ...part,
    place,
    bottom: turned(part.bottom, angle),
    top: turned(part.top, angle),
  }));

/** How far the inner tips of equilaterals are nipped off, mm; null where they are not. */
export function nippedBy(bevels: Bevels, { radiusMm, thickMm }: GlobeSize): number | null {
  if (bevels === 'centre') return null;
  const all = unitFaces();
  const face = all.find(({ kind }) => kind === 'equilateral')!;
  const tips = innerCorners(face, sawnAlong(all, face, bevels), thickMm / radiusMm);
  const planes = nippedAlong(face);
  return radiusMm * Math.max(...tips.map((tip, i) => dot(planes[i]!.normal, tip)));
}
