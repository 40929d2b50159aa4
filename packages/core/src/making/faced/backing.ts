import { length } from '../../measure/field.js';
import type { Mm } from '../../measure/quantity.js';
import { type Result, refuse } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import type { LayerLine, PieceKind } from '../contract.js';
import { type Frame, lineBehind } from '../joints/frame.js';
import { cutStaves, HOW, ripSegments, sawAll } from '../joints/frameSteps.js';
import { type Planing, planedThickness } from '../planing.js';
import { segmentStock } from '../segments.js';
import { placesOfSegments, type SegmentGroup } from '../sources/contract.js';
import { layeredBoards } from '../staves/steps.js';
import { type Step, step } from '../step.js';
import type { StripStock } from '../stock.js';
import { box, FAR, type FaceShape, THROUGH } from './face.js';
import type { FacedRing } from './facedRing.js';

/** How far behind the face a second layer of another wood begins; left out where there is none. */
export const backingField = length('Layer in front of the backing', 0.3, 200).optional();

interface Backed {
  readonly backingMm?: Mm | undefined;
}

/** The group of what lies behind, after all others of a segment. */
export const backingGroup = ({ backingMm }: Backed): SegmentGroup[] =>
  backingMm === undefined ? [] : [{ name: 'Backing', each: 1 }];

/** What lies behind a depth of the face, whatever is let into it from the front; `piece` is its number in the segment. */
export const backing = ({ backingMm }: Backed, piece: number): FaceShape[] =>
  backingMm === undefined
    ? []
    : [{ piece, loops: [box(-FAR, FAR, -FAR, FAR)], frontMm: backingMm, backMm: THROUGH }];

/** The refusal of a backing behind the whole segment; null where there is room for it. */
export const backingTooDeep = ({ backingMm }: Backed, { segment }: FacedRing): Result<never> | null =>
  backingMm === undefined || backingMm < segment.widthMm - SAME_LENGTH
    ? null
    : refuse(
        'layer-too-thick',
        'sawnFrom.backingMm',
        say`The layer in front of the backing is ${sayMm(backingMm)} thick and the strip ${sayMm(segment.widthMm)} wide; nothing is left for the backing.`,
        { most: segment.widthMm },
      );

/** A strip of a segment between two faces, sawn with others off one board. */
function layerOf({ faces, half, segment }: FacedRing, outer: number, inner: number): StripStock {
  const { longEdgeMm, shortEdgeMm, widthMm } = segmentStock(
    { ...faces, outerRadiusMm: outer, innerRadiusMm: inner },
    half,
    segment.thicknessMm,
  );
  return {
    ...segment,
    longEdgeMm,
    shortEdgeMm,
    widthMm,
    cutting: 'same-edge',
    boardEdgeMm: segment.longEdgeMm,
  };
}

/** The wood in front of the backing, where it is sawn with it off one board; the whole segment where there is none. */
export const frontStock = ({ backingMm }: Backed, ring: FacedRing): StripStock =>
  backingMm === undefined
    ? ring.segment
    : layerOf(ring, ring.faces.outerRadiusMm, ring.faces.outerRadiusMm - backingMm);

/** The backing as a kind of piece; none where there is none. Its places come last of the segments'. */
export function backingKind(
  { backingMm }: Backed,
  ring: FacedRing,
  groups: readonly SegmentGroup[],
): PieceKind[] {
  if (backingMm === undefined) return [];
  const count = ring.wedges.length;
  const first = placesOfSegments(groups, count) - count;
  return [
    {
      name: 'Backing',
      grain: 'along',
      heightMm: ring.heightMm,
      stock: layerOf(ring, ring.faces.outerRadiusMm - backingMm, ring.faces.innerRadiusMm),
      places: Array.from({ length: count }, (_, i) => first + i),
    },
  ];
}

/** The line in front of it, which turning must not break through. */
export const backingLine = ({ backingMm }: Backed, frame: Frame): LayerLine[] =>
  backingMm === undefined ? [] : [{ name: 'The line of the backing', ...lineBehind(frame, backingMm) }];

/** From the board to sawn segments that are of one piece before anything is let into them, or of two with a backing. */
export const sawnPlain = (
  { backingMm }: Backed,
  frame: Frame,
  ring: FacedRing,
  planing: Planing,
): readonly Step[] =>
  backingMm === undefined
    ? [ripSegments(frame, planing), ...sawAll(frame)]
    : [
        backedBoard(backingMm, frame, ring, planing),
        ...(frame.framing.staves ? [cutStaves(frame, true)] : []),
        ...sawAll(frame, `the board on edge, ${HOW['same-edge']}`),
      ];

/** Gluing a strip and its backing up to a board that segments are sawn from. */
const backedBoard = (fromMm: number, frame: Frame, { segment }: FacedRing, planing: Planing): Step =>
  frame.framing.staves
    ? layeredBoards([fromMm, segment.widthMm - fromMm])
    : step(
        'board',
        'planer',
        say`Plane one strip to ${sayMm(fromMm, 'thickness')} and one for the backing to ${sayMm(segment.widthMm - fromMm, 'thickness')}, both ${sayMm(planedThickness(segment.thicknessMm, planing), 'width')} wide, and glue them face to face into a board ${sayMm(segment.widthMm)} thick.`,
        ['dust'],
      );

/** Gluing the backing behind faces that are put together first. */
export const gluedBehind = ({ backingMm }: Backed, { segment }: FacedRing): Step[] =>
  backingMm === undefined
    ? []
    : [
        step(
          'backing',
          'clamps',
          say`Glue a backing of ${sayMm(segment.widthMm - backingMm, 'thickness')} behind the ${sayMm(backingMm)} of the face, over all of it, before the ends are mitred.`,
          ['dust'],
        ),
      ];
