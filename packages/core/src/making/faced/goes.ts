import type { Against, Beside } from '../sources/contract.js';

/** Why segments with figured faces do not go with the other answers; null where they do. */
export function facesAgainst(
  { backingMm }: { readonly backingMm?: number | undefined },
  { parts, plug, lean, after, inOrder, staves, inHalves }: Beside,
): Against | null {
  if (staves && staves.leanDeg !== 0)
    return {
      path: ['staves', 'leanDeg'],
      message:
        'What is let into a face goes straight in, and the faces of leaning staves are not upright; let the staves stand upright, or take layers.',
    };
  if (backingMm !== undefined && lean && lean.cut !== 'same-edge')
    return {
      path: ['lean', 'cut'],
      message: 'A board with a backing is sawn with the same edge out; cut the leaning joints so too.',
    };
  if (inHalves)
    return {
      path: ['inHalves'],
      message:
        'Faces that are put together are of one width all round; let the segments close the ring together, or take one wood or layers.',
    };
  if (parts)
    return {
      path: ['parts'],
      message: 'Faces that are put together are of one width; make the segments equal.',
    };
  if (plug)
    return {
      path: ['plug'],
      message:
        'A plug goes into rings of one wood or of layers; leave it out, or make the faces another way.',
    };
  if (after)
    return {
      path: ['after'],
      message:
        'What is in a face has its place in the height of the ring, so that a ring sawn apart would have a part of it each; leave the ring whole.',
    };
  return inOrder
    ? {
        path: ['inOrder'],
        message: 'Faces that are put together do not come off one strip; leave their order out.',
      }
    : null;
}

/** The same of faces that are put together over all of their width: they are rectangles, and leaning joints cut into them. */
export const wholeFacesAgainst = (
  of: { readonly backingMm?: number | undefined },
  beside: Beside,
): Against | null =>
  beside.staves
    ? {
        path: ['staves'],
        message:
          'Faces that are put together have their grain round the ring; let the segments lie flat, or take layers from outside to inside, plugs or letters.',
      }
    : beside.lean
      ? {
          path: ['lean'],
          message:
            'The face of a leaning segment is no rectangle, and its figure is put together as one; let the joints stand upright, or take layers, plugs or letters.',
        }
      : facesAgainst(of, beside);
