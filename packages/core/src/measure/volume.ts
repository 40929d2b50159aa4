import { INCH } from './format.js';

/** One board foot, 144 cubic inches, in mm³ (NIST SP 811, Appendix B: 2.359 737 × 10⁻³ m³). */
export const BOARD_FOOT = 144 * INCH ** 3;

/** Board feet of a volume in mm³ that is already at nominal sizes. */
export const boardFeet = (volumeMm3: number): number => volumeMm3 / BOARD_FOOT;

export const litres = (volumeMm3: number): number => volumeMm3 / 1e6;

/** A US liquid pint is 28.875 in³, an imperial pint 568.26125 ml (NIST SP 811, Appendix B; from memory). */
export const usPints = (volumeMm3: number): number => volumeMm3 / (28.875 * INCH ** 3);
export const imperialPints = (volumeMm3: number): number => volumeMm3 / 568_261.25;
