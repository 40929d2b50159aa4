/** One closed path for all places of a ring that have the same wood, by palette key. */
export function woodPaths<P extends { readonly place: number }>(
  parts: readonly P[],
  woods: readonly string[],
  outline: (part: P) => string,
): readonly (readonly [key: string, path: string])[] {
  const paths = new Map<string, string>();
  for (const part of parts) {
    const key = woods[part.place]!;
    paths.set(key, (paths.get(key) ?? '') + outline(part));
  }
  return [...paths];
}
