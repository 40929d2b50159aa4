import { assemble } from '../making/assemble.js';
import type { LaidPiece, Made } from '../making/contract.js';
import type { Point } from '../ring/plane.js';
import type { BuiltRing } from './build.js';
import { moved, pointIn, withinOf } from './quad.js';

/**
 * A ring as it was built, for all that draws one: its pieces lie where they came to lie, with their cuts as they came out, so
 * that gaps and steps are drawn true. `heightMm` is what it was flattened to.
 */
export function builtMade(made: Made, { glued, move, bottomMm, topMm }: BuiltRing): Made {
  const heightMm = topMm - bottomMm;
  const high = heightMm / made.heightMm;
  const { frame, quads } = glued;
  return assemble({
    ...made,
    heightMm: heightMm as Made['heightMm'],
    closed: made.closed,
    radial: false,
    repeats: 1,
    lay(place) {
      const unit = frame?.unitOf[place] ?? -1;
      const drawn = frame?.units[unit]?.quad;
      const at = (p: Point): Point => moved(move, drawn ? pointIn(quads[unit]!, withinOf(drawn, p)) : p);
      return made.lay(place).map((part): LaidPiece => {
        const bottom = part.bottom.map(at);
        return {
          ...part,
          fromMm: part.fromMm * high,
          toMm: part.toMm * high,
          bottom,
          top: part.top === part.bottom ? bottom : part.top.map(at),
        };
      });
    },
  });
}
