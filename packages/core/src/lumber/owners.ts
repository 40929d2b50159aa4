/** How many rings and blanks a piece has, by which its lists count: rings, then blanks, then slanted bands. */
interface Counts {
  readonly rings: { readonly length: number };
  readonly blanks?: { readonly length: number } | undefined;
}

/** Says what pieces of a list belong to by its number. */
export type Owner = (index: number) => string;

export const ringName: Owner = (index) => `ring ${index + 1}`;

/** What pieces of a list belong to, as it is said: `ring 3`, `blank 1`, `slanted band 2`. */
export function ownerName({ rings, blanks }: Counts, index: number): string {
  const beside = index - rings.length;
  if (beside < 0) return `ring ${index + 1}`;
  const bands = beside - (blanks?.length ?? 0);
  return bands < 0 ? `blank ${beside + 1}` : `slanted band ${bands + 1}`;
}
