import { edit, mm, type Project, type SegmentedParams, type StartId, startOf } from '@fellside/core';
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { editPiece } from '../../store/edits.js';
import { selectRings } from '../../store/selection.js';
import { showWith } from '../../testing/open.js';
import { SelectionBar } from '../SelectionBar.js';
import { WoodBar } from '../WoodBar.js';

afterEach(cleanup);

const type = async (label: string | RegExp, text: string) => {
  const field = screen.getByLabelText(label);
  await userEvent.clear(field);
  await userEvent.type(field, `${text}{Enter}`);
};
const choose = (label: string, option: string) =>
  userEvent.selectOptions(screen.getByLabelText(label), option);

/** What was last refused; a field keeps its sentence until it is put right. */
const refusal = () => screen.getAllByRole('alert').at(-1)!.textContent;

/** The bar with rings of the cup selected that are made in a way; gives what they are made as. */
async function bar(start: StartId, rings: readonly number[] = [8]) {
  const { store, project } = showWith(<SelectionBar />);
  store.dispatch(selectRings([...rings]));
  store.dispatch(editPiece(edit.startFrom(rings, start)));
  await screen.findAllByText(rings.length === 1 ? `Ring ${rings[0]! + 1}` : `${rings.length} rings`);
  return { store, making: (ring = rings[0]!) => project().rings[ring]!.making, project };
}

describe('each way has its controls', () => {
  test('spaced: which joints, how thick, a plug; a joint that is not there is refused', async () => {
    const { making } = await bar('spaced');
    await choose('Spacers at', 'evenly spread joints');
    expect(making()).toMatchObject({ between: { spacers: { at: 'even', number: 8 } } });
    await choose('How many', '3');
    await type('Spacer thickness', '3/16');
    expect(making()).toMatchObject({
      between: { spacers: { number: 3, thicknessMm: expect.closeTo(4.7625, 6) } },
    });
    await choose('Spacers at', 'picked joints');
    expect(making()).toMatchObject({
      between: { spacers: { joints: [{ joint: 0 }, { joint: 8 }, { joint: 16 }] } },
    });
    await userEvent.click(screen.getByRole('button', { name: 'Joints with spacers, 3 of 24' }));
    for (const joint of ['Joint 9', 'Joint 13', 'Joint 17'])
      await userEvent.click(screen.getByRole('button', { name: joint }));
    await type('All as thick', '2mm');
    await type('Joint 13, thick', '4mm');
    expect(making()).toMatchObject({
      between: { spacers: { joints: [0, 12].map((joint, i) => ({ joint, thicknessMm: i === 0 ? 2 : 4 })) } },
    });
    // One at least stays: a ring of none is made otherwise.
    await userEvent.click(screen.getByRole('button', { name: 'Joint 1' }));
    await userEvent.click(screen.getByRole('button', { name: 'Joint 13' }));
    expect(making()).toMatchObject({ between: { spacers: { joints: [{ joint: 12, thicknessMm: 4 }] } } });
    await type('Joint 13, thick', '300mm');
    expect(refusal()).toMatch(/./);
    await userEvent.keyboard('{Escape}');
    await userEvent.click(screen.getByLabelText('Plug'));
    await type('Plug across', '1 1/2');
    expect(making()).toMatchObject({ plug: { diameterMm: expect.closeTo(38.1, 6), drillMm: 25 } });
    await type('Drill', '2');
    expect(refusal()).toMatch(/drill cannot be larger than the plug/);
  });

  test('open: tapered by share, parallel by width; nonsense is refused with its limits', async () => {
    const { making } = await bar('open');
    await type('Share of the circle', '30');
    expect(making()).toMatchObject({ between: { gap: { sides: 'tapered', share: 0.3 } } });
    await type('Share of the circle', '120');
    expect(refusal()).toMatch(/between 0 and 100/);
    await choose('Gaps', 'parallel');
    await type('Gap width', '4mm');
    expect(making()).toMatchObject({ between: { gap: { sides: 'parallel', widthMm: 4 } } });
  });

  test('tilted: tilt, hand, cut for one ring; stripe and wave for several', async () => {
    const { making } = await bar('tilted', [8, 9, 10]);
    await type('Blade tilt', '10');
    await choose('Joints lean', 'left');
    await choose('Cut with', 'same edge out: one hand');
    expect(making(9)).toMatchObject({ lean: { tiltDeg: 10, hand: 'left', cut: 'same-edge' } });
    await type('Blade tilt', '80');
    expect(refusal()).toMatch(/Blade tilt is 80; .* from 0.1 to 60°/);
    await userEvent.click(screen.getByRole('button', { name: 'Left and right in turn' }));
    expect([8, 9, 10].map((ring) => (making(ring) as SegmentedParams).lean?.hand)).toEqual([
      'right',
      'left',
      'right',
    ]);
    await userEvent.click(screen.getByRole('button', { name: 'Run the stripe on' }));
    expect(startOf(making(10))).toBe('tilted');
  });

  test('halves: each half by itself, a divider that is sawn', async () => {
    const { making } = await bar('halves');
    await type('Second half', '9');
    await userEvent.click(screen.getByLabelText('Divider between the halves'));
    await userEvent.click(screen.getByLabelText('Sawn in two later'));
    await type('Kerf of that cut', '3mm');
    await type('Left at each end', '5mm');
    expect(making()).toMatchObject({
      count: 21,
      inHalves: { first: 12, divider: { leftMm: 5, sawn: true, kerfMm: 3 } },
    });
  });

  test('slices, books and layers: what is lost between them, and how thick the outer one is', async () => {
    const { making, store } = await bar('resawn', [8, 9]);
    await type('Resaw kerf', '2mm');
    expect([making(8), making(9)]).toEqual([making(9), making(8)]);
    expect(screen.getByText(/Slices of one thick ring: 9, 10/)).toBeTruthy();
    store.dispatch(editPiece(edit.startFrom([8, 9], 'grain')));
    expect(
      await screen.findByRole('checkbox', { name: 'In order along the strip', checked: true }),
    ).toBeTruthy();
    await choose('Once it is glued', 'opened like a book');
    await type('Clean-up in all', '1mm');
    expect(making()).toMatchObject({ inOrder: true, after: { done: 'opened', cleanUpMm: 1 } });
    store.dispatch(editPiece(edit.startFrom([8, 9], 'layered')));
    await screen.findByLabelText('Layers lie');
    await type('Row 1, thickness', '1/4');
    expect(making(9)).toMatchObject({ sawnFrom: { layersMm: [expect.closeTo(6.35, 9)] } });
  });

  test('rows of a board: wood, copy, mirror, order by the keyboard, taken out; layers one above the other', async () => {
    const { making, project } = await bar('layered', [8]);
    const layers = () => ((making() as SegmentedParams).sawnFrom as { layersMm: number[] }).layersMm;
    const woodOf = (row: number) => project().rings[8]!.woods[row * 24];
    await type('Row 1, thickness', '5mm');
    await choose('Row 1, wood', 'Purpleheart');
    const [purple, inner] = [woodOf(0), woodOf(1)];
    expect(purple).not.toBe(inner);
    await userEvent.click(screen.getByLabelText('Copy row 1'));
    expect(layers()).toEqual([5, 5]);
    expect([0, 1, 2].map(woodOf)).toEqual([purple, purple, inner]);
    await userEvent.click(screen.getByLabelText('Take row 2 out'));
    await userEvent.click(screen.getByRole('button', { name: 'Turn round' }));
    expect(layers()[0]).toBeGreaterThan(5);
    expect([0, 1].map(woodOf)).toEqual([inner, purple]);
    await choose('Layers lie', 'one above the other');
    await type('Row 1, thickness', '4mm');
    await userEvent.click(screen.getByRole('button', { name: 'Mirror' }));
    expect(layers()).toHaveLength(2);
    expect([0, 1, 2].map(woodOf)).toEqual([inner, purple, inner]);
    await choose('Upside down', 'no segment');
    expect(making()).toMatchObject({ sawnFrom: { turned: 'none' } });
    await choose('Between segments', 'spacers');
    expect(making()).toMatchObject({ between: { spacers: { at: 'every' } } });
    await type('Row 1, thickness', '90mm');
    expect(screen.getByText('the rest')).toBeTruthy();
  });

  test('what lies in leaning joints: spacers, gaps, nothing', async () => {
    const { making } = await bar('tilted');
    await choose('Between segments', 'spacers');
    await choose('Spacers at', 'evenly spread joints');
    await type('Spacer thickness', '2mm');
    expect(making()).toMatchObject({ between: { put: 'spacers', spacers: { at: 'even', thicknessMm: 2 } } });
    await userEvent.click(screen.getByRole('button', { name: 'Glue spacers up of layers' }));
    await type('Row 1, thickness', '0.5mm');
    await userEvent.click(screen.getByLabelText('Copy row 1'));
    await choose('Turned over', 'second, fourth, sixth …');
    expect(making()).toMatchObject({
      between: { spacers: { layers: { layersMm: [0.5, 0.5], turned: 'second' } } },
    });
    await userEvent.click(screen.getByLabelText('Take row 3 out'));
    await userEvent.click(screen.getByLabelText('Take row 2 out'));
    expect(making()).toMatchObject({ between: { spacers: { thicknessMm: 0.5 } } });
    expect((making() as { between: { spacers: object } }).between.spacers).not.toHaveProperty('layers');
    await choose('Between segments', 'gaps');
    await choose('Gaps', 'parallel');
    expect(making()).toMatchObject({ between: { put: 'gaps', gap: { sides: 'parallel' } } });
    await choose('Between segments', 'nothing');
    expect(making()).not.toHaveProperty('between');
  });

  test('widths are proportions or angles that make up the circle', async () => {
    const { making } = await bar('flat');
    await type('Widths', '20° 10°');
    expect(making()).toMatchObject({ parts: [1, 0.5] });
    await type('Widths', '20° 20° 6°');
    expect(refusal()).toMatch(/8 times round, add up to 368°; they have to make 360°/);
    await type('Widths', 'equal');
    expect(making()).toEqual({ way: 'segmented', count: 24 });
  });
});

test('rings of three ways at once show no controls but say what to do', () => {
  const lantern = ['spaced', 'globe', 'medallion'] as const;
  const { store } = showWith(<SelectionBar />);
  lantern.forEach((start, i) => void store.dispatch(editPiece(edit.startFrom([8 + i], start))));
  store.dispatch(selectRings([8, 9, 10]));
  return screen.findByText(/Rings of 3 ways: select those that you want to set/);
});

test('spacers are painted by their name, without touching the segments', async () => {
  const { store, project } = showWith(<WoodBar />);
  store.dispatch(selectRings([8]));
  store.dispatch(editPiece(edit.startFrom([8], 'spaced')));
  const before = project().rings[8]!.woods.slice(0, 24);
  await userEvent.click(await screen.findByRole('button', { name: 'Purpleheart' }));
  await userEvent.click(screen.getByRole('button', { name: 'Every spacer' }));
  const { woods }: Project['rings'][number] = project().rings[8]!;
  expect(woods.slice(0, 24)).toEqual(before);
  expect(new Set(woods.slice(24))).toEqual(new Set(['purpleheart']));
});

test('staves lean by hand or like the wall; a ring from the stash has nothing to set', async () => {
  const { store, making } = await bar('staved', [6]);
  await userEvent.click(screen.getByRole('button', { name: 'Like the wall' }));
  expect((making() as SegmentedParams).staves?.leanDeg).toBeGreaterThan(10);
  await type('Lean outwards', '-3.5');
  expect(making()).toMatchObject({ staves: { leanDeg: -3.5 } });
  store.dispatch(
    editPiece(
      edit.useStashed(6, {
        item: 'a',
        name: 'Left over',
        outerRadiusMm: mm(90),
        innerRadiusMm: mm(60),
        heightMm: mm(18),
        species: Array.from({ length: 12 }, () => 'white-ash'),
        of: { way: 'segmented', count: 12 },
      }),
    ),
  );
  expect(await screen.findByText(/“Left over”: real size and woods/)).toBeTruthy();
});
