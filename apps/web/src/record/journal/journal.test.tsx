import type { HandEntry } from '@fellside/core';
import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { journal } from '../../store/journal/journalSlice.js';
import { keptJournal } from '../../store/journal/keptJournal.js';
import { whyNoPhoto } from '../../store/journal/photos.js';
import { startClock, stopClock, write } from '../../store/journal/writing.js';
import { createStore } from '../../store/store.js';
import { showWith } from '../../testing/open.js';
import { JournalView } from './JournalView.js';

/** A journal on a server that takes entries, or is away. */
let kept: HandEntry[] = [];
let away = false;
const answer = (status: number, body?: unknown) =>
  new Response(body === undefined ? null : JSON.stringify(body), {
    status,
    headers: { 'content-type': 'application/json' },
  });

beforeEach(() => {
  localStorage.clear();
  [kept, away] = [[], false];
  vi.stubGlobal('fetch', async (request: Request) => {
    if (away || !request.url.includes('/journal')) throw new TypeError('away');
    if (request.method === 'GET') return answer(200, { entries: kept });
    if (request.method === 'POST') {
      const { entries } = (await request.json()) as { entries: HandEntry[] };
      if (entries.some((each) => each.kind === 'note' && each.text === 'refuse me'))
        return answer(422, { reasons: [{ message: 'No room for it.' }] });
      kept = [...kept, ...entries.filter((each) => kept.every(({ id }) => id !== each.id))];
    }
    if (request.method === 'DELETE') kept = kept.filter(({ id }) => !request.url.endsWith(id));
    return answer(204);
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

describe('the journal', () => {
  test('a note and what went wrong are written down; an entry is taken out again, asked first', async () => {
    showWith(<JournalView />);
    const user = userEvent.setup();
    await user.click(screen.getByRole('button', { name: 'Write it down' }));
    expect(screen.getByRole('alert').textContent).toBe('Nothing is written there yet.');
    await user.type(screen.getByLabelText('Note'), 'Cold in the shop.');
    await user.click(screen.getByRole('button', { name: 'Write it down' }));
    await user.click(screen.getByRole('button', { name: 'Went wrong' }));
    await user.type(screen.getByLabelText('What went wrong'), 'A joint opened.');
    await user.type(screen.getByLabelText('How it was mended'), 'Thin glue.');
    await user.click(screen.getByRole('button', { name: 'Write it down' }));
    const days = within(await screen.findByRole('list', { name: 'Days' }));
    expect(await days.findByText('Went wrong: A joint opened. Mended: Thin glue.')).toBeTruthy();
    expect(kept.map(({ kind }) => kind)).toEqual(['note', 'trouble']);
    await user.click(await days.findByRole('button', { name: 'Take out: Cold in the shop.' }));
    expect(kept.length).toBe(2);
    await user.click(days.getByRole('button', { name: 'Yes, take out: Cold in the shop.' }));
    await vi.waitFor(() => expect(days.queryByText('Cold in the shop.')).toBeNull());
    expect(kept.map(({ kind }) => kind)).toEqual(['trouble']);
  });
  test('hours by kind of work; what cannot be is told and not sent', async () => {
    showWith(<JournalView />);
    const user = userEvent.setup();
    await user.click(screen.getByRole('button', { name: 'Hours' }));
    await user.selectOptions(screen.getByLabelText('Kind of work'), 'Gluing up');
    await user.type(screen.getByLabelText('Hours'), '-2');
    await user.click(screen.getByRole('button', { name: 'Write it down' }));
    expect(screen.getByRole('alert').textContent).toMatch(/from a minute to 24 hours/);
    await user.clear(screen.getByLabelText('Hours'));
    await user.type(screen.getByLabelText('Hours'), '1,5');
    await user.type(screen.getByLabelText('Minutes'), '10');
    await user.click(screen.getByRole('button', { name: 'Write it down' }));
    const table = within(await screen.findByRole('table', { name: 'Hours by kind of work' }));
    expect(table.getByRole('row', { name: /Gluing up 1 h 40 min/ })).toBeTruthy();
  });
  test('while the server is away an entry is kept in this browser, and another page of it sends it', async () => {
    away = true;
    const first = createStore();
    first.dispatch(write('cup', { kind: 'note', text: 'Kept here.' }));
    expect(keptJournal().unsent.cup).toMatchObject([{ kind: 'note', text: 'Kept here.' }]);
    away = false;
    const second = createStore();
    expect(second.getState().journal.unsent.cup!.length).toBe(1);
    const { sendJournal } = await import('../../store/journal/writing.js');
    await second.dispatch(sendJournal('cup'));
    expect(kept).toMatchObject([{ text: 'Kept here.' }]);
    expect(keptJournal().unsent).toEqual({});
  });
  test('what the server refuses is told, and is in nobody’s way', async () => {
    const store = createStore();
    store.dispatch(write('cup', { kind: 'note', text: 'refuse me' }));
    store.dispatch(write('cup', { kind: 'note', text: 'Good.' }));
    await vi.waitFor(() => expect(store.getState().journal.unsent).toEqual({}));
    // With its words, so that they are not lost, also when another came through after it.
    expect(store.getState().journal.refused).toBe('Not written down: “refuse me”. No room for it.');
    expect(kept).toMatchObject([{ text: 'Good.' }]);
  });
});

describe('the clock', () => {
  const MINUTE = 60_000;
  const written = () => Object.values(keptJournal().unsent).flat();
  test('another kind of work ends the one before; less than a minute is no time', () => {
    away = true;
    const store = createStore();
    store.dispatch(startClock('cup', 'gluing', 0));
    store.dispatch(startClock('cup', 'gluing', 5 * MINUTE));
    store.dispatch(startClock('cup', 'turning', 25 * MINUTE));
    store.dispatch(startClock('bowl', 'turning', 25.3 * MINUTE));
    store.dispatch(stopClock(40.3 * MINUTE));
    expect(written()).toMatchObject([
      { kind: 'hours', work: 'gluing', minutes: 25 },
      { kind: 'hours', work: 'turning', minutes: 15 },
    ]);
    expect(Object.keys(keptJournal().unsent)).toEqual(['cup', 'bowl']);
    expect(store.getState().journal.running).toBeNull();
  });
  test('a clock that ran overnight is asked about, and writes what it is told', async () => {
    away = true;
    const { store } = showWith(<JournalView />);
    store.dispatch(startClock('cup', 'turning', Date.now() - 14 * 60 * MINUTE));
    store.dispatch(stopClock());
    expect(written()).toEqual([]);
    const user = userEvent.setup();
    const asked = within(await screen.findByRole('alertdialog', { name: 'A long time' }));
    await user.clear(asked.getByLabelText('Hours'));
    await user.type(asked.getByLabelText('Hours'), '1.5{Enter}');
    await user.click(asked.getByRole('button', { name: 'Write it down' }));
    expect(written()).toMatchObject([{ work: 'turning', minutes: 90 }]);
    expect(keptJournal().asked).toBeNull();
  });
  test('it goes on in another window of this browser', () => {
    const store = createStore();
    store.dispatch(startClock('cup', 'turning', 0));
    expect(createStore().getState().journal.running).toMatchObject({
      piece: 'cup',
      work: 'turning',
      since: 0,
    });
    store.dispatch(journal.restored({ ...keptJournal(), running: null }));
    expect(keptJournal().running).toBeNull();
  });
});

test.each([
  [{ type: 'image/heic', size: 5, name: 'IMG_1.HEIC' }, /IMG_1.HEIC is neither a JPEG nor a PNG/],
  [{ type: 'image/jpeg', size: 13 * 1024 * 1024, name: 'big.jpg' }, /big.jpg has 13.0 MB; at most 12 MB/],
])('%o cannot be a photograph, and it is said why', (file, sentence) => {
  expect(whyNoPhoto(file)).toMatch(sentence);
  expect(whyNoPhoto({ ...file, type: 'image/jpeg', size: 1000 })).toBeNull();
});
