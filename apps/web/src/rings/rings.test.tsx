import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { session } from '../store/sessionSlice.js';
import { showWith } from '../testing/open.js';
import { SelectionBar } from './SelectionBar.js';
import { WoodBar } from './WoodBar.js';

afterEach(cleanup);

const type = async (label: string, text: string) => {
  const field = screen.getByLabelText(label);
  await userEvent.clear(field);
  await userEvent.type(field, `${text}{Enter}`);
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
    store.dispatch(session.selected([6, 7]));
    expect(await screen.findByText('2 rings')).toBeTruthy();
    await type('Segments', '36');
    await type('Turn, in segments', '1/4');
    expect(counts(project().rings).slice(5, 9)).toEqual([24, 36, 36, 24]);
    expect(
      project()
        .rings.slice(5, 9)
        .map(({ turn }) => turn),
    ).toEqual([0.5, 0.25, 0.25, 0]);
  });

  test('another way of making keeps what carries over', async () => {
    const { store, project } = showWith(<SelectionBar />);
    store.dispatch(session.selected([5]));
    await userEvent.selectOptions(await screen.findByLabelText('Made as'), 'Solid disc');
    expect(project().rings[5]).toMatchObject({ making: { way: 'disc' }, woods: ['black-walnut'] });
    await userEvent.selectOptions(screen.getByLabelText('Made as'), 'Flat segments');
    expect(project().rings[5]).toMatchObject({
      making: { way: 'flat', count: 12 },
      woods: Array(12).fill('black-walnut'),
    });
  });

  test('brick bond and aligned joints', async () => {
    const { project } = showWith(<SelectionBar />);
    await userEvent.click(screen.getByText('Aligned'));
    expect(project().rings.every(({ turn }) => turn === 0)).toBe(true);
    await userEvent.click(screen.getByText('Brick bond'));
    expect(
      project()
        .rings.map(({ turn }) => turn)
        .slice(0, 4),
    ).toEqual([0, 0.5, 0, 0.5]);
  });

  test.each([
    ['Segments', '2', /Segment count is 2/],
    ['Segments', '12.5', /Segment count is 12.5/],
    ['Segments', 'many', /“many” is not a number/],
    ['Turn, in segments', '1/0', /is not a number/],
    ['Ring height', '-3/4', /Ring height is −3\/4"; it has to be a length from 1\/64" to 11 13\/16"/],
  ])('%s “%s” is refused beside the field and changes nothing', async (label, text, sentence) => {
    const { store, project } = showWith(<SelectionBar />);
    const before = project();
    store.dispatch(session.selected([8]));
    await type(label, text);
    expect(screen.getByRole('alert').textContent).toMatch(sentence);
    expect(project()).toBe(before);
  });

  test('a ring duplicated goes above itself; removing one that is needed is refused', async () => {
    const { store, project } = showWith(<SelectionBar />);
    store.dispatch(session.selected([0]));
    await userEvent.click(await screen.findByText('Remove'));
    expect(store.getState().piece.refused[0]?.code).toBe('stack-short');
    await userEvent.click(screen.getByText('Duplicate'));
    expect(project().rings[1]).toMatchObject({ making: { way: 'disc' }, woods: ['black-walnut'] });
    expect(new Set(project().rings.map(({ id }) => id)).size).toBe(project().rings.length);
  });
});

describe('the wood bar', () => {
  test('a wood picked can be given to a ring, swapped everywhere, and not taken off while it shows', async () => {
    const { store, project } = showWith(<WoodBar />);
    store.dispatch(session.selected([8]));
    await userEvent.click(await screen.findByRole('button', { name: /Purpleheart/ }));
    await userEvent.click(screen.getByText('Whole of ring 9'));
    expect(new Set(project().rings[8]!.woods)).toEqual(new Set(['purpleheart']));
    await userEvent.selectOptions(screen.getByLabelText(/Swap it everywhere/), 'African padauk');
    expect(project().palette.find(({ key }) => key === 'purpleheart')?.wood).toBe('padauk');
    await userEvent.click(screen.getByText('Take off'));
    expect(store.getState().piece.refused[0]?.message).toMatch(/is used in ring 2/);
  });

  test('the palette shows each wood by name and letter', () => {
    showWith(<WoodBar />);
    const palette = within(screen.getByRole('group', { name: 'Paint with' }));
    for (const name of ['Hard maple', 'Black walnut', 'Purpleheart'])
      expect(palette.getByText(name, { exact: false })).toBeTruthy();
  });
});
