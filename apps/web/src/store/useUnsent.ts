import { useEffect, useState } from 'react';
import { unsentPieces } from './drafts.js';
import { useApp } from './store.js';

/** Pieces with edits that are not on the server, kept in this browser by any of its windows. */
export interface Unsent {
  readonly pieces: ReadonlyMap<string, { readonly name: string; readonly at: string }>;
  /** How many of them this page is sending just now. */
  readonly sending: number;
}

export function useUnsent(): Unsent {
  const outbox = useApp((state) => state.outbox);
  const [kept, setKept] = useState<Unsent['pieces']>(new Map());
  useEffect(() => {
    let here = true;
    void unsentPieces().then((found) => here && setKept(found));
    return () => {
      here = false;
    };
  }, [outbox]);
  const left = Object.values(outbox);
  const pieces = new Map(kept);
  for (const { id, edited } of left)
    if (!pieces.has(id)) pieces.set(id, { name: edited.project.name, at: '' });
  return { pieces, sending: left.filter(({ safety }) => safety !== 'stale' && safety !== 'refused').length };
}
