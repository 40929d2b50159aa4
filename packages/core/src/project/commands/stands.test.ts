import { expect, test } from 'vitest';
import { demoProjects } from '../../demo/index.js';
import { mm } from '../../measure/quantity.js';
import { after, refusal } from '../../testing/pieces.js';
import type { Project } from '../schema.js';
import * as edit from './edits.js';

const cup = demoProjects()[0]!;
const answers = (project: Project) => {
  const { making } = project.rings[8]!;
  if (making.way !== 'segmented') throw new Error('segments');
  return making;
};
const stand = (project: Project, ...stands: edit.Stand[]) =>
  after(project, ...stands.map((each) => edit.setStand([8], each)));

test('segments stand in one way at a time, and go back to what they were', () => {
  for (const each of ['centre', 'staves', 'halves', 'round'] as const)
    expect(edit.standOf(answers(stand(cup, 'halves', 'centre', 'staves', each)))).toBe(each);
  expect(answers(stand(cup, 'centre', 'staves', 'halves', 'round'))).toEqual(answers(cup));
});

test('halves are as equal as they go and are set half by half; a ring of three gets a fourth segment', () => {
  expect(answers(stand(after(cup, edit.setCount([8], 9)), 'halves'))).toMatchObject({
    count: 9,
    inHalves: { first: 5, spacersMm: [0, 0], divider: null },
  });
  const four = stand(after(cup, edit.setCount([8], 3)), 'halves');
  expect(answers(four)).toMatchObject({ count: 4, inHalves: { first: 2 } });
  const set = after(
    four,
    edit.setHalves([8], () => ({ first: 6 })),
    edit.setHalves([8], () => ({ second: 3, spacersMm: [mm(2), mm(0)] })),
  );
  expect(answers(set)).toMatchObject({ count: 9, inHalves: { first: 6, spacersMm: [2, 0] } });
  expect(answers(after(set, edit.setCount([8], 12)))).toMatchObject({ count: 12, inHalves: { first: 6 } });
  const both = after(
    set,
    edit.setMaking([9], {
      ...answers(set),
      inHalves: { first: 4, spacersMm: [mm(1), mm(3)], divider: null },
    }),
  );
  const thicker = after(
    both,
    edit.setHalves([8, 9], ({ spacersMm: [, second] }) => ({ spacersMm: [mm(5), second] })),
  );
  expect(thicker.rings[9]!.making).toMatchObject({ inHalves: { first: 4, spacersMm: [5, 3] } });
  expect(
    refusal(
      set,
      edit.setHalves([8], () => ({ second: 1 })),
    ),
  ).toMatch(/6 of 7 segments; each half has 2 at least/);
});

test('staves lean by hand only where there are some; what does not go with another stand is refused whole', () => {
  expect(answers(after(stand(cup, 'staves'), edit.setStavesLean([8], 4)))).toMatchObject({
    staves: { leanDeg: 4 },
  });
  expect(after(cup, edit.setStavesLean([8], 4))).toEqual(cup);
  const open = after(cup, edit.startFrom([8], 'open'));
  expect(refusal(open, edit.setStand([8], 'centre'))).toMatch(/end short of the middle, or close the gaps/);
});
