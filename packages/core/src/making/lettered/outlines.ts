import { cuttable, insertFor } from '../faced/cutter.js';
import type { FacePoint } from '../faced/face.js';
import type { Glyph, LetteredRing } from './params.js';

/** Outlines for a router or a saw, one pair for each glyph that is used, mm, as they are seen on the wood. */
export interface InlayOutlines {
  readonly name: string;
  readonly pieces: number;
  readonly pocket: readonly (readonly FacePoint[])[];
  readonly insert: readonly (readonly FacePoint[])[];
}

/** What a glyph's pocket is: its outline at size, with corners that the cutter can make; empty where it is too fine. */
export const pocketOf = (
  { loops }: Glyph,
  { sizeMm, cutterMm }: Pick<LetteredRing, 'sizeMm' | 'cutterMm'>,
): FacePoint[][] =>
  cuttable(
    loops.map((loop) => loop.map(([u, z]) => ({ u: u * sizeMm, z: z * sizeMm }))),
    cutterMm,
  );

const mirrored = (loops: readonly (readonly FacePoint[])[]): FacePoint[][] =>
  loops.map((loop) => loop.map(({ u, z }) => ({ u: 0 - u, z })).reverse());

/** Pockets and inserts of a ring: inserts smaller by the clearance, mirrored where they go in turned over. */
export function inlayOutlines(given: LetteredRing): InlayOutlines[] {
  return given.glyphs.flatMap((glyph, i): InlayOutlines[] => {
    const pieces = given.order.slice(0, given.count).filter((of) => of === i).length;
    if (pieces === 0) return [];
    const pocket = pocketOf(glyph, given);
    const insert = insertFor(pocket, given.clearanceMm);
    return [{ name: glyph.name, pieces, pocket, insert: given.turnedOver ? mirrored(insert) : insert }];
  });
}
