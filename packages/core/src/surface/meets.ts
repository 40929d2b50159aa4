import type { Made } from '../making/contract.js';

/** A hair counter-clockwise, radians. */
const BESIDE = 1e-7;

/**
 * The place that is met at a point of a ring, mm from its own axis and above its bottom; null in air. The very line of a
 * joint belongs to neither side: a closed ring is asked beside it.
 */
export const meets = (
  { placeAt, closed }: Pick<Made, 'placeAt' | 'closed'>,
  x: number,
  y: number,
  z: number,
) => placeAt(x, y, z) ?? (closed ? placeAt(x - BESIDE * y, y + BESIDE * x, z) : null);
