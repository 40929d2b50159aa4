import { done, mm, refuse, say, sayMm } from '@fellside/core';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Provider } from 'react-redux';
import { afterEach, expect, test, vi } from 'vitest';
import { createStore } from '../store/store.js';
import { LengthField } from './LengthField.js';

afterEach(cleanup);

const field = (onChange = vi.fn(() => done(null))) => {
  render(
    <Provider store={createStore()}>
      <LengthField label="Wall" value={mm(9.525)} onChange={onChange} />
    </Provider>,
  );
  return { input: screen.getByLabelText<HTMLInputElement>('Wall'), onChange };
};

test('shows the length in the user’s units, is read on Enter, and leaves it alone when nothing was typed', async () => {
  const { input, onChange } = field();
  expect(input.value).toBe('3/8"');
  await userEvent.click(input);
  await userEvent.tab();
  expect(onChange).not.toHaveBeenCalled();
  await userEvent.clear(input);
  await userEvent.type(input, '1/2 + 1/16{Enter}');
  expect(onChange).toHaveBeenCalledWith(14.2875);
});

test('what is no length stays in the field with its sentence; Escape puts back what was there', async () => {
  const { input, onChange } = field();
  await userEvent.clear(input);
  await userEvent.type(input, 'thick{Enter}');
  expect(screen.getByRole('alert').textContent).toMatch(/“thick” is not a length/);
  expect(input.getAttribute('aria-invalid')).toBe('true');
  expect(onChange).not.toHaveBeenCalled();
  await userEvent.type(input, '{Escape}');
  expect(input.value).toBe('3/8"');
  expect(screen.queryByRole('alert')).toBeNull();
});

test('a refusal of the core is told in the user’s units', async () => {
  const { input } = field(vi.fn(() => refuse('web:x', 'form.wallMm', say`The wall is ${sayMm(25.4)}.`)));
  await userEvent.clear(input);
  await userEvent.type(input, '1{Enter}');
  expect(screen.getByRole('alert').textContent).toBe('The wall is 1".');
});
