import { edit, mm } from '@fellside/core';
import { act, cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { EditList } from '../shell/EditList.js';
import { editPiece } from '../store/edits.js';
import { selectedRingsOf } from '../store/selection.js';
import { showWith } from '../testing/open.js';
import { findables } from './found.js';
import { KEYS, keysAt } from './keys.js';
import { Search } from './Search.js';

/** jsdom scrolls nothing. */
Element.prototype.scrollIntoView = () => {};

beforeEach(() => {
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('away')));
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

test('Ctrl K finds a ring by its number, a station by what is done there, and says when nothing is called that', async () => {
  const { store } = showWith(<Search />);
  const user = userEvent.setup();
  const found = () => screen.getAllByRole('option').map((option) => option.textContent);
  await user.keyboard('{Control>}k{/Control}');
  const field = await screen.findByPlaceholderText(/A station, a ring/);
  await user.type(field, 'moisture');
  expect(found()).toContain('Wood and finish');
  await user.clear(field);
  await user.type(field, 'zzzz');
  expect(screen.getByText('Nothing is called that.')).toBeTruthy();
  await user.clear(field);
  await user.type(field, 'Ring 7');
  expect(found()[0]).toBe('Ring 7');
  await user.keyboard('{Enter}');
  expect(screen.queryByPlaceholderText(/A station, a ring/)).toBeNull();
  expect(selectedRingsOf(store.getState())).toEqual([6]);
});

test('? shows the keys of this screen, and not while a field is typed in', async () => {
  showWith(
    <>
      <input aria-label="A field" />
      <Search />
    </>,
  );
  const user = userEvent.setup();
  await user.type(screen.getByLabelText('A field'), '?');
  expect(screen.queryByRole('dialog')).toBeNull();
  await user.click(document.body);
  await user.keyboard('?');
  expect(await screen.findByRole('dialog', { name: 'Keys' })).toBeTruthy();
});

test('keys belong to their screens: those of the pattern are not shown at work', () => {
  const at = (path: string) => keysAt(path).map(({ where }) => where);
  expect(at('/piece/x/pattern')).toEqual(['Everywhere', 'On the bench', 'Pattern', 'Turntable']);
  expect(at('/piece/x/make')).toEqual(['Everywhere', 'Work']);
  expect(at('/')).toEqual(['Everywhere']);
  expect(KEYS.flatMap(({ keys }) => keys).every(([press, does]) => press !== '' && does !== '')).toBe(true);
});

test('every address that is found exists once, and none of them is found without a piece that needs one', () => {
  const { store } = showWith(<Search />);
  const all = findables(store.getState(), []);
  const addresses = all.flatMap(({ to, group }) => (to && group === 'Go to' ? [to] : []));
  expect(new Set(addresses).size).toBe(addresses.length);
  expect(addresses.filter((to) => to.startsWith('/piece/cup/')).length).toBeGreaterThan(15);
});

test('edits are listed by their names; one press goes back over several, and forward again', async () => {
  const { store, project } = showWith(<EditList />);
  const was = project();
  act(() => {
    for (const wall of [6, 7, 8]) store.dispatch(editPiece(edit.setWall(mm(wall))));
    store.dispatch(editPiece(edit.rename('Tall cup')));
  });
  const user = userEvent.setup();
  await user.click(screen.getByRole('button', { name: 'Edits' }));
  const list = within(await screen.findByRole('dialog', { name: 'Edits' }));
  expect(list.getAllByRole('button').map((button) => button.textContent)).toEqual([
    'Undo: Name',
    'Undo: Wall thickness',
    'Undo: Wall thickness',
    'Undo: Wall thickness',
  ]);
  await user.click(list.getAllByRole('button')[2]!);
  expect(project().form.inside).toMatchObject({ walls: [{ wallMm: 6 }] });
  expect(project().name).toBe(was.name);
  await user.click(screen.getByRole('button', { name: 'Edits' }));
  await user.click((await screen.findAllByRole('button', { name: /^Redo: Name/ }))[0]!);
  expect(project().name).toBe('Tall cup');
});
