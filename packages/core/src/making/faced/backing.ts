import type { Mm } from '../../measure/quantity.js';
import { type Result, refuse } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import type { LayerLine, PieceKind } from '../contract.js';
import { type Planing, planedThickness } from '../planing.js';
import { segmentStock } from '../segments.js';
import { type Step, step } from '../step.js';
import type { StripStock } from '../stock.js';
import { farthest, nearest, wedgeOutline } from '../wedge.js';
import { box, FAR, type FaceShape, THROUGH } from './face.js';
import type { FacedRing } from './facedRing.js';

/** What lies behind a depth of the face, whatever is let into it from the front. */
export const backing = (piece: number, fromMm: number): FaceShape => ({
  piece,
  loops: [box(-FAR, FAR, -FAR, FAR)],
  frontMm: fromMm,
  backMm: THROUGH,
});

/** The refusal of a backing behind the whole segment; null where there is room for it. */
export const backingTooDeep = (fromMm: number, { segment }: FacedRing): Result<never> | null =>
  fromMm < segment.widthMm - SAME_LENGTH
    ? null
    : refuse(
        'layer-too-thick',
        'backingMm',
        say`The layer in front of the backing is ${sayMm(fromMm)} thick and the strip ${sayMm(segment.widthMm)} wide; nothing is left for the backing.`,
        { most: segment.widthMm },
      );

/** The layer in front of the backing, and the backing, as they are sawn together off one board. */
export function backedKinds(
  fromMm: number,
  { faces, half, segment }: FacedRing,
  heightMm: Mm,
  places: { readonly front: readonly number[]; readonly back: readonly number[] },
): [front: PieceKind, back: PieceKind] {
  const line = faces.outerRadiusMm - fromMm;
  const kind = (name: string, outer: number, inner: number, places: readonly number[]): PieceKind => {
    const stock: StripStock = {
      ...segmentStock({ ...faces, outerRadiusMm: outer, innerRadiusMm: inner }, half, heightMm),
      cutting: 'same-edge',
      boardEdgeMm: segment.longEdgeMm,
    };
    return { name, grain: 'along', heightMm, stock, places };
  };
  return [
    kind('Segment', faces.outerRadiusMm, line, places.front),
    kind('Backing', line, faces.innerRadiusMm, places.back),
  ];
}

/** The line between them, which turning must not break through. */
export function backingLine(fromMm: number, { wedges, faces }: FacedRing): LayerLine {
  const front = { ...faces, innerRadiusMm: faces.outerRadiusMm - fromMm };
  const lines = wedges.map((wedge) => wedgeOutline(wedge, front, 0).slice(2));
  return {
    name: 'The line of the backing',
    nearMm: Math.min(...lines.map(([to, from]) => nearest(to!, from!))),
    farMm: Math.max(...lines.map(farthest)),
  };
}

/** Gluing the two up. */
export const backedBoard = (fromMm: number, { segment }: FacedRing, planing: Planing): Step =>
  step(
    'board',
    'planer',
    say`Plane one strip to ${sayMm(fromMm, 'thickness')} and one for the backing to ${sayMm(segment.widthMm - fromMm, 'thickness')}, both ${sayMm(planedThickness(segment.thicknessMm, planing), 'width')} wide, and glue them face to face into a board ${sayMm(segment.widthMm)} thick.`,
    ['dust'],
  );
