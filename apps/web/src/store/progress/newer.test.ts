import 'fake-indexeddb/auto';
import { edit, mm, NO_HISTORY, type Project } from '@fellside/core';
import { demoProjects } from '@fellside/core/demo';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { SavedProject } from '../api.js';
import { forgetDatabase } from '../drafts.js';
import { editPiece, previewPiece, settlePreview } from '../edits.js';
import { piece } from '../pieceSlice.js';
import { createStore } from '../store.js';
import { bringTogether } from '../together.js';
import { takeNewer } from './newer.js';

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

const follows = (store: ReturnType<typeof createStore>) =>
  vi.waitFor(() => expect(['saved', 'stale']).toContain(store.getState().piece.safety), { timeout: 8000 });

test('a ring that came to be cut here while other devices save theirs: all of it is on disk, none is at odds', async () => {
  const store = opened();
  meanwhile = [cut(3), cut(4)];
  store.dispatch(editPiece(edit.keepAsMade({ cut: [8], stacked: [] })));
  await follows(store);
  expect(cutRings()).toEqual([3, 4, 8]);
  expect(store.getState().piece).toMatchObject({ safety: 'saved', revision: stands.revision });
  expect(store.getState().piece.edited!.project.rings[3]!.cut).toBe(true);
});

test('what both changed is told and kept on both sides, until somebody says whose stands', async () => {
  const store = opened();
  meanwhile = [(document) => ({ ...document, name: 'Theirs' })];
  store.dispatch(editPiece(edit.rename('Mine')));
  store.dispatch(editPiece(edit.setWall(mm(7))));
  await follows(store);
  const { safety, other } = store.getState().piece;
  expect([safety, stands.document.name]).toEqual(['stale', 'Theirs']);
  if (other?.what !== 'changed') throw new Error('other');
  expect(store.dispatch((act, get) => bringTogether(other.piece, act as never, get))).toEqual([
    'Both changed ',
    'its name',
    '.',
  ]);
  expect(store.dispatch((act, get) => bringTogether(other.piece, act as never, get, 'mine'))).toBeNull();
  await vi.waitFor(() => expect(stands.document.name).toBe('Mine'), { timeout: 4000 });
  expect(stands.document.form.inside).toMatchObject({ walls: [{ wallMm: 7 }] });
});

test('under a hand that moves nothing is brought together; when it rests, both are there', async () => {
  const store = opened();
  meanwhile = [cut(3)];
  store.dispatch(editPiece(edit.setWall(mm(7))));
  store.dispatch(previewPiece(edit.setWall(mm(8))));
  await new Promise((go) => setTimeout(go, 900));
  expect(store.getState().piece.preview).not.toBeNull();
  expect(store.getState().piece.edited!.project.rings[3]!.cut).toBeUndefined();
  store.dispatch(settlePreview());
  await vi.waitFor(() => expect(store.getState().piece.safety).toBe('saved'), { timeout: 8000 });
  expect(cutRings()).toEqual([3]);
  expect(stands.document.form.inside).toMatchObject({ walls: [{ wallMm: 8 }] });
});

test('what another device saved is taken in while nothing is under way here', async () => {
  const store = opened();
  stands = { ...stands, revision: 2, document: cut(5)(stands.document) };
  await store.dispatch(takeNewer());
  expect(store.getState().piece).toMatchObject({ revision: 2, safety: 'saved' });
  // What is known already is not asked for again.
  const asked = vi.spyOn(globalThis, 'fetch');
  await store.dispatch(takeNewer(2));
  expect(asked).not.toHaveBeenCalled();
  asked.mockRestore();
  stands = { ...stands, revision: 3, document: cut(6)(stands.document) };
  store.dispatch(previewPiece(edit.setWall(mm(8))));
  await store.dispatch(takeNewer());
  expect(store.getState().piece.revision).toBe(2);
});
