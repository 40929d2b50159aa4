import { describe, expect, test } from 'vitest';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { madeRing } from '../../testing/rings.js';
import { UNSANDED } from '../planing.js';

const NEED = { outerRadiusMm: mm(60), innerRadiusMm: mm(0), heightMm: mm(6) };

describe('a board that there is for slices of any disc', () => {
  const members = [6, 6, 6].map((heightMm) => ({ ...NEED, heightMm: mm(heightMm) }));
  const sliced = (boardMm: number | undefined, pinMm?: number) =>
    madeRing(
      {
        way: 'disc',
        after: {
          done: 'sliced',
          from: 'a',
          kerfMm: mm(2),
          cleanUpMm: mm(1),
          ...(boardMm !== undefined && { boardMm: mm(boardMm) }),
          ...(pinMm !== undefined && { pinMm: mm(pinMm) }),
        },
      },
      { ...members[0]!, body: { members, index: 0 } },
    );
  test('is sawn as thick as it is; what its slices take of it is told', () => {
    // 3 · 6 + 2 · 2 + 1, by hand.
    expect([undefined, 40, 20].map((board) => sliced(board).kinds[0]!.stock)).toMatchObject(
      [23, 40, 23].map((thicknessMm) => ({ thicknessMm, slicing: { slices: 3, keptMm: 18 } })),
    );
    expect(sliced(40).figures).toContainEqual({ key: 'thick-disc', value: 23, unit: 'mm' });
    expect(plain(sliced(20).warnings[0]!.message)).toMatch(
      /3 slices take a board 23 mm thick; the one of 20 mm gives 2/,
    );
    expect(sliced(40).warnings).toEqual([]);
  });
  test('has a hole for a pin where one is wanted', () => {
    const steps = sliced(undefined, 4).steps(UNSANDED);
    expect(steps.map(({ id }) => id)).toEqual(['plane', 'disc', 'slice', 'measure']);
    expect(steps[1]).toMatchObject({ cautions: ['bandsaw', 'dust', 'drill'], once: 'a' });
    expect(plain(steps[1]!.says)).toMatch(/drill a hole of 4 mm square through its middle/);
  });
});
