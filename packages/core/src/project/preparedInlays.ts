import type { Vessel } from '../form/vessel.js';
import { type InlayLies, placeInlay } from '../inlay/placed.js';
import type { Inlay } from '../inlay/schema.js';
import type { Result } from '../measure/reason.js';

/** An inlay with where it lies on the form as it is; a sentence where it can no longer be. */
export interface PreparedInlay {
  readonly inlay: Inlay;
  readonly placed: Result<InlayLies>;
}

const NONE: readonly PreparedInlay[] = [];

export const preparedInlays = (
  inlays: readonly Inlay[] | undefined,
  vessel: Vessel,
): readonly PreparedInlay[] => inlays?.map((inlay) => ({ inlay, placed: placeInlay(inlay, vessel) })) ?? NONE;
