import { mm } from '../../measure/quantity.js';
import type { Spacers } from './spacers.js';

/** Spacers so many times as thick; of layers the last takes what is added. */
export const thickerSpacers = (spacers: Spacers, times: number): Spacers =>
  spacers.at === 'picked'
    ? {
        ...spacers,
        joints: spacers.joints.map(({ joint, thicknessMm }) => ({
          joint,
          thicknessMm: mm(thicknessMm * times),
        })),
      }
    : { ...spacers, thicknessMm: mm(spacers.thicknessMm * times) };

/** A ring of segments and spacers with its spacers so many times as thick; null where it has none. */
export const thickerFrame = <P extends { readonly spacers?: Spacers | undefined }>(
  given: P,
  times: number,
): P | null => (given.spacers ? { ...given, spacers: thickerSpacers(given.spacers, times) } : null);

/** The same of a way that has one thickness for all of them, 0 for none. */
export const thickerSpacer = <P extends { readonly spacerMm: number }>(given: P, times: number): P | null =>
  given.spacerMm > 0 ? { ...given, spacerMm: mm(given.spacerMm * times) } : null;
