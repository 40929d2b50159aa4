import { DEFAULT_SHOP, plan } from '@fellside/core';
import { demoBoards, demoProjects } from '@fellside/core/demo';
import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expose } from 'comlink';
import load from 'highs';
import { Navigate, Route, Routes } from 'react-router';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { selectedRingsOf } from '../../store/selection.js';
import { showWith } from '../../testing/open.js';
import {
  copiesOf,
  type LayoutAsk,
  type LayoutState,
  layOutBoards,
  solveWood,
  type WoodState,
} from '../../workers/layout.js';
import { PapersView } from '../PapersView.js';
import { createRunner } from '../runner.js';
import { SawView } from '../saw/SawView.js';
import { SawingBar } from '../wood/SawingBar.js';
import { BoardsView } from './BoardsView.js';

vi.mock('react-chartjs-2', () => ({
  Bar: ({ 'aria-label': says }: { 'aria-label': string }) => <p>{says}</p>,
}));
afterEach(cleanup);

const project = demoProjects()[1]!;
const planned = plan(project, DEFAULT_SHOP);
if (!planned.ok) throw new Error('plan');
const ask: LayoutAsk = {
  piece: 'a',
  lumber: planned.value.lumber,
  one: planned.value.lumber,
  boards: demoBoards().map((board, i) => ({ ...board, id: String(i) })),
  shop: DEFAULT_SHOP,
  goal: 'cost',
  buying: true,
  owned: { rings: project.rings },
  solve: true,
};

describe('laying out boards', () => {
  test('an answer stands at once; later ones cost no more, bounds rise, and it says when it is done', async () => {
    const told: LayoutState[] = [];
    const highs = await load();
    const solving = {
      wood: (of: LayoutAsk, wood: number, tell: (state: WoodState) => Promise<void> | void) =>
        solveWood(of, wood, highs, tell),
      copies: async (of: LayoutAsk) => copiesOf(of, highs),
    };
    await layOutBoards(ask, solving, (state) => {
      told.push(state);
    });
    expect(told[0]!.woods.every(({ stage, layout }) => stage === 'at once' && layout.boards.length > 0)).toBe(
      true,
    );
    told[0]!.woods.forEach((first, i) => {
      const states = told.map(({ woods }) => woods[i]!);
      for (const [k, { cost, bound }] of states.entries()) {
        expect(cost).toBeLessThanOrEqual((states[k - 1] ?? first).cost + 1e-9);
        expect(bound).toBeLessThanOrEqual(cost + 1e-9);
      }
      expect(states.at(-1)!.stage).toBe('done');
    });
    expect(told.map(({ done }) => done).filter(Boolean)).toHaveLength(1);
    expect(told.at(-1)!.done).toBe(true);
  });
  test('what is there at once is kept when it is cancelled; the same question again starts nothing', () => {
    const ended = vi.fn();
    const start = vi.fn(
      () =>
        ({
          postMessage: () => {},
          addEventListener: () => {},
          removeEventListener: () => {},
          terminate: ended,
        }) as unknown as Worker,
    );
    const runner = createRunner(start);
    const heard = vi.fn();
    runner.subscribe(heard);
    runner.ask(ask);
    expect(runner.get()).toMatchObject({ running: true, cancelled: false });
    runner.ask({ ...ask });
    expect(start).toHaveBeenCalledTimes(1);
    runner.cancel();
    expect(ended).toHaveBeenCalledTimes(1);
    expect(runner.get()).toMatchObject({ running: false, cancelled: true });
    runner.again();
    expect(start).toHaveBeenCalledTimes(2);
    runner.ask({ ...ask, goal: 'boards' });
    expect(ended).toHaveBeenCalledTimes(2);
    expect(heard).toHaveBeenCalled();
  });
});

/** A worker that tells when it is told to, over a channel as a real one does. */
function tellingWorker() {
  const { port1, port2 } = new MessageChannel();
  let told: ((state: LayoutState) => unknown) | null = null;
  expose(
    {
      run: (_: LayoutAsk, tell: (state: LayoutState) => unknown) => {
        told = tell;
        return new Promise(() => {});
      },
    },
    port2,
  );
  port1.start();
  port2.start();
  return {
    worker: Object.assign(port1, { terminate: () => {} }) as unknown as Worker,
    tell: async (state: Partial<LayoutState>) => {
      await vi.waitFor(() => expect(told).not.toBeNull());
      await told!({ woods: [], reasons: [], copies: null, done: false, ...state });
    },
  };
}

test('what a worker tells of a question that is stale is not shown, nor a layout of another piece', async () => {
  const workers = [tellingWorker(), tellingWorker(), tellingWorker()];
  const all = [...workers];
  const runner = createRunner(() => all.shift()!.worker);
  runner.ask(ask);
  await workers[0]!.tell({ copies: 1 });
  await vi.waitFor(() => expect(runner.get().state?.copies).toBe(1));
  runner.ask({ ...ask, goal: 'boards' });
  // The best answer so far stays until the next comes; the first worker is heard no more.
  await workers[0]!.tell({ copies: 7 });
  expect(runner.get().state?.copies).toBe(1);
  await workers[1]!.tell({ copies: 2 });
  await vi.waitFor(() => expect(runner.get().state?.copies).toBe(2));
  runner.ask({ ...ask, piece: 'b' });
  expect(runner.get()).toMatchObject({ piece: 'b', state: null, running: true });
  await workers[1]!.tell({ copies: 9 });
  expect(runner.get().state).toBeNull();
});

describe('the pages of Cuts', () => {
  test('the saw’s settings lead to their rings, and how rings are sawn is set for those selected', async () => {
    const { store, project: now } = showWith(
      <>
        <SawView />
        <SawingBar />
      </>,
      project,
    );
    await userEvent.click(screen.getAllByRole('button', { name: 'ring 4' })[0]!);
    expect(selectedRingsOf(store.getState())).toEqual([3]);
    await userEvent.selectOptions(screen.getByLabelText('Along the strip'), 'same-edge');
    expect(now().rings.map(({ sawing }) => sawing?.edge)).toEqual(
      project.rings.map((_, i) => (i === 3 ? 'same-edge' : undefined)),
    );
    expect(screen.getByText(/same edge out/, { selector: 'p' })).toBeTruthy();
  });
  test('boards are drawn with their pieces; one of them is opened with its cuts in their order', async () => {
    showWith(
      <Routes>
        <Route path="form" element={<Navigate to="../cuts/boards" />} />
        <Route path="cuts/boards" element={<BoardsView />} />
        <Route path="cuts/boards/:board" element={<BoardsView />} />
      </Routes>,
      project,
    );
    const drawn = screen.getAllByRole('img').length;
    expect(drawn).toBeGreaterThan(1);
    expect(document.querySelector('[data-piece="ring 4"]')).toBeTruthy();
    await userEvent.click(screen.getByRole('link', { name: 'Board 1' }));
    const cuts = screen.getByRole('region', { name: 'Cuts of this board' });
    expect(cuts.textContent).toMatch(/Joint one long edge.*Rip|rip/);
    expect(
      within(screen.getByRole('region', { name: 'Strips of this board' })).getAllByRole('row').length,
    ).toBeGreaterThan(1);
    await userEvent.click(screen.getByRole('link', { name: 'Board 2' }));
    expect(screen.getByRole('heading', { name: /^Board 2: / })).toBeTruthy();
    await userEvent.click(screen.getByRole('link', { name: 'All boards' }));
    expect(screen.getAllByRole('img')).toHaveLength(drawn);
  });
  test('papers: tables, drawings and sheets are on offer; a cutter that cannot be is told', async () => {
    showWith(<PapersView />, project);
    for (const name of [
      'Cut list, CSV',
      'Settings of the saw, CSV',
      'The whole plan, JSON',
      'Shop sheets, PDF',
    ])
      expect(screen.getByRole('button', { name })).toBeTruthy();
    const field = screen.getByLabelText('Board length');
    await userEvent.clear(field);
    await userEvent.type(field, '1{Enter}');
    await userEvent.click(screen.getByRole('button', { name: /Segments, nested/ }));
    expect(screen.getByRole('alert').textContent).toMatch(/the longest piece needs/);
  });
});
