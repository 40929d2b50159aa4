import { DEFAULT_SHOP } from './shop.js';

/** Figures that shops once had and have no longer. */
const GONE: readonly string[] = ['stripLengthMm'];

/** A shop as it was written down, in today's fields: figures that it has had since then are as a new shop has them. */
export function shopUpToDate(given: unknown): unknown {
  if (typeof given !== 'object' || given === null || Array.isArray(given)) return given;
  const known = Object.entries(given).filter(([key]) => !GONE.includes(key));
  return filledUp(Object.fromEntries(known), DEFAULT_SHOP);
}

const isGroup = (given: unknown): given is Readonly<Record<string, unknown>> =>
  typeof given === 'object' && given !== null && !Array.isArray(given);

/** What is there, and what a new shop has where nothing is, group by group. */
const filledUp = (given: Readonly<Record<string, unknown>>, usual: object): Record<string, unknown> => ({
  ...usual,
  ...Object.fromEntries(
    Object.entries(given).map(([key, value]) => {
      const own = (usual as Record<string, unknown>)[key];
      return [key, isGroup(value) && isGroup(own) ? filledUp(value, own) : value];
    }),
  ),
});
