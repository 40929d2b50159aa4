import { type Mm, mm } from '../../measure/quantity.js';
import { done, type Result } from '../../measure/reason.js';
import type { RingNeed } from '../../ring/need.js';
import type { Band } from '../../ring/overlap.js';
import type { Point } from '../../ring/plane.js';
import type { Rising } from '../assemble.js';
import type { LaidPiece, LayerLine, Made, PieceKind, PlaceGroup } from '../contract.js';
import { circle, drilled, plugKind } from '../plug.js';
import { heldBy } from '../staves/staves.js';
import { standingBetween } from '../staves/stock.js';
import { asAsked, type Faces, farthest, nearest, type Wedge, wedgeOutline } from '../wedge.js';
import { gapIn } from './between.js';
import { frameFigures, frameWarnings } from './frameTold.js';
import { type Framing, otherGroups } from './framing.js';
import { holeOf, plugTooLarge } from './hole.js';
import type { Jointed } from './jointed.js';
import { leanOf } from './lean.js';
import { levelsOf, rimRuns, risingThrough, type Span } from './levels.js';
import { shaped } from './shaped.js';
import type { StripKind } from './sized.js';

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
  /** Faces of the first segment, and of all but where there are two halves. */
  readonly faces: Faces;
  /** Half the angle that a segment takes, of the widest where they differ. */
  readonly half: number;
  readonly gives: Band;
  /** Segments as they are sawn in one piece, by width. */
  readonly segments: readonly StripKind[];
  /** What is not sawn from the segments' wood: spacers, plug. Their places follow `count`. */
  readonly others: readonly PieceKind[];
  readonly groups: readonly PlaceGroup[];
  /** Whether joints and faces stand upright: then every outline is the same at all heights. */
  readonly upright: boolean;
  /** Heights above the ring's bottom between which corners go straight. */
  readonly levels: readonly number[];
  /** How far a joint moves aside from the middle of the ring to its top along a segment's face (mm). */
  readonly asideMm: number;
  /** What is planed and laid in the joints; null where they hold no wood. */
  readonly jointed: Jointed | null;
  wedge(segment: number): Wedge;
  /** Its own faces: those of the two halves of a ring may differ. */
  facesOf(segment: number): Faces;
  /** A segment at a height above the ring's bottom, between its own faces or others, less the hole of a plug. */
  outline(segment: number, z: number, faces?: Faces): readonly Point[];
  /** Spacers and plug by their place. */
  layOther(place: number): Rising | readonly LaidPiece[];
}

/**
 * Sizes segments and joints for the band Ri..Ro of `need`, which is as high as what is glued up; `within` says which part
 * of that height the ring is. Staves hold the wall between cones: their radii are those at half height.
 */
export function frameOf(framing: Framing, asked: RingNeed, within: Within): Result<Frame> {
  const { count, plug, lean, between, staves } = framing;
  const need = heldBy(asked, staves);
  const large = plugTooLarge(plug, need);
  if (large) return large;
  const sized = shaped(framing, { ...need, innerRadiusMm: holeOf(framing, need) });
  if (!sized.ok) return sized;
  const { faces, facesOf, gives, cornerMm, jointed, inJoints, wedge } = sized.value;
  const upright = lean === undefined && faces.lean === 0;
  const share = within.heightMm / need.heightMm;
  const inRing = (kind: PieceKind): PieceKind => ({ ...kind, heightMm: mm(kind.heightMm * share) });
  const strips = inJoints?.number ?? 0;
  const half = Math.max(...sized.value.segments.map(({ stock }) => stock.cutAngle));
  /** From the ring's bottom to half the height of what is glued up. */
  const middle = need.heightMm / 2 - within.fromMm;
  // A rim needs as many corners at the bottom as at the top, and where joints lean it may be wider at one height than at another.
  const span: Span = [-middle, within.heightMm - middle];
  const wider = Math.max(...rimRuns(framing, span).map(Math.abs));
  const holed = (outline: readonly Point[], half: number) =>
    plug ? drilled(outline, plug.diameterMm / 2, half + wider) : outline;
  const outline: Frame['outline'] = (segment, z, between = facesOf(segment)) => {
    const of = wedge(segment);
    return holed(wedgeOutline(of, between, z - middle), of.half);
  };
  const levels = levelsOf(framing, span);
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
      ...(inJoints?.kinds ?? []).map((kind) =>
        staves ? standingBetween(kind, { faces, heightMm: need.heightMm }) : kind,
      ),
      ...plugKind(plug, need.heightMm, count + strips),
    ].map(inRing),
    groups: otherGroups(framing),
    upright,
    levels,
    asideMm: lean ? ((within.heightMm / 2) * Math.tan(leanOf(lean).tau)) / Math.cos(half) : 0,
    jointed: strips > 0 ? jointed : null,
    repeats: lean?.cut === 'turned-over' ? common(sized.value.repeats, count / 2) : sized.value.repeats,
    radial: sized.value.radial,
    closed: gap === undefined,
    figures: frameFigures(framing, sized.value, need),
    warnings: frameWarnings(framing, need),
    wedge,
    facesOf,
    outline,
    layOther(place) {
      const strip = place - count;
      if (strip >= strips) return { place, bottom: rim!, top: rim! };
      const at = (z: number) => holed(inJoints!.outline(strip, z - middle), Math.PI / count / 2);
      if (!upright) return risingThrough(place, [0, within.heightMm], levels, at);
      const outline = at(0);
      return { place, bottom: outline, top: outline };
    },
  });
}

/** A line right across all segments so far behind their faces: where it is nearest to the axis, and farthest (mm). */
export function lineBehind(
  { framing, faces, facesOf, outline, upright, heightMm }: Frame,
  depthMm: number,
): Pick<LayerLine, 'nearMm' | 'farMm' | 'lean'> {
  const lines = Array.from({ length: framing.count }, (_, segment) => segment).flatMap((segment) => {
    const own = facesOf(segment);
    const front = { ...own, innerRadiusMm: own.outerRadiusMm - depthMm };
    return (upright ? [heightMm / 2] : [0, heightMm]).map((z) => ({
      ends: outline(segment, z, front).slice(2),
      grown: faces.lean * (z - heightMm / 2),
    }));
  });
  return {
    nearMm: Math.min(...lines.map(({ ends: [to, from], grown }) => nearest(to!, from!) - grown)),
    farMm: Math.max(...lines.map(({ ends, grown }) => farthest(ends) - grown)),
    ...(faces.lean !== 0 && { lean: faces.lean }),
  };
}

/** How often two things that come round so many times come round together: the greatest common divisor. */
export const common = (a: number, b: number): number => (b === 0 ? a : common(b, a % b));
