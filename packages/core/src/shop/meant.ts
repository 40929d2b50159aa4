import type { RingPlan } from '../lumber/ringPlan.js';
import { mitred } from '../making/stock.js';
import { done, type Result, refuse } from '../measure/reason.js';
import { SAME_ANGLE, SAME_LENGTH } from '../measure/tolerance.js';
import type { MeantRing } from './wrongAngle.js';

/** The one angle and stop that a ring's segments are cut with; refused where it has several, none, or leaning joints. */
export function meantRing({ pieces, closed }: Pick<RingPlan, 'pieces' | 'closed'>): Result<MeantRing> {
  const cuts = pieces.map(({ kind }) => mitred(kind.stock));
  const [first] = cuts;
  const count = pieces.reduce((sum, each) => sum + each.count, 0);
  const alike =
    first &&
    cuts.every(
      (cut) =>
        cut &&
        Math.abs(cut.cutAngle - first.cutAngle) < SAME_ANGLE &&
        Math.abs(cut.longEdgeMm - first.longEdgeMm) < SAME_LENGTH &&
        Math.abs(cut.widthMm - first.widthMm) < SAME_LENGTH &&
        !('bladeTilt' in cut && cut.bladeTilt > 0),
    );
  if (!alike || !closed || Math.abs(count * first.cutAngle - Math.PI) > 1e-6)
    return refuse(
      'not-one-angle',
      'ring',
      'The segments of this ring are not all cut alike with one upright mitre: what a gap says of it cannot be told from here.',
    );
  return done({ count, longEdgeMm: first.longEdgeMm, widthMm: first.widthMm });
}
