import { BLANKS, edit, mm, plain } from '@fellside/core';
import { demoProjects } from '@fellside/core/demo';
import { act, cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useLocation } from 'react-router';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { editPiece } from '../store/edits.js';
import { type Safety, saving } from '../store/saving.js';
import { showWith } from '../testing/open.js';
import { Conflict } from './Conflict.js';
import { FootBar } from './FootBar.js';
import { SavedSign } from './SavedSign.js';
import { TopBar } from './TopBar.js';

afterEach(cleanup);

describe('the saved sign', () => {
  test('says saved with the time only when it is on disk', () => {
    const { store } = showWith(<SavedSign />);
    expect(screen.getByRole('status').textContent).toMatch(/^saved \d/);
    act(() => void store.dispatch(editPiece(edit.setWall(mm(6)))));
    expect(screen.getByRole('status').textContent).toBe('saving…');
  });

  test.each<[Safety, RegExp]>([
    ['away', /not saved: the server does not answer/],
    ['refused', /not saved: the server refused it/],
  ])('%s is told in plain words', (safety, sentence) => {
    const { store } = showWith(<SavedSign />);
    act(
      () =>
        void store.dispatch(
          safety === 'away'
            ? saving.away({ id: 'cup', trouble: 'the server does not answer' })
            : saving.turnedDown({ id: 'cup', reasons: [] }),
        ),
    );
    expect(screen.getByRole('status').textContent).toMatch(sentence);
  });
});

test('a conflict shows both ways out; taking the other side shows what is on disk', async () => {
  const { store, project } = showWith(<Conflict />);
  expect(screen.queryByRole('alert')).toBeNull();
  const other = { ...demoProjects()[0]!, name: 'From the other window' };
  act(() => {
    store.dispatch(editPiece(edit.rename('Mine')));
    store.dispatch(
      saving.stale({
        id: 'cup',
        other: {
          what: 'changed',
          piece: {
            id: 'cup',
            revision: 7,
            document: other,
            history: { past: [], future: [] },
            savedAt: '2026-11-23T11:00:00Z',
          },
        },
      }),
    );
  });
  expect(screen.getByRole('alert').textContent).toMatch(/Nothing was overwritten/);
  expect(project().name).toBe('Mine');
  await userEvent.click(screen.getByRole('button', { name: 'Drop mine, show the other' }));
  await vi.waitFor(() => expect(project().name).toBe('From the other window'));
  expect(store.getState().piece).toMatchObject({ revision: 7, safety: 'saved' });
});

describe('the top bar', () => {
  test('undo and redo name the step, and are off where there is none', async () => {
    const { store, project } = showWith(<TopBar />);
    expect(screen.getByRole<HTMLButtonElement>('button', { name: /^Undo/ }).disabled).toBe(true);
    act(() => void store.dispatch(editPiece(edit.setWall(mm(6)))));
    await userEvent.click(screen.getByRole('button', { name: 'Undo Wall thickness' }));
    expect(project()).toEqual(demoProjects()[0]);
    await userEvent.click(screen.getByRole('button', { name: 'Redo Wall thickness' }));
    expect(project().form.inside).toMatchObject({ walls: [{ wallMm: 6 }] });
    await userEvent.keyboard('{Control>}z{/Control}');
    expect(project().form.inside).not.toMatchObject({ walls: [{ wallMm: 6 }] });
  });

  test('an empty name is refused and the old one stays', async () => {
    const { store, project } = showWith(<TopBar />);
    const name = await screen.findByLabelText('Name of the piece', {}, { timeout: 10_000 });
    await userEvent.clear(name);
    await userEvent.type(name, '   {Enter}');
    expect(project().name).toBe('Fell Race Cup');
    expect(plain(store.getState().piece.refused[0]?.message ?? '')).toMatch(/Name is empty/);
  });
});

test('the foot bar counts pieces, size and wood, and follows an edit', () => {
  const { store } = showWith(<FootBar />);
  const totals = screen.getByRole('region', { name: 'Totals' });
  expect(totals.textContent).toContain('245 in 15 rings');
  expect(totals.textContent).toContain('10 1/2" × 6 5/8"');
  act(() => void store.dispatch(editPiece(edit.setCount([8], 12))));
  expect(totals.textContent).toContain('233 in 15 rings');
  act(() => void store.dispatch(editPiece(edit.setCount([8], 200))));
  expect(totals.textContent).toContain('cannot be held at the saw');
});

test('a check has its remedy beside it; pressed, both are gone', async () => {
  const { store, project } = showWith(<FootBar />);
  act(
    () =>
      void store.dispatch(editPiece(edit.setFixed([9], { outerRadiusMm: mm(60), innerRadiusMm: mm(50) }))),
  );
  await userEvent.click(screen.getByRole('button', { name: /^Look at ?\d+ ?: ?Ring 10/ }));
  expect(screen.getByRole('dialog').textContent).toMatch(/Ring 10 is .* short of the wall outside/);
  await userEvent.click(screen.getByRole('button', { name: 'Cut ring 10 to suit the form' }));
  expect(project()).toEqual(demoProjects()[0]);
});

test('a check leads to what it is about: a ring by its address, a blank to the blanks, selected', async () => {
  const Where = () => <output>{useLocation().pathname}</output>;
  const { store } = showWith(
    <>
      <FootBar />
      <Where />
    </>,
  );
  const links = { ...BLANKS.bent.begin(), curveMm: mm(20), linkAsideMm: mm(20) };
  act(() => void store.dispatch(editPiece(edit.addBlank('bent', 'l'))));
  act(() => void store.dispatch(editPiece(edit.setBlank(0, links))));
  act(
    () =>
      void store.dispatch(editPiece(edit.setFixed([9], { outerRadiusMm: mm(60), innerRadiusMm: mm(50) }))),
  );
  const show = async (name: string) => {
    await userEvent.click(screen.getByRole('button', { name: /^Look at/ }));
    await userEvent.click(screen.getAllByRole('button', { name })[0]!);
    return [screen.getByRole('status').textContent, store.getState().session.selected];
  };
  expect(await show('Show blank 1')).toEqual(['/piece/cup/blanks', [{ of: 'blank', id: 'l' }]]);
  expect(await show('Show ring 10')).toEqual(['/piece/cup/rings/r10', [{ of: 'ring', id: 'r10' }]]);
});

test('what is about the lathe comes with its cautions', async () => {
  const { store } = showWith(<FootBar />);
  act(() => void store.dispatch(editPiece(edit.setDiameter(mm(600)))));
  await userEvent.click(screen.getByRole('button', { name: /^Look at/ }));
  expect(screen.getByRole('dialog').textContent).toMatch(/full face shield/);
});

test('the theme goes from the system’s to light, bright and dark, and is kept', async () => {
  showWith(<TopBar />);
  const button = screen.getByRole('button', { name: /^Theme/ });
  expect(document.documentElement.dataset.theme).toBe('light');
  await userEvent.click(button);
  await userEvent.click(button);
  expect(document.documentElement.dataset.theme).toBe('bright');
  await userEvent.click(button);
  expect(document.documentElement.dataset.theme).toBe('dark');
  expect(localStorage.getItem('fellside.look')).toContain('"theme":"dark"');
  localStorage.clear();
});
