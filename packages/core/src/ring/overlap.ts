import { type Mm, mm } from '../measure/quantity.js';

/** The radii between which a blank is sure to have wood all round, mm. */
export interface Band {
  readonly outerMm: number;
  readonly innerMm: number;
}

/** Width of the glue joint between two neighbouring rings: `min(Ro) − max(Ri)`. Zero or less: they do not meet. */
export const overlap = (below: Band, above: Band): Mm =>
  mm(Math.min(below.outerMm, above.outerMm) - Math.max(below.innerMm, above.innerMm));
