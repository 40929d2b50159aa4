import type { JournalEntry } from '@fellside/core';
import { useMemo } from 'react';
import { api } from '../../store/api.js';
import { useApp } from '../../store/store.js';

const NONE: readonly JournalEntry[] = [];

/** The journal of a piece: what the server has, and what is on its way there; `known` once the server was heard. */
export function useEntries(piece: string): {
  readonly entries: readonly JournalEntry[];
  readonly known: boolean;
} {
  const { data } = api.useJournalQuery(piece, { refetchOnMountOrArgChange: true });
  const unsent = useApp((state) => state.journal.unsent[piece]);
  const entries = useMemo(() => {
    const there = data?.entries ?? NONE;
    if (!unsent) return there;
    const ids = new Set(there.map(({ id }) => id));
    return [...there, ...unsent.filter(({ id }) => !ids.has(id))];
  }, [data, unsent]);
  return { entries, known: data !== undefined };
}
