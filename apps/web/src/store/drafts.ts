import type { Edited, Project } from '@fellside/core';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import { windowName } from './windows.js';

type Step = Edited['history']['past'][number];

/** Edits that are not on the server yet, of one window at one piece, kept in this browser. */
export interface Draft {
  readonly window: string;
  readonly piece: string;
  readonly revision: number;
  readonly edited: Edited;
  /** The document that they were made to, as the server had it; null where it is not known. */
  readonly base: Project | null;
  /** ISO time of the last edit. */
  readonly at: string;
}

/** A draft as it lies in the store: its steps to undo each in a row of their own, so that an edit writes only its own. */
export interface Row extends Omit<Draft, 'edited' | 'base'> {
  readonly base?: Project | null;
  readonly project: Edited['project'];
  readonly past: readonly number[];
  readonly future: readonly number[];
}

export interface Drafts extends DBSchema {
  drafts: { key: [window: string, piece: string]; value: Row; indexes: { piece: string } };
  steps: { key: [window: string, piece: string, step: number]; value: { step: Step } & StepKey };
}
interface StepKey {
  readonly window: string;
  readonly piece: string;
  readonly n: number;
}

let opened: Promise<IDBPDatabase<Drafts>> | null = null;

export function database(): Promise<IDBPDatabase<Drafts>> {
  opened ??= openDB<Drafts>('fellside', 1, {
    upgrade(db) {
      db.createObjectStore('drafts', { keyPath: ['window', 'piece'] }).createIndex('piece', 'piece');
      db.createObjectStore('steps', { keyPath: ['window', 'piece', 'n'] });
    },
    terminated: forgetDatabase,
  }).catch((error) => {
    opened = null;
    throw error;
  });
  return opened;
}

/** Opens the store anew the next time; for one that was closed or lost. */
export function forgetDatabase(): void {
  opened = null;
  inStore.clear();
}

/** Numbers of steps, and which of them lie in the store under which draft. */
const numbers = new WeakMap<Step, number>();
let counter = Date.now();
const inStore = new Map<string, Set<number>>();

function numberOf(step: Step): number {
  const known = numbers.get(step) ?? ++counter;
  numbers.set(step, known);
  return known;
}

interface Keeping {
  readonly revision: number;
  readonly edited: Edited;
  readonly base?: Project | null;
}

/** What is to be written next for each piece, and the write that is under way. */
const next = new Map<string, Keeping>();
const writing = new Map<string, Promise<boolean>>();

/**
 * Keeps the edits of this window at a piece; of several in a row only the last is written. Says whether they are in the
 * store: a full or forbidden one keeps nothing.
 */
export function keepDraft(piece: string, draft: Keeping): Promise<boolean> {
  next.set(piece, draft);
  const under = writing.get(piece);
  if (under) return under.then(() => (next.has(piece) ? keepDraft(piece, next.get(piece)!) : true));
  const work = write(piece)
    .catch(() => false)
    .finally(() => writing.delete(piece));
  writing.set(piece, work);
  return work;
}

async function write(piece: string): Promise<boolean> {
  const window = await windowName();
  const db = await database();
  const draft = next.get(piece);
  if (!draft) return true;
  next.delete(piece);
  const { project, history } = draft.edited;
  const known = inStore.get(piece) ?? new Set<number>();
  const done = db.transaction(['drafts', 'steps'], 'readwrite');
  for (const step of [...history.past, ...history.future]) {
    const n = numberOf(step);
    if (known.has(n)) continue;
    void done.objectStore('steps').put({ step, window, piece, n });
    known.add(n);
  }
  void done.objectStore('drafts').put({
    window,
    piece,
    revision: draft.revision,
    base: draft.base ?? null,
    project,
    past: history.past.map(numberOf),
    future: history.future.map(numberOf),
    at: new Date().toISOString(),
  });
  await done.done;
  inStore.set(piece, known);
  return true;
}

/** Drops the draft of this window, or of another that is named. */
export async function dropDraft(piece: string, of?: string): Promise<void> {
  next.delete(piece);
  await writing.get(piece);
  try {
    const own = await windowName();
    const window = of ?? own;
    const db = await database();
    const done = db.transaction(['drafts', 'steps'], 'readwrite');
    void done.objectStore('drafts').delete([window, piece]);
    void done
      .objectStore('steps')
      .delete(IDBKeyRange.bound([window, piece, 0], [window, piece, Number.MAX_VALUE]));
    await done.done;
    if (window === own) inStore.delete(piece);
  } catch {
    // What cannot be dropped is told as kept edits the next time, and compared with what is saved.
  }
}

/** Names of pieces with edits that never reached the server, with when the last of them was. */
export async function unsentPieces(): Promise<
  ReadonlyMap<string, { readonly name: string; readonly at: string }>
> {
  try {
    await takeOver();
    const rows = await (await database()).getAll('drafts');
    return new Map(rows.map(({ piece, project, at }) => [piece, { name: project.name, at }]));
  } catch {
    return new Map();
  }
}

const OLD = 'fellside.draft.';

/** Drafts that an older Fellside kept elsewhere in this browser move over, once. */
export async function takeOver(): Promise<void> {
  if (typeof localStorage === 'undefined') return;
  for (const key of Object.keys(localStorage).filter((each) => each.startsWith(OLD))) {
    const { revision, edited } = JSON.parse(localStorage.getItem(key)!) as Keeping;
    const row: Row = {
      window: 'before',
      piece: key.slice(OLD.length),
      revision,
      project: edited.project,
      past: [],
      future: [],
      at: new Date().toISOString(),
    };
    await (await database()).put('drafts', row);
    localStorage.removeItem(key);
  }
}
