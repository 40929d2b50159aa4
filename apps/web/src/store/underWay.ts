type Tell = (action: unknown) => unknown;

/** Work that is under way in a store, by piece. */
export function underWay() {
  const stores = new WeakMap<Tell, Map<string, Promise<void>>>();
  return (store: Tell, id: string, work: () => Promise<void>): Promise<void> => {
    const pieces = stores.get(store) ?? new Map<string, Promise<void>>();
    stores.set(store, pieces);
    const now = pieces.get(id) ?? work().finally(() => pieces.delete(id));
    pieces.set(id, now);
    return now;
  };
}
