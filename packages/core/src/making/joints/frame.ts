import { type Mm, mm } from '../../measure/quantity.js';
import { done, type Result } from '../../measure/reason.js';
import type { RingNeed } from '../../ring/need.js';
import type { Band } from '../../ring/overlap.js';
import type { Point } from '../../ring/plane.js';
import type { Rising } from '../assemble.js';
import type { LayerLine, Made, PieceKind, PlaceGroup } from '../contract.js';
import { circle, drilled, plugKind } from '../plug.js';
import { asAsked, type Faces, farthest, nearest, type Wedge, wedgeOutline } from '../wedge.js';
import { gapIn, spacersIn } from './between.js';
import { frameFigures, frameWarnings } from './frameTold.js';
import { type Framing, otherGroups } from './framing.js';
import type { Jointed } from './jointed.js';
import { spacerKinds } from './kinds.js';
import { leanOf } from './lean.js';
import { type StripKind, shaped } from './shaped.js';

/** The ring within what is glued up: from where, and how high (mm). */
export interface Within {
  readonly fromMm: number;
  readonly heightMm: Mm;
}

/** The ring before anything is said of what its segments are sawn from. */
export interface Frame
  extends Pick<Made, 'cornerMm' | 'repeats' | 'radial' | 'closed' | 'figures' | 'warnings'> {
  readonly framing: Framing;
  readonly heightMm: Mm;
  readonly faces: Faces;
  /** Half the angle that a segment takes, of the widest where they differ. */
  readonly half: number;
  readonly gives: Band;
  /** Segments as they are sawn in one piece, by width. */
  readonly segments: readonly StripKind[];
  /** What is not sawn from the segments' wood: spacers, plug. Their places follow `count`. */
  readonly others: readonly PieceKind[];
  readonly groups: readonly PlaceGroup[];
  /** Whether joints stand upright: then every outline is the same at all heights. */
  readonly upright: boolean;
  /** How far a joint moves aside from the middle of the ring to its top along a segment's face (mm). */
  readonly asideMm: number;
  /** What is planed and laid in the joints; null where they hold no wood. */
  readonly jointed: Jointed | null;
  wedge(segment: number): Wedge;
  /** A segment at a height above the ring's bottom, between its own faces or others, less the hole of a plug. */
  outline(segment: number, z: number, faces?: Faces): Point[];
  /** Spacers and plug by their place. */
  layOther(place: number): Rising;
}

/**
 * Sizes segments and joints for the band Ri..Ro of `need`, which is as high as what is glued up; `within` says which part
 * of that height the ring is.
 */
export function frameOf(framing: Framing, need: RingNeed, within: Within): Result<Frame> {
  const { count, plug, lean, between } = framing;
  const innerRadiusMm = plug ? mm(plug.diameterMm / 2) : need.innerRadiusMm;
  const sized = shaped(framing, { ...need, innerRadiusMm });
  if (!sized.ok) return sized;
  const { faces, gives, cornerMm, jointed, wedge } = sized.value;
  const upright = lean === undefined;
  const share = within.heightMm / need.heightMm;
  const inRing = (kind: PieceKind): PieceKind => ({ ...kind, heightMm: mm(kind.heightMm * share) });
  const strips = jointed?.strips ?? [];
  const half = Math.max(...sized.value.segments.map(({ stock }) => stock.cutAngle));
  /** From the ring's bottom to half the height of what is glued up. */
  const middle = need.heightMm / 2 - within.fromMm;
  // A rim needs as many corners at the bottom as at the top, and where joints lean it lies round more of the hole.
  const holed = (outline: Point[], half: number) =>
    plug ? drilled(outline, plug.diameterMm / 2, upright ? half : Math.PI / 2) : outline;
  const outline: Frame['outline'] = (segment, z, between = faces) => {
    const of = wedge(segment);
    return holed(wedgeOutline(of, between, z - middle), of.half);
  };
  const rim = plug && circle(plug.diameterMm / 2);
  const gap = gapIn(between);
  return done({
    framing,
    heightMm: within.heightMm,
    faces,
    half,
    gives: asAsked(plug ? { ...gives, innerRadiusMm: 0 } : gives, need),
    cornerMm,
    segments: sized.value.segments.map((kind) => ({ ...kind, heightMm: within.heightMm })),
    others: [
      ...(jointed ? spacerKinds(jointed, count) : []),
      ...plugKind(plug, need.heightMm, count + strips.length),
    ].map(inRing),
    groups: otherGroups(framing),
    upright,
    asideMm: lean ? ((within.heightMm / 2) * Math.tan(leanOf(lean).tau)) / Math.cos(half) : 0,
    jointed: strips.length > 0 ? jointed : null,
    repeats: lean?.cut === 'turned-over' ? common(sized.value.repeats, count / 2) : sized.value.repeats,
    radial: upright && spacersIn(between) === undefined && gap?.sides !== 'parallel',
    closed: gap === undefined,
    figures: frameFigures(framing, sized.value, need),
    warnings: frameWarnings(framing, need),
    wedge,
    outline,
    layOther(place) {
      const strip = place - count;
      if (strip >= strips.length) return { place, bottom: rim!, top: rim! };
      const at = (z: number) => holed(jointed!.stripOutline(strip, z - middle), Math.PI / count / 2);
      const bottom = at(0);
      return { place, bottom, top: upright ? bottom : at(within.heightMm) };
    },
  });
}

/** A line right across all segments so far behind their faces: where it is nearest to the axis, and farthest (mm). */
export function lineBehind(
  { framing, faces, outline, upright, heightMm }: Frame,
  depthMm: number,
): Pick<LayerLine, 'nearMm' | 'farMm'> {
  const front = { ...faces, innerRadiusMm: faces.outerRadiusMm - depthMm };
  const lines = Array.from({ length: framing.count }, (_, segment) => segment).flatMap((segment) =>
    (upright ? [0] : [0, heightMm]).map((z) => outline(segment, z, front).slice(2)),
  );
  return {
    nearMm: Math.min(...lines.map(([to, from]) => nearest(to!, from!))),
    farMm: Math.max(...lines.map(farthest)),
  };
}

/** How often two things that come round so many times come round together: the greatest common divisor. */
export const common = (a: number, b: number): number => (b === 0 ? a : common(b, a % b));
