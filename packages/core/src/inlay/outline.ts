import { cuttable, insertFor } from '../making/faced/cutter.js';
import { box, type FacePoint } from '../making/faced/face.js';
import { fromDegrees } from '../measure/quantity.js';
import type { Inlay, Outline } from './schema.js';

/** Loops in the plane that touches the surface at the inlay's middle: u to the right as it is seen, z up, mm. */
export type Loops = readonly (readonly FacePoint[])[];

/** Corners of a whole round. */
const ROUND = 72;

const arc = (at: FacePoint, wide: number, high: number, from: number, to: number): FacePoint[] => {
  const parts = Math.max(2, Math.round((Math.abs(to - from) / (2 * Math.PI)) * ROUND));
  return Array.from({ length: parts + 1 }, (_, i) => {
    const angle = from + ((to - from) * i) / parts;
    return { u: at.u + wide * Math.cos(angle), z: at.z + high * Math.sin(angle) };
  });
};

/** The loops of an outline, its middle at 0, 0. */
export function loopsOf(outline: Outline): FacePoint[][] {
  const { shape, heightMm } = outline;
  if (shape === 'drawn')
    return outline.loops.map((loop) => loop.map(([u, z]) => ({ u: u * heightMm, z: z * heightMm })));
  const [wide, high] = [outline.widthMm / 2, heightMm / 2];
  if (shape === 'rectangle') return [box(-wide, wide, -high, high)];
  if (shape === 'ellipse') return [arc({ u: 0, z: 0 }, wide, high, 0, 2 * Math.PI).slice(0, -1)];
  const r = Math.min(wide, high);
  const [along, up] = [wide - r, high - r];
  const quarter = Math.PI / 2;
  return [
    wide > high
      ? [
          ...arc({ u: along, z: 0 }, r, r, -quarter, quarter),
          ...arc({ u: -along, z: 0 }, r, r, quarter, 3 * quarter),
        ]
      : [
          ...arc({ u: 0, z: up }, r, r, 0, 2 * quarter),
          ...arc({ u: 0, z: -up }, r, r, 2 * quarter, 4 * quarter),
        ],
  ];
}

const turned = (loops: Loops, by: number): FacePoint[][] => {
  const [cos, sin] = [Math.cos(by), Math.sin(by)];
  return loops.map((loop) => loop.map(({ u, z }) => ({ u: u * cos - z * sin, z: u * sin + z * cos })));
};

/** As it is seen in a mirror that stands upright on its middle. */
export const mirroredLoops = (loops: Loops): FacePoint[][] =>
  loops.map((loop) => loop.map(({ u, z }) => ({ u: 0 - u, z })).reverse());

/** What is cut: the pocket, and within it what the seam leaves to the insert (the same where there is none). */
export interface PocketLoops {
  readonly pocket: FacePoint[][];
  readonly insert: FacePoint[][];
}

/** Both as they lie in the surface; corners are as the cutter leaves them. Empty where the outline is too fine for it. */
export function pocketLoops({ outline, tiltDeg, cutterMm, seam }: Inlay): PocketLoops {
  const pocket = turned(cuttable(loopsOf(outline), cutterMm), fromDegrees(tiltDeg));
  return { pocket, insert: seam ? insertFor(pocket, seam.widthMm) : pocket };
}

/** The insert as it is sawn or routed: smaller by the clearance, mirrored where it goes in turned over. */
export function cutInsert(inlay: Inlay): FacePoint[][] {
  const insert = insertFor(pocketLoops(inlay).insert, inlay.clearanceMm);
  return inlay.turnedOver ? mirroredLoops(insert) : insert;
}

/** Length round all loops, mm. */
export const roundOf = (loops: Loops): number =>
  loops.reduce(
    (sum, loop) =>
      sum +
      loop.reduce((round, p, i) => {
        const q = loop[(i + 1) % loop.length]!;
        return round + Math.sqrt((q.u - p.u) ** 2 + (q.z - p.z) ** 2);
      }, 0),
    0,
  );

/** Corners lie no farther apart than this, so that the surface between them is as good as straight (mm). */
const APART = 1.2;
/** The same loop with corners no farther apart than a millimetre or so. */
export const dense = (loop: readonly FacePoint[]): FacePoint[] =>
  loop.flatMap((p, i) => {
    const q = loop[(i + 1) % loop.length]!;
    const parts = Math.max(1, Math.ceil(Math.sqrt((q.u - p.u) ** 2 + (q.z - p.z) ** 2) / APART));
    return Array.from({ length: parts }, (_, k) => ({
      u: p.u + ((q.u - p.u) * k) / parts,
      z: p.z + ((q.z - p.z) * k) / parts,
    }));
  });

/** Whether a point lies within loops (even-odd). */
export const withinLoops = (loops: Loops, u: number, z: number): boolean =>
  loops.reduce(
    (inside, loop) =>
      loop.reduce((within, p, i) => {
        const q = loop[(i + 1) % loop.length]!;
        const met = p.z <= z !== q.z <= z && p.u + ((z - p.z) / (q.z - p.z)) * (q.u - p.u) > u;
        return met ? !within : within;
      }, inside),
    false,
  );
