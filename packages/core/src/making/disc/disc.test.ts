import { describe, expect, test } from 'vitest';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { madeRing, refusalOf } from '../../testing/rings.js';
import { layOut } from '../layOut.js';
import { UNSANDED } from '../planing.js';
import {
  calledOf,
  insteadOf,
  makeRing,
  makingSchema,
  mirrored,
  type ParamsOf,
  startOf,
} from '../registry.js';

const NEED = { outerRadiusMm: mm(90), innerRadiusMm: mm(0), heightMm: mm(20) };
type SawnFrom = NonNullable<ParamsOf<'disc'>['sawnFrom']>;
const of = (sawnFrom: SawnFrom): ParamsOf<'disc'> => ({ way: 'disc', sawnFrom });
const boards = (...layersMm: number[]) => of({ is: 'layers', layersMm: layersMm.map(mm) });
const SLICED = { done: 'sliced', from: 'thick', kerfMm: mm(2), cleanUpMm: mm(1) } as const;
const words = (making: ParamsOf<'disc'>, need = NEED) =>
  madeRing(making, need)
    .steps(UNSANDED)
    .map(({ says }) => plain(says));

describe('boards one above the other', () => {
  test('lie from the bottom up, the top one with what is left, each as wide as the disc', () => {
    const made = madeRing(boards(8, 3), NEED);
    expect(layOut(made).map(({ fromMm, toMm }) => [fromMm, toMm])).toEqual([
      [0, 8],
      [8, 11],
      [11, 20],
    ]);
    expect(made.kinds.map(({ name, heightMm }) => [name, heightMm])).toEqual([
      ['Bottom layer', 8],
      ['Layer 2', 3],
      ['Top layer', 9],
    ]);
    expect(made.kinds.map(({ stock }) => stock)).toMatchObject(
      [8, 3, 9].map((thicknessMm) => ({ widthMm: 180, thicknessMm })),
    );
    expect(words(boards(8, 3)).join(' ')).toMatch(
      /Plane 3 boards, bottom to top, to 8 mm, 3 mm, 9 mm.*face to face.*180 mm/,
    );
  });
  test('that leave nothing for the top one are refused with the limit, and thinner ones are at hand', () => {
    expect(refusalOf(boards(15, 5), NEED)).toMatchObject({ code: 'layer-too-thick', limits: { most: 20 } });
    const instead = insteadOf(boards(15, 15), NEED)!;
    expect(makeRing(instead, NEED).ok).toBe(true);
  });
  test('give no slices, and say what does', () => {
    const parsed = makingSchema.safeParse({ ...boards(8), after: SLICED });
    expect(parsed.error?.issues[0]?.message).toMatch(/let the disc stay whole, or take one board/);
  });
});

describe('sliced from a thicker one', () => {
  const member = (heightMm: number, outerRadiusMm: number) => ({
    ...NEED,
    heightMm: mm(heightMm),
    outerRadiusMm: mm(outerRadiusMm),
  });
  const members = [member(6, 80), member(9, 90), member(5, 70)];
  const slice = (index: number, sawnFrom?: SawnFrom) =>
    madeRing(
      { way: 'disc', after: SLICED, ...(sawnFrom && { sawnFrom }) },
      { ...members[index]!, body: { members, index } },
    );
  test('the block is as high as all slices, two kerfs and what is cleaned up, and as wide as the widest', () => {
    // 6 + 9 + 5 + 2·2 + 1, by hand.
    expect(slice(0).kinds[0]!.stock).toMatchObject({
      from: 'panel',
      widthMm: 180,
      thicknessMm: 25,
      slicing: { slices: 3, keptMm: 20 },
    });
    expect([0, 2].map((index) => slice(index).gives.outerRadiusMm)).toEqual([90, 90]);
    expect(slice(0).figures).toContainEqual({ key: 'thick-disc', value: 25, unit: 'mm' });
  });
  test('is counted once, with the lowest slice; each is as high as its ring', () => {
    for (const index of [1, 2]) expect(slice(index).kinds.map(({ stock }) => stock.from)).toEqual(['slice']);
    expect([0, 1, 2].map((index) => slice(index).kinds[0]!.heightMm)).toEqual([6, 9, 5]);
  });
  test('of a star gives the star in every slice', () => {
    const star = { is: 'star', points: 6, lit: 'clockwise', borderMm: mm(10) } as const;
    const [first, second] = [slice(0, star), slice(1, star)];
    expect(first.kinds.map(({ stock }) => stock.from)).toEqual(['panel', 'panel', 'panel', 'strip']);
    expect(layOut(second).map(({ bottom }) => bottom)).toEqual(layOut(first).map(({ bottom }) => bottom));
    expect(second.kinds.every(({ stock }) => stock.from === 'slice')).toBe(true);
  });
  test('is told: glue up, saw apart once, clean up each', () => {
    const told = words({ way: 'disc', after: SLICED }, members[0]);
    expect(told.join(' ')).toMatch(/thick disc.*saw off.*Clean up each slice/);
  });
});

test('what it is called and where it began follow from what it is sawn from', () => {
  expect(calledOf({ way: 'disc' })).toBe('Solid disc');
  expect(calledOf({ ...boards(4) })).toBe('Solid disc of layers');
  const cabin = of({ is: 'cabin', rounds: 3, heart: 0.2, laid: 'left' });
  expect([calledOf({ ...cabin, after: SLICED }), startOf(cabin)]).toEqual([
    'Medallion floor, sliced',
    'medallion',
  ]);
  expect(mirrored(cabin)).toEqual(of({ is: 'cabin', rounds: 3, heart: 0.2, laid: 'right' }));
});

test('what a disc cannot be sawn from is refused with what it can', () => {
  const parsed = makingSchema.safeParse({ way: 'disc', sawnFrom: { is: 'straw' } });
  expect(parsed.error?.issues[0]?.message).toMatch(
    /one of layers, star, cabin, strips, or left out for one board/,
  );
});
