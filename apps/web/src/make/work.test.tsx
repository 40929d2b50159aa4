import { DEFAULT_SHOP, SHIPPED_WOODS, type Tick } from '@fellside/core';
import { demoProjects } from '@fellside/core/demo';
import { act, cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { keptTicks } from '../store/progress/keeping.js';
import { progress } from '../store/progress/progressSlice.js';
import { doneOf } from '../store/progress/work.js';
import { showWith } from '../testing/open.js';
import { otherWork } from '../workers/others.js';
import { ChangesView } from './ChangesView.js';
import { longSaid, minutesAfter, minutesBetween, timeOf } from './clock.js';
import { DayView } from './day/DayView.js';
import { WorkView } from './WorkView.js';

const cup = demoProjects().find(({ name }) => name.includes('Cup'))!;

/** The server takes nothing: what is counted stays on its way. */
beforeEach(() => {
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('away')));
  localStorage.clear();
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

const shown = (view = <WorkView />, project = cup) => {
  const opened = showWith(view, project);
  act(() => {
    opened.store.dispatch(progress.opened({ piece: 'cup', pending: [] }));
    opened.store.dispatch(progress.heard({ piece: 'cup', ticks: [] }));
  });
  const heard = (ticks: readonly Partial<Tick>[]) =>
    act(
      () =>
        void opened.store.dispatch(
          progress.heard({
            piece: 'cup',
            ticks: ticks.map((tick, i) => ({
              id: `h${i}${tick.job}`,
              job: '',
              amount: 1,
              at: new Date().toISOString(),
              device: 'phone',
              ...tick,
            })),
          }),
        ),
    );
  return { ...opened, heard, done: (job: string) => doneOf(opened.store.getState()).get(job) ?? 0 };
};
const card = () => screen.getByRole('article');
const title = () => within(card()).getByRole('heading', { level: 2 }).textContent;

describe('cards', () => {
  test('begin with the first job; Space counts, − takes back, arrows turn over', async () => {
    const { done } = shown();
    expect(title()).toBe('Ring 1: plane');
    fireEvent.keyDown(window, { key: ' ' });
    expect(done('ring-r1/plane')).toBe(1);
    fireEvent.keyDown(window, { key: '-' });
    expect(done('ring-r1/plane')).toBe(0);
    // − once more: nothing is left to be taken back.
    fireEvent.keyDown(window, { key: '-' });
    expect(screen.getByRole('alert').textContent).toMatch(/no more than that can be taken back/);
    fireEvent.keyDown(window, { key: 'ArrowRight' });
    expect(title()).toBe('Ring 5: plane');
    expect(screen.queryByRole('alert')).toBeNull();
    fireEvent.keyDown(window, { key: 'PageUp' });
    expect(title()).toBe('Ring 1: plane');
  });

  test('set in large figures; refused before their turn, unless what comes before is said to be done', async () => {
    const { done, project } = shown();
    await userEvent.click(screen.getByRole('button', { name: /Saw at 7.5/ }));
    await userEvent.click(screen.getByRole('button', { name: /^Ring 9: cut segments/ }));
    const set = screen.getByLabelText('To set');
    expect(set.textContent).toContain('Angle7.5°wedge 15°');
    expect(set.textContent).toContain('Stop, long edge53/64"');
    await userEvent.click(screen.getByRole('button', { name: 'One more' }));
    expect(screen.getByRole('alert').textContent).toMatch(/comes after “Ring 9: plane and rip”/);
    expect(done('ring-r9/saw')).toBe(0);
    await userEvent.click(screen.getByRole('button', { name: 'It is done already' }));
    await userEvent.click(screen.getByRole('button', { name: /count one more/ }));
    expect(done('ring-r9/saw')).toBe(1);
    expect(project().rings[8]!.fixed).toBeUndefined();
    await userEvent.click(screen.getByRole('button', { name: 'All 24 done' }));
    // What is cut keeps its size from now on; taken back it follows the form again.
    await waitFor(() =>
      expect(project().rings[8]).toMatchObject({ cut: true, fixed: { outerRadiusMm: expect.any(Number) } }),
    );
    await userEvent.click(screen.getByRole('button', { name: 'One less' }));
    await waitFor(() => expect(project().rings[8]!.cut).toBeUndefined());
    expect(project().rings[8]!.fixed).toBeUndefined();
  });

  test('what another device counts is added, what is on its way is kept here', async () => {
    const { done, heard } = shown();
    fireEvent.keyDown(window, { key: ' ' });
    heard([{ job: 'ring-r5/plane' }]);
    expect(done('ring-r1/plane')).toBe(1);
    expect(done('ring-r5/plane')).toBe(1);
    expect(keptTicks('cup').map(({ job, amount }) => [job, amount])).toEqual([['ring-r1/plane', 1]]);
    expect(screen.getByText(/Last counted .* on the computer/)).toBeTruthy();
    expect((await screen.findByRole('status', {}, { timeout: 6000 })).textContent).toMatch(
      /1 count is kept on this device/,
    );
  });

  test('a measured thickness goes into the plan; one that is far off is asked about first', async () => {
    const { project } = shown();
    await userEvent.click(screen.getByRole('button', { name: /Glue and flatten/ }));
    await userEvent.click(screen.getByRole('button', { name: /^Ring 9: flatten/ }));
    const type = async (text: string) => {
      const field = screen.getByLabelText('Measured thickness');
      await userEvent.clear(field);
      await userEvent.type(field, `${text}{Enter}`);
    };
    await type('0.68');
    expect(project().rings[8]!.measured).toEqual({ heightMm: 0.68 * 25.4 });
    await type('6.8');
    expect(screen.getByRole('alertdialog').textContent).toMatch(/far from the plan’s/);
    expect(project().rings[8]!.measured).toEqual({ heightMm: 0.68 * 25.4 });
    await userEvent.click(screen.getByRole('button', { name: 'No, leave it' }));
    expect(screen.queryByRole('alertdialog')).toBeNull();
  });

  test('clamps: the time that is left, then that they come off', async () => {
    vi.useFakeTimers({ toFake: ['Date', 'setInterval', 'clearInterval'] });
    vi.setSystemTime(new Date('2026-11-28T10:00:00Z'));
    const { heard } = shown();
    const before = ['ring-r9/rip', 'ring-r9/glue'].map((job) => ({ job, at: '2026-11-28T09:50:00.000Z' }));
    heard([...before, { job: 'ring-r9/saw', amount: 24, at: '2026-11-28T09:50:00.000Z' }]);
    expect(screen.getByRole('timer').textContent).toBe('20:00');
    act(() => void vi.advanceTimersByTime(19 * 60_000 + 59_000));
    expect(screen.getByRole('timer').textContent).toBe('0:01');
    act(() => void vi.advanceTimersByTime(1000));
    expect(screen.getByRole('timer').textContent).toBe('out');
    expect(screen.getByText(/Ring 9: glue up: the clamps come off/)).toBeTruthy();
  });
});

describe('the day plan', () => {
  test('says when all is done, whether it could be sooner, and what each way of building comes to', async () => {
    const { project } = shown(<DayView />);
    expect(screen.getByText(/Done by .*; in these hours it cannot be sooner/)).toBeTruthy();
    expect(screen.getByRole('img', { name: /Timeline of 81 jobs/ })).toBeTruthy();
    expect(screen.getAllByRole('row')).toHaveLength(7);
    expect(screen.getByText(/has no lid/)).toBeTruthy();
    await userEvent.selectOptions(screen.getByLabelText('The stack'), 'halves');
    expect(project().schools).toEqual({ stacking: 'halves' });
    await userEvent.selectOptions(screen.getByLabelText('The stack'), '');
    expect(project().schools).toBeUndefined();
  });
  test('other pieces are planned into the same hours: what is left of them, by their names', () => {
    const bowl = demoProjects().find(({ name }) => name.includes('Fleece'))!;
    const at = '2026-11-28T10:00:00.000Z';
    const ticks = [{ id: 'a', job: 'ring-r1/plane', amount: 1, at, device: 'phone' }];
    const { tasks, without } = otherWork(
      [{ id: 'b1', document: bowl, ticks }],
      DEFAULT_SHOP,
      SHIPPED_WOODS,
      Date.parse(at),
    );
    expect(without).toEqual([]);
    expect(tasks).toHaveLength(44);
    expect(tasks.every(({ id }) => id.startsWith('b1|'))).toBe(true);
    expect(tasks[0]!.title).toMatch(/^Best Fleece Bowl: Ring/);
    const ids = new Set(tasks.map(({ id }) => id));
    expect(tasks.flatMap(({ needs }) => needs).every(({ id }) => ids.has(id))).toBe(true);
  });
  // The clocks of London go forward on 28 March 2027 at one, and back on 31 October at two.
  test('hours of the week stand by the clock on the wall over a change to summer time and back', () => {
    const before = process.env.TZ;
    process.env.TZ = 'Europe/London';
    try {
      for (const [month, day, hours] of [
        [2, 27, 23],
        [9, 30, 25],
      ] as const) {
        const ten = new Date(2027, month, day, 10, 0).getTime();
        const next = minutesAfter(ten, 24 * 60);
        expect(timeOf(next, ten)).toBe('Sunday 10:00');
        expect((next - ten) / 3_600_000).toBe(hours);
        expect(minutesBetween(ten, next)).toBe(24 * 60);
      }
    } finally {
      if (before === undefined) delete process.env.TZ;
      else process.env.TZ = before;
    }
  });
  test('clock and lengths of time', () => {
    const now = new Date(2026, 10, 28, 10, 0).getTime();
    expect(timeOf(now + 65 * 60_000, now)).toBe('11:05');
    expect(timeOf(now + 2 * 86_400_000, now)).toBe('Monday 10:00');
    expect(timeOf(now + 20 * 86_400_000, now)).toMatch(/^Fri 18 Dec/);
    expect([0.5, 24.1, 61, 130, 4320].map(longSaid)).toEqual(['0:30', '24:06', '1 h 01', '2 h 10', '3 days']);
  });
});

test('changes at the lathe are edits: sawn off, glued on, measured, let in; refused ones change nothing', async () => {
  const { project } = shown(<ChangesView />);
  const type = async (label: string, text: string) => {
    const field = screen.getByLabelText(label);
    await userEvent.clear(field);
    await userEvent.type(field, `${text}{Enter}`);
  };
  await type('Height of the cut', '40');
  await userEvent.click(screen.getByRole('button', { name: 'Saw off below' }));
  expect(project()).toBe(cup);
  await type('Height of the cut', '3/4');
  await userEvent.click(screen.getByRole('button', { name: 'Saw off below' }));
  expect(project().rings).toHaveLength(cup.rings.length - 1);
  expect(within(screen.getByRole('list', { name: 'Sawn off' })).getByRole('listitem').textContent).toMatch(
    /below 3\/4".*1 ring/,
  );
  await userEvent.click(screen.getByRole('button', { name: 'Glue the foot on' }));
  expect(project().rings).toHaveLength(cup.rings.length);
  await userEvent.click(screen.getByRole('button', { name: 'Let a disc in' }));
  await type('Written on it', 'Hollin Tarn 2026');
  await userEvent.tab();
  expect(project().letIn).toMatchObject({ says: 'Hollin Tarn 2026' });
  await type('Depth of the disc', '1 1/2');
  expect(project().letIn!.depthMm).toBeCloseTo(38.1, 6);
  await type('Diameter of the disc', '9');
  expect(project().letIn!.radiusMm).toBeLessThan(100);
  await userEvent.click(screen.getByRole('button', { name: 'Measured at a height' }));
  await type('Diameter 1', '4');
  await userEvent.click(screen.getByRole('button', { name: 'Make it the curve' }));
  expect(project().form.points.some(({ radiusMm }) => Math.abs(radiusMm - 50.8) < 1e-9)).toBe(true);
});
