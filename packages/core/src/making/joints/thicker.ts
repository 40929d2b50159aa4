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
