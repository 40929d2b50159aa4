import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test, vi } from 'vitest';
import { PaneBoundary } from './PaneBoundary.js';

afterEach(cleanup);

test('a pane that fails says so and leaves its neighbours; it can be tried again', async () => {
  const quiet = vi.spyOn(console, 'error').mockImplementation(() => {});
  let broken = true;
  const Pane = () => {
    if (broken) throw new Error('no such ring');
    return <p>drawn</p>;
  };
  render(
    <>
      <PaneBoundary name="The outside">
        <Pane />
      </PaneBoundary>
      <PaneBoundary name="The ledger">
        <p>ledger</p>
      </PaneBoundary>
    </>,
  );
  expect(screen.getByRole('alert').textContent).toMatch(/The outside cannot be drawn: no such ring/);
  expect(screen.getByText('ledger')).toBeTruthy();
  broken = false;
  await userEvent.click(screen.getByRole('button', { name: 'Try again' }));
  expect(screen.getByText('drawn')).toBeTruthy();
  quiet.mockRestore();
});
