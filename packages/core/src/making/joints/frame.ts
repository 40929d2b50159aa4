import { done, type Result } from '../../measure/reason.js';
import type { RingNeed } from '../../ring/need.js';
import type { Band } from '../../ring/overlap.js';
import type { Rising } from '../assemble.js';
import type { Made, PieceKind } from '../contract.js';
import { anglesOf, flatRing } from '../flat/ring.js';
import { GLUE_RING, segmentStock } from '../segments.js';
import type { Step } from '../step.js';
import type { StripStock } from '../stock.js';
import type { Faces, Wedge } from '../wedge.js';
import { closes, ovalOf } from './closing.js';
import { jointed } from './jointed.js';
import { repeatsOf, spacerKinds } from './kinds.js';
import { layJointed } from './lay.js';
import { nearestSpacers } from './nearest.js';
import { mirroredSpacers, type Spacers, spacersFor, thicknessesOf, wrongSpacers } from './spacers.js';
import { FIT_WITH_SPACERS, GLUE_SPACERS, planeSpacers } from './steps.js';
import { heldIn } from './strips.js';
import { doesNotClose, ovalWarning, thickWarning } from './told.js';

/** Upright segments and what lies between them: equal or unequal, or equal ones with spacers. */
export interface Framing {
  readonly count: number;
  readonly parts?: readonly number[] | undefined;
  readonly spacers?: Spacers | undefined;
}

/** A ring of such segments, before anything is said of what they are sawn from. Places: segments, then spacers. */
export interface Frame extends Pick<Made, 'cornerMm' | 'repeats' | 'radial' | 'warnings'> {
  readonly faces: Faces;
  readonly gives: Band;
  readonly kinds: readonly (PieceKind & { readonly stock: StripStock })[];
  wedge(segment: number): Wedge;
  lay(place: number): Rising;
  /** What is planed, fitted and glued once the segments are sawn. */
  readonly joining: readonly Step[];
}

/** What is wrong with spacers in a ring, as an issue for Zod; null where nothing is. */
export function wrongFraming({ count, parts, spacers }: Framing) {
  if (!spacers) return null;
  const wrong = parts
    ? {
        path: [],
        message: 'Spacers go between equal segments only; make the widths equal, or leave the spacers out.',
      }
    : wrongSpacers(count, spacers);
  return (
    wrong && {
      code: 'custom' as const,
      path: ['spacers', ...wrong.path],
      message: wrong.message,
      input: spacers,
    }
  );
}

/** The spacers of another count, as far as they go with it. */
export const framedFor = <P extends Framing>(given: P, count: number): P =>
  given.spacers ? { ...given, spacers: spacersFor(given.spacers, count) } : given;

/** The spacers in the mirror. */
export const mirroredFrame = <P extends Framing>(given: P): P =>
  given.spacers ? { ...given, spacers: mirroredSpacers(given.spacers, given.count) } : given;

/** Sizes segments and spacers for the band Ri..Ro of `need`; refuses spacers that do not close, and what leaves no wood. Segments that are alike come every `every` of them. */
export function frameOf(framing: Framing, need: RingNeed, every = 1): Result<Frame> {
  const { count, parts, spacers } = framing;
  if (!spacers) {
    const sized = flatRing(count, anglesOf(count, parts), need);
    if (!sized.ok) return sized;
    const repeats = sized.value.repeats / every;
    return done({ ...sized.value, repeats, radial: true, warnings: [], joining: [GLUE_RING] });
  }
  const thicknesses = thicknessesOf({ count, spacers });
  if (!closes(thicknesses)) return doesNotClose(thicknesses);
  const sized = jointed({ thicknesses, filled: true, layers: spacers.layers }, need);
  if (!sized.ok) return sized;
  const { wedges, faces, gives, cornerMm } = sized.value;
  const half = Math.PI / count;
  const segments = Array.from({ length: count }, (_, place) => place);
  const stock = segmentStock(faces, half, need.heightMm);
  return done({
    faces,
    gives,
    cornerMm,
    radial: false,
    repeats: repeatsOf(heldIn(thicknesses, spacers.layers), every),
    kinds: [
      { name: 'Segment', grain: 'along', heightMm: need.heightMm, stock, places: segments },
      ...spacerKinds(sized.value, count),
    ],
    wedge: (segment) => wedges[segment]!,
    lay: layJointed(sized.value, undefined, need),
    joining: [planeSpacers(sized.value), FIT_WITH_SPACERS, GLUE_SPACERS],
    warnings: [...thickWarning(thicknesses, need.outerRadiusMm, half), ...ovalWarning(ovalOf(thicknesses))],
  });
}

/** The same with the nearest set of spacers that closes; null where these close, or where nothing near does. */
export function closingFrame<P extends Framing>(given: P): P | null {
  const { count, spacers } = given;
  if (!spacers || closes(thicknessesOf({ count, spacers }))) return null;
  const near = nearestSpacers(count, spacers);
  return near && { ...given, spacers: near };
}
