import { mirroredLoops } from './outline.js';
import type { Inlay } from './schema.js';

/** The mirror image of an inlay, in a mirror that stands on the index mark. */
export const mirroredInlay = (inlay: Inlay): Inlay => ({
  ...inlay,
  towardDeg: 0 - inlay.towardDeg,
  tiltDeg: 0 - inlay.tiltDeg,
  ...(inlay.outline.shape === 'drawn' && {
    outline: {
      ...inlay.outline,
      loops: mirroredLoops(inlay.outline.loops.map((loop) => loop.map(([u, z]) => ({ u, z })))).map((loop) =>
        loop.map(({ u, z }): [number, number] => [u, z]),
      ),
    },
  }),
});
