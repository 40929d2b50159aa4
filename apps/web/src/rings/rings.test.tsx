import { edit, plain } from '@fellside/core';
import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { editPiece } from '../store/edits.js';
import { selectRings } from '../store/selection.js';
import { showWith } from '../testing/open.js';
import { SelectionBar } from './SelectionBar.js';
import { WoodBar } from './WoodBar.js';

afterEach(cleanup);

const type = async (label: string, text: string) => {
  const field = screen.getByLabelText(label);
  await userEvent.clear(field);
  await userEvent.type(field, `${text}{Enter}`);
};
const choose = async (way: string) => {
  await userEvent.click(await screen.findByRole('button', { name: /^Made as/ }));
  await userEvent.click(screen.getByRole('button', { name: way }));
};
const counts = (rings: readonly { making: { way: string; count?: number } }[]) =>
  rings.map(({ making }) => making.count ?? making.way);

describe('the selection bar', () => {
  test('with nothing selected changes go to all; where rings differ it says so; discs stay discs', async () => {
    const { project } = showWith(<SelectionBar />);
    expect(screen.getByText('all 15 rings')).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Ring height').value).toBe('various');
    await type('Segments', '18');
    expect(counts(project().rings)).toEqual([...Array(5).fill('disc'), ...Array(10).fill(18)]);
  });

  test('with rings selected changes go to them only', async () => {
    const { store, project } = showWith(<SelectionBar />);
    store.dispatch(selectRings([6, 7]));
    expect(await screen.findByText('2 rings')).toBeTruthy();
    await type('Segments', '36');
    await type('Turn', '2.5°');
    expect(counts(project().rings).slice(5, 9)).toEqual([24, 36, 36, 24]);
    expect(
      project()
        .rings.slice(5, 9)
        .map(({ turn }) => turn),
    ).toEqual([0.5, 0.25, 0.25, 0]);
  });

  test('another way of making keeps what carries over', async () => {
    const { store, project } = showWith(<SelectionBar />);
    store.dispatch(selectRings([5]));
    await choose('Solid disc');
    expect(project().rings[5]).toMatchObject({ making: { way: 'disc' }, woods: ['black-walnut'] });
    await choose('Flat segments');
    expect(project().rings[5]).toMatchObject({
      making: { way: 'segmented', count: 24 },
      woods: Array(24).fill('black-walnut'),
    });
  });

  test('the bond that rings are in is shown; another is set for all of them in one go', async () => {
    const { project } = showWith(<SelectionBar />);
    const turns = () =>
      project()
        .rings.map(({ turn }) => turn)
        .slice(0, 5);
    const bond = () => screen.getByLabelText<HTMLSelectElement>('Bond');
    await userEvent.selectOptions(bond(), 'Aligned');
    expect(new Set(turns())).toEqual(new Set([0]));
    expect(bond().value).toBe('grid');
    await userEvent.selectOptions(bond(), 'Spiral');
    expect(turns()).toEqual([0, 0.25, 0.5, 0.75, 0]);
    await type('Step, segments', '0.2');
    expect(turns().map((turn) => Math.round(turn * 10) / 10)).toEqual([0, 0.2, 0.4, 0.6, 0.8]);
    await userEvent.selectOptions(bond(), 'Brick bond');
    expect(turns()).toEqual([0, 0.5, 0, 0.5, 0]);
  });

  test('unequal widths are written in proportion and repeated round the ring', async () => {
    const { store, project } = showWith(<SelectionBar />);
    store.dispatch(selectRings([8]));
    await screen.findByRole('button', { name: 'Ring 9' });
    await type('Widths', '2 : 1');
    expect(project().rings[8]!.making).toEqual({ way: 'segmented', count: 24, parts: [2, 1] });
    await type('Widths', '1 : 2 : 1 : 2 : 3');
    expect(screen.getByRole('alert').textContent).toMatch(/does not go into 24/);
    await type('Widths', 'equal');
    expect(project().rings[8]!.making).toEqual({ way: 'segmented', count: 24 });
  });

  test.each([
    ['Segments', '2', /Segment count is 2/],
    ['Segments', '12.5', /Segment count is 12.5/],
    ['Segments', 'many', /“many” is not a number/],
    ['Turn', '1/0', /is not a turn; write it in segments, like 0.5 or 1\/2, or in degrees/],
    ['Ring height', '-3/4', /Ring height is −3\/4"; it has to be a length from 1\/64" to 11 13\/16"/],
  ])('%s “%s” is refused beside the field and changes nothing', async (label, text, sentence) => {
    const { store, project } = showWith(<SelectionBar />);
    const before = project();
    store.dispatch(selectRings([8]));
    await type(label, text);
    expect(screen.getByRole('alert').textContent).toMatch(sentence);
    expect(project()).toBe(before);
  });

  test('rings are split, merged, inserted, duplicated, locked, fixed and removed from their menu', async () => {
    const { store, project } = showWith(<SelectionBar />);
    const heights = () => project().rings.map(({ heightMm }) => Math.round(heightMm * 1000) / 1000);
    const act = async (rings: number[], name: RegExp | string) => {
      store.dispatch(selectRings(rings));
      await userEvent.click(
        await screen.findByRole('button', {
          name: rings.length > 1 ? 'These rings' : `Ring ${rings[0]! + 1}`,
        }),
      );
      await userEvent.click(await screen.findByRole('menuitem', { name }));
    };
    await act([0], 'Split in two');
    expect(heights().slice(0, 3)).toEqual([9.525, 9.525, 19.05]);
    await act([0, 1], 'Merge into one');
    expect(heights()).toHaveLength(15);
    expect(heights()[0]).toBe(19.05);
    await act([2], 'Insert a ring below');
    await act([2], 'Duplicate');
    expect(heights()).toHaveLength(17);
    expect(new Set(project().rings.map(({ id }) => id)).size).toBe(17);
    await act([2, 3], 'Remove');
    expect(
      project()
        .rings.map(({ id }) => id)
        .slice(2),
    ).toHaveLength(13);
    await act([8], 'Lock the height');
    await act([8], /^Fix the size/);
    expect(project().rings[8]).toMatchObject({ locked: true, fixed: { outerRadiusMm: expect.any(Number) } });
    await act([8], 'Let the size follow the form');
    expect(project().rings[8]!.fixed).toBeUndefined();
  });

  test('the form is sliced by one height, by boards and by hand; locked rings stay; nonsense is refused', async () => {
    const { store, project } = showWith(<SelectionBar />);
    store.dispatch(editPiece(edit.setLocked([5], true)));
    const slice = async (way: string, label: string, text: string) => {
      await userEvent.click(await screen.findByRole('button', { name: 'Slice…' }));
      await userEvent.click(screen.getByRole('radio', { name: new RegExp(way) }));
      await type(label, text);
    };
    await slice('By one height', 'Height of every ring', '1');
    const locked = project().rings.filter(({ locked }) => locked);
    expect(locked.map(({ heightMm }) => heightMm)).toEqual([17.4625]);
    expect(project().rings.at(-1)!.heightMm).toBe(25.4);
    await slice('By hand', 'Heights from the bottom up', '2; 1');
    expect(
      project()
        .rings.map(({ heightMm }) => Math.round(heightMm))
        .slice(0, 2),
    ).toEqual([51, 25]);
    await slice('By the boards on hand', 'Planed thickness × how many rings it gives', '3/4 × 2');
    expect(screen.getByRole('alert').textContent).toMatch(/The boards give rings of/);
    await type('Planed thickness × how many rings it gives', '3/4 × many');
    expect(screen.getByRole('alert').textContent).toMatch(/write it like 3\/4 × 6/);
  });
});

describe('the wood bar', () => {
  test('a wood picked can be given to a ring, swapped everywhere, and not taken off while it shows', async () => {
    const { store, project } = showWith(<WoodBar />);
    store.dispatch(selectRings([8]));
    await userEvent.click(await screen.findByRole('button', { name: /Purpleheart/ }));
    await userEvent.click(screen.getByText('Whole of ring 9'));
    expect(new Set(project().rings[8]!.woods)).toEqual(new Set(['purpleheart']));
    await userEvent.selectOptions(screen.getByLabelText(/Swap it everywhere/), 'African padauk');
    expect(project().palette.find(({ key }) => key === 'purpleheart')?.wood).toBe('padauk');
    await userEvent.click(screen.getByText('Take off'));
    expect(plain(store.getState().piece.refused[0]?.message ?? '')).toMatch(/is used in ring 2/);
  });

  test('the palette shows each wood by name and letter', () => {
    showWith(<WoodBar />);
    const palette = within(screen.getByRole('group', { name: 'Paint with' }));
    for (const name of ['Hard maple', 'Black walnut', 'Purpleheart'])
      expect(palette.getByText(name, { exact: false })).toBeTruthy();
  });
});
