import { insideAt, type Vessel } from '../form/vessel.js';
import { type Frame, inPiece, onSurface } from './frame.js';
import type { Loops, PocketLoops } from './outline.js';

/** What an inlay measures, once. */
export interface Measures {
  /** Depth of the pocket where it is least and most, mm; they differ where the surface falls away from its middle. */
  readonly leastDepthMm: number;
  readonly mostDepthMm: number;
  /** Wood left between the pocket's floor and the inside; Infinity where the piece is solid behind it. */
  readonly leftMm: number;
  /** What is cut out, once, and what of it the insert takes, mm³. */
  readonly pocketMm3: number;
  readonly insertMm3: number;
}

/** Lines across in which it is measured. */
const LINES = 48;
/** Points of each stretch of a line (Simpson's rule: an even number of parts). */
const PARTS = 12;

/** Where lines across loops are in them, at heights v: pairs of u (even-odd). */
export function linesAcross(loops: Loops, lines = LINES): { v: number; step: number; within: number[] }[] {
  const all = loops.flat().map(({ z }) => z);
  const [low, high] = [Math.min(...all), Math.max(...all)];
  const step = (high - low) / lines;
  return Array.from({ length: lines }, (_, i) => {
    const v = low + (i + 0.5) * step;
    const within = loops
      .flatMap((loop) =>
        loop.flatMap((p, k) => {
          const q = loop[(k + 1) % loop.length]!;
          return p.z <= v !== q.z <= v ? [p.u + ((v - p.z) / (q.z - p.z)) * (q.u - p.u)] : [];
        }),
      )
      .sort((a, b) => a - b);
    return { v, step, within };
  });
}

/** Depths, what is left behind the floor, and volumes, `∫∫ (d + s) du dv` over the outline; null where it leaves the surface. */
export function measure(
  vessel: Vessel,
  frame: Frame,
  { pocket, insert }: PocketLoops,
  depthMm: number,
): Measures | null {
  let [least, most, left] = [Infinity, 0, Infinity];
  /** Depth at a point of the touching plane. */
  const depthAt = (u: number, v: number): number => {
    const at = onSurface(vessel, frame, u, v);
    if (!at) return Number.NaN;
    const deep = depthMm + at.s;
    [least, most] = [Math.min(least, deep), Math.max(most, deep)];
    const floor = inPiece(frame, u, v, -depthMm);
    const inside = insideAt(vessel, Math.min(vessel.heightMm, Math.max(0, floor.heightMm)));
    if (inside !== null) left = Math.min(left, (floor.radiusMm - inside) * frame.out.r);
    return deep;
  };
  const volume = (loops: Loops): number => {
    let sum = 0;
    for (const { v, step, within } of linesAcross(loops))
      for (let i = 0; i + 1 < within.length; i += 2) {
        const [from, to] = [within[i]!, within[i + 1]!];
        let line = 0;
        for (let k = 0; k <= PARTS; k++) {
          const weight = k === 0 || k === PARTS ? 1 : k % 2 === 1 ? 4 : 2;
          line += weight * depthAt(from + ((to - from) * k) / PARTS, v);
        }
        sum += (step * line * (to - from)) / (3 * PARTS);
      }
    return sum;
  };
  const pocketMm3 = volume(pocket);
  if (Number.isNaN(pocketMm3)) return null;
  const insertMm3 = insert === pocket ? pocketMm3 : volume(insert);
  return { leastDepthMm: least, mostDepthMm: most, leftMm: left, pocketMm3, insertMm3 };
}
