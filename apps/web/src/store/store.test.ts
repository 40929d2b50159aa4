import { plain } from '@fellside/core';
import { saving } from './saving.js';
import { clickRing, type Keys, selectedRingsOf } from './selection.js';
import 'fake-indexeddb/auto';
import { edit, mm, NO_HISTORY, type Project, plan, run } from '@fellside/core';
import { demoProjects } from '@fellside/core/demo';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import type { SavedProject } from './api.js';
import { dropDraft, forgetDatabase, keepDraft, unsentPieces } from './drafts.js';
import { editPiece, previewPiece, settlePreview } from './edits.js';
import { projectOf } from './house.js';
import { draftsOf } from './keptDrafts.js';
import { leavePiece } from './leavePiece.js';
import { openPiece } from './opening.js';
import { piece } from './pieceSlice.js';
import { planTold } from './planning.js';
import { planAskOf, planOf, preparedOf } from './selectors.js';
import { session } from './sessionSlice.js';
import { createStore } from './store.js';
import { redo, undo } from './undoing.js';
import { windowName } from './windows.js';

const saved = (revision = 1, id = 'cup'): SavedProject => ({
  id,
  revision,
  document: demoProjects()[0]!,
  history: NO_HISTORY,
  savedAt: '2026-11-23T10:00:00Z',
});

type Answer = { status: number; body?: unknown } | 'away';
let answers: Answer[] = [];
let sent: (SavedProject & { readonly url: string })[] = [];
/** Held back until it is let go: an answer on its way. */
let hold: Promise<void> | null = null;

beforeEach(() => {
  vi.stubGlobal('indexedDB', new IDBFactory());
  forgetDatabase();
  localStorage.clear();
  [answers, sent, hold] = [[], [], null];
  vi.stubGlobal('fetch', async (input: Request) => {
    const body = await input.json();
    sent.push({ ...body, url: input.url });
    await hold;
    const answer = answers.shift() ?? { status: 200 };
    if (answer === 'away') throw new TypeError('connection refused');
    const reply = answer.body ?? { id: 'cup', revision: body.revision + 1, savedAt: '2026-11-23T11:00:00Z' };
    return new Response(JSON.stringify(reply), {
      status: answer.status,
      headers: { 'content-type': 'application/json' },
    });
  });
});
afterEach(() => {
  vi.unstubAllGlobals();
});

const open = async (found = saved()) => {
  const store = createStore();
  await store.dispatch(openPiece(found));
  return store;
};
/** With that piece open at once, as for tests that are not about drafts. */
const opened = () => {
  const store = createStore();
  store.dispatch(piece.opened(saved()));
  return store;
};
const wallIn = (project: Project | undefined) =>
  project?.form.inside.by === 'wall' ? project.form.inside.walls[0]!.wallMm : undefined;
const wall = (value: number) => editPiece(edit.setWall(mm(value)));
const draftOf = async (id = 'cup') => (await draftsOf(id))[0] ?? null;
const until = (is: () => unknown, timeout = 4000) => vi.waitFor(() => expect(is()).toBe(true), { timeout });
const safetyOf = (store: ReturnType<typeof opened>) => store.getState().piece.safety;

describe('autosave', () => {
  test('edits close together are one save; the draft goes when it is on disk', async () => {
    const store = await open();
    store.dispatch(wall(6));
    store.dispatch(wall(7));
    expect(safetyOf(store)).toBe('unsaved');
    await vi.waitFor(async () => expect(wallIn((await draftOf())?.edited.project)).toBe(7));
    await until(() => safetyOf(store) === 'saved');
    expect(sent.map(({ document }) => wallIn(document))).toEqual([7]);
    expect(store.getState().piece).toMatchObject({ revision: 2 });
    await vi.waitFor(async () => expect(await draftOf()).toBeNull());
  });

  test('while the server is away nothing is called saved, and it is tried until it answers', async () => {
    answers = [
      'away',
      { status: 503, body: { message: 'Nothing was saved. The disk is full.' } },
      { status: 200 },
    ];
    const store = await open();
    store.dispatch(wall(6));
    await until(() => safetyOf(store) === 'away');
    expect(store.getState().piece.trouble).toBe('the server does not answer');
    expect(wallIn((await draftOf())?.edited.project)).toBe(6);
    await until(() => store.getState().piece.trouble === 'Nothing was saved. The disk is full');
    await until(() => safetyOf(store) === 'saved', 8000);
    expect(sent).toHaveLength(3);
  });

  test('a piece left while it is being saved, and the one opened after it, are both sent', async () => {
    let go = () => {};
    hold = new Promise((let_) => {
      go = let_;
    });
    const store = await open();
    store.dispatch(wall(6));
    await until(() => sent.length === 1);
    store.dispatch(wall(6.5));
    await store.dispatch(openPiece(saved(1, 'bowl')));
    store.dispatch(wall(9));
    await until(() => sent.length === 2);
    expect(Object.keys(store.getState().outbox)).toEqual(['cup']);
    go();
    await until(() => sent.length === 3 && safetyOf(store) === 'saved' && !store.getState().outbox.cup);
    const last = (id: string) => sent.filter(({ url }) => url.endsWith(id)).at(-1);
    expect(wallIn(last('cup')?.document)).toBe(6.5);
    expect(last('cup')?.revision).toBe(2);
    expect(wallIn(last('bowl')?.document)).toBe(9);
    await vi.waitFor(async () => expect((await unsentPieces()).size).toBe(0));
  });

  test('a piece left with unsent edits is opened again with them', async () => {
    answers = Array.from({ length: 5 }, () => 'away' as const);
    const store = await open();
    store.dispatch(wall(6));
    await until(() => safetyOf(store) === 'away');
    store.dispatch(leavePiece());
    expect(store.getState().piece.id).toBeNull();
    await store.dispatch(openPiece(saved()));
    expect(wallIn(projectOf(store.getState()))).toBe(6);
    expect(store.getState().outbox).toEqual({});
    answers = [];
    await until(() => safetyOf(store) === 'saved', 8000);
  });

  const after = (document: Project, value: number): Project => {
    const changed = run(document, edit.setWall(mm(value)));
    return changed.ok ? changed.value.project : document;
  };
  test.each([
    ['changed', { current: { ...saved(5), document: after(saved().document, 8) } }],
    ['removed', { code: 'removed', current: saved(5) }],
  ] as const)('a piece %s elsewhere: both sides are kept and nothing more is sent', async (what, body) => {
    answers = [{ status: 409, body }];
    const store = await open();
    store.dispatch(wall(6));
    await until(() => safetyOf(store) === 'stale');
    store.dispatch(wall(9));
    await new Promise((go) => setTimeout(go, 600));
    expect(store.getState().piece).toMatchObject({
      safety: 'stale',
      other: { what, piece: { revision: 5 } },
    });
    expect(wallIn(store.getState().piece.edited?.project)).toBe(9);
    expect(wallIn((await draftOf())?.edited.project)).toBe(9);
    expect(sent).toHaveLength(1);
  });

  test('another part changed elsewhere while a save was under way is brought together, and saved over that', async () => {
    answers = [
      { status: 409, body: { current: { ...saved(5), document: { ...saved().document, name: 'Theirs' } } } },
    ];
    const store = await open();
    store.dispatch(wall(6));
    await until(() => safetyOf(store) === 'saved' && sent.length === 2, 8000);
    const { project } = store.getState().piece.edited!;
    expect([project.name, wallIn(project)]).toEqual(['Theirs', 6]);
  });

  test('a piece taken away for good elsewhere keeps what was edited', async () => {
    answers = [{ status: 404, body: { message: 'There is no such piece on the shelf.' } }];
    const store = await open();
    store.dispatch(wall(6));
    await until(() => safetyOf(store) === 'stale');
    expect(store.getState().piece.other).toEqual({ what: 'gone' });
  });

  test('a save refused is not tried for ever: it says why, and the next edit tries again', async () => {
    answers = [{ status: 422, body: { reasons: [{ code: 'x', path: '', message: 'Not so.' }] } }];
    const store = await open();
    store.dispatch(wall(6));
    await until(() => safetyOf(store) === 'refused');
    await new Promise((go) => setTimeout(go, 600));
    expect(sent).toHaveLength(1);
    expect(store.getState().piece.refused).toMatchObject([{ message: 'Not so.' }]);
    store.dispatch(wall(7));
    await until(() => safetyOf(store) === 'saved');
  });

  test('a save whose answer was lost is not a conflict', async () => {
    const store = await open();
    store.dispatch(wall(6));
    const { name, schema, ...rest } = store.getState().piece.edited!.project;
    // The same, its fields in another order.
    const mine = { ...rest, name, schema };
    answers = [{ status: 409, body: { current: { ...saved(2), document: mine } } }];
    await until(() => safetyOf(store) === 'saved');
    expect(store.getState().piece).toMatchObject({ revision: 2 });
  });
});

describe('drafts', () => {
  test('edits that never reached the server come back; those on an older revision are a conflict', async () => {
    const first = await open();
    first.dispatch(wall(6));
    const { edited } = first.getState().piece;
    await keepDraft('cup', { revision: 1, edited: edited! });
    const again = await open();
    expect(again.getState().piece).toMatchObject({
      safety: 'unsaved',
      edited: { project: { form: { inside: { walls: [{ wallMm: 6 }] } } }, history: { past: [{}] } },
    });
    await keepDraft('cup', { revision: 0, edited: edited! });
    expect(safetyOf(await open(saved(4)))).toBe('stale');
  });

  test('edits of an earlier visit, and others that were saved elsewhere since, are brought together when it is opened', async () => {
    const first = await open();
    first.dispatch(wall(6));
    const { edited, base } = first.getState().piece;
    await keepDraft('cup', { revision: 1, edited: edited!, base });
    const theirs = { ...saved(4), document: { ...saved().document, name: 'Named elsewhere' } };
    const again = await open(theirs);
    await until(() => safetyOf(again) === 'saved');
    expect(projectOf(again.getState()).name).toBe('Named elsewhere');
    expect(wallIn(projectOf(again.getState()))).toBe(6);
    expect(sent.at(-1)!.revision).toBe(4);
    // Not knowing what they were made to, it is asked.
    await keepDraft('cup', { revision: 1, edited: edited! });
    expect(safetyOf(await open(theirs))).toBe('stale');
  });

  test('of another window that is open is neither taken nor dropped; of one that was closed is taken over', async () => {
    const edited = { project: { ...saved().document, name: 'Theirs' }, history: NO_HISTORY };
    await keepDraft('cup', { revision: 1, edited });
    const own = await windowName();
    await renameDraft(own, 'other');
    const channel = new BroadcastChannel('fellside.windows');
    channel.onmessage = ({ data }) => {
      if (data.ask === 'other') channel.postMessage({ from: 'there', answer: 'other' });
    };
    const beside = await open();
    expect(projectOf(beside.getState()).name).toBe('Fell Race Cup');
    beside.dispatch(wall(6));
    await until(() => safetyOf(beside) === 'saved');
    expect((await draftsOf('cup')).map(({ window }) => window)).toEqual(['other']);
    channel.close();
    const after = await open();
    expect(projectOf(after.getState()).name).toBe('Theirs');
  });

  test('a store that is full is told: the edits are kept nowhere but here', async () => {
    answers = ['away', 'away'];
    const store = await open();
    vi.stubGlobal('indexedDB', {
      open() {
        throw new DOMException('full', 'QuotaExceededError');
      },
    });
    forgetDatabase();
    store.dispatch(wall(6));
    await until(() => store.getState().piece.kept === 'nowhere');
    await until(() => safetyOf(store) === 'saved', 12_000);
  });

  test('an edit writes its own step and not the whole history', async () => {
    const store = await open();
    for (let n = 0; n < 30; n++) store.dispatch(wall(6 + n / 10));
    await keepDraft('cup', { revision: 1, edited: store.getState().piece.edited! });
    const put = vi.spyOn(IDBObjectStore.prototype, 'put');
    store.dispatch(wall(5));
    await keepDraft('cup', { revision: 1, edited: store.getState().piece.edited! });
    expect(put.mock.calls.filter(([row]) => 'step' in row)).toHaveLength(1);
    put.mockRestore();
    expect((await draftOf())?.edited.history.past).toHaveLength(31);
    await dropDraft('cup');
    expect(await draftOf()).toBeNull();
  });

  test('that an older Fellside kept comes back without steps that no longer fit', async () => {
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
    const draft = await draftOf();
    expect(wallIn(draft?.edited.project)).toBe(8);
    expect(draft?.edited.history.past).toEqual([]);
    expect(localStorage.getItem('fellside.draft.cup')).toBeNull();
  });
});

/** Gives a draft to another window, as if that one had kept it. */
function renameDraft(from: string, to: string): Promise<void> {
  return new Promise((done, failed) => {
    const ask = indexedDB.open('fellside', 1);
    ask.onerror = () => failed(ask.error);
    ask.onsuccess = () => {
      const work = ask.result.transaction('drafts', 'readwrite');
      const drafts = work.objectStore('drafts');
      const read = drafts.get([from, 'cup']);
      read.onsuccess = () => {
        drafts.put({ ...read.result, window: to, past: [], future: [] });
        drafts.delete([from, 'cup']);
      };
      work.oncomplete = () => {
        ask.result.close();
        done();
      };
    };
  });
}

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
  expect(store.getState().piece.edited?.project.rings[8]?.making).toEqual({ way: 'segmented', count: 12 });
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
    expect(plain(store.getState().piece.refused[0]?.message ?? '')).toMatch(/fills the form/);
    store.dispatch(piece.putBack());
    expect(shown(store)).toBe(wallIn(saved().document));
    expect(store.getState().piece.refused).toEqual([]);
  });
});

describe('while a gesture runs and plans can be worked out beside the page', () => {
  beforeEach(() => vi.stubGlobal('Worker', class {}));
  afterEach(() => vi.unstubAllGlobals());
  const thicker = previewPiece(edit.setWall(mm(9)));
  const told = (store: ReturnType<typeof opened>) => {
    const { project, shop, woods, from } = planAskOf(store.getState())!;
    store.dispatch(planTold({ of: project, from, plan: plan(project, shop, woods) }));
  };
  test('figures stay those of before until new ones come, and are exact when it ends', () => {
    const store = opened();
    const start = planOf(store.getState());
    expect(planAskOf(store.getState())).toBeNull();
    store.dispatch(thicker);
    expect(planOf(store.getState())).toBe(start);
    told(store);
    const amid = planOf(store.getState());
    expect(amid).not.toBe(start);
    store.dispatch(settlePreview());
    expect(planAskOf(store.getState())).toBeNull();
    expect(JSON.stringify(planOf(store.getState()))).toBe(JSON.stringify(amid));
  });
  test('what came in one gesture is not shown in the next', () => {
    const store = opened();
    store.dispatch(thicker);
    told(store);
    store.dispatch(settlePreview());
    const between = planOf(store.getState());
    store.dispatch(previewPiece(edit.setWall(mm(7))));
    expect(planOf(store.getState())).toBe(between);
  });
});

test('renaming does not work the rings out again; the plan is the same object until something changes', () => {
  const store = opened();
  const [prepared, plan] = [preparedOf(store.getState()), planOf(store.getState())];
  store.dispatch(session.viewed(2));
  expect(planOf(store.getState())).toBe(plan);
  store.dispatch(editPiece(edit.rename('Other')));
  expect(preparedOf(store.getState())).toBe(prepared);
});

const keys = (held: Partial<Keys> = {}): Keys => ({
  shiftKey: false,
  ctrlKey: false,
  metaKey: false,
  ...held,
});

test('Shift extends the selection from the ring last clicked, Ctrl adds and takes away', () => {
  const store = opened();
  const selected = () => selectedRingsOf(store.getState());
  store.dispatch(clickRing(2, keys()));
  store.dispatch(clickRing(5, keys({ shiftKey: true })));
  expect([...selected()].sort()).toEqual([2, 3, 4, 5]);
  store.dispatch(clickRing(3, keys({ ctrlKey: true })));
  store.dispatch(clickRing(9, keys({ ctrlKey: true })));
  expect(selected()).toEqual([2, 4, 5, 9]);
});

test('what was edited while a save was under way is not called saved when that save is done', () => {
  const store = opened();
  const { id } = store.getState().piece;
  store.dispatch(editPiece(edit.rename('First')));
  const sent = store.getState().piece.edited!;
  store.dispatch(saving.begun({ id: id! }));
  store.dispatch(editPiece(edit.rename('Second')));
  store.dispatch(saving.done({ id: id!, revision: 2, savedAt: '2026-11-28T10:00:00Z', sent }));
  expect(store.getState().piece).toMatchObject({ safety: 'unsaved', revision: 2 });
  const now = store.getState().piece.edited!;
  store.dispatch(saving.done({ id: id!, revision: 3, savedAt: '2026-11-28T10:00:01Z', sent: now }));
  expect(store.getState().piece.safety).toBe('saved');
});

test('an open document is frozen, so that what hangs on its parts is worked out once', () => {
  const store = opened();
  const { rings, form, palette } = store.getState().piece.edited!.project;
  for (const part of [rings, rings[0], rings[0]!.making, form, form.points[0], palette])
    expect(Object.isFrozen(part)).toBe(true);
});
