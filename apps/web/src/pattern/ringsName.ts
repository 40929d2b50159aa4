/** Rings in words: `ring 3`, `rings 3 to 9`, `5 rings`. */
export function ringsName(rings: readonly number[]): string {
  const sorted = [...rings].sort((a, b) => a - b);
  const [first, last] = [sorted[0]!, sorted.at(-1)!];
  if (sorted.length === 1) return `ring ${first + 1}`;
  return last - first + 1 === sorted.length ? `rings ${first + 1} to ${last + 1}` : `${sorted.length} rings`;
}
