import 'fake-indexeddb/auto';
import { edit, mm, NO_HISTORY, type Project } from '@fellside/core';
import { demoProjects } from '@fellside/core/demo';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { SavedProject } from '../api.js';
import { forgetDatabase } from '../drafts.js';
import { editPiece } from '../edits.js';
import { piece } from '../pieceSlice.js';
import { createStore } from '../store.js';
import { onNewest } from './newer.js';

/** One piece on a server: read, and written where the revision is the one that stands. */
let stands: SavedProject;
/** What another device saves in the moment between a read here and the write that follows it. */
let meanwhile: ((document: Project) => Project)[] = [];

const answer = (status: number, body: unknown) =>
  new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });

beforeEach(() => {
  vi.stubGlobal('indexedDB', new IDBFactory());
  forgetDatabase();
  localStorage.clear();
  const [cup] = demoProjects();
  stands = { id: 'cup', revision: 1, document: cup!, history: NO_HISTORY, savedAt: '2026-11-29T10:00:00Z' };
  meanwhile = [];
  vi.stubGlobal('fetch', async (input: Request) => {
    if (input.method === 'GET') return answer(200, stands);
    const other = meanwhile.shift();
    if (other) stands = { ...stands, revision: stands.revision + 1, document: other(stands.document) };
    const { revision, document } = await input.json();
    if (revision !== stands.revision)
      return answer(409, { code: 'stale', message: 'changed', current: stands });
    stands = { ...stands, revision: revision + 1, document };
    return answer(200, { id: 'cup', revision: revision + 1, savedAt: stands.savedAt });
  });
});
afterEach(() => {
  vi.unstubAllGlobals();
});

const cut = (ring: number) => (document: Project) => ({
  ...document,
  rings: document.rings.map((each, i) => (i === ring ? { ...each, cut: true as const } : each)),
});
const cutRings = () => stands.document.rings.flatMap(({ cut }, i) => (cut ? [i] : []));
const opened = () => {
  const store = createStore();
  store.dispatch(piece.opened(stands));
  return store;
};

test('a ring that came to be cut here while other devices save theirs: all of it is on disk, none is at odds', async () => {
  const store = opened();
  meanwhile = [cut(3), cut(4)];
  await store.dispatch(onNewest(() => store.dispatch(editPiece(edit.keepAsMade({ cut: [8], stacked: [] })))));
  expect(cutRings()).toEqual([3, 4, 8]);
  expect(store.getState().piece).toMatchObject({ safety: 'saved', revision: stands.revision });
  expect(store.getState().piece.edited!.project.rings[3]!.cut).toBe(true);
});

test('what is under way here is not thrown away for it: then the two are at odds, and it is told', async () => {
  const store = opened();
  store.dispatch(editPiece(edit.setWall(mm(7))));
  meanwhile = [cut(3)];
  await store.dispatch(onNewest(() => store.dispatch(editPiece(edit.keepAsMade({ cut: [8], stacked: [] })))));
  await vi.waitFor(() => expect(store.getState().piece.safety).toBe('stale'), { timeout: 4000 });
  expect(store.getState().piece.edited!.project.rings[8]!.cut).toBe(true);
  expect(store.getState().piece.edited!.project.form.inside).toMatchObject({ walls: [{ wallMm: 7 }] });
  expect(cutRings()).toEqual([3]);
});

test('a device that never finds it free gives up, told, after a few tries', async () => {
  const store = opened();
  meanwhile = Array.from({ length: 20 }, (_, i) => cut(i % 7));
  await store.dispatch(onNewest(() => store.dispatch(editPiece(edit.keepAsMade({ cut: [8], stacked: [] })))));
  expect(meanwhile.length).toBeGreaterThan(10);
  expect(cutRings()).not.toContain(8);
  expect(store.getState().piece).toMatchObject({ safety: 'stale', other: { what: 'changed' } });
  expect(store.getState().piece.edited!.project.rings[8]!.cut).toBe(true);
});
