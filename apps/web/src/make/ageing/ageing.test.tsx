import { demoProjects } from '@fellside/core/demo';
import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { showWith } from '../../testing/open.js';
import { AgeingView } from './AgeingView.js';

const vase = demoProjects().find(({ name }) => name.startsWith('Bindweed'))!;

beforeEach(() => {
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('away')));
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});
const pane = (name: string) => within(screen.getByRole('region', { name }));

describe('wood and finish', () => {
  test('the disc under the vase moves too much; wedges with a plug are put in its place by a press', async () => {
    const { project } = showWith(<AgeingView />, vase);
    const rows = () =>
      pane('What moves')
        .getAllByRole('row')
        .slice(1)
        .map((row) => row.textContent!);
    expect(rows()[0]).toMatch(/Black cherry disc, ring 1, on ring 2.*0\.02\d".*will open or crack/);
    await userEvent.setup().click(screen.getByRole('button', { name: 'Make ring 1 of wedges with a plug' }));
    expect(project().rings[0]!.making).toMatchObject({ toCentre: true });
    expect(rows().some((text) => text.includes('disc, ring 1'))).toBe(false);
  });
  test('a finish is chosen for the piece: its schedule, its colours; undone it is the shop’s again', async () => {
    const { project } = showWith(<AgeingView />, vase);
    const user = userEvent.setup();
    const colour = () => screen.getByRole('img', { name: 'Hard maple, new' }).style.background;
    const clear = colour();
    await user.selectOptions(screen.getByLabelText('What the piece is finished with'), 'oil');
    expect(project().finish).toBe('oil');
    expect(colour()).not.toBe(clear);
    const steps = within(screen.getByRole('list', { name: 'Schedule' })).getAllByRole('listitem');
    expect(steps.map((step) => step.textContent).join(' ')).toContain('30 days before it touches food');
    await user.selectOptions(screen.getByLabelText('What the piece is finished with'), 'usual');
    expect(project().finish).toBeUndefined();
    expect(colour()).toBe(clear);
  });
  test('padauk beside maple is called out, with what helps', () => {
    showWith(<AgeingView />, vase);
    expect(pane('Colours').getByText(/African padauk bleeds into Hard maple/)).toBeTruthy();
    expect(pane('Colours').getByText(/no spirits/)).toBeTruthy();
    expect(pane('The room').getByText(/weighs 101 % of what it does now/)).toBeTruthy();
  });
  test('the room is chosen by region, as the handbook has it; a figure changed makes it one of its own', async () => {
    const sent: { workshop: { climate: object } }[] = [];
    vi.stubGlobal('fetch', async (request: Request) => {
      if (request.method !== 'PUT' || !request.url.endsWith('/shop')) throw new TypeError('away');
      const shop = await request.clone().json();
      sent.push(shop);
      return new Response(JSON.stringify(shop), { headers: { 'content-type': 'application/json' } });
    });
    showWith(<AgeingView />, vase);
    const room = () => screen.getByLabelText<HTMLSelectElement>('The room is like');
    expect(room().value).toBe('own');
    await userEvent.setup().selectOptions(room(), 'Damp, warm coast');
    await vi.waitFor(() => expect(sent.length).toBe(1));
    expect(sent[0]!.workshop.climate).toMatchObject({ boardsPercent: 11, dampHumidity: 70 });
  });
});
