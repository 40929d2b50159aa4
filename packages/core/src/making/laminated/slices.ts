import { between, type FacePoint, type FaceShape, throughShape } from '../faced/face.js';
import { type Laminated, rowsOf, sliceAngle, slicesAcross } from './params.js';

/** Sizes of the slices of a ring, mm. */
export interface SliceSizes {
  readonly angle: number;
  readonly across: number;
  readonly rows: number;
  /** What of a slice's width is in the segment at its outer face. */
  readonly usedMm: number;
  /** Height of the row that a slice makes. */
  readonly rowMm: number;
  /** Thickness of the board. */
  readonly boardMm: number;
  /** What the whole slice gives in height, its trim too: `H / cos α − p·tan α`. Half of the trim lies on either side. */
  readonly usableMm: number;
  /** Height at which the board's lower face meets the slice's left side. */
  readonly startMm: number;
}

export function sliceSizes(given: Laminated, faceMm: number, heightMm: number): SliceSizes {
  const [across, rows, angle] = [slicesAcross(given), rowsOf(given), sliceAngle(given)];
  const usedMm = faceMm / across;
  const rowMm = heightMm / rows;
  const boardMm = given.layersMm.reduce((a, b) => a + b, 0);
  const rise = usedMm * Math.tan(angle);
  return {
    angle,
    across,
    rows,
    usedMm,
    rowMm,
    boardMm,
    usableMm: boardMm / Math.cos(angle) - (usedMm + given.trimMm) * Math.tan(Math.abs(angle)),
    startMm: (rowMm - boardMm / Math.cos(angle) - rise) / 2 - given.upMm,
  };
}

/** How a slice lies in the ring: seen from the other side, upside down. */
interface Lie {
  readonly mirrored: boolean;
  readonly upsideDown: boolean;
}

/** How the slice in a column and a row is turned; the first in the lower row lies as it was cut. */
function lieOf({ figure, turn }: Laminated, column: number, row: number): Lie {
  const other = column % 2 === 1;
  if (figure === 'stripes' || figure === 'ramp') return { mirrored: false, upsideDown: false };
  if (figure === 'chequer') return { mirrored: other, upsideDown: other };
  const own = { mirrored: other && turn !== 'lengthwise', upsideDown: other && turn !== 'upright' };
  if (row === 0) return own;
  const above = figure === 'chevron' ? lieOf({ figure, turn } as Laminated, column + 1, 0) : own;
  return { mirrored: above.mirrored, upsideDown: !above.upsideDown };
}

/**
 * The face of a segment made of slices, its first slice being number `first` of the ring. Pieces are numbered layer by
 * layer, and in a layer row by row, left to right. Neighbouring layers share an edge.
 */
export function slicedFace(given: Laminated, sizes: SliceSizes, first: number): FaceShape[] {
  const { across, rows, usedMm, rowMm, angle, startMm } = sizes;
  const [tan, cos] = [Math.tan(angle), Math.cos(angle)];
  const left = (-usedMm * across) / 2;
  const shapes: FaceShape[] = [];
  let below = 0;
  given.layersMm.forEach((thick, layer) => {
    const [low, high] = [startMm + below / cos, startMm + (below + thick) / cos];
    below += thick;
    for (let row = 0; row < rows; row++)
      for (let column = 0; column < across; column++) {
        const { mirrored, upsideDown } = lieOf(given, first + column + (given.turnedFirst ? 1 : 0), row);
        const at = (x: number, line: number): FacePoint => {
          const rise = line + (mirrored ? usedMm - x : x) * tan;
          return { u: left + column * usedMm + x, z: row * rowMm + (upsideDown ? rowMm - rise : rise) };
        };
        const loop = [at(0, low), at(usedMm, low), at(usedMm, high), at(0, high)];
        const kept = between(loop, row * rowMm, (row + 1) * rowMm);
        const piece = (layer * rows + row) * across + column;
        if (kept.length > 2) shapes.push(throughShape(piece, kept));
      }
  });
  return shapes;
}
