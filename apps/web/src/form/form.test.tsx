import { edit, mm } from '@fellside/core';
import { act, cleanup, fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeAll, describe, expect, test, vi } from 'vitest';
import { Messages } from '../shell/Messages.js';
import { editPiece } from '../store/edits.js';
import { showWith } from '../testing/open.js';
import { FormStation } from './FormStation.js';

beforeAll(() => {
  // jsdom knows no pointer capture.
  Element.prototype.setPointerCapture = () => {};
  vi.stubGlobal('requestAnimationFrame', (work: FrameRequestCallback) => {
    work(0);
    return 0;
  });
});
afterEach(cleanup);

const show = () =>
  showWith(
    <>
      <FormStation />
      <Messages />
    </>,
  );
const set = async (label: string | RegExp, text: string) => {
  const field = screen.getByLabelText(label);
  await userEvent.clear(field);
  await userEvent.type(field, `${text}{Enter}`);
};

describe('handles on the cut-through', () => {
  test('arrow keys nudge a point by 1/16 in, with Shift by 1/64; Insert adds one, Delete takes it away', () => {
    const { project } = show();
    const handle = screen.getByRole('slider', { name: 'Curve point 6' });
    const before = project().form.points[5]!;
    fireEvent.keyDown(handle, { key: 'ArrowLeft' });
    fireEvent.keyDown(handle, { key: 'ArrowDown', shiftKey: true });
    expect(project().form.points[5]!.radiusMm).toBeCloseTo(before.radiusMm + 25.4 / 16, 9);
    expect(project().form.points[5]!.heightMm).toBeCloseTo(before.heightMm - 25.4 / 64, 9);
    fireEvent.keyDown(handle, { key: 'Insert' });
    expect(project().form.points).toHaveLength(10);
    fireEvent.keyDown(screen.getByRole('slider', { name: 'Curve point 7' }), { key: 'Delete' });
    expect(project().form.points).toHaveLength(9);
  });

  test('a drag shows at once and is one step; Escape puts it back; a click moves nothing', () => {
    const { store, project } = show();
    const start = project();
    const handle = screen.getByRole('slider', { name: 'Curve point 6' });
    const shown = () => handle.getAttribute('aria-valuenow');
    const at = (clientX: number) => ({ clientX, clientY: 0, pointerId: 1, button: 0 });
    fireEvent.pointerDown(handle, at(100));
    fireEvent.pointerMove(handle, at(90));
    fireEvent.pointerMove(handle, at(80));
    expect(Number(shown())).toBeGreaterThan(start.form.points[5]!.radiusMm);
    expect(project()).toBe(start);
    fireEvent.pointerUp(handle, at(80));
    expect(project().form.points[5]!.radiusMm).toBeGreaterThan(start.form.points[5]!.radiusMm);
    expect(store.getState().piece.edited!.history.past).toHaveLength(1);
    fireEvent.pointerDown(handle, at(100));
    fireEvent.pointerMove(handle, at(50));
    fireEvent.keyDown(window, { key: 'Escape' });
    fireEvent.pointerUp(handle, at(50));
    fireEvent.pointerDown(handle, at(100));
    fireEvent.pointerUp(handle, at(100));
    expect(store.getState().piece.edited!.history.past).toHaveLength(1);
    expect(store.getState().piece.preview).toBeNull();
  });

  test('floor, wall and lid line have handles of their own', () => {
    const { store, project } = show();
    fireEvent.keyDown(screen.getByRole('slider', { name: 'Floor' }), { key: 'ArrowUp' });
    fireEvent.keyDown(screen.getByRole('slider', { name: 'Wall thickness' }), { key: 'ArrowRight' });
    expect(project().form.inside).toMatchObject({
      walls: [{ wallMm: expect.closeTo(7.14375 + 25.4 / 16, 9) }],
      floorMm: expect.closeTo(84.1375 + 25.4 / 16, 9),
    });
    act(() => void store.dispatch(editPiece(edit.setLid(edit.usualLid(project().form)))));
    const line = project().form.lid!.heightMm;
    fireEvent.keyDown(screen.getByRole('slider', { name: 'Lid line' }), { key: 'ArrowDown' });
    expect(project().form.lid!.heightMm).toBeCloseTo(line - 25.4 / 16, 9);
  });

  test('readouts name foot, waist, widest, neck and lip with their diameters', () => {
    show();
    for (const [name, figure] of [
      ['foot', '4 1/8"'],
      ['waist', '2 1/2"'],
      ['widest', '6 5/8"'],
      ['neck', '5 5/8"'],
      ['lip', '5 7/8"'],
    ]) {
      const label = screen.getAllByText(name!).find((element) => element.tagName === 'text')!;
      expect(label.parentElement!.textContent).toContain(figure);
    }
  });
});

describe('the panel', () => {
  test('the wall may change with the height, or the inside be a curve of its own', async () => {
    const { project } = show();
    await userEvent.click(screen.getByRole('button', { name: /Let the wall change/ }));
    await set('Wall 2, square', '1/4');
    expect(project().form.inside).toMatchObject({
      walls: [{ wallMm: 7.14375 }, { heightMm: 266.7, wallMm: 6.35 }],
    });
    await set('at height 2', '1/4');
    expect(project().form.inside).toMatchObject({ walls: [{ heightMm: 0 }, { heightMm: 6.35 }] });
    await userEvent.click(screen.getByRole('button', { name: 'Remove wall thickness 2' }));
    await userEvent.click(screen.getByLabelText('its own curve'));
    const { inside } = project().form;
    expect(inside.by === 'curve' && inside.points.length).toBeGreaterThan(3);
    await set('Radius, inside lip', '2');
    expect(project().form.inside.by === 'curve' && project().form.inside).toMatchObject({
      points: expect.arrayContaining([expect.objectContaining({ radiusMm: 50.8 })]),
    });
    await set('Radius, inside lip', '9');
    expect(screen.getAllByRole('alert')[0]!.textContent).toMatch(/has to stay between the curves/);
  });

  test('foot recess and lid are switched on with usual sizes, and refused where they do not fit', async () => {
    const { project } = show();
    await userEvent.click(screen.getByLabelText('Hollow the bottom'));
    expect(project().form.recess).toMatchObject({ depthMm: 3 });
    await set('Recess diameter', '6');
    expect(screen.getAllByRole('alert')[0]!.textContent).toMatch(/leaves no rim/);
    await userEvent.click(screen.getByLabelText('body and lid'));
    await set('Lid line, height', '1');
    expect(screen.getAllByRole('alert').at(-1)!.textContent).toMatch(/has to lie in the hollow/);
    await set('Lid line, height', '8');
    expect(project().form.lid!.heightMm).toBeCloseTo(203.2, 9);
  });

  test('a profile file is read into the curve; fitting to the rings is one step', async () => {
    const { project } = show();
    const file = new File(['radius mm,height mm\n50,0\n80,120\n60,200\n'], 'a.csv', { type: 'text/csv' });
    await userEvent.upload(screen.getByLabelText('Outside from an SVG, DXF or CSV file'), file);
    await vi.waitFor(() => expect(project().form.points.at(-1)!.heightMm).toBe(200));
    await userEvent.click(screen.getByText('Tightest'));
    expect(project().form.points.at(-1)!.heightMm).toBeCloseTo(
      project().rings.reduce((sum, { heightMm }) => sum + heightMm, 0),
      6,
    );
  });

  test('what it comes to: litres and pints, mass, shares of the widest', () => {
    const { store } = show();
    const row = (name: string) =>
      screen.getAllByText(name).find(({ tagName }) => tagName === 'DT')!.nextSibling!;
    expect(row('Holds').textContent).toMatch(/^2\.\d\d l 4\.\d US pt, 4\.\d imp pt$/);
    expect(row('waist').textContent).toContain('38 %');
    act(() => void store.dispatch(editPiece(edit.setDiameter(mm(330)))));
    expect(row('Holds').textContent).toMatch(/^9\.\d\d l/);
  });
});
