import type { SegmentedParams } from './params.js';

/** What is written on pieces that keep their order; nothing where it does not matter. `places` are those of the segments. */
export function marksOf(
  { count, inOrder, after }: SegmentedParams,
  places: number,
): ((place: number) => string | null) | undefined {
  const opened = after?.done === 'opened';
  if (!inOrder && !opened) return undefined;
  return (place) => {
    if (place >= places) return null;
    const segment = place % count;
    if (!opened) return String(segment + 1);
    return segment < count / 2 ? `${segment + 1}a` : `${count - segment}b`;
  };
}

/** Segments i and N − 1 − i are the two leaves of one piece, in every layer. */
export const pairsOfBook = (places: number, count: number): number[][] =>
  Array.from({ length: places / 2 }, (_, i) => {
    const [layer, leaf] = [Math.floor(i / (count / 2)), i % (count / 2)];
    return [layer * count + leaf, layer * count + count - 1 - leaf];
  });
