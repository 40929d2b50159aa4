/** An inch of the show becomes so many mm: its eighths become 3 mm, boards of 3/4" become 18 mm, and nothing else changes. */
const INCH_MM = 24;
const FACTOR = INCH_MM / 25.4;
/** What computing leaves behind the last figure that counts, mm. */
const FINEST = 1e6;

const shortened = (length: number): number => Math.round(length * FACTOR * FINEST) / FINEST;

/** The same with all its lengths (fields that end in `Mm`) in the same proportion, round in millimetres. */
export function inMillimetres<T>(given: T): T {
  const turned = (value: unknown, isLength: boolean): unknown => {
    if (typeof value === 'number') return isLength ? shortened(value) : value;
    if (Array.isArray(value)) return value.map((each) => turned(each, isLength));
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(
      Object.entries(value).map(([key, each]) => [key, turned(each, key.endsWith('Mm'))]),
    );
  };
  return turned(given, false) as T;
}
