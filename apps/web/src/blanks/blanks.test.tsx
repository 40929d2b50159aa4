import { BLANKS, edit } from '@fellside/core';
import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { WoodView } from '../cuts/wood/WoodView.js';
import { editPiece } from '../store/edits.js';
import { session } from '../store/sessionSlice.js';
import { showWith } from '../testing/open.js';
import { BlanksStation } from './BlanksStation.js';
import { seenFaces } from './project.js';

vi.mock('react-chartjs-2', () => ({ Bar: () => null }));
afterEach(cleanup);

describe('blanks beside the stack', () => {
  test('an empty page says what they are; a globe is added, halved and painted', async () => {
    const { store, project } = showWith(<BlanksStation />);
    expect(screen.getByText(/Not everything is a ring/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Facetted globe' }));
    expect(screen.getByRole('img', { name: 'Laid flat: 80 pieces.' })).toBeTruthy();
    await userEvent.selectOptions(screen.getByLabelText('Globe'), 'half, for a bowl');
    expect(screen.getByRole('img', { name: 'Laid flat: 40 pieces.' })).toBeTruthy();
    store.dispatch(session.brushed('black-walnut'));
    const place = await waitFor(() => document.querySelector('[data-place="7"]')!);
    await userEvent.pointer({ keys: '[MouseLeft]', target: place });
    expect(project().blanks![0]!.woods[7]).toBe('black-walnut');
    await userEvent.click(screen.getByRole('button', { name: 'All of the wood in hand' }));
    expect(new Set(project().blanks![0]!.woods)).toEqual(new Set(['black-walnut']));
    await userEvent.click(screen.getByRole('button', { name: 'Remove facetted globe 1' }));
    expect(project().blanks).toBeUndefined();
  });

  test('what cannot be made is refused in its field and changes nothing', async () => {
    const { project } = showWith(<BlanksStation />);
    await userEvent.click(screen.getByRole('button', { name: 'Bent stack' }));
    const field = screen.getByLabelText('Radius of the curve');
    await userEvent.clear(field);
    await userEvent.type(field, '10mm{Enter}');
    expect(screen.getByRole('alert').textContent).toMatch(/The curve has a radius of/);
    expect(project().blanks![0]!.making).toEqual(BLANKS.bent.begin());
  });

  test('their pieces stand in Cuts by name', () => {
    const { store } = showWith(<WoodView />);
    store.dispatch(editPiece(edit.addBlank('globe', 'g')));
    return waitFor(() => {
      expect(screen.getAllByText('Blank 1').length).toBeGreaterThan(0);
      expect(screen.getAllByText('Equilateral').length).toBeGreaterThan(0);
    });
  });
});

test('only faces that look at the eye are drawn, the nearest last', () => {
  const cube = {
    place: 0,
    corners: [0, 1].flatMap((z) => [
      { x: 0, y: 0, z },
      { x: 1, y: 0, z },
      { x: 1, y: 1, z },
      { x: 0, y: 1, z },
    ]),
    faces: [
      [3, 2, 1, 0],
      [4, 5, 6, 7],
      [0, 1, 5, 4],
      [1, 2, 6, 5],
      [2, 3, 7, 6],
      [3, 0, 4, 7],
    ],
  };
  const front = seenFaces([cube], 0, 0);
  expect(front).toHaveLength(1);
  const corner = seenFaces([cube], 0.6, 0.5);
  expect(corner).toHaveLength(3);
  expect(corner.every(({ depth }, i) => i === 0 || depth >= corner[i - 1]!.depth)).toBe(true);
});
