/** Lengths nearer than this are the same length: a thousandth of what a shop can measure (mm). */
export const SAME_LENGTH = 1e-5;

/** Two strips whose widths or thicknesses differ by less are one set-up: nobody sets a fence closer (mm). */
export const SAME_SETTING = 0.01;

/** Angles nearer than this are the same saw setting: a hundredth of what a good gauge resolves (rad). */
export const SAME_ANGLE = 1e-6;

/** A fraction shown without + or − is this near to the length meant (mm): under half a hundredth. */
export const SHOWN_EXACT = 0.005;
