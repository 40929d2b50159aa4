import { NO_HISTORY, readProject, SCHEMA_VERSION, upgradedSteps } from '@fellside/core';
import type { IDBPDatabase } from 'idb';
import { type Draft, type Drafts, database, type Row, takeOver } from './drafts.js';

/** Drafts of a piece in this browser, of all windows, the newest first; those of an older Fellside brought up to date. */
export async function draftsOf(piece: string): Promise<Draft[]> {
  try {
    await takeOver();
    const db = await database();
    const rows = await db.getAllFromIndex('drafts', 'piece', piece);
    const drafts = await Promise.all(rows.map((row) => whole(db, row)));
    return drafts.flatMap((draft) => upToDate(draft) ?? []).sort((a, b) => (a.at < b.at ? 1 : -1));
  } catch {
    return [];
  }
}

async function whole(db: IDBPDatabase<Drafts>, row: Row): Promise<Draft> {
  const { window, piece, revision, project, base = null, at } = row;
  const steps = async (ns: readonly number[]) => {
    const found = await Promise.all(ns.map((n) => db.get('steps', [window, piece, n])));
    return found.every(Boolean) ? found.map((each) => each!.step) : [];
  };
  const history = { past: await steps(row.past), future: await steps(row.future) };
  return { window, piece, revision, edited: { project, history }, base, at };
}

/** A draft that an older Fellside kept, brought up to date with those of its steps to undo that still fit. */
function upToDate(draft: Draft): Draft | null {
  const { project, history } = draft.edited;
  if (project.schema === SCHEMA_VERSION) return draft;
  const read = readProject(project);
  const steps = upgradedSteps(history, project.schema);
  const base = draft.base && readProject(draft.base);
  return read.ok
    ? {
        ...draft,
        edited: { project: read.value, history: steps ?? NO_HISTORY },
        base: base?.ok ? base.value : null,
      }
    : null;
}
