import { type Mm, mm } from '../../measure/quantity.js';
import { done, type Result } from '../../measure/reason.js';
import type { RingNeed } from '../../ring/need.js';
import type { Band } from '../../ring/overlap.js';
import type { Point } from '../../ring/plane.js';
import type { StripStock } from '../stock.js';
import { asAsked, bandOf, type Faces, farthest, nearest, type Wedge } from '../wedge.js';
import { shiftsOf } from './closing.js';
import type { Jointing } from './jointing.js';
import { leaning } from './lean.js';
import { pushed, pushedRing } from './ring.js';
import { slabBetween, slabStock, withinSlab } from './slab.js';
import { type Strip, stripsOf } from './strips.js';

/** Equal segments with what lies between them, sized to hold a round ring. */
export interface Jointed {
  readonly wedges: readonly Wedge[];
  readonly faces: Faces;
  readonly gives: Band;
  readonly cornerMm: Mm;
  /** The wood in the joints; its places follow those of the segments. */
  readonly strips: readonly Strip[];
  /** Outline of a strip, by its number, at `dz` above half height. */
  stripOutline(strip: number, dz: number): Point[];
  /** What it is sawn from. */
  stripStock(strip: number): StripStock;
}

const ENDS = [-0.5, 0.5] as const;

/** A slab of s that leans by τ is s/cos τ thick where it is cut level. */
export const levelThickness = (thickness: number, tau: number): number => thickness / Math.cos(tau);

/** Sizes a ring of equal segments with the given joints for the band Ri..Ro; refuses what leaves no wood or too small a hole. */
export function jointed(given: Jointing, need: RingNeed): Result<Jointed> {
  const { thicknesses, wood, layers, lean, share = 0 } = given;
  const { heightMm } = need;
  const tau = lean?.tau ?? 0;
  const level = thicknesses.map((s) => levelThickness(s, tau));
  const upright = pushed(shiftsOf(level), share);
  const sized = pushedRing(lean ? leaning(upright, lean) : upright, level, need, given);
  if (!sized.ok) return sized;
  const { wedges, faces } = sized.value;
  const count = wedges.length;
  const strips = stripsOf(wood, layers);
  const joints = [...new Set(strips.map(({ joint }) => joint))];
  const both = { beforeFaces: faces, afterFaces: faces };
  const slabs = new Map(
    joints.map((joint) => {
      const [before, after] = [wedges[(joint + count - 1) % count]!, wedges[joint]!];
      return [joint, slabBetween((joint * 2 * Math.PI) / count, before, after, both, heightMm)];
    }),
  );
  const slab = (joint: number, dz: number) => slabs.get(joint)!(dz);
  const ends = ENDS.map((end) => end * heightMm);
  const { gives, cornerMm } = bandOf(wedges, faces, heightMm);
  const outlines = joints.flatMap((joint) => ends.map((dz) => ({ dz, at: slab(joint, dz) })));
  return done({
    wedges,
    faces,
    gives: asAsked(
      {
        outerRadiusMm: Math.min(
          gives.outerRadiusMm,
          ...outlines.map(({ dz, at: [from, to] }) => nearest(from!, to!) - faces.lean * dz),
        ),
        innerRadiusMm: gives.innerRadiusMm,
      },
      need,
    ),
    cornerMm: mm(Math.max(cornerMm, ...outlines.map(({ at }) => farthest(at)))),
    strips,
    stripOutline(strip, dz) {
      const { joint, from, to } = strips[strip]!;
      return from === 0 && to === 1 ? slab(joint, dz) : withinSlab(slab(joint, dz), from, to);
    },
    stripStock: (strip) => {
      const { joint, thicknessMm } = strips[strip]!;
      return { ...slabStock(slab(joint, 0), heightMm, tau), widthMm: mm(thicknessMm) };
    },
  });
}
