import { type Mm, mm } from '../measure/quantity.js';

/** The radii between which a blank is sure to have wood all round, mm. */
export interface Band {
  readonly outerRadiusMm: number;
  readonly innerRadiusMm: number;
}

/** A ring whose radii grow by `lean` for every mm of height; `gives` are those at half its height. */
interface Leaning {
  readonly gives: Band;
  /** Height of the middle of a shell, whose radii are those of spheres. */
  readonly ball: number | null;
  readonly lean: number;
  readonly heightMm: number;
}

/** The radii that a ring gives at a height above its bottom. */
export function bandAt({ gives, ball, lean, heightMm }: Leaning, z: number): Band {
  if (ball !== null) {
    const at = (radius: number) => Math.sqrt(Math.max(0, radius ** 2 - (z - ball) ** 2));
    return { outerRadiusMm: at(gives.outerRadiusMm), innerRadiusMm: at(gives.innerRadiusMm) };
  }
  if (lean === 0) return gives;
  const more = lean * (z - heightMm / 2);
  return {
    outerRadiusMm: gives.outerRadiusMm + more,
    innerRadiusMm: Math.max(0, gives.innerRadiusMm + more),
  };
}

/** Width of the glue joint between two neighbouring rings: `min(Ro) − max(Ri)`. Zero or less: they do not meet. */
export const overlap = (below: Band, above: Band): Mm =>
  mm(Math.min(below.outerRadiusMm, above.outerRadiusMm) - Math.max(below.innerRadiusMm, above.innerRadiusMm));
