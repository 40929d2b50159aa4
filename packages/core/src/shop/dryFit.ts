import { type Mm, mm, type Rad, rad } from '../measure/quantity.js';
import { done, type Result, refuse } from '../measure/reason.js';
import { say, sayMm } from '../measure/said.js';
import { cutWrong, type MeantRing, type WrongRing } from './wrongAngle.js';

/** What is seen when a ring is put together dry: gaps, measured with a feeler gauge or with paper. */
export type Seen =
  | { readonly joints: 'last'; readonly outsideMm: Mm; readonly insideMm: Mm }
  /** Every joint alike, or both joints of two halves that are tight in themselves. */
  | { readonly joints: 'all' | 'halves'; readonly at: 'outside' | 'inside'; readonly gapeMm: Mm };

/** A gap as wide as the joint is long is no gap of a wrong angle. */
const MOST_GAPE = 0.25;

/** Which cut is wrong, by how much and which way: the ring as it must have been cut. */
export function diagnosed(ring: MeantRing, seen: Seen): Result<WrongRing> {
  const gaps = seen.joints === 'last' ? [seen.outsideMm, seen.insideMm] : [seen.gapeMm];
  const jointMm = ring.widthMm / Math.cos(Math.PI / ring.count);
  if (gaps.some((gap) => !Number.isFinite(gap) || gap < 0))
    return refuse('gap-measured', 'seen', 'A gap is measured as 0 or more.');
  if (gaps.some((gap) => gap > MOST_GAPE * jointMm))
    return refuse(
      'gap-measured',
      'seen',
      say`A gap of ${sayMm(Math.max(...gaps))} beside a joint ${sayMm(jointMm)} long does not come from an angle that is a little wrong: look for a segment of another ring, or a wrong count.`,
    );
  if (seen.joints === 'halves' && ring.count % 2 === 1)
    return refuse('gap-measured', 'seen', say`A ring of ${ring.count} has no two equal halves.`);
  const sine =
    seen.joints === 'last'
      ? (seen.insideMm - seen.outsideMm) / (2 * jointMm)
      : ((seen.at === 'outside' ? -1 : 1) * seen.gapeMm) / (2 * jointMm);
  // The faces of a joint stand apart by twice the error; those of two halves by N times; of the last joint alone by 2 N times.
  const times = { all: 1, halves: ring.count / 2, last: ring.count }[seen.joints];
  const error = Math.asin(sine) / times;
  return done(cutWrong(ring, rad(error)));
}

/** What cutting the segments once more at the right angle takes: it turns on the end of the mitre that is kept. */
export interface Recut {
  readonly cutAngle: Rad;
  /** The segment's new long edge; the same where the angle was too small: then only the inner end is trimmed. */
  readonly longEdgeMm: Mm;
  /** Of the middle of the outer flat, and of the inner one alike: ring and hole are that much smaller. */
  readonly radiusLostMm: Mm;
}

/** Both mitres of every segment trimmed to π/N; nothing more is taken off than the wedge between the two angles. */
export function recut({ count, longEdgeMm, widthMm, cutAngle }: WrongRing): Recut {
  const right = Math.PI / count;
  // Too steep, the inner end has too little: the outer end is shortened until the short edge fits.
  const off = Math.max(0, 2 * widthMm * (Math.tan(cutAngle) - Math.tan(right)));
  return {
    cutAngle: rad(right),
    longEdgeMm: mm(longEdgeMm - off),
    radiusLostMm: mm(off / (2 * Math.tan(right))),
  };
}

/** The last segment cut to close what all others leave. */
export interface ClosingWedge {
  /** Of both its mitres: π − (N − 1)·θ′, what is left of half a turn. */
  readonly cutAngle: Rad;
  readonly longEdgeMm: Mm;
  /** Of the strip that it is cut from: its corners lie where the others' do. */
  readonly widthMm: Mm;
  /** Wider than the others, or narrower where it is negative; it shows in a stripe. */
  readonly widerMm: Mm;
}

/** One exact wedge: N − 1 segments as they are, and one that takes up the rest of the turn; null where none is left. */
export function closingWedge(ring: WrongRing): ClosingWedge | null {
  const { count, cutAngle, outerFlatMm, innerFlatMm, longEdgeMm, jointMm } = ring;
  const own = Math.PI - (count - 1) * cutAngle;
  if (own <= 0 || own >= Math.PI / 2 || innerFlatMm < 0) return null;
  const edge = 2 * (outerFlatMm / Math.cos(cutAngle)) * Math.sin(own);
  return {
    cutAngle: rad(own),
    longEdgeMm: mm(edge),
    widthMm: mm(jointMm * Math.cos(own)),
    widerMm: mm(edge - longEdgeMm),
  };
}
