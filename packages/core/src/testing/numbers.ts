import fc from 'fast-check';

/** Steps into which a stretch of numbers is divided. */
const STEPS = 2 ** 30;

/**
 * A number from `min` to `max`, both at times, and any as likely as another: doubles drawn by their bits are, where 0 lies
 * among them, nearly all too small to tell from it. Never −0, which JSON does not keep.
 */
export const between = (min: number, max: number): fc.Arbitrary<number> =>
  fc.integer({ min: 0, max: STEPS }).map((step) => min + ((max - min) * step) / STEPS + 0);
