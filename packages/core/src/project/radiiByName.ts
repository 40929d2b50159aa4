const NAMES: Readonly<Record<string, string>> = { outerMm: 'outerRadiusMm', innerMm: 'innerRadiusMm' };

/**
 * What an older Fellside kept, a document, a ring of the stash or steps to undo, with its radii called `outerRadiusMm` and
 * `innerRadiusMm`: the names of fields, and where the `path` of a step leads.
 */
export function radiiByName(kept: unknown): unknown {
  if (Array.isArray(kept)) return kept.map(radiiByName);
  if (typeof kept !== 'object' || kept === null) return kept;
  return Object.fromEntries(
    Object.entries(kept).map(([key, value]) => [
      NAMES[key] ?? key,
      key === 'path' && Array.isArray(value) ? value.map((step) => NAMES[step] ?? step) : radiiByName(value),
    ]),
  );
}
