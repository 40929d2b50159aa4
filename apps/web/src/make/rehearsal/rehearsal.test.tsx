import { demoProjects } from '@fellside/core/demo';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { api } from '../../store/api.js';
import { showWith } from '../../testing/open.js';
import { percent, small } from './figures.js';
import { RehearsalView } from './RehearsalView.js';

vi.mock('react-chartjs-2', () => ({
  Bar: ({ 'aria-label': label }: { 'aria-label': string }) => <p>{label}</p>,
}));

/** A tenth of the builds that are asked for: here they are built on the page, and not beside it. */
vi.mock('../../workers/rehearsal.js', async (original) => {
  const own = await original<typeof import('../../workers/rehearsal.js')>();
  const rehearseBeside: typeof own.rehearseBeside = (ask, tell) =>
    own.rehearseBeside({ ...ask, builds: ask.builds / 10 }, tell);
  return { ...own, rehearseBeside };
});

const vase = demoProjects().find(({ name }) => name.startsWith('Bindweed'))!;

beforeEach(() => {
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('away')));
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const pane = (name: string) => within(screen.getByRole('region', { name }));
const figures = (row: RegExp) =>
  within(screen.getByRole('row', { name: row }))
    .getAllByRole('cell')
    .map((cell) => cell.textContent!);
/** Thousandths of an inch of a figure as it stands there. */
const read = (text: string) => Number(/^-?[\d.]+/.exec(text)![0]);

async function opened() {
  const shown = showWith(<RehearsalView />, vase);
  const user = userEvent.setup();
  await screen.findByText(/ builds, drawn from number 1 on/);
  return { ...shown, user };
}

describe('a rehearsal', () => {
  test('tells what comes out of many builds, what helps most, and the worst ring of the chart in words', async () => {
    const { user } = await opened();
    await user.selectOptions(screen.getByLabelText('Builds'), '100');
    expect(await screen.findByText(/^10 builds, drawn from number 1 on/)).toBeTruthy();
    expect(figures(/Worst step of a line/)[2]).toContain('seen to step');
    expect(read(figures(/Worst step of a line/)[1]!)).toBeGreaterThan(
      read(figures(/Worst step of a line/)[0]!),
    );
    expect(
      await screen.findByText(/what is left to turn, ring by ring\. Worst in ring \d+: from 0\.\d+"/),
    ).toBeTruthy();
    expect(await screen.findByText(/out by half as much/, { selector: 'li:first-child' })).toBeTruthy();
  });
  test('pins are tried by a press: steps come out smaller, with what they were before; put back, they are as before', async () => {
    const { user } = await opened();
    const before = read(figures(/Worst step of a line/)[0]!);
    await user.click(screen.getByRole('button', { name: 'Try: Pins in the waste' }));
    expect(screen.getByText('Tried:', { exact: false }).textContent).toContain('Pins in the waste');
    await waitFor(() => expect(figures(/Worst step of a line/)[0]).toContain('before'));
    expect(read(figures(/Worst step of a line/)[0]!)).toBeLessThan(0.7 * before);
    await user.click(screen.getByRole('button', { name: 'Put it back' }));
    await waitFor(() => expect(read(figures(/Worst step of a line/)[0]!)).toBe(before));
    await user.click(screen.getByRole('button', { name: 'Try: Pins in the waste' }));
    await user.click(screen.getByRole('button', { name: 'Keep it' }));
    expect((screen.getByLabelText('Pins in the waste') as HTMLInputElement).checked).toBe(true);
    expect(screen.queryByRole('button', { name: 'Try: Pins in the waste' })).toBeNull();
  });
  test('a build of any number is looked at; what is no number of a build is told', async () => {
    const { user } = await opened();
    const field = await screen.findByLabelText('Or the build of this number');
    await user.clear(field);
    await user.type(field, '4711{Enter}');
    expect(screen.getByRole('heading', { name: 'As it comes out: build 4711' })).toBeTruthy();
    await user.clear(field);
    await user.type(field, '0{Enter}');
    expect(await screen.findByText(/numbered from 1/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'a poor one' }));
    expect(screen.getByRole('heading', { name: 'As it comes out: a poor one' })).toBeTruthy();
  });
  test('a stripe let in is kept until it is taken back', async () => {
    const { user } = await opened();
    await user.click(screen.getByRole('button', { name: 'Try: Stripe let in as one piece' }));
    await user.click(screen.getByRole('button', { name: 'Keep it' }));
    expect(pane('Errors of the shop').getByText(/are let in as one piece/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'In the rings again' }));
    expect(screen.getByRole('button', { name: 'Try: Stripe let in as one piece' })).toBeTruthy();
  });
  test('brick bond is kept as an edit of the piece, and can be undone', async () => {
    const { user, project } = await opened();
    const turns = () => project().rings.map(({ turn }) => turn);
    const was = turns();
    await user.click(screen.getByRole('button', { name: 'Try: Brick bond' }));
    expect(turns()).toEqual(was);
    await user.click(screen.getByRole('button', { name: 'Keep it' }));
    expect(turns()).not.toEqual(was);
    await waitFor(() => expect(screen.queryByRole('row', { name: /Worst step of a line/ })).toBeNull());
  });
  test('errors are typed; what cannot be is told with its limit and changes nothing', async () => {
    const { user } = await opened();
    const field = screen.getByLabelText('Ring slipped round, at its rim');
    await user.clear(field);
    await user.type(field, '40mm{Enter}');
    expect(await screen.findByText(/Ring slipped round, at its rim.*5 mm|0\.197/)).toBeTruthy();
    await user.clear(field);
    await user.type(field, '0{Enter}');
    await user.clear(screen.getByLabelText('Setting of a mitre'));
    await user.type(screen.getByLabelText('Setting of a mitre'), '-1{Enter}');
    expect(await screen.findByText(/Setting of a mitre is .*-?1/)).toBeTruthy();
    expect(pane('Errors of the shop').getByRole('button', { name: 'Keep for the shop' })).toBeTruthy();
  });
  test('what measured rings say is told with how many they are; five are enough to go by', async () => {
    const { store, user } = await opened();
    await store.dispatch(
      api.util.upsertQueryData('learnt', undefined, [
        { kind: 'thicknessMm', spread: 0.254, count: 7 },
        { kind: 'stopMm', spread: 0.5, count: 2 },
      ]),
    );
    const own = within(await screen.findByRole('region', { name: 'From your own measurements' }));
    expect((await own.findByText(/from 7 measurements/)).textContent).toContain('0.010"');
    expect(own.getByText(/from 2 measurements/).textContent).toContain('too few');
    await user.click(own.getByRole('button', { name: 'Go by these' }));
    expect((screen.getByLabelText('Thickness of a ring') as HTMLInputElement).value).toBe('0.010"');
    expect((screen.getByLabelText('Setting of a stop') as HTMLInputElement).value).toBe('0.004"');
  });
});

test('shares and small lengths as people say them', () => {
  expect([0, 0.001, 0.42, 0.999, 1].map(percent)).toEqual(['0 %', 'under 1 %', '42 %', 'over 99 %', '100 %']);
  expect(small(0.1, 'mm')).toBe('0.1 mm');
  expect(small(0.1, 'inch-fraction')).toBe('0.004"');
  expect(small(Number.POSITIVE_INFINITY, 'mm')).toBe('–');
});
