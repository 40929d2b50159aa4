import { DEFAULT_SHOP, SHIPPED_WOODS, workbookOf } from '@fellside/core';
import { demoProjects } from '@fellside/core/demo';
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test, vi } from 'vitest';
import { api } from '../store/api.js';
import { showWith } from '../testing/open.js';
import { WorkbookPage } from './WorkbookPage.js';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

test('all pieces are sorted by a column, either way, and looked through by a word', async () => {
  const rows = workbookOf(
    demoProjects()
      .slice(0, 3)
      .map((document, i) => ({ id: `p${i}`, savedAt: '2026-11-28T10:00:00Z', document, journal: [] })),
    SHIPPED_WOODS,
    DEFAULT_SHOP,
  );
  vi.stubGlobal(
    'fetch',
    async () => new Response(JSON.stringify(rows), { headers: { 'content-type': 'application/json' } }),
  );
  const { store } = showWith(<WorkbookPage />);
  await store.dispatch(api.endpoints.workbook.initiate());
  const names = () => screen.getAllByRole('link').map((link) => link.textContent);
  const by = (of: (row: (typeof rows)[number]) => number) =>
    [...rows].sort((a, b) => of(a) - of(b)).map(({ name }) => name);
  await screen.findByText(rows[0]!.name);
  const user = userEvent.setup();
  const pieces = screen.getByRole('button', { name: 'Pieces' });
  await user.click(pieces);
  await user.click(pieces);
  const first = names();
  expect([by(({ pieces }) => pieces), by(({ pieces }) => -pieces)]).toContainEqual(first);
  await user.click(screen.getByRole('button', { name: 'Height' }));
  expect(names()).not.toEqual([]);
  await user.type(screen.getByRole('searchbox'), rows[1]!.name);
  expect(names()).toEqual([rows[1]!.name]);
  await user.type(screen.getByRole('searchbox'), 'zzz');
  expect(screen.getByText('No piece is like that.')).toBeTruthy();
});
