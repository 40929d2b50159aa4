import { edit, mm, turned } from '@fellside/core';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Provider } from 'react-redux';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { afterEach, describe, expect, test } from 'vitest';
import { editPiece } from '../store/edits.js';
import { showWith } from '../testing/open.js';
import { outlinePath } from './outline.js';
import { RingPlan } from './RingPlan.js';

afterEach(cleanup);

/** The plan of a ring of the cup, counted from 1; gives the store and the address. */
function plan(ring: number, prepare: (store: ReturnType<typeof showWith>['store']) => void = () => {}) {
  const { store, project } = showWith(null);
  prepare(store);
  const router = createMemoryRouter(
    [
      { path: '/piece/:id/rings/:ring/plan', element: <RingPlan /> },
      { path: '*', element: null },
    ],
    {
      initialEntries: [`/piece/cup/rings/r${ring}/plan`],
    },
  );
  render(
    <Provider store={store}>
      <RouterProvider router={router} />
    </Provider>,
  );
  return { store, project, address: () => router.state.location.pathname };
}
const drawing = () => screen.getByRole('img', { name: /from above/ });

describe('a ring from above', () => {
  test('draws every segment, the ring below, and the sizes that the ledger has', () => {
    plan(9);
    expect(drawing().querySelectorAll('path[fill^="url(#plan"]')).toHaveLength(24);
    for (const figure of ['53/64"+', '19/32"+', '7/8"', '15°'])
      expect(drawing().textContent).toContain(figure);
    expect(drawing().querySelector('[data-overlap]')).not.toBeNull();
    expect(screen.getByText('18 × Segment')).toBeTruthy();
    expect(document.activeElement).toBe(screen.getByRole('dialog'));
    expect(screen.getByText(/Set the saw to 7.5°/)).toBeTruthy();
    expect(screen.getByText(/Hold short pieces with a clamp/)).toBeTruthy();
    expect(screen.getByText(/local rules come first/)).toBeTruthy();
  });

  test('a disc has its width; the lowest ring lies on nothing', () => {
    plan(1);
    expect(drawing().textContent).toContain('across');
    expect(drawing().querySelector('[data-overlap]')).toBeNull();
    expect(screen.getByText('lowest ring')).toBeTruthy();
  });

  test('unequal segments are dimensioned kind by kind', () => {
    plan(9, (store) => store.dispatch(editPiece(edit.setParams([8], 'segmented', { parts: [2, 1] }))));
    expect(drawing().textContent).toContain('20°');
    expect(drawing().textContent).toContain('10°');
  });

  test('measured values are typed here, emptied again, and refused when they cannot be', async () => {
    const { project } = plan(9);
    const across = screen.getByLabelText('Measured diameter');
    await userEvent.type(across, '6{Enter}');
    expect(project().rings[8]!.measured).toEqual({ diameterMm: expect.closeTo(152.4, 9) });
    await userEvent.clear(across);
    await userEvent.type(across, '-2{Enter}');
    expect(screen.getByRole('alert').textContent).toMatch(/Measured diameter is/);
    await userEvent.clear(across);
    await userEvent.type(across, '{Enter}');
    expect(project().rings[8]!.measured).toBeUndefined();
  });

  test('goes to the ring above and below, and closes to the ring', async () => {
    const { address } = plan(2);
    await userEvent.click(screen.getByRole('button', { name: 'Ring above' }));
    expect(address()).toBe('/piece/cup/rings/r3/plan');
    await userEvent.click(screen.getByRole('button', { name: 'Close' }));
    expect(address()).toBe('/piece/cup/rings/r3');
  });

  test('a ring that cannot be made says why', () => {
    plan(9, (store) =>
      store.dispatch(editPiece(edit.setFixed([8], { outerRadiusMm: mm(50), innerRadiusMm: mm(49.999995) }))),
    );
    expect(screen.getByRole('alert').textContent).toMatch(/The ring has no width/);
  });
});

test('an outline turned a quarter round, as a path', () => {
  const corner = turned([{ x: 2, y: 0 }], Math.PI / 2)[0]!;
  expect([corner.x, corner.y]).toEqual([expect.closeTo(0, 12), expect.closeTo(2, 12)]);
  expect(
    outlinePath([
      { x: 1, y: 2 },
      { x: 3, y: 4 },
    ]),
  ).toBe('M1.000 2.000L3.000 4.000Z');
});

describe('the builder of a feature ring', () => {
  const feature = (way: Parameters<typeof edit.startFrom>[1], ring = 9) =>
    plan(ring, (store) => store.dispatch(editPiece(edit.startFrom([ring - 1], way))));

  test('shows the steps as pictures, and what is set changes them at once', async () => {
    const { project } = feature('laminated');
    const titles = () =>
      screen.getAllByRole('listitem').flatMap((item) => /\d · (\w+)/.exec(item.textContent ?? '')?.[1] ?? []);
    expect(titles()).toEqual(['Board', 'Slice', 'Segment', 'Ring']);
    expect(screen.getByText('Board, least thickness')).toBeTruthy();
    await userEvent.selectOptions(screen.getByLabelText('Figure'), 'level stripes');
    expect(project().rings[8]!.making).toMatchObject({ sawnFrom: { figure: 'stripes' } });
    expect(titles()).toEqual(['Board', 'Segment', 'Ring']);
  });

  test.each(['inlaid', 'lettered', 'illusion', 'basket', 'layered'] as const)(
    '%s has pictures too',
    (way) => {
      feature(way);
      const pictures = screen.getByRole('list', { name: 'Steps as pictures' });
      expect(pictures.querySelectorAll('svg').length).toBeGreaterThan(0);
      expect(pictures.textContent).not.toMatch(/NaN|undefined/);
      expect(screen.getByRole('button', { name: 'Template, full size (SVG)' })).toBeTruthy();
    },
  );

  test('a plain ring has none', () => {
    plan(9);
    expect(screen.queryByRole('list', { name: 'Steps as pictures' })).toBeNull();
  });
});
