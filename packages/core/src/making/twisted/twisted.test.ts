import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { twistTurns } from '../../project/commands/twistCommands.js';
import { between } from '../../testing/randomMakings.js';
import { madeRing, refusalOf } from '../../testing/rings.js';
import type { ParamsOf } from '../registry.js';
import { slicesOf } from './twisted.js';

const NEED = { outerRadiusMm: mm(60), innerRadiusMm: mm(0), heightMm: mm(6) };
const twisted = (stripsMm: readonly number[]): ParamsOf<'twisted'> => ({
  way: 'twisted',
  stripsMm: stripsMm.map((w) => mm(w)),
  from: 'section-1',
  boardMm: mm(40),
  kerfMm: mm(1.5),
  cleanUpMm: mm(0),
});

describe('a twisted stack', () => {
  test('slices of a section: 6.9 with slices of 1.1 and a kerf of 0.35 gives 5', () => {
    expect(slicesOf(6.9, 1.1, 0.35)).toBe(5);
    expect(slicesOf(6.89, 1.1, 0.35)).toBe(4);
  });
  test('a slice has as many pieces as strips are met by its disc, counted one by one', () => {
    fc.assert(
      fc.property(
        fc.array(between(2, 30), { minLength: 4, maxLength: 20 }),
        between(20, 110),
        (widths, outer) => {
          const whole = widths.reduce((a, b) => a + b, 0);
          const strips = [...widths, Math.max(1, 2 * outer + 5 - whole)];
          const total = strips.reduce((a, b) => a + b, 0);
          if (total < 2 * outer || strips.some((w) => w > 500)) return;
          const made = madeRing(twisted(strips), { ...NEED, outerRadiusMm: mm(outer) });
          let at = -total / 2;
          const radius = outer / Math.cos(Math.PI / 180);
          const met = strips.filter((w) => {
            const [from, to] = [at, at + w];
            at = to;
            return to > -radius + 1e-4 && from < radius - 1e-4;
          });
          expect(made.kinds.reduce((sum, { places }) => sum + places.length, 0)).toBe(met.length);
        },
      ),
    );
  });
  test('turns: steady, growing, there and back', () => {
    expect(twistTurns(4, { twist: 'steady', stepDeg: 5 })).toEqual([0, 5, 10, 15]);
    const growing = twistTurns(5, { twist: 'growing', stepDeg: 4 });
    const steps = growing.slice(1).map((turn, i) => turn - growing[i]!);
    expect(steps.every((step, i) => i === 0 || step > steps[i - 1]!)).toBe(true);
    expect(twistTurns(7, { twist: 'there-and-back', stepDeg: 5 })).toEqual([0, 5, 10, 15, 10, 5, 0]);
  });
  test('a board too narrow, strips that the saw eats, and a crooked board are told', () => {
    expect(plain(refusalOf(twisted([30, 30]), NEED)?.message ?? '')).toMatch(
      /60 mm wide; the disc is 120 mm across/,
    );
    expect(refusalOf(twisted([100, 0.5, 100]), NEED)?.code).toBe('strip-thinner-than-kerf');
    expect(madeRing(twisted([80, 10, 90]), NEED).warnings.map(({ code }) => code)).toContain('board-crooked');
    expect(madeRing(twisted([80, 10, 80]), NEED).warnings).toEqual([]);
  });
  test('more slices than the board gives are told with what it gives', () => {
    const body = { members: Array.from({ length: 9 }, () => NEED), index: 0 };
    const made = madeRing(twisted([80, 10, 80]), { ...NEED, body });
    expect(plain(made.warnings[0]!.message)).toMatch(
      /9 slices take a board 66 mm thick; the one of 40 mm gives 5/,
    );
  });
});
