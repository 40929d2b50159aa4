/** How a board of two layers was said before version 10. */
const isOld = (kept: object): kept is { readonly outerLayerMm: unknown } =>
  'way' in kept && kept.way === 'layered' && 'outerLayerMm' in kept;

/**
 * What an older Fellside kept, a document, a ring of the stash or steps to undo, with the layers of its boards as a list:
 * one outer layer and what is left, as they were; and where the `path` of a step leads.
 */
export function layersListed(kept: unknown): unknown {
  if (Array.isArray(kept)) return kept.map(layersListed);
  if (typeof kept !== 'object' || kept === null) return kept;
  if (isOld(kept)) {
    const { outerLayerMm, ...rest } = kept;
    return { ...rest, board: { laid: 'outside-in', layersMm: [outerLayerMm] } };
  }
  return Object.fromEntries(
    Object.entries(kept).map(([key, value]) => [
      key,
      key === 'path' && Array.isArray(value)
        ? value.flatMap((step) => (step === 'outerLayerMm' ? ['board', 'layersMm', 0] : [step]))
        : layersListed(value),
    ]),
  );
}
