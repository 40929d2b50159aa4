import type { FacePoint } from '../faced/face.js';
import type { MeantTone } from '../tone.js';

/** One piece of an illusion: its outline in the face, which side of the thing it shows, and what lies under it comes later. */
export interface Facet {
  readonly side: string;
  readonly loop: readonly FacePoint[];
}

/** A side of the thing that is seen: its name, the tone that makes the illusion, the grain that may take the tone's place. */
export interface FacetSide {
  readonly name: string;
  readonly grain: 'along' | 'outwards' | 'upright';
  /** Tone in a segment, by its number round the ring. */
  tone(segment: number): MeantTone;
}

/** An illusion as a recipe: facets in a face of a width and a height, those in front first; they cover the face. */
export interface IllusionFigure {
  readonly name: string;
  readonly says: string;
  readonly sides: readonly FacetSide[];
  /** Height over width of a face at which it looks right, for a number of rows or steps. */
  ratio(rows: number): number;
  facets(width: number, height: number, rows: number): readonly Facet[];
}

/** The part of a convex loop between two distances from the middle. */
export function betweenSides(loop: readonly FacePoint[], left: number, right: number): FacePoint[] {
  const turned = loop.map(({ u, z }) => ({ u: z, z: u }));
  return cutBelow(cutBelow(turned, left, 1), right, -1).map(({ u, z }) => ({ u: z, z: u }));
}

function cutBelow(loop: readonly FacePoint[], at: number, hand: 1 | -1): FacePoint[] {
  return loop.flatMap((p, i) => {
    const q = loop[(i + 1) % loop.length]!;
    const [a, b] = [hand * (p.z - at), hand * (q.z - at)];
    const t = a / (a - b);
    const crossing = { u: p.u + t * (q.u - p.u), z: p.z + t * (q.z - p.z) };
    return [...(a >= 0 ? [p] : []), ...(a >= 0 !== b >= 0 ? [crossing] : [])];
  });
}

export const always = (tone: MeantTone) => () => tone;
