import { type Mm, mm, refuse, say, sayMm } from '@fellside/core';
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { showWith } from '../testing/open.js';
import { LengthList } from './LengthList.js';

afterEach(cleanup);

function list(
  value: readonly number[] | null,
  answer: () => ReturnType<typeof refuse> | { ok: true; value: null },
) {
  const onChange = vi.fn<(lengths: Mm[]) => ReturnType<typeof answer>>(answer);
  showWith(
    <LengthList label="Layers" value={value?.map((length) => mm(length)) ?? null} onChange={onChange} />,
  );
  const field = screen.getByLabelText<HTMLInputElement>('Layers');
  const type = async (text: string) => {
    await userEvent.clear(field);
    await userEvent.type(field, `${text}{Enter}`);
  };
  return { onChange, field, type };
}
const taken = () => ({ ok: true as const, value: null });

describe('a list of lengths', () => {
  test('is shown in the units of the shop and read in any', async () => {
    const { field, onChange, type } = list([25.4, 12.7], taken);
    expect(field.value).toBe('1"; 1/2"');
    await type('3/4; 10mm; 1.5');
    expect(onChange).toHaveBeenCalledWith([19.05, 10, 38.1].map((length) => expect.closeTo(length, 6)));
  });
  test('takes a number of alike ones at once', async () => {
    const { onChange, type } = list([10], taken);
    await type('5mm; 3 x 1/4; 2×8mm');
    expect(onChange.mock.calls[0]![0].map((length) => Math.round(length * 100) / 100)).toEqual([
      5, 6.35, 6.35, 6.35, 8, 8,
    ]);
  });
  test('says what it cannot read, and that it is empty', async () => {
    const { onChange, type } = list([10], taken);
    await type('5mm; wide');
    expect(screen.getByRole('alert').textContent).toMatch(/wide/);
    await type(' ; ');
    expect(screen.getByRole('alert').textContent).toMatch(/There is no length/);
    expect(onChange).not.toHaveBeenCalled();
  });
  test('shows why the lengths are refused, in the units of the shop; several lists are various', async () => {
    const { type } = list(null, () =>
      refuse('web:thin', '', say`Layer is ${sayMm(0.2)}; at least ${sayMm(0.5)}.`),
    );
    expect(screen.getByLabelText<HTMLInputElement>('Layers').value).toBe('various');
    await type('0.2mm');
    expect(screen.getByRole('alert').textContent).toMatch(/Layer is 1\/128"|Layer is 1\/64"|Layer is /);
    expect(screen.getByRole('alert').textContent).not.toMatch(/mm/);
  });
});
