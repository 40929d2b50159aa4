import { edit, mm, NO_HISTORY, type Project } from '@fellside/core';
import { demoProjects } from '@fellside/core/demo';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import type { SavedProject } from './api.js';
import { openPiece } from './autosave.js';
import { draftOf, keepDraft } from './drafts.js';
import { editPiece, previewPiece, redo, settlePreview, undo } from './edits.js';
import { piece } from './pieceSlice.js';
import { planOf, preparedOf, projectOf } from './selectors.js';
import { session } from './sessionSlice.js';
import { createStore } from './store.js';

const saved = (revision = 1): SavedProject => ({
  id: 'cup',
  revision,
  document: demoProjects()[0]!,
  history: NO_HISTORY,
  savedAt: '2026-11-23T10:00:00Z',
});

type Answer = { status: number; body?: unknown } | 'away';
let answers: Answer[] = [];
let sent: SavedProject[] = [];

beforeEach(() => {
  vi.useFakeTimers();
  localStorage.clear();
  [answers, sent] = [[], []];
  vi.stubGlobal('fetch', async (input: Request) => {
    const body = await input.json();
    sent.push(body);
    const answer = answers.shift() ?? { status: 200 };
    if (answer === 'away') throw new TypeError('connection refused');
    const reply = answer.body ?? { ...saved(body.revision + 1), document: body.document };
    return new Response(JSON.stringify(reply), {
      status: answer.status,
      headers: { 'content-type': 'application/json' },
    });
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const opened = () => {
  const store = createStore();
  store.dispatch(openPiece(saved()) as never);
  return store;
};
const wallIn = (project: Project | undefined) =>
  project?.form.inside.by === 'wall' ? project.form.inside.walls[0]!.wallMm : undefined;
const wall = (value: number) => editPiece(edit.setWall(mm(value)));

describe('autosave', () => {
  test('edits close together are one save; the draft goes when it is on disk', async () => {
    const store = opened();
    store.dispatch(wall(6));
    store.dispatch(wall(7));
    expect(store.getState().piece.safety).toBe('unsaved');
    expect(wallIn(draftOf('cup')?.edited.project)).toBe(7);
    await vi.advanceTimersByTimeAsync(1000);
    expect(sent.map(({ document }) => wallIn(document))).toEqual([7]);
    expect(store.getState().piece).toMatchObject({ safety: 'saved', revision: 2 });
    expect(draftOf('cup')).toBeNull();
  });

  test('while the server is away nothing is called saved, and it is tried until it answers', async () => {
    answers = ['away', 'away', { status: 200 }];
    const store = opened();
    store.dispatch(wall(6));
    await vi.advanceTimersByTimeAsync(1000);
    expect(store.getState().piece.safety).toBe('away');
    expect(wallIn(draftOf('cup')?.edited.project)).toBe(6);
    await vi.advanceTimersByTimeAsync(10_000);
    expect(store.getState().piece.safety).toBe('saved');
  });

  test('a stale save keeps both sides and stops saving', async () => {
    const theirs = { ...saved(5), document: { ...saved().document, name: 'Theirs' } };
    answers = [{ status: 409, body: { current: theirs } }];
    const store = opened();
    store.dispatch(wall(6));
    await vi.advanceTimersByTimeAsync(1000);
    store.dispatch(wall(9));
    await vi.advanceTimersByTimeAsync(5000);
    expect(store.getState().piece).toMatchObject({ safety: 'stale', other: { revision: 5 } });
    expect(wallIn(store.getState().piece.edited?.project)).toBe(9);
    expect(wallIn(draftOf('cup')?.edited.project)).toBe(9);
    expect(sent).toHaveLength(1);
  });

  test.each([404, 422])(
    'a save refused with %i is not tried for ever: it says why, and the next edit tries again',
    async (status) => {
      answers = [{ status, body: { message: 'There is no such piece on the shelf.' } }];
      const store = opened();
      store.dispatch(wall(6));
      await vi.advanceTimersByTimeAsync(20_000);
      expect(sent).toHaveLength(1);
      expect(store.getState().piece).toMatchObject({
        safety: 'refused',
        refused: [{ message: 'There is no such piece on the shelf.' }],
      });
      store.dispatch(wall(7));
      await vi.advanceTimersByTimeAsync(1000);
      expect(store.getState().piece.safety).toBe('saved');
    },
  );

  test('a save whose answer was lost is not a conflict', async () => {
    const store = opened();
    store.dispatch(wall(6));
    const mine = store.getState().piece.edited!.project;
    answers = [{ status: 409, body: { current: { ...saved(2), document: mine } } }];
    await vi.advanceTimersByTimeAsync(1000);
    expect(store.getState().piece).toMatchObject({ safety: 'saved', revision: 2 });
  });

  test('edits that never reached the server come back when the piece is opened again', async () => {
    const first = opened();
    first.dispatch(wall(6));
    const edited = first.getState().piece.edited!;
    keepDraft('cup', { revision: 1, edited });
    const again = opened();
    expect(again.getState().piece).toMatchObject({
      safety: 'unsaved',
      edited: { project: { form: { inside: { walls: [{ wallMm: 6 }] } } } },
    });
    keepDraft('cup', { revision: 0, edited });
    expect(opened().getState().piece.safety).toBe('stale');
  });
});

test('undo and redo go through every edit and end where they began', () => {
  const store = opened();
  store.dispatch(wall(6));
  store.dispatch(editPiece(edit.setCount([8], 12)));
  store.dispatch(undo());
  store.dispatch(undo());
  store.dispatch(undo());
  expect(store.getState().piece.edited?.project).toEqual(saved().document);
  store.dispatch(redo());
  store.dispatch(redo());
  expect(store.getState().piece.edited?.project.rings[8]?.making).toEqual({ way: 'flat', count: 12 });
});

test('what is refused changes nothing and says why', () => {
  const store = opened();
  store.dispatch(editPiece(edit.setRingHeight([3], mm(-5))));
  expect(store.getState().piece).toMatchObject({ safety: 'saved', refused: [{ code: 'too_small' }] });
  expect(store.getState().piece.edited?.history.past).toEqual([]);
});

describe('a gesture', () => {
  const shown = (store: ReturnType<typeof opened>) => wallIn(projectOf(store.getState()));
  const drag = (value: number) => previewPiece(edit.setWall(mm(value)));
  test('shows where it leads without saving; let go it is one step to undo', () => {
    const store = opened();
    for (const value of [6, 8, 9]) store.dispatch(drag(value));
    expect(shown(store)).toBe(9);
    expect(store.getState().piece).toMatchObject({ safety: 'saved', edited: { history: { past: [] } } });
    store.dispatch(settlePreview());
    expect(shown(store)).toBe(9);
    expect(store.getState().piece.edited?.history.past.map(({ label }) => label)).toEqual(['Wall thickness']);
    store.dispatch(undo());
    expect(shown(store)).toBe(wallIn(saved().document));
  });
  test('is held back where it cannot go, says why, and stays where it last could', () => {
    const store = opened();
    store.dispatch(drag(8));
    store.dispatch(drag(200));
    expect(shown(store)).toBe(8);
    expect(store.getState().piece.refused[0]?.message).toMatch(/fills the form/);
    store.dispatch(piece.putBack());
    expect(shown(store)).toBe(wallIn(saved().document));
    expect(store.getState().piece.refused).toEqual([]);
  });
});

test('a draft that an older Fellside kept comes back without steps that no longer fit', () => {
  const old = {
    revision: 1,
    edited: {
      project: {
        ...saved().document,
        schema: 1,
        form: { points: saved().document.form.points, wallMm: 8, floorMm: 84 },
        underlay: undefined,
      },
      history: { past: [{ label: 'x', patches: [], inverse: [] }], future: [] },
    },
  };
  localStorage.setItem('fellside.draft.cup', JSON.stringify(old));
  const draft = draftOf('cup');
  expect(wallIn(draft?.edited.project)).toBe(8);
  expect(draft?.edited.history.past).toEqual([]);
});

test('renaming does not work the rings out again; the plan is the same object until something changes', () => {
  const store = opened();
  const [prepared, plan] = [preparedOf(store.getState()), planOf(store.getState())];
  store.dispatch(session.viewed(2));
  expect(planOf(store.getState())).toBe(plan);
  store.dispatch(editPiece(edit.rename('Other')));
  expect(preparedOf(store.getState())).toBe(prepared);
});

test('Shift extends the selection from the ring last clicked, Ctrl adds and takes away', () => {
  const store = createStore();
  const selected = () => store.getState().session.selected;
  store.dispatch(session.clicked({ ring: 2 }));
  store.dispatch(session.clicked({ ring: 5, extend: true }));
  expect([...selected()].sort()).toEqual([2, 3, 4, 5]);
  store.dispatch(session.clicked({ ring: 3, toggle: true }));
  store.dispatch(session.clicked({ ring: 9, toggle: true }));
  expect(selected()).toEqual([2, 4, 5, 9]);
});
