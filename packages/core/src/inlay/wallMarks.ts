import type { WallMark } from '../surface/marks.js';
import { copiesOf, type InlayLies } from './placed.js';
import type { Inlay } from './schema.js';

/** What all copies of an inlay show on the wall, in the order in which it is drawn: the seam (place 1), over it the insert (0). */
export function wallMarks(inlay: Inlay, { pocket, insert }: InlayLies, ring: number): WallMark[] {
  const copies = copiesOf(inlay);
  return [
    ...(inlay.seam ? [{ ring, place: 1, loops: pocket, copies }] : []),
    { ring, place: 0, loops: insert, copies },
  ];
}
