import { done, type Result, refuse } from '../../measure/reason.js';
import { say, sayMm, sayRad } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import { type FacedRing, faceWidth } from '../faced/facedRing.js';
import { type Board, boardLength, boardsFor, type Slices } from './board.js';
import { isSymmetric, type Laminated, type LaminatedRing } from './params.js';
import { type SliceSizes, sliceSizes } from './slices.js';

/** Everything that the sizes of a ring say of the board it comes from. */
export interface Laminate {
  readonly given: LaminatedRing;
  readonly ring: FacedRing;
  readonly sizes: SliceSizes;
  readonly slices: Slices;
  readonly boards: readonly Board[];
  readonly heightMm: number;
}

/** Least thickness of the board with which its slices are high enough: `(h + p·tan α)·cos α`. */
export const neededThickness = ({ trimMm }: Laminated, { angle, usedMm, rowMm }: SliceSizes): number =>
  (rowMm + (usedMm + trimMm) * Math.tan(Math.abs(angle))) * Math.cos(angle);

/** Works out the slices of a ring and the boards they come from, or says why it cannot be. */
export function laminate(given: LaminatedRing, ring: FacedRing): Result<Laminate> {
  const sizes = sliceSizes(given, faceWidth(ring), ring.heightMm);
  const { angle, usedMm, rowMm, usableMm, boardMm } = sizes;
  const needed = neededThickness(given, sizes);
  if (usableMm < rowMm - SAME_LENGTH)
    return refuse(
      'no-height-left',
      'sawnFrom.layersMm',
      say`The board is ${sayMm(boardMm)} thick; cut at ${sayRad(Math.abs(angle))} into slices ${sayMm(usedMm + given.trimMm)} wide it leaves ${sayMm(Math.max(0, usableMm))} of the ${sayMm(rowMm)} that are needed. It has to be at least ${sayMm(needed)} thick, or the angle smaller, or the segments more.`,
      { least: needed },
    );
  const slack = (usableMm - rowMm) / 2;
  if (Math.abs(given.upMm) > slack + SAME_LENGTH)
    return refuse(
      'off-the-slice',
      'sawnFrom.upMm',
      say`The ring is taken ${sayMm(Math.abs(given.upMm))} off the middle of the slices; they leave ${sayMm(slack)} to either side.`,
      { most: slack },
    );
  const gone = trimmedAway(given, sizes);
  if (gone !== null)
    return refuse(
      'layer-trimmed-away',
      'sawnFrom.layersMm',
      say`Layer ${gone + 1} of ${sayMm(given.layersMm[gone]!)} is trimmed off altogether: the ring takes ${sayMm(rowMm)} out of the ${sayMm(usableMm)} that the slices give. Leave it out, or make the board thinner.`,
      { most: usableMm },
    );
  if (given.figure === 'chequer' && isSymmetric(given.layersMm) && given.layersMm.length % 2 === 1)
    return refuse(
      'no-chequer',
      'sawnFrom.layersMm',
      say`A board of ${given.layersMm.length} layers that is the same from above and below gives no chequer when every other slice is turned: take an even number of alternating layers.`,
    );
  const slices: Slices = {
    count: given.count * sizes.across * sizes.rows + given.spares,
    widthMm: usedMm + given.trimMm,
    angle: Math.abs(angle),
    kerfMm: given.kerfMm,
    boardMm,
    wholeEnds: given.ends === 'whole',
    endWasteMm: given.endWasteMm,
    endsGlued: given.endsGlued === true,
  };
  const boards = boardsFor(slices, given.longestMm);
  if (!boards)
    return refuse(
      'slice-wider-than-board',
      'sawnFrom.longestMm',
      say`One slice of ${sayMm(slices.widthMm)} takes a board of ${sayMm(boardLength(slices, 1))}; the longest is ${sayMm(given.longestMm)}.`,
      { least: boardLength(slices, 1) },
    );
  return done({ given, ring, sizes, slices, boards, heightMm: ring.heightMm });
}

/** The first layer of which nothing is left in the rows; null where all show. */
function trimmedAway({ layersMm }: Laminated, { startMm, angle, usedMm, rowMm }: SliceSizes) {
  const cos = Math.cos(angle);
  const rise = usedMm * Math.tan(angle);
  let below = 0;
  for (const [i, thick] of layersMm.entries()) {
    const low = startMm + below / cos + Math.min(0, rise);
    const high = startMm + (below + thick) / cos + Math.max(0, rise);
    if (high <= SAME_LENGTH || low >= rowMm - SAME_LENGTH) return i;
    below += thick;
  }
  return null;
}
