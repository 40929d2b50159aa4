import { prepare, type StepPicture, say, sayMm } from '@fellside/core';
import { demoProjects } from '@fellside/core/demo';
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, expect, test } from 'vitest';
import { showWith } from '../testing/open.js';
import { FinishedLook } from './FinishedLook.js';
import { StepPictures } from './StepPictures.js';

afterEach(cleanup);

const picture: StepPicture = {
  step: 'board',
  title: 'Board',
  says: say`The board from its side; it is ${sayMm(254)} long.`,
  parts: [
    {
      outline: [
        { x: 0, y: 0 },
        { x: 254, y: 0 },
        { x: 254, y: 20 },
        { x: 0, y: 20 },
      ],
      place: 0,
    },
    {
      outline: [
        { x: 0, y: 20 },
        { x: 254, y: 20 },
        { x: 254, y: 30 },
      ],
      place: null,
    },
  ],
  lines: [{ from: { x: 100, y: 0 }, to: { x: 120, y: 30 }, is: 'cut' }],
  sizes: [
    { from: { x: 0, y: 0 }, to: { x: 254, y: 0 }, mm: 254 },
    { from: { x: 254, y: 0 }, to: { x: 254, y: 30 }, mm: 30 },
  ],
};

const done = { says: 'Done.', tool: 'bench', cautions: [] } as const;
const steps = [
  { ...done, id: 'rip' },
  { ...done, id: 'board' },
];

test('a step shows its parts, where the saw goes, and lengths in the units of the shop', () => {
  render(
    <StepPictures
      pictures={[picture]}
      steps={steps}
      woods={['light']}
      palette={new Map()}
      units="inch-fraction"
    />,
  );
  const drawing = screen.getByRole('img', { name: /^Board: The board from its side/ });
  expect(drawing.querySelectorAll('path[stroke="#b3261e"]')).toHaveLength(1);
  expect(drawing.textContent).toContain('10"');
  expect(drawing.textContent).toContain('1 3/16"');
  expect(screen.getByText(/it is 10" long/)).toBeTruthy();
  expect(screen.getByText(/2 · Board/)).toBeTruthy();
  // Nothing of it lies outside the picture.
  const [left, top, wide, tall] = drawing.getAttribute('viewBox')!.split(' ').map(Number) as [
    number,
    number,
    number,
    number,
  ];
  expect([left <= 0, top <= -30, left + wide >= 254, top + tall >= 0]).toEqual([true, true, true, true]);
});

test('the finished look is there for a ring of the turned piece, and not for one above its lip', () => {
  const project = demoProjects()[0]!;
  const prepared = prepare(project);
  if (!prepared.ok) throw new Error('prepare');
  const { rings } = prepared.value;
  const ring = rings[8]!;
  showWith(<FinishedLook prepared={prepared.value} ring={ring} />);
  expect(screen.getByRole('img', { name: 'Ring 9 as it will look, turned.' })).toBeTruthy();
  cleanup();
  const above = { ...ring, stands: { ...ring.stands, bottomMm: prepared.value.vessel.heightMm } };
  showWith(<FinishedLook prepared={prepared.value} ring={above as typeof ring} />);
  expect(screen.queryByRole('img')).toBeNull();
});
