import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test } from 'vitest';
import { controlClass, Field } from './Field.js';
import { TERMS, termIn } from './terms.js';

afterEach(cleanup);

test('every term is one sentence, met under its own words, and named once', () => {
  expect(new Set(TERMS.map(({ name }) => name)).size).toBe(TERMS.length);
  for (const { means } of TERMS) {
    expect(means).toMatch(/^[A-Z].*\.$/);
    expect(means.length).toBeLessThan(160);
  }
});

test.each([
  ['Kerf of the mitre cut', 'kerf'],
  ['Rip kerf', 'kerf'],
  ['Wall, square to curve', 'wall'],
  ['Segments of ring 4', 'segment'],
  ['Bond', 'bond'],
  ['Shrinkage radial, % (may be empty)', 'shrinkage'],
  ['Name of the piece', undefined],
  ['Turned piece', undefined],
])('%s is explained as %s', (label, name) => {
  expect(termIn(label)?.name).toBe(name);
});

test('a field tells what its term means, and keeps its own name', async () => {
  render(
    <Field label="Kerf of the mitre cut">
      {(control) => <input {...control} className={controlClass} />}
    </Field>,
  );
  expect(screen.getByLabelText('Kerf of the mitre cut').tagName).toBe('INPUT');
  await userEvent.click(screen.getByRole('button', { name: 'What is meant by kerf?' }));
  expect(screen.getByRole('dialog', { name: 'kerf' }).textContent).toMatch(/what the blade turns into dust/);
  await userEvent.keyboard('{Escape}');
  expect(screen.queryByRole('dialog')).toBeNull();
});
