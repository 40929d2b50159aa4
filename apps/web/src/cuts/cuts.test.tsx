import { DEFAULT_SHOP, plan } from '@fellside/core';
import { demoProjects } from '@fellside/core/demo';
import { cleanup, screen, within } from '@testing-library/react';
import { afterEach, expect, test } from 'vitest';
import { FootBar } from '../shell/FootBar.js';
import { showWith } from '../testing/open.js';
import { PiecesView } from './PiecesView.js';

afterEach(cleanup);

const planned = (index: number) => {
  const result = plan(demoProjects()[index]!, DEFAULT_SHOP);
  if (!result.ok) throw new Error('plan');
  return result.value;
};

test.each([0, 1, 2, 3])('demo piece %i: the tables count what the plan counts', (index) => {
  showWith(<PiecesView />, demoProjects()[index]!);
  const expected = planned(index);
  const pieces = within(screen.getByRole('region', { name: 'Pieces' }))
    .getAllByRole('row')
    .slice(1);
  const counts = pieces.map((row) => Number(within(row).getAllByRole('cell')[1]!.textContent));
  expect(counts.reduce((a, b) => a + b, 0)).toBe(expected.pieces);
  const strips = screen.getByRole('region', { name: 'Strips' });
  const lines = [...strips.querySelectorAll('tbody td:first-child div')].map((line) =>
    Number.parseInt(line.textContent!, 10),
  );
  const listed = lines.reduce((a, b) => a + b, 0);
  expect(listed).toBe(expected.lumber.woods.reduce((sum, wood) => sum + wood.strips, 0));
});

test('board feet stand step by step for each wood, and the foot bar shows the same', () => {
  showWith(
    <>
      <PiecesView />
      <FootBar />
    </>,
  );
  for (const { wood, boardFeet } of planned(0).lumber.woods) {
    expect(document.querySelector(`[data-wood="${wood}"]`)?.textContent).toBe(
      `${boardFeet.toFixed(2)} bd ft`,
    );
    expect(screen.getByRole('region', { name: 'Totals' }).textContent).toContain(boardFeet.toFixed(2));
  }
  const steps = within(screen.getByRole('table', { name: /Hard maple, board feet/ }));
  const value = (name: RegExp) =>
    Number(within(steps.getByRole('row', { name })).getByRole('cell').textContent);
  expect(value(/In the finished/) + value(/shavings/)).toBeCloseTo(value(/In the segments/), 2);
});

test('cautions stand beside the cuts and defer to training and local rules', () => {
  showWith(<PiecesView />);
  const care = screen.getByRole('heading', { name: 'Take care' }).parentElement!;
  expect(care.textContent).toMatch(/never with fingers near the blade/);
  expect(care.textContent).toMatch(/Purpleheart: /);
  expect(care.textContent).toMatch(/machine maker’s instructions and local rules come first/);
});
