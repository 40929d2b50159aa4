import { edit, type SegmentedParams, type StartId } from '@fellside/core';
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { editPiece } from '../../store/edits.js';
import { selectRings } from '../../store/selection.js';
import { showWith } from '../../testing/open.js';
import { SelectionBar } from '../SelectionBar.js';

afterEach(cleanup);

const type = async (label: string | RegExp, text: string) => {
  const field = screen.getByLabelText(label);
  await userEvent.clear(field);
  await userEvent.type(field, `${text}{Enter}`);
};
const choose = (label: string, option: string) =>
  userEvent.selectOptions(screen.getByLabelText(label), option);
const refusal = () =>
  screen
    .getAllByRole('alert')
    .map(({ textContent }) => textContent)
    .join(' ');

/** The bar with rings of the cup selected that begin somewhere; gives what they are made as. */
async function bar(start: StartId, rings: readonly number[] = [8]) {
  const { store, project } = showWith(<SelectionBar />);
  store.dispatch(selectRings([...rings]));
  store.dispatch(editPiece(edit.startFrom(rings, start)));
  await screen.findAllByText(rings.length === 1 ? `Ring ${rings[0]! + 1}` : `${rings.length} rings`);
  const making = (ring = rings[0]!) => project().rings[ring]!.making;
  const sawn = (ring?: number) => (making(ring) as SegmentedParams).sawnFrom;
  return { store, making, sawn, project };
}

describe('feature rings have their controls', () => {
  test('laminated: figure, layers as a list, angle; a chequer gets an even number of layers', async () => {
    const { sawn } = await bar('laminated');
    await type('Row 3, thickness', '1/4');
    expect(sawn()).toMatchObject({ layersMm: [16, 4, expect.closeTo(6.35, 6), 4, 16] });
    await type('Slice angle', '25');
    await choose('Every other slice turned', 'half round in its face');
    expect(sawn()).toMatchObject({ angleDeg: 25, turn: 'face' });
    await type('Board on hand', '20');
    expect(sawn()).toMatchObject({ onHandMm: 508 });
    await type('Board on hand', ' ');
    expect(sawn()).not.toHaveProperty('onHandMm');
    await type('Slice angle', '80');
    expect(refusal()).toMatch(/Angle of the slices is 80; it has to be a number from -75 to 75°/);
    await type('Row 1, thickness', '0');
    expect(refusal()).toMatch(/Layer is 0/);
    await choose('Figure', 'chequer');
    expect((sawn() as { layersMm: number[] }).layersMm.length % 2).toBe(0);
    expect(screen.queryByLabelText('Slice angle')).toBeNull();
    await type('Slices a segment', '3');
    await userEvent.click(screen.getByLabelText('show glue lines'));
    expect(sawn()).toMatchObject({ figure: 'chequer', across: 3, glueLines: true });
  });

  test('plugs and frames: plugs are added, placed by measure and taken out; a lens lies over several rings', async () => {
    const { sawn } = await bar('inlaid', [7, 8, 9]);
    await type('Across', '3/8');
    await type('To the right', '1/8');
    expect(sawn()).toMatchObject({
      plugs: [{ acrossMm: expect.closeTo(9.525, 6), asideMm: expect.closeTo(3.175, 6) }],
    });
    await userEvent.click(screen.getByRole('button', { name: 'Plug' }));
    expect((sawn() as { plugs: unknown[] }).plugs).toHaveLength(2);
    await userEvent.click(screen.getByRole('button', { name: 'Take plug 1 out' }));
    expect((sawn() as { plugs: unknown[] }).plugs).toHaveLength(1);
    await type('Edge at sides', '1/16');
    expect(sawn()).toMatchObject({ edge: { sidesMm: expect.closeTo(1.5875, 6) } });
    await userEvent.click(screen.getByLabelText('lens'));
    await type('Swell', '3');
    expect([7, 8, 9].map((ring) => (sawn(ring) as { lens: { ring: number } }).lens.ring)).toEqual([-1, 0, 1]);
    expect(sawn()).toMatchObject({ lens: { swell: 3 } });
    await userEvent.click(screen.getByLabelText('lens'));
    expect(sawn()).not.toHaveProperty('lens');
  });

  test('illusions: which thing, its rows, from where it is seen, by wood or by grain', async () => {
    const { sawn } = await bar('illusion');
    await type('Rows of blocks', '2');
    await choose('Seen from', 'inside');
    await choose('Sides differ by', 'grain');
    expect(sawn()).toMatchObject({ figure: 'blocks', rows: 2, seen: 'inside', by: 'grain' });
    await choose('Illusion', 'Interlaced bands');
    expect(screen.queryByLabelText('Rows of blocks')).toBeNull();
    expect(screen.getByText(/woven over and under/)).toBeTruthy();
  });

  test('a floor: star with its points, four of them refused; a log cabin; boards one above the other; sliced', async () => {
    const { making } = await bar('medallion', [0]);
    await type('Points', '12');
    expect(making()).toMatchObject({ sawnFrom: { points: 12 } });
    await type('Points', '4');
    expect(refusal()).toMatch(/it has to have 5 to 16/);
    await choose('Once it is glued', 'sliced from thicker stock');
    expect(making()).toMatchObject({ way: 'disc', after: { done: 'sliced' } });
    await choose('The disc is', 'a log cabin');
    await type('Rounds', '6');
    expect(making()).toMatchObject({ sawnFrom: { is: 'cabin', rounds: 6 }, after: { done: 'sliced' } });
    await choose('The disc is', 'boards one on the other');
    expect(making()).toMatchObject({ sawnFrom: { is: 'cabin' } });
    await choose('Once it is glued', 'it stays whole');
    await choose('The disc is', 'boards one on the other');
    await type('Row 1, thickness', '3mm');
    expect(making()).toEqual({ way: 'disc', sawnFrom: { is: 'layers', layersMm: [3] } });
    await choose('The disc is', 'one board');
    expect(making()).toEqual({ way: 'disc' });
  });

  test('a disc takes the place of segments, and segments that of a disc', async () => {
    const { making } = await bar('flat', [2]);
    await choose('Segments stand', 'none: one disc');
    expect(making()).toEqual({ way: 'disc' });
    await choose('Segments stand', 'flat, to the centre');
    expect(making()).toMatchObject({ way: 'segmented', toCentre: true });
  });

  test('a basket: spacers and lean; three rings or more are woven with caps', async () => {
    const { making } = await bar('basket', [7, 8, 9, 10]);
    await type('Spacer thickness', '3mm');
    await type(/^Blade tilt/, '24');
    expect(making()).toMatchObject({ lean: { tiltDeg: 24 }, between: { spacers: { thicknessMm: 3 } } });
    await userEvent.click(screen.getByRole('button', { name: /^Weave/ }));
    expect([7, 8, 9, 10].map((ring) => 'lean' in making(ring))).toEqual([false, true, true, false]);
  });

  test('a twisted stack: strips, and sections that are turned on slice by slice', async () => {
    const { project } = await bar('twisted', [1, 2, 3]);
    await type('Board, thick', '24mm');
    await type('Step', '9');
    await choose('Twist', 'steady');
    await userEvent.click(screen.getByRole('button', { name: /^Divide and twist/ }));
    expect(
      project()
        .rings.slice(1, 4)
        .map(({ turn }) => turn),
    ).toEqual([0, 9, 18]);
    expect(screen.getByText(/3 sections of 1, 1, 1 slices|Slices of one thick disc/)).toBeTruthy();
  });

  test('letters: sizes of pocket and insert; what does not fit is refused in its place', async () => {
    const { sawn } = await bar('lettered');
    await type('Pocket, deep', '1/4');
    await type('Clearance', '0.05mm');
    await userEvent.click(screen.getByLabelText('inserts go in turned over'));
    expect(sawn()).toMatchObject({ depthMm: 6.35, clearanceMm: 0.05, turnedOver: true });
    await type('Clearance', '2mm');
    expect(refusal()).toMatch(/Clearance is 2 mm|Clearance is .*it has to be/);
  });
});

test('a patch changes the two commonest woods of its rings within it', async () => {
  const { store, project } = showWith(<SelectionBar />);
  store.dispatch(selectRings([8]));
  const before = project().rings[8]!.woods;
  await userEvent.click(await screen.findByRole('button', { name: 'Patch…' }));
  const field = screen.getByLabelText('Segments wide');
  await userEvent.clear(field);
  await userEvent.type(field, '6');
  await userEvent.click(screen.getByRole('button', { name: 'Lay the patch' }));
  const after = project().rings[8]!.woods;
  expect(after).not.toEqual(before);
  expect(after.slice(6)).toEqual(before.slice(6));
});
