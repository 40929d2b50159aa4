import type { Made } from '../making/contract.js';

/** A hair counter-clockwise, radians. */
const BESIDE = 1e-7;

/** The place beside a point of a closed ring that lies on the very line of a joint, which belongs to neither side. */
export const besideJoint = (
  made: Pick<Made, 'placeAt' | 'closed'>,
  x: number,
  y: number,
  z: number,
): number | null => (made.closed ? made.placeAt(x - BESIDE * y, y + BESIDE * x, z) : null);

/** The place that is met at a point of a ring, mm from its own axis and above its bottom; null in air. */
export const meets = (
  made: Pick<Made, 'placeAt' | 'closed'>,
  x: number,
  y: number,
  z: number,
): number | null => made.placeAt(x, y, z) ?? besideJoint(made, x, y, z);
