import type { LaidPiece, Made } from './contract.js';

/** Every piece of a ring where it lies, in the order of the places. */
export const layOut = (made: Made): LaidPiece[] =>
  made.kinds
    .flatMap(({ places }) => places)
    .sort((a, b) => a - b)
    .map((place) => made.lay(place));
