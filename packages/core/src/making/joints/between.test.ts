import { describe, expect, test } from 'vitest';
import { UNSANDED } from '../../making/planing.js';
import { insteadOf, mirrored, type RingMaking, withSegments } from '../../making/registry.js';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { ring } from '../../testing/answers.js';
import { EXAMPLE_NEED, madeRing, refusalOf } from '../../testing/rings.js';
import { betweenBegun } from './begun.js';

describe('joint by joint', () => {
  const held = (joints: readonly (readonly [number, 'spacer' | 'gap', number])[]) =>
    ring({
      between: {
        put: 'mixed',
        joints: joints.map(([joint, holds, thick]) => ({ joint, holds, thicknessMm: mm(thick) })),
      },
    });
  const mixed = held([
    [0, 'spacer', 3],
    [6, 'spacer', 3],
    [3, 'gap', 5],
    [9, 'gap', 5],
  ]);
  test('spacers lie where spacers are, and air where gaps are; the rest is glued', () => {
    const made = madeRing(mixed);
    expect(made.groups.map(({ name, count }) => `${count} ${name}`)).toEqual(['12 Segment', '2 Spacer']);
    const at = (degrees: number) => {
      const angle = (degrees * Math.PI) / 180;
      return made.placeAt(90 * Math.cos(angle), 90 * Math.sin(angle), 5);
    };
    expect([at(0), at(180)]).toEqual([12, 13]);
    expect([at(90), at(270)]).toEqual([null, null]);
    expect([at(30.5), at(150.5)]).toEqual([1, 5]);
    expect(made.closed).toBe(false);
    expect(made.repeats).toBe(2);
    expect(made.steps(UNSANDED).map(({ id }) => id)).toEqual([
      'rip',
      'saw',
      'spacers',
      'measure',
      'runs',
      'glue',
      'clean',
    ]);
  });
  test('what does not close is refused; a gap too wide for any hold says how wide it may be', () => {
    expect(refusalOf(held([[0, 'gap', 3]]))?.code).toBe('does-not-close');
    const wide = held([
      [0, 'gap', 60],
      [6, 'gap', 60],
    ]);
    expect(refusalOf(wide)).toMatchObject({
      code: 'gap-no-contact',
      limits: { most: expect.closeTo(26.105, 3) },
    });
  });
  test('the sentence says what does not close; of spacers alone the nearest set is at hand, of gaps among them not', () => {
    const says = (making: RingMaking) => plain(refusalOf(making)?.message ?? '');
    const three = held([
      [0, 'spacer', 3],
      [4, 'spacer', 3],
      [6, 'spacer', 3],
    ]);
    expect(says(three)).toMatch(/^These 3 spacers do not close: .* has spacers of 3 mm at joints/);
    const near = insteadOf(three, EXAMPLE_NEED);
    expect(near).toMatchObject({ between: { put: 'spacers', spacers: { at: 'picked' } } });
    expect(madeRing(near!).groups[1]!.name).toBe('Spacer');
    const both = held([
      [0, 'spacer', 3],
      [4, 'gap', 3],
      [6, 'gap', 3],
    ]);
    expect(says(both)).toMatch(/^These 3 spacers and gaps do not close/);
    expect(says(held([[0, 'gap', 3]]))).toMatch(/^One gap alone does not close/);
    expect(insteadOf(both, EXAMPLE_NEED)).toBeNull();
  });
  test('it is begun with what joints hold already, layers too; else with what closes, whatever the count', () => {
    const layers = { layersMm: [mm(1)], turned: 'all' as const };
    const spacers = { at: 'even' as const, number: 3, thicknessMm: mm(3), layers };
    const begun = betweenBegun('mixed', 12, { put: 'spacers', spacers });
    expect(begun).toEqual({
      put: 'mixed',
      joints: [0, 4, 8].map((joint) => ({ joint, holds: 'spacer', thicknessMm: 3 })),
      layers,
    });
    for (const count of [5, 9, 12, 16])
      for (const put of ['spacers', 'gaps', 'mixed'] as const)
        expect(madeRing(ring({ count, between: betweenBegun(put, count) })).kinds.length).toBeGreaterThan(0);
  });
  test('mirrored, joint j is joint 12 − j; of fewer segments those beyond are gone', () => {
    const one = held([
      [1, 'spacer', 2],
      [7, 'gap', 2],
    ]);
    expect(mirrored(one)).toEqual(
      held([
        [11, 'spacer', 2],
        [5, 'gap', 2],
      ]),
    );
    expect(withSegments(mixed, 8)).toMatchObject({
      count: 8,
      between: { joints: [{}, {}, {}].map(() => ({})) },
    });
    expect(withSegments(held([[9, 'gap', 2]]), 6)).toEqual(ring({ count: 6 }));
  });
});
