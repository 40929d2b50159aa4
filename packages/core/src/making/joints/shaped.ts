import type { Mm } from '../../measure/quantity.js';
import { done, type Result } from '../../measure/reason.js';
import type { RingNeed } from '../../ring/need.js';
import type { Band } from '../../ring/overlap.js';
import type { PieceKind } from '../contract.js';
import { anglesOf, flatRing } from '../flat/ring.js';
import { segmentStock } from '../segments.js';
import type { StripStock } from '../stock.js';
import type { Faces, Wedge } from '../wedge.js';
import { gapIn, jointingOf } from './between.js';
import { closes } from './closing.js';
import type { Framing } from './framing.js';
import { noHold } from './hold.js';
import { type Jointed, jointed } from './jointed.js';
import { repeatsOf } from './kinds.js';
import { leanOf } from './lean.js';
import { heldIn } from './strips.js';
import { doesNotClose, tooNarrowInTurn } from './told.js';

/** Pieces of a kind that are sawn off strips. */
export type StripKind = PieceKind & { readonly stock: StripStock };

/** Segments and joints in their sizes. */
export interface Shaped {
  readonly faces: Faces;
  readonly gives: Band;
  readonly cornerMm: Mm;
  /** Segments as they are sawn in one piece, by width. */
  readonly segments: readonly StripKind[];
  /** What lies in the joints; null where they are closed and upright. */
  readonly jointed: Jointed | null;
  readonly repeats: number;
  wedge(segment: number): Wedge;
}

/** Segments, joints and faces for the band Ri..Ro; refuses what does not close, holds nothing, or leaves no wood. */
export function shaped(framing: Framing, need: RingNeed): Result<Shaped> {
  const { count, parts, lean, between } = framing;
  if (!lean && !between) {
    const sized = flatRing(count, anglesOf(count, parts), need);
    return sized.ok ? done({ ...sized.value, segments: sized.value.kinds, jointed: null }) : sized;
  }
  const jointing = jointingOf(count, between, lean && leanOf(lean));
  const gap = gapIn(between);
  const loose =
    gap && noHold(gap, count, need.outerRadiusMm, between?.put === 'gaps' ? 'between.gap' : 'between');
  if (loose) return loose;
  if (!closes(jointing.thicknesses)) return doesNotClose(jointing);
  const sized = jointed(jointing, need);
  if (!sized.ok) return sized;
  const { wedges, faces, gives, cornerMm } = sized.value;
  const narrow = lean && tooNarrowInTurn(lean, wedges[0]!.half, faces, need.heightMm);
  if (narrow) return narrow;
  const stock: StripStock = {
    ...segmentStock(faces, wedges[0]!.half, need.heightMm),
    ...(lean && {
      bladeTilt: leanOf(lean).tau,
      cutting: lean.cut,
      ...(lean.cut !== 'turned-over' && { hand: lean.hand }),
    }),
  };
  const name = !lean
    ? 'Segment'
    : stock.hand
      ? `Segment leaning ${stock.hand}`
      : 'Wedge, alternately upside down';
  const places = Array.from({ length: count }, (_, place) => place);
  return done({
    faces,
    gives,
    cornerMm,
    segments: [{ name, grain: 'along', heightMm: need.heightMm, stock, places }],
    jointed: sized.value,
    repeats: repeatsOf(heldIn(jointing)),
    wedge: (segment) => wedges[segment]!,
  });
}
