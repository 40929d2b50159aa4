import { demoProjects } from '@fellside/core/demo';
import { act, cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test } from 'vitest';
import { selectedRingsOf, selectRings } from '../store/selection.js';
import { showWith } from '../testing/open.js';
import { DryFitView } from './DryFitView.js';
import { LatheView } from './lathe/LatheView.js';

afterEach(cleanup);
const cup = demoProjects().find(({ name }) => name.includes('Cup'))!;

test('a gap that is measured says which way the saw is out, and what each way round it costs; another ring starts anew', async () => {
  const { store } = showWith(<DryFitView />, cup);
  await userEvent.click(screen.getByRole('button', { name: /^Ring 8/ }));
  expect(selectedRingsOf(store.getState())).toEqual([7]);
  expect(screen.getByText('No gap: the angle is right.')).toBeTruthy();
  const type = async (label: string, text: string) => {
    await userEvent.clear(screen.getByLabelText(label));
    await userEvent.type(screen.getByLabelText(label), `${text}{Enter}`);
  };
  await type('Gap at the outside', '0.04');
  const ways = () => within(screen.getByRole('list', { name: 'Ways out' })).getAllByRole('heading');
  expect(screen.getByText(/too small: set the saw up/)).toBeTruthy();
  expect(ways().map(({ textContent }) => textContent)).toEqual([
    'Correct and recut',
    'True two halves',
    'Cut one exact wedge',
  ]);
  await type('Gap at the outside', '0');
  await type('Gap at the inside', '0.04');
  expect(screen.getByText(/too large: set the saw down/)).toBeTruthy();
  await type('Gap at the inside', '9');
  expect(screen.getByRole('alert').textContent).toMatch(/does not come from an angle that is a little wrong/);
  await userEvent.click(screen.getByRole('button', { name: /^Ring 9/ }));
  expect(screen.getByText('No gap: the angle is right.')).toBeTruthy();
  // A disc is not among them; where one is selected it says why.
  expect(screen.queryByRole('button', { name: /^Ring 1\D/ })).toBeNull();
  act(() => selectRings([0])(store.dispatch, store.getState));
  expect(screen.getByText(/not all cut alike with one upright mitre/)).toBeTruthy();
});

test('speeds, balance and bending stand for the piece as it is; one that is half heavy pulls', async () => {
  showWith(<LatheView />, cup);
  expect(screen.getAllByRole('table')).toHaveLength(3);
  expect(screen.getAllByText(/Its woods are in balance/)).toBeTruthy();
  expect(screen.getAllByText(/gets at all of the inside|does not get at/).length).toBe(4);
  expect(screen.getByText(/stands up to the tool all the way|a steady is wanted/)).toBeTruthy();
  // π · 10 in · 600 / 12 = 1571 ft/min; half the diameter turns twice as fast.
  const rim = screen.getByRole('region', { name: 'Rim speed' });
  const type = async (label: string, text: string) => {
    const field = within(rim).getByLabelText(label);
    await userEvent.clear(field);
    await userEvent.type(field, `${text}{Enter}`);
  };
  await type('Turns a minute', '600');
  await type('Diameter', '10"');
  await type('Another diameter', '5"');
  expect(within(rim).getByRole('status').textContent).toMatch(/8\.0 m\/s, 1570 ft\/min; .* at 1200 turns/);
  await type('Turns a minute', '0');
  expect(within(rim).getByText(/between 1 and 10000/)).toBeTruthy();
  cleanup();
  const [light, dark] = [cup.palette[0]!.key, cup.palette[1]!.key];
  const half = cup.rings.map((ring) => ({
    ...ring,
    turn: 0.5,
    woods: ring.woods.map((_, place) => (2 * place < ring.woods.length ? dark : light)),
  }));
  showWith(<LatheView />, { ...cup, rings: half });
  expect(
    screen.getAllByText(
      /off the axis, heavier woods on one side: above \d+ turns a minute.*per cent of its weight/,
    ),
  ).toHaveLength(2);
});
