import type { LaidPiece, Made } from '../making/contract.js';
import { segmentStock } from '../making/segments.js';
import { type Mm, mm, TURN } from '../measure/quantity.js';
import type { Band } from '../ring/overlap.js';
import { type Point, polar } from '../ring/plane.js';
import type { Slant } from '../ring/slant.js';

/** Corners that a band is drawn with. */
const CORNERS = 96;

interface Board {
  readonly lengthMm: Mm;
  readonly widthMm: Mm;
  readonly thicknessMm: Mm;
}

/** A band that is one board. */
export function boardBand(
  { lengthMm, widthMm, thicknessMm }: Board,
  outerRadiusMm: number,
  heightMm: number,
): Made {
  const corner = outerRadiusMm / Math.cos(Math.PI / CORNERS);
  const outline = Array.from({ length: CORNERS }, (_, i) => polar(corner, (2 * Math.PI * i) / CORNERS));
  const piece: LaidPiece = { place: 0, fromMm: 0, toMm: heightMm, bottom: outline, top: outline };
  return {
    heightMm: mm(heightMm),
    gives: { outerRadiusMm, innerRadiusMm: 0 },
    ball: null,
    lean: 0,
    closed: true,
    radial: false,
    repeats: 1,
    cornerMm: mm(Math.hypot(lengthMm, widthMm) / 2),
    groups: [{ name: 'Slanted band', count: 1 }],
    kinds: [
      {
        name: 'slanted band',
        grain: 'across',
        heightMm: thicknessMm,
        stock: { from: 'panel', shape: 'layer', lengthMm, widthMm, thicknessMm },
        places: [0],
      },
    ],
    together: [],
    hidesGlue: false,
    laidOnPlan: false,
    reads: null,
    layers: [],
    figures: [],
    warnings: [],
    lay: () => [piece],
    placeAt: () => 0,
    mark: () => null,
    steps: () => [],
  };
}

/** Directions in which the outer edge of a segment is drawn. */
const PARTS = 6;

/**
 * A band that is a ring of segments, seen from the frame in which it is lowest toward x. Its joints stand square to it and meet in a
 * line through the point where the cut meets the axis, which leans as the band's normal does: at a height z of the piece it stands
 * at x = (z − height)·tan σ. A joint at ψ in the band (counter-clockwise from where it is lowest) runs level in the
 * direction (cos ψ / cos σ, sin ψ).
 */
export function segmentBand(
  { count, slantDeg, heightMm: metMm, thicknessMm }: Slant & { readonly count: number },
  { outerRadiusMm, innerRadiusMm }: Band,
  reachMm: number,
  bottomMm: number,
  topMm: number,
): Made {
  const slant = (slantDeg * Math.PI) / 180;
  const [cos, tan] = [Math.cos(slant), Math.tan(slant)];
  const apexAt = (z: number): number => (bottomMm + z - metMm) * tan;
  const heightMm = topMm - bottomMm;
  const far = reachMm + Math.max(Math.abs(apexAt(0)), Math.abs(apexAt(heightMm)));
  const half = Math.PI / count;
  const direction = (psi: number): number => Math.atan2(Math.sin(psi), Math.cos(psi) / cos);
  const outline = (place: number, z: number): Point[] => {
    const [from, to] = [TURN * place, TURN * (place + 1)].map((psi) => psi / count) as [number, number];
    const apex = { x: apexAt(z), y: 0 };
    const rim = Array.from({ length: PARTS + 1 }, (_, i) => {
      const p = polar(far / Math.cos(half / PARTS), direction(from + ((to - from) * i) / PARTS));
      return { x: p.x + apex.x, y: p.y };
    });
    return [apex, ...rim];
  };
  // In the plane of the band it is a flat ring: its outer flats touch ao, the corners of its hole Ri.
  const stock = segmentStock(
    { outerRadiusMm, innerRadiusMm: innerRadiusMm * Math.cos(half), lean: 0 },
    half,
    thicknessMm,
  );
  return {
    heightMm: mm(heightMm),
    gives: { outerRadiusMm: reachMm, innerRadiusMm: 0 },
    ball: null,
    lean: 0,
    closed: true,
    radial: false,
    repeats: 1,
    cornerMm: mm(outerRadiusMm / Math.cos(half)),
    groups: [{ name: 'Segment of the band', count }],
    kinds: [
      {
        name: 'segment of the slanted band',
        grain: 'along',
        heightMm: mm(thicknessMm),
        stock,
        places: Array.from({ length: count }, (_, i) => i),
      },
    ],
    together: [],
    hidesGlue: false,
    laidOnPlan: false,
    reads: null,
    layers: [],
    figures: [],
    warnings: [],
    lay: (place): LaidPiece[] => [
      { place, fromMm: 0, toMm: heightMm, bottom: outline(place, 0), top: outline(place, heightMm) },
    ],
    placeAt: (x, y, z) => {
      const psi = Math.atan2(y, (x - apexAt(z)) * cos);
      return Math.min(count - 1, Math.floor(((psi < 0 ? psi + TURN : psi) / TURN) * count));
    },
    mark: () => null,
    steps: () => [],
  };
}
