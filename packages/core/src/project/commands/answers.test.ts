import { describe, expect, test } from 'vitest';
import { demoProjects } from '../../demo/index.js';
import { betweenBegun } from '../../making/joints/begun.js';
import type { Between } from '../../making/joints/between.js';
import type { SegmentedParams } from '../../making/segmented/params.js';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { after, change, refusal, rings } from '../../testing/pieces.js';
import type { Project } from '../schema.js';
import * as edit from './edits.js';

const [cup] = demoProjects() as [Project];
const afterOf = (project: Project, index: number) => (project.rings[index]!.making as SegmentedParams).after;

describe('what is done with rings once they are glued', () => {
  const two = after(cup, edit.setAfter([6, 7], 'sliced'), edit.setAfter([8, 9], 'sliced'));
  test('slices that are chosen together come off a thick ring of their own', () => {
    const [a, b, c, d] = [6, 7, 8, 9].map((index) => afterOf(two, index)) as { from: string }[];
    expect([a!.from, c!.from]).toEqual([b!.from, d!.from]);
    expect(a!.from).not.toBe(c!.from);
    for (const index of [6, 7, 8, 9]) expect(rings(two)[index]!.made.ok).toBe(true);
  });
  test('what is lost in it is set for slices of several thick rings, and each stays a slice of its own', () => {
    const set = after(two, edit.setLost([6, 8], { kerfMm: mm(2.5) }));
    for (const index of [6, 7, 8, 9])
      expect(afterOf(set, index)).toEqual({ ...afterOf(two, index), kerfMm: 2.5 });
    expect(after(cup, edit.setLost([6], { kerfMm: mm(2.5) }))).toEqual(cup);
    expect(refusal(two, edit.setLost([6], { kerfMm: mm(99) }))).toMatch(/Kerf of the resaw is 99/);
  });
  test('whole again, or opened like a book, they have nothing to do with the others', () => {
    const apart = after(two, edit.setAfter([6], 'opened'), edit.setAfter([8], 'whole'));
    expect(afterOf(apart, 6)).toMatchObject({ done: 'opened' });
    expect(afterOf(apart, 8)).toBeUndefined();
    expect([7, 9].map((index) => afterOf(apart, index))).toEqual([7, 9].map((index) => afterOf(two, index)));
  });
});

test('what is set of floors that differ leaves what differs as it is', () => {
  const star = (points: number, lit: 'clockwise' | 'counter-clockwise') => ({
    sawnFrom: { is: 'star' as const, points, lit, borderMm: mm(0) },
  });
  const stars = after(
    cup,
    edit.startFrom([0, 1], 'medallion'),
    edit.setParams([0], 'disc', star(8, 'clockwise')),
    edit.setParams([1], 'disc', star(12, 'clockwise')),
    edit.setDiscSource([0, 1], 'star', { lit: 'counter-clockwise' }),
    edit.setDiscSource([0, 1], 'cabin', { rounds: 3 }),
  );
  expect([0, 1].map((ring) => stars.rings[ring]!.making)).toEqual(
    [8, 12].map((points) => ({ way: 'disc', ...star(points, 'counter-clockwise') })),
  );
});

describe('what is done with discs', () => {
  const discs = after(cup, edit.startFrom([0, 1, 2], 'disc'));
  test('they are sliced from a thicker one, and what is lost in it is set, as of rings of segments', () => {
    const sliced = after(discs, edit.setAfter([0, 1], 'sliced'), edit.setLost([0, 1], { kerfMm: mm(3) }));
    expect(afterOf(sliced, 0)).toMatchObject({ done: 'sliced', kerfMm: 3 });
    expect(afterOf(sliced, 1)).toEqual(afterOf(sliced, 0));
    expect(afterOf(sliced, 2)).toBeUndefined();
    expect(afterOf(after(sliced, edit.setAfter([1], 'whole')), 1)).toBeUndefined();
  });
  test('segments and discs that are chosen together come off glue-ups of their own', () => {
    const both = after(discs, edit.setAfter([0, 1, 8, 9], 'sliced'));
    const from = [0, 1, 8, 9].map((ring) => (afterOf(both, ring) as { from: string }).from);
    expect([from[0] === from[1], from[2] === from[3], from[0] === from[2]]).toEqual([true, true, false]);
    expect(rings(both).every(({ made }) => made.ok)).toBe(true);
  });
  test('they are not opened like a book; where segments cannot be sliced, the discs beside them are not either', () => {
    const mixed = after(discs, edit.startFrom([8], 'open'));
    expect(refusal(mixed, edit.setAfter([0, 8], 'sliced'))).toMatch(
      /close the gaps, or leave the ring whole/,
    );
    const opened = after(discs, edit.setAfter([0, 9], 'opened'));
    expect([0, 9].map((ring) => afterOf(opened, ring)?.done)).toEqual([undefined, 'opened']);
  });
});

test('what is set of boards that differ leaves what differs as it is', () => {
  const board = (thick: number) =>
    edit.setParams([thick], 'segmented', {
      sawnFrom: { is: 'layers', laid: 'bottom-up', layersMm: [mm(thick)], turned: 'first' },
    });
  const set = after(cup, board(6), board(7), edit.setSource([6, 7], 'layers', { turned: 'second' }));
  for (const thick of [6, 7])
    expect(set.rings[thick]!.making).toMatchObject({ sawnFrom: { layersMm: [thick], turned: 'second' } });
});

test('what joints hold is said not to carry over only where it is gone', () => {
  const spaced = after(cup, edit.startFrom([8], 'spaced'));
  const note = (put: Between['put']) => {
    const told = change(
      spaced,
      edit.setParams([8], 'segmented', { between: betweenBegun(put, 24, betweenBegun('spacers', 24)) }),
    ).note;
    return told && plain(told);
  };
  expect([note('mixed'), note('gaps')]).toEqual([undefined, 'Not carried over: spacers.']);
});
