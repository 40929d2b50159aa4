import { plain } from '../../measure/said.js';
import type { Point } from '../../ring/plane.js';
import type { PieceKind } from '../contract.js';
import type { StepPicture } from '../picture.js';

/** The floor as it grows: one picture for every kind that is added. */
export function floorPictures(
  outlines: readonly (readonly Point[])[],
  kinds: readonly PieceKind[],
  stepOf: readonly string[],
): StepPicture[] {
  const stages = kinds.length > 5 ? kinds.filter((_, i) => i === 0 || i % 4 === 0) : kinds;
  return stages.map((stage) => {
    const upTo = kinds.indexOf(stage);
    const places = kinds.slice(0, upTo + 1).flatMap((kind) => kind.places);
    return {
      step: stepOf[upTo]!,
      title: plain(stage.name),
      says: upTo === kinds.length - 1 ? 'The whole floor from above.' : 'The floor from above as it grows.',
      parts: places.map((place) => ({ outline: outlines[place]!, place })),
      lines: [],
      sizes: [],
    };
  });
}
