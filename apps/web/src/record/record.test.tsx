import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { showWith } from '../testing/open.js';
import { AgainView } from './AgainView.js';
import { OtherBoardsView } from './OtherBoardsView.js';
import { PassportView } from './PassportView.js';

beforeEach(() => {
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('away')));
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

test('what is entered stands on the passport at once; an hour that cannot be is refused', async () => {
  const { project } = showWith(<PassportView />);
  const user = userEvent.setup();
  const card = within(screen.getByRole('article', { name: 'Passport' }));
  expect(card.queryByText('Maker')).toBeNull();
  await user.type(screen.getByLabelText('Maker, as it shall stand there'), 'M. Tarn{Enter}');
  expect(card.getByText('M. Tarn')).toBeTruthy();
  const hours = screen.getByLabelText('Hours, 0: those of the journal');
  await user.clear(hours);
  await user.type(hours, '41.5{Enter}');
  expect(project().passport).toMatchObject({ maker: 'M. Tarn', hours: 41.5 });
  await user.clear(hours);
  await user.type(hours, '-3{Enter}');
  expect(await screen.findByText(/Hours is -?−?3/)).toBeTruthy();
  expect(project().passport?.hours).toBe(41.5);
});

test('made again, larger: both grow together, figures stand beside each other, the new piece is sent', async () => {
  const sent: unknown[] = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.method === 'POST' && request.url.endsWith('/projects/many'))
      sent.push(await request.clone().json());
    throw new TypeError('away');
  });
  const { project } = showWith(<AgainView />);
  const user = userEvent.setup();
  const height = screen.getByLabelText('Height');
  const was = project().form.points.at(-1)!.heightMm;
  await user.clear(height);
  await user.type(height, `${2 * was} mm{Enter}`);
  const rings = within(screen.getByRole('row', { name: /Rings/ }))
    .getAllByRole('cell')
    .map((cell) => Number(cell.textContent));
  expect(rings[1]).toBeGreaterThan(1.7 * rings[0]!);
  await user.selectOptions(screen.getByLabelText('Heights of rings'), 'scaled');
  const same = within(screen.getByRole('row', { name: /Rings/ }))
    .getAllByRole('cell')
    .map((cell) => cell.textContent);
  expect(same[0]).toBe(same[1]);
  await user.click(screen.getByRole('button', { name: 'Put it on the shelf and open it' }));
  expect(await screen.findByRole('alert')).toBeTruthy();
  expect(sent.length).toBe(1);
  await user.clear(screen.getByLabelText('Across the widest'));
  await user.type(screen.getByLabelText('Across the widest'), '4mm{Enter}');
  expect(
    (screen.getByRole('button', { name: 'Put it on the shelf and open it' }) as HTMLButtonElement).disabled,
  ).toBe(true);
});

test('three of it: numbered, each a piece of its own, sent in one request', async () => {
  const sent: { documents: { name: string; passport: { number: string } }[] }[] = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.method === 'POST') sent.push(await request.clone().json());
    throw new TypeError('away');
  });
  showWith(<AgainView />);
  const user = userEvent.setup();
  const count = screen.getByLabelText('How many of it');
  await user.clear(count);
  await user.type(count, '0{Enter}');
  expect(await screen.findByText(/a whole number from 1 to 24/)).toBeTruthy();
  await user.clear(count);
  await user.type(count, '3{Enter}');
  expect(screen.getByRole('row', { name: /Pieces/ }).textContent).toMatch(/3 × \d+ = \d+/);
  await user.click(screen.getByRole('button', { name: 'Put 3 on the shelf and open the first' }));
  await vi.waitFor(() => expect(sent.length).toBe(1));
  expect(sent[0]!.documents.map(({ passport }) => passport.number)).toEqual(['1 of 3', '2 of 3', '3 of 3']);
  expect(new Set(sent[0]!.documents.map(({ name }) => name)).size).toBe(3);
});

test('boards of another thickness: both answers beside the piece; one is taken by a press', async () => {
  const { project } = showWith(<OtherBoardsView />);
  const user = userEvent.setup();
  const cells = (row: RegExp) =>
    within(screen.getByRole('row', { name: row }))
      .getAllByRole('cell')
      .map((cell) => cell.textContent);
  const was = project();
  const field = screen.getByLabelText('Now of boards that give');
  await user.clear(field);
  await user.type(field, '30mm{Enter}');
  const [rings, heights] = [cells(/Rings/), cells(/Height/)];
  expect(rings[1]).toBe(rings[0]);
  expect(heights[1]).not.toBe(heights[0]);
  expect(Number(rings[2])).toBeLessThan(Number(rings[0]));
  expect(heights[2]).toBe(heights[0]);
  await user.click(screen.getByRole('button', { name: /Keep the rows/ }));
  expect(project().rings.length).toBe(was.rings.length);
  expect(project().rings.some(({ heightMm }) => heightMm === 30)).toBe(true);
});
