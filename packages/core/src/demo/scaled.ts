import { INCH, type UnitSystem } from '../measure/format.js';

/** What computing leaves behind the last figure that counts, mm. */
const FINEST = 1e6;

/** The same with all its lengths (fields that end in `Mm`) in one proportion. */
function scaled<T>(given: T, factor: number): T {
  const turned = (value: unknown, isLength: boolean): unknown => {
    if (typeof value === 'number') return isLength ? Math.round(value * factor * FINEST) / FINEST : value;
    if (Array.isArray(value)) return value.map((each) => turned(each, isLength));
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(
      Object.entries(value).map(([key, each]) => [key, turned(each, key.endsWith('Mm'))]),
    );
  };
  return turned(given, false) as T;
}

/** What was drawn in inches, round in millimetres: an eighth becomes 3 mm, boards of 3/4" become 18 mm, and nothing else changes. */
export const inMillimetres = <T>(given: T): T => scaled(given, 24 / INCH);

/** What was drawn in millimetres, round in inches: a millimetre becomes 1/32", or 0.04" where a shop reads decimals. */
export const inInches = <T>(given: T, units: Exclude<UnitSystem, 'mm'>): T =>
  scaled(given, INCH / (units === 'inch-fraction' ? 32 : 25));
