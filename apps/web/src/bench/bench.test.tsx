import { DEFAULT_SHOP, edit, mm, plan } from '@fellside/core';
import { demoProjects } from '@fellside/core/demo';
import { act, cleanup, fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { Messages } from '../shell/Messages.js';
import { editPiece } from '../store/edits.js';
import { session } from '../store/sessionSlice.js';
import { showWith } from '../testing/open.js';
import { Bench } from './Bench.js';
import { linePath, stripPath } from './path.js';
import { scaleFor } from './useScale.js';

afterEach(cleanup);

const at = { x: (r: number) => 100 + r, y: (z: number) => 50 - z };

test('paths: a line through points, and the strip between two foreshortenings of it', () => {
  const line = [
    { r: 10, z: 0 },
    { r: 20, z: 5 },
  ];
  expect(linePath(line, at)).toBe('M110.00 50.00L120.00 45.00');
  expect(stripPath(line, at, 0, 0.5)).toBe('M100.00 50.00L100.00 45.00L110.00 45.00L105.00 50.00Z');
  expect(linePath([], at)).toBe('');
});

describe('the scale', () => {
  const [bench, pane] = [{ height: 656 }, { width: 500 }];
  test('shows the whole piece where rows stay readable', () => {
    const scale = scaleFor({ heightMm: 200, reachMm: 60, thinnestMm: 20 }, bench, pane, false);
    expect(scale * 200).toBeLessThanOrEqual(656 - 56);
    expect(scale * 60).toBeLessThanOrEqual(250);
  });
  test('grows until the thinnest ring is a line of text, unless all is to fit', () => {
    const thin = { heightMm: 600, reachMm: 60, thinnestMm: 3 };
    expect(scaleFor(thin, bench, pane, false) * 3).toBeCloseTo(17, 9);
    expect(scaleFor(thin, bench, pane, true) * 600).toBeLessThanOrEqual(600);
  });
});

const show = (document = demoProjects()[0]!) =>
  showWith(
    <>
      <Bench unrolled shortLedger={false} />
      <Messages />
    </>,
    document,
  );

describe('the bench', () => {
  test('draws every segment once on the unrolled wall, and the ledger has a row for every ring, top first', () => {
    const { project } = show();
    const wall = screen.getByRole('region', { name: 'Wall, unrolled' });
    project().rings.forEach((ring, i) => {
      const drawn = [...wall.querySelectorAll(`[data-ring="${i + 1}"] [data-place]`)].map((place) =>
        place.getAttribute('data-place'),
      );
      expect(new Set(drawn).size).toBe(ring.woods.length);
    });
    const rows = within(screen.getByRole('table', { name: 'Ring ledger' }))
      .getAllByRole('row')
      .slice(1);
    expect(rows.map((row) => row.querySelector('button')!.textContent)).toEqual(
      project().rings.map((_, i) => String(15 - i)),
    );
  });

  test('the ledger’s figures are the plan’s', () => {
    show();
    const planned = plan(demoProjects()[0]!, DEFAULT_SHOP);
    const stock = planned.ok && planned.value.rings[8]!.pieces[0]!.kind.stock;
    const sixtyFourths = Math.round(((stock && stock.from === 'strip' ? stock.longEdgeMm : 0) / 25.4) * 64);
    expect(screen.getByRole('button', { name: 'Ring 9' }).closest('tr')!.textContent).toContain(
      `${sixtyFourths}/64`,
    );
  });

  test('arrow keys walk the rings; hovering names the segment under the pointer', async () => {
    const { store } = show();
    await userEvent.click(screen.getByRole('button', { name: 'Ring 9' }));
    await userEvent.keyboard('{ArrowUp}{ArrowUp}{ArrowDown}');
    expect(store.getState().session.selected).toEqual([9]);
    fireEvent.pointerOver(document.querySelector('[data-ring="7"] [data-place="0"]')!);
    expect(screen.getByText('ring 7, segment 1 of 24: Black walnut')).toBeTruthy();
  });

  test('walking the unrolled wall by keyboard goes round the ring and up', () => {
    const { store } = show();
    act(() => void store.dispatch(session.hovered({ ring: 6, place: 0 })));
    const walker = screen.getByRole('application');
    fireEvent.keyDown(walker, { key: 'ArrowLeft' });
    expect(store.getState().session.hover).toEqual({ ring: 6, place: 23 });
    fireEvent.keyDown(walker, { key: 'ArrowUp' });
    expect(store.getState().session.hover).toEqual({ ring: 7, place: 23 });
  });

  test('a cell that is refused keeps what was typed, says why, and offers the way out', async () => {
    const { project } = show();
    const cell = screen.getByRole('textbox', { name: 'Height of ring 4' });
    await userEvent.clear(cell);
    await userEvent.type(cell, '1/4{Enter}');
    expect(screen.getByText(/do not reach the form's height of 10 1\/2"/)).toBeTruthy();
    expect((cell as HTMLInputElement).value).toBe('1/4');
    await userEvent.click(screen.getByRole('button', { name: 'Do it and make up on top' }));
    expect(project().rings[3]!.heightMm).toBe(6.35);
    expect(project().rings).toHaveLength(16);
    expect(screen.getByText(/1 ring added on top/)).toBeTruthy();
  });

  test('one ring and a hundred rings are both drawn', () => {
    const single = structuredClone(demoProjects()[1]!);
    single.form.points = single.form.points.slice(0, 2);
    single.form.floorMm = mm(5);
    single.rings.length = 1;
    const { store, project } = show(single);
    expect(screen.getAllByRole('row')).toHaveLength(2);
    store.dispatch(editPiece(edit.setRingHeight([0], mm(0.5), true)));
    expect(project().rings.length).toBeGreaterThan(10);
  });
});
