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

export const always = (tone: MeantTone) => () => tone;
