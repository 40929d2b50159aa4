import { type Said, say, sayList, sayMm } from '../../measure/said.js';
import type { Warning } from '../warnings.js';
import { boardLength, boardsFor, type Slices, slicesFrom, slicesFromEnds } from './board.js';
import type { Laminate } from './laminate.js';

/**
 * What comes out of the board on hand where it is shorter than what is needed: how many slices, and which number of
 * segments they would make (each slice then being as wide as that number asks for).
 */
export function onHand({ given, ring, sizes, slices }: Laminate): Warning[] {
  const lengthMm = given.onHandMm;
  if (lengthMm === undefined) return [];
  const boards = boardsFor(slices, lengthMm);
  const needed = boardLength(slices);
  if (boards && boards.length <= 1) return [];
  const out = slicesFrom(slices, lengthMm);
  const wanted = slices.count;
  const each = sizes.across * sizes.rows;
  const missing = boardLength(slices, wanted - out);
  const remedies = [
    ...fromEnds(slices, wanted - out),
    say`a second board of ${sayMm(missing)} gives the rest`,
    ...countFor({ given, ring, sizes, slices } as Laminate, lengthMm, each),
    ...heightFor({ given, sizes, slices } as Laminate, lengthMm),
  ];
  return [
    {
      code: 'board-short',
      message: say`The board on hand is ${sayMm(lengthMm)} long; ${sayMm(needed)} are needed for ${wanted} slices (${given.spares} of them spare), ${out} come out of it: ${sayList(remedies, '; ')}.`,
    },
  ];
}

/** The two ends of the board, where they give what is missing. */
function fromEnds(slices: Slices, missing: number): Said[] {
  if (slices.endsGlued || slicesFromEnds(slices) < missing) return [];
  const them = missing === 1 ? 'the one that is missing' : say`the ${missing} that are missing`;
  return [say`the two ends of the board, glued together by their square faces, give ${them}`];
}

/** A number of segments that the board would do for, by making every slice as wide as it then has to be. */
function countFor({ given, ring, sizes, slices }: Laminate, lengthMm: number, each: number): Said[] {
  for (let count = given.count - 1; count >= 3; count--) {
    const face = 2 * ring.gives.outerRadiusMm * Math.tan(Math.PI / count);
    const widthMm = face / sizes.across + given.trimMm;
    const tall = (sizes.rowMm + widthMm * Math.tan(Math.abs(sizes.angle))) * Math.cos(sizes.angle);
    if (tall > sizes.boardMm) break;
    const fewer = { ...slices, widthMm, count: count * each + given.spares };
    if (boardLength(fewer) <= lengthMm) return [say`${count} segments would come out of it`];
  }
  return ['no smaller number of segments comes out of it'];
}

/** The height of a ring for which every slice may be sawn in two, so that half as many do. */
function heightFor({ given, sizes, slices }: Laminate, lengthMm: number): Said[] {
  const spare = sizes.boardMm / Math.cos(sizes.angle) - slices.widthMm * Math.tan(Math.abs(sizes.angle));
  const half = (spare - given.kerfMm) / 2;
  const two = { ...slices, count: Math.ceil(slices.count / 2) };
  return half > 1 && boardLength(two) <= lengthMm
    ? [say`sawn in two, the slices do for a ring ${sayMm(half * sizes.rows)} high`]
    : [];
}
