import { pieceAt, pieceSlope, radiusAt } from '../form/curve.js';
import type { Vessel } from '../form/vessel.js';

/**
 * The plane that touches the turned outside at a height: its origin on the surface in the direction of the middle, one axis to
 * the right round the piece, one up along the slope, and square to both the way out.
 */
export interface Frame {
  readonly heightMm: number;
  readonly radiusMm: number;
  /** Up along the slope: outwards and up, of length 1. */
  readonly up: { readonly r: number; readonly z: number };
  /** Out of the surface. */
  readonly out: { readonly r: number; readonly z: number };
}

export function frameAt({ outside }: Vessel, heightMm: number): Frame {
  const slope = pieceSlope(pieceAt(outside, heightMm), heightMm);
  const long = Math.sqrt(1 + slope * slope);
  return {
    heightMm,
    radiusMm: radiusAt(outside, heightMm),
    up: { r: slope / long, z: 1 / long },
    out: { r: 1 / long, z: -slope / long },
  };
}

/** A point in cylinder coordinates: direction from the frame's middle, counter-clockwise, radians. */
export interface Round {
  readonly angle: number;
  readonly radiusMm: number;
  readonly heightMm: number;
}

/** A point of the frame: u to the right, v up along the slope, s out of the surface (mm), in the piece. */
export function inPiece(frame: Frame, u: number, v: number, s: number): Round {
  const { radiusMm, heightMm, up, out } = frame;
  const x = radiusMm + v * up.r + s * out.r;
  return {
    angle: Math.atan2(u, x),
    radiusMm: Math.sqrt(x * x + u * u),
    heightMm: heightMm + v * up.z + s * out.z,
  };
}

/** A point of the surface, and how far out of the touching plane it lies (mm; below 0 where it falls away). */
export interface OnSurface extends Round {
  readonly s: number;
}

const STEPS = 40;
/** Nearer to the surface than this is on it (mm). */
const ON_IT = 1e-9;
/** A surface that is farther from its touching plane than this share of its radius has turned away from it. */
const TURNED_AWAY = 0.9;

/**
 * The point of the surface straight behind (or before) a point of the touching plane, by Newton's method from the plane; null
 * where there is none: the outline leaves the piece.
 */
export function onSurface(
  { outside, heightMm }: Vessel,
  frame: Frame,
  u: number,
  v: number,
): OnSurface | null {
  if (Math.abs(u) >= frame.radiusMm * TURNED_AWAY) return null;
  let s = 0;
  for (let i = 0; i < STEPS; i++) {
    const p = inPiece(frame, u, v, s);
    if (!(p.heightMm >= -1 && p.heightMm <= heightMm + 1)) return null;
    const z = Math.min(heightMm, Math.max(0, p.heightMm));
    const piece = pieceAt(outside, z);
    const gap = p.radiusMm - radiusAt(outside, z);
    if (Math.abs(gap) < ON_IT) {
      const within = p.heightMm >= 0 && p.heightMm <= heightMm;
      return within && Math.abs(s) < frame.radiusMm ? { ...p, s } : null;
    }
    // d(gap)/ds: how fast the radius grows along the way out, less how fast the outside does.
    const grows = Math.cos(p.angle) * frame.out.r - pieceSlope(piece, z) * frame.out.z;
    if (Math.abs(grows) < 0.05) return null;
    s -= gap / grows;
  }
  return null;
}
