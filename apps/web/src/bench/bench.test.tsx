import { DEFAULT_SHOP, edit, mm, plan } from '@fellside/core';
import { demoProjects } from '@fellside/core/demo';
import { act, cleanup, fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { Messages } from '../shell/Messages.js';
import { editPiece } from '../store/edits.js';
import { selectedRingsOf, selectRings } from '../store/selection.js';
import { preparedOf } from '../store/selectors.js';
import { session } from '../store/sessionSlice.js';
import { showWith } from '../testing/open.js';
import { linePath, stripPath } from '../ui/path.js';
import { Bench } from './Bench.js';
import { scaleFor } from './useScale.js';

afterEach(cleanup);

const at = { x: (r: number) => 100 + r, y: (z: number) => 50 - z };

test('paths: a line through points, and the strip between two foreshortenings of it', () => {
  const line = [
    { r: 10, z: 0 },
    { r: 20, z: 5 },
  ];
  expect(linePath(line, at)).toBe('M110 50L120 45');
  expect(stripPath(line, at, 0, 0.5)).toBe('M100 50L100 45L110 45L105 50Z');
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
      <Bench grab="edges" unrolled shortLedger={false} />
      <Messages />
    </>,
    document,
  );

describe('the bench', () => {
  test('the unrolled wall tells what each ring shows, and the ledger has a row for every ring, top first', () => {
    const { project } = show();
    const wall = screen.getByRole('region', { name: 'Wall, unrolled' });
    project().rings.forEach((ring, i) => {
      const woods = wall
        .querySelector(`[data-ring="${i + 1}"]`)!
        .getAttribute('data-woods')!
        .split(', ');
      const counts = [...new Set(ring.woods)].map(
        (key) => `${key} ${ring.woods.filter((other) => other === key).length}`,
      );
      expect(woods.sort()).toEqual(counts.sort());
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
    expect(selectedRingsOf(store.getState())).toEqual([9]);
    fireEvent.pointerMove(document.querySelector('[data-ring="7"]')!, { clientX: 0 });
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

  test('a cell that is refused keeps what was typed and says why', async () => {
    const { project } = show();
    const cell = screen.getByRole('textbox', { name: 'Height of ring 4' });
    await userEvent.clear(cell);
    await userEvent.type(cell, '-1/4{Enter}');
    expect(screen.getByText(/Ring 4: Ring height is −1\/4"/)).toBeTruthy();
    expect((cell as HTMLInputElement).value).toBe('-1/4');
    expect(project()).toEqual(demoProjects()[0]);
  });

  test('one ring and a hundred and twenty rings are both drawn', () => {
    const single = structuredClone(demoProjects()[1]!);
    single.form.points = single.form.points.slice(0, 2);
    if (single.form.inside.by === 'wall') single.form.inside.floorMm = mm(5);
    single.rings.length = 1;
    const { store, project } = show(single);
    expect(screen.getAllByRole('row')).toHaveLength(2);
    act(() => void store.dispatch(editPiece(edit.setFormHeight(mm(300)))));
    act(() => void store.dispatch(editPiece(edit.sliceBy([mm(2.5)]))));
    expect(project().rings).toHaveLength(120);
    expect(screen.getAllByRole('row')).toHaveLength(121);
  });
});

describe('the ledger', () => {
  test('an edit in one of several selected rows goes to them all', async () => {
    const { store, project } = show();
    act(() => void store.dispatch(selectRings([7, 8, 9])));
    const cell = screen.getByRole('textbox', { name: 'Segments of ring 9' });
    await userEvent.clear(cell);
    await userEvent.type(cell, '12{Enter}');
    expect(
      project()
        .rings.slice(6, 11)
        .map(({ woods }) => woods.length),
    ).toEqual([24, 12, 12, 12, 24]);
  });

  test('up and down in a cell go to the same cell of the next ring; Alt with them moves the ring', async () => {
    const { project } = show();
    const before = project().rings.map(({ id }) => id);
    await userEvent.click(screen.getByRole('textbox', { name: 'Height of ring 9' }));
    await userEvent.keyboard('{ArrowUp}');
    expect(document.activeElement?.getAttribute('aria-label')).toBe('Height of ring 10');
    await userEvent.click(screen.getByRole('button', { name: 'Ring 9' }));
    await userEvent.keyboard('{Alt>}{ArrowUp}{/Alt}');
    const moved = project().rings.map(({ id }) => id);
    expect([moved[8], moved[9]]).toEqual([before[9], before[8]]);
  });

  test('columns are chosen and stay chosen; what is measured shifts the stack above', async () => {
    const { store, project } = show();
    expect(screen.queryByRole('textbox', { name: 'Measured thickness of ring 9' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Choose columns' }));
    await userEvent.click(screen.getByLabelText('Measured thickness'));
    await userEvent.keyboard('{Escape}');
    expect(localStorage.getItem('fellside.look')).toContain('"made":true');
    const cell = screen.getByRole('textbox', { name: 'Measured thickness of ring 9' });
    await userEvent.type(cell, '5/8{Enter}');
    expect(project().rings[8]!.measured).toEqual({ heightMm: 15.875 });
    const prepared = preparedOf(store.getState());
    expect(prepared.ok && prepared.value.rings[9]!.course.bottomMm).toBeCloseTo(
      prepared.ok ? prepared.value.rings[8]!.course.bottomMm + 15.875 : 0,
      9,
    );
    await userEvent.clear(cell);
    await userEvent.type(cell, '{Enter}');
    expect(project().rings[8]!.measured).toBeUndefined();
    localStorage.clear();
  });

  test('locking is a button in the row', async () => {
    const { project } = show();
    await userEvent.click(screen.getByRole('button', { name: 'Lock the height of ring 9' }));
    expect(project().rings[8]!.locked).toBe(true);
  });
});
