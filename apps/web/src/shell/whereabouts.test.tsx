import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useNavigate } from 'react-router';
import { afterEach, expect, it } from 'vitest';
import { showWith } from '../testing/open.js';
import { screenAt, ToTheWork, Whereabouts } from './Whereabouts.js';

afterEach(cleanup);

it.each([
  ['/', 'Shelf'],
  ['/woods', 'Woods'],
  ['/piece/7/rings', 'Rings'],
  ['/piece/7/rings/r5/plan', 'Rings'],
  ['/piece/7/pattern/turntable', 'Turntable'],
  ['/piece/7/cuts/boards/3', 'Cuts: boards'],
  ['/piece/7/make', 'Make'],
  ['/no/such/place', 'Fellside'],
])('%s is %s', (path, name) => {
  expect(screenAt(path)).toBe(name);
});

it('the window is named after the piece and the screen; another screen is told once, the first is not', async () => {
  function Go() {
    const navigate = useNavigate();
    return (
      <button type="button" onClick={() => navigate('/piece/1/cuts/saw')}>
        go
      </button>
    );
  }
  showWith(
    <>
      <ToTheWork />
      <main id="work" tabIndex={-1}>
        <Whereabouts />
        <Go />
      </main>
    </>,
  );
  const told = document.querySelector('[aria-live]')!;
  expect(document.title).toMatch(/^Fell Race Cup, .* · Fellside$/);
  expect(told.textContent).toBe('');
  await userEvent.click(screen.getByText('go'));
  expect(document.title).toBe('Fell Race Cup, Cuts: rip and mitre · Fellside');
  expect(told.textContent).toBe('Cuts: rip and mitre');
  await userEvent.click(screen.getByText('To the work'));
  expect(document.activeElement).toBe(screen.getByRole('main'));
});
