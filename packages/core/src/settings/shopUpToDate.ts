import { DEFAULT_SHOP } from './shop.js';

/** Figures that shops once had and have no longer. */
const GONE: readonly string[] = ['stripLengthMm'];

/** A shop as it was written down, in today's fields: figures that it has had since then are as a new shop has them. */
export function shopUpToDate(given: unknown): unknown {
  if (typeof given !== 'object' || given === null || Array.isArray(given)) return given;
  const known = Object.entries(given).filter(([key]) => !GONE.includes(key));
  return { ...DEFAULT_SHOP, ...Object.fromEntries(known) };
}
