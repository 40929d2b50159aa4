import { edit, type Project, setInPixels, toneNames } from '@fellside/core';
import { demoProjects } from '@fellside/core/demo';
import { act, cleanup, fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { Messages } from '../shell/Messages.js';
import { editPiece } from '../store/edits.js';
import { selectedRingsOf, selectRings } from '../store/selection.js';
import { preparedOf } from '../store/selectors.js';
import { session } from '../store/sessionSlice.js';
import { shapeOf } from '../store/shape.js';
import { showWith } from '../testing/open.js';
import { copyBlock, markedBlock, pasteBlock } from './blocks.js';
import { PatternStation } from './PatternStation.js';
import { keyAt, strokeAt } from './paint.js';

beforeEach(() => {
  vi.stubGlobal('fetch', async () => new Response('[]', { headers: { 'content-type': 'application/json' } }));
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const show = (document?: Project) =>
  showWith(
    <>
      <PatternStation />
      <Messages />
    </>,
    document,
  );
type Shown = ReturnType<typeof show>;

const woods = ({ store }: Shown, ring: number): readonly string[] => {
  const prepared = preparedOf(store.getState());
  return prepared.ok ? prepared.value.rings[ring]!.ring.woods : [];
};
const set = ({ store }: Shown, change: Parameters<typeof session.painting>[0]) =>
  act(() => void store.dispatch(session.painting(change)));
const stroke = ({ store }: Shown, ring: number, place: number) =>
  act(() => void store.dispatch(strokeAt({ ring, place })));

describe('brushes', () => {
  test('number keys pick woods, but not while a field is typed in', async () => {
    const { store } = show();
    await userEvent.keyboard('2');
    expect(store.getState().session.brush).toBe('black-walnut');
    await userEvent.type(screen.getByLabelText('Times round'), '3');
    expect(store.getState().session.brush).toBe('black-walnut');
    await userEvent.keyboard('{Escape}');
  });

  test('a stroke is repeated round the ring and mirrored, and is one step', async () => {
    const shown = show();
    await userEvent.keyboard('3');
    set(shown, { fold: 4, mirror: true });
    const before = woods(shown, 6);
    stroke(shown, 6, 1);
    const painted = woods(shown, 6).flatMap((key, place) => (key !== before[place] ? [place] : []));
    const images = [1, 7, 13, 19, 22, 16, 10, 4].filter((place) => before[place] !== 'purpleheart');
    expect(painted.sort()).toEqual(images.sort());
    expect(shown.store.getState().piece.edited!.history.past).toHaveLength(1);
  });

  test.each([
    ['ring', (shown: Shown) => expect(new Set(woods(shown, 8))).toEqual(new Set(['purpleheart']))],
    [
      'column',
      (shown: Shown) => {
        for (let ring = 0; ring < 15; ring++) expect(woods(shown, ring)).toContain('purpleheart');
      },
    ],
    ['diagonal', (shown: Shown) => expect(woods(shown, 9)).toContain('purpleheart')],
  ] as const)('%s', async (tool, holds) => {
    const shown = show();
    await userEvent.keyboard('3');
    set(shown, { tool });
    stroke(shown, 8, 5);
    holds(shown);
  });

  test('picking up takes the wood that shows, also under a motif, and gives the brush back', () => {
    const shown = show();
    act(
      () =>
        void shown.store.dispatch(
          editPiece(
            edit.layMotif([8], {
              kind: 'stripes',
              tones: ['accent', 'accent'],
              values: { lie: 1, repeats: 1, columns: 2, wide: 1 },
            }),
          ),
        ),
    );
    set(shown, { tool: 'pick' });
    stroke(shown, 8, 5);
    expect(shown.store.getState().session).toMatchObject({ brush: 'purpleheart', tool: 'place' });
  });

  test('without a wood nothing is painted; numbers that cannot be are refused', async () => {
    const shown = show();
    const before = shown.project();
    stroke(shown, 8, 5);
    expect(shown.project()).toBe(before);
    const times = screen.getByLabelText('Times round');
    await userEvent.clear(times);
    await userEvent.type(times, '2.5{Enter}');
    expect(screen.getByText(/Times round is 2.5; it has to be a whole number/)).toBeTruthy();
    expect(shown.store.getState().session.fold).toBe(1);
  });

  test('a press on the unrolled wall paints, what is moved over while it lasts too, and Escape puts it back', () => {
    const shown = show();
    act(() => void shown.store.dispatch(session.brushed('purpleheart')));
    const before = shown.project();
    const row = document.querySelector('[data-ring="7"]')!;
    fireEvent.pointerDown(row, { button: 0, clientX: 1 });
    fireEvent.pointerMove(row, { clientX: 150 });
    expect(shown.store.getState().piece.preview).not.toBeNull();
    fireEvent.keyDown(window, { key: 'Escape' });
    expect(shown.store.getState().piece.preview).toBeNull();
    expect(shown.project()).toBe(before);
    fireEvent.pointerDown(row, { button: 0, clientX: 1 });
    fireEvent.pointerMove(row, { clientX: 150 });
    fireEvent.pointerUp(window);
    expect(woods(shown, 6).filter((key) => key === 'purpleheart').length).toBeGreaterThan(1);
    expect(shown.store.getState().piece.edited!.history.past).toHaveLength(1);
  });

  test('painting asks for no new shape; a turn does', () => {
    const shown = show();
    const shape = () => shapeOf(shown.store.getState()).version;
    const before = shape();
    act(() => void shown.store.dispatch(editPiece(edit.setWood([3], 'black-walnut'))));
    expect(shape()).toBe(before);
    act(() => void shown.store.dispatch(editPiece(edit.setTurn([3], 0.25))));
    expect(shape()).not.toBe(before);
  });
});

describe('motifs', () => {
  const lay = async (shown: Shown, name: string) => {
    act(() => void shown.store.dispatch(selectRings([6, 7, 8, 9])));
    await userEvent.click(screen.getByRole('button', { name }));
  };
  test('are laid over the selected rings, changed, spread, frozen and taken off', async () => {
    const shown = show();
    const before = woods(shown, 6);
    await lay(shown, 'Chequer');
    expect(new Set(woods(shown, 6))).toEqual(new Set(['sugar-maple', 'black-walnut']));
    await userEvent.selectOptions(screen.getByLabelText('Figure'), 'accent');
    expect(woods(shown, 6)).toContain('purpleheart');
    act(() => void shown.store.dispatch(selectRings([10])));
    await userEvent.click(screen.getByRole('button', { name: 'Chequer, rings 7 to 10' }));
    expect(selectedRingsOf(shown.store.getState())).toEqual([6, 7, 8, 9]);
    await userEvent.click(screen.getByRole('button', { name: 'Take off' }));
    expect(woods(shown, 6)).toEqual(before);
    await lay(shown, 'Spiral');
    const spiral = woods(shown, 7);
    await userEvent.click(screen.getByRole('button', { name: 'Freeze' }));
    expect(shown.project().motifs).toEqual([]);
    expect(shown.project().rings[7]!.woods).toEqual(spiral);
  });

  test('a count that does not go with one is told with counts and repeats that do', async () => {
    const shown = show();
    await lay(shown, 'Key');
    // Laid as it comes out whole.
    expect(screen.queryByText(/do not divide/)).toBeNull();
    const repeats = screen.getByRole('textbox', { name: 'Repeats round the piece' });
    await userEvent.clear(repeats);
    await userEvent.type(repeats, '8{Enter}');
    expect(screen.getByText(/24 segments in rings 7 to 10 do not divide by 48/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: '4 repeats' }));
    expect(screen.queryByText(/do not divide/)).toBeNull();
    expect(shown.project().motifs[0]!.use.values.repeats).toBe(4);
  });

  test('tones: more may be had where a motif takes them, and a wrong number is refused with its sentence', async () => {
    const shown = show();
    await lay(shown, 'Gradient');
    await userEvent.click(screen.getByRole('button', { name: 'One tone more' }));
    expect(shown.project().motifs[0]!.use.tones).toHaveLength(4);
    await userEvent.click(screen.getByRole('button', { name: 'One less' }));
    await userEvent.click(screen.getByRole('button', { name: 'One less' }));
    expect((screen.getByRole('button', { name: 'One less' }) as HTMLButtonElement).disabled).toBe(true);
    await userEvent.click(screen.getByRole('button', { name: 'Take off' }));
    await lay(shown, 'Zigzag');
    const rise = screen.getByLabelText('Rings from low to high');
    await userEvent.clear(rise);
    await userEvent.type(rise, '0{Enter}');
    expect(screen.getAllByText(/Zigzag: Rings from low to high is 0/).length).toBeGreaterThan(0);
    expect(shown.project().motifs[0]!.use.values.rise).toBe(4);
  });

  test('another wood for a tone changes the motif and all that is painted in one move', async () => {
    const shown = show();
    await lay(shown, 'Stripes');
    await userEvent.selectOptions(screen.getByLabelText('Wood 2, dark'), 'Wenge');
    expect(shown.project().palette[1]).toMatchObject({ tone: 'dark', wood: 'wenge' });
    expect(shown.store.getState().piece.edited!.history.past).toHaveLength(2);
    await userEvent.selectOptions(screen.getByLabelText('Tone of wood 3'), 'middle');
    expect(toneNames(shown.project().palette)).toEqual(['light', 'dark', 'middle']);
    await userEvent.click(screen.getByRole('button', { name: 'Take wood 2 off the palette' }));
    expect(screen.getByText(/is used in ring/)).toBeTruthy();
  });
});

describe('blocks', () => {
  test('what is marked is copied and pasted elsewhere, as many times round as fit', () => {
    const shown = show();
    set(shown, { marked: { low: 8, high: 9, from: 0, widthTurns: 6 / 24 } });
    act(() => void shown.store.dispatch(copyBlock()));
    const { copied } = shown.store.getState().session;
    expect(copied).toEqual(markedBlock(shown.store.getState()));
    set(shown, { marked: { low: 10, high: 11, from: 0, widthTurns: 6 / 24 }, fold: 4 });
    act(() => void shown.store.dispatch(pasteBlock(copied!)));
    const state = shown.store.getState();
    const from = [0, 1, 2, 3, 4, 5].map((place) => keyAt(state)({ ring: 8, place }));
    expect(new Set(from).size).toBeGreaterThan(1);
    expect(woods(shown, 10)).toEqual([...from, ...from, ...from, ...from]);
    set(shown, { fold: 5 });
    act(() => void shown.store.dispatch(pasteBlock(copied!)));
    expect(screen.getByText(/takes 90° of the way round; 5 of them do not fit, at most 4\./)).toBeTruthy();
  });
});

describe('whether it shows', () => {
  test('a piece of one wood has no pairs; two near ones are told', () => {
    const cup = demoProjects()[0]!;
    const all = cup.rings.map((_, index) => index);
    const shown = show();
    act(() => void shown.store.dispatch(editPiece(edit.setWood(all, 'sugar-maple'))));
    expect(screen.getByText('No two different woods touch yet.')).toBeTruthy();
    act(() => void shown.store.dispatch(editPiece(edit.setPaletteWood('black-walnut', 'red-maple'))));
    act(() => void shown.store.dispatch(editPiece(edit.setWood([3], 'black-walnut'))));
    const panel = within(screen.getByRole('complementary', { name: 'Pattern' }));
    expect(panel.getByText(/lost across a room\. Up to 100 % of the borders/)).toBeTruthy();
  });
});

test('letters that do not fit are refused, and those that do are set as one step', async () => {
  const shown = show();
  act(() => void shown.store.dispatch(selectRings([7, 8, 9, 10, 11])));
  const text = screen.getByLabelText('Text');
  const press = () => userEvent.click(screen.getByRole('button', { name: 'Set the letters' }));
  await press();
  expect(await screen.findByText(/no letters yet/)).toBeTruthy();
  await userEvent.type(text, 'Ω');
  await press();
  expect(await screen.findByText('The pixel face has no Ω.')).toBeTruthy();
  await userEvent.clear(text);
  await userEvent.type(text, 'Ewe');
  await press();
  const columns = setInPixels('EWE').rows[0]!.length + 2;
  await vi.waitFor(() =>
    expect(shown.store.getState().piece.edited!.history.past.at(-1)?.label).toBe('Set “Ewe”'),
  );
  const { marked } = shown.store.getState().session;
  expect(marked).toMatchObject({ low: 7, high: 11, from: 0 });
  expect(marked!.widthTurns).toBeCloseTo(columns / 24, 9);
});
