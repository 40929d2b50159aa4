import {
  accountsOf,
  boardFeet,
  DEFAULT_SHOP,
  laidAtOnce,
  plan,
  ripList,
  rollOf,
  setupsOf,
} from '@fellside/core';
import { demoProjects } from '@fellside/core/demo';
import { act, cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test, vi } from 'vitest';
import { FootBar } from '../shell/FootBar.js';
import { selectedRingsOf } from '../store/selection.js';
import { session } from '../store/sessionSlice.js';
import { showWith } from '../testing/open.js';
import { SawView } from './saw/SawView.js';
import { WoodView } from './wood/WoodView.js';

vi.mock('react-chartjs-2', () => ({
  Bar: ({ 'aria-label': says }: { 'aria-label': string }) => <p>{says}</p>,
}));
afterEach(cleanup);

const planned = (index: number) => {
  const result = plan(demoProjects()[index]!, DEFAULT_SHOP);
  if (!result.ok) throw new Error('plan');
  const layouts = laidAtOnce(result.value.lumber, [], DEFAULT_SHOP, rollOf(result.value));
  return { plan: result.value, layouts, accounts: accountsOf(result.value.lumber, layouts, DEFAULT_SHOP) };
};
const numbers = (text: string | null) => (text?.match(/\d+/g) ?? []).map(Number);

test.each([0, 1, 2, 3])('demo piece %i: the tables count what the plan and its layout count', (index) => {
  showWith(
    <>
      <WoodView />
      <SawView />
    </>,
    demoProjects()[index]!,
  );
  const expected = planned(index);
  const rowsOf = (name: string) => within(screen.getByRole('region', { name })).getAllByRole('row');
  const counts = rowsOf('Pieces')
    .slice(1)
    .map((row) => Number(within(row).getAllByRole('cell')[1]!.textContent));
  expect(counts.reduce((a, b) => a + b, 0)).toBe(expected.plan.pieces);
  const rips = ripList(expected.layouts).reduce((sum, { rows }) => sum + rows.length, 0);
  expect(rowsOf('Rip')).toHaveLength(1 + rips);
  const stops = setupsOf(expected.plan.lumber);
  const cuts = screen
    .getByRole('region', { name: 'Mitre' })
    .querySelectorAll('tbody td:first-of-type > span > span');
  const cut = [...cuts].reduce(
    (sum, { textContent }) => sum + numbers(textContent!.replace(/^.*: /, '')).reduce((a, b) => a + b, 0),
    0,
  );
  expect(cut).toBe(stops.reduce((sum, setup) => sum + setup.cuts, 0));
});

test('board feet stand step by step for each wood, and the foot bar shows the same boards', () => {
  showWith(
    <>
      <WoodView />
      <FootBar />
    </>,
  );
  const cell = (wood: string, row: string) =>
    document.querySelector(`td[data-wood="${wood}"][data-row="${row}"]`)?.textContent;
  for (const { wood, ledger, boughtFeet } of planned(0).accounts) {
    expect(cell(wood, 'bought')).toBe(boardFeet(ledger.bought).toFixed(2));
    expect(Number(cell(wood, 'finished')) + Number(cell(wood, 'shavings'))).toBeCloseTo(
      Number(cell(wood, 'segments')),
      1,
    );
    expect(boughtFeet).toBeCloseTo(boardFeet(ledger.bought), 6);
    expect(screen.getByRole('region', { name: 'Totals' }).textContent).toMatch(
      /Laid out on\d+ boards? at once/,
    );
    expect(screen.getByRole('region', { name: 'Totals' }).textContent).toContain(
      `${boughtFeet.toFixed(2)} bd ft to buy`,
    );
  }
});

test('several of a piece: everything is laid out for all of them, and the foot bar follows', async () => {
  const { store } = showWith(<FootBar />);
  const feet = () => numbers(screen.getByRole('region', { name: 'Totals' }).textContent).join(' ');
  const before = feet();
  act(() => void store.dispatch(session.laidOutFor({ copies: 4 })));
  expect(feet()).not.toBe(before);
  cleanup();
  const again = showWith(<WoodView />);
  const field = screen.getByLabelText('Cut together, this piece ×');
  await userEvent.clear(field);
  await userEvent.type(field, '3{Enter}');
  expect(again.store.getState().session.laying.copies).toBe(3);
  await userEvent.clear(field);
  await userEvent.type(field, '1.5{Enter}');
  expect(screen.getByText(/a whole number from 1 to 50/)).toBeTruthy();
});

test('a stop leads to its rings; stops that hardly differ are brought together when it is wanted', async () => {
  const { store, project } = showWith(<SawView />);
  await userEvent.click(screen.getAllByRole('button', { name: 'ring 10' })[0]!);
  expect(selectedRingsOf(store.getState())).toEqual([9]);
  // Rings 11 and 12 of the cup need stops of 23.17 and 23.20 mm.
  const before = planned(0).plan;
  const edge = (made: typeof before, ring: number) => {
    const { stock } = made.rings[ring]!.pieces[0]!.kind;
    return stock.from === 'strip' ? stock.longEdgeMm : 0;
  };
  expect(edge(before, 11) - edge(before, 10)).toBeGreaterThan(0.01);
  const offer = screen.getByText(/^The stop at .* could serve ring 11 as well/).parentElement!;
  await userEvent.click(within(offer).getByRole('button', { name: 'Bring them together' }));
  const made = plan(project(), DEFAULT_SHOP);
  if (!made.ok) throw new Error('plan');
  expect(edge(made.value, 10)).toBeCloseTo(edge(before, 11), 3);
  expect(setupsOf(made.value.lumber)[0]!.stops.length).toBe(setupsOf(before.lumber)[0]!.stops.length - 1);
});

test('cautions stand beside the cuts and defer to training and local rules', () => {
  showWith(<WoodView />);
  const care = screen.getByRole('heading', { name: 'Take care' }).parentElement!;
  expect(care.textContent).toMatch(/never with fingers near the blade/);
  expect(care.textContent).toMatch(/Purpleheart: /);
  expect(care.textContent).toMatch(/machine maker’s instructions and local rules come first/);
});
