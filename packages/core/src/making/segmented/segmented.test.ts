import { describe, expect, test } from 'vitest';
import { sawn } from '../../demo/build.js';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { leastContact } from '../../surface/contact.js';
import { EXAMPLE_NEED, madeRing, refusalOf } from '../../testing/rings.js';
import type { Made } from '../contract.js';
import { placesIn, volumeOfAll } from '../layOut.js';
import { FIRST_GLYPH } from '../lettered/lettered.js';
import { UNSANDED } from '../planing.js';
import { calledOf, makingSchema, mirrored, type RingMaking, withSegments } from '../registry.js';
import type { SegmentedParams } from './params.js';

type Answers = Partial<SegmentedParams>;
const ring = (answers: Answers = {}): SegmentedParams => ({ way: 'segmented', count: 12, ...answers });
const lean = (cut: 'two-fences' | 'same-edge' | 'turned-over', tiltDeg = 12) =>
  ({ tiltDeg, hand: 'right', cut }) as const;
const SPACERS: Answers = { between: { put: 'spacers', spacers: { at: 'every', thicknessMm: mm(3) } } };
const GAPS: Answers = { between: { put: 'gaps', gap: { sides: 'tapered', share: 0.2 } } };
const SLICED: Answers = { after: { done: 'sliced', from: 'a', kerfMm: mm(2), cleanUpMm: mm(1) } };
const BOOK: Answers = { after: { done: 'opened', kerfMm: mm(2), cleanUpMm: mm(1) } };
const OUTSIDE_IN: Answers = { sawnFrom: { is: 'layers', laid: 'outside-in', layersMm: [mm(6)] } };
const plug = (across: number): Answers => ({ plug: { diameterMm: mm(across), drillMm: mm(across) } });
const bottomUp = (turned: 'none' | 'first'): Answers => ({
  sawnFrom: { is: 'layers', laid: 'bottom-up', layersMm: [mm(6)], turned },
});
const from = (is: 'plugs' | 'letters' | 'illusion' | 'laminated'): Answers => ({
  sawnFrom: sawn(is, 12).sawnFrom,
});

const volume = (made: Made, first = 0, count = placesIn(made.groups)) =>
  Array.from({ length: count }, (_, i) => volumeOfAll(made.lay(first + i))).reduce((a, b) => a + b, 0);

describe('answers that do not go together say why, by field, and with what would', () => {
  test.each<readonly [Answers, string, RegExp]>([
    [
      { parts: [1, 2], ...SPACERS },
      'between',
      /equal segments only; make the widths equal, or leave the spacers out/,
    ],
    [{ parts: [1, 2], ...GAPS }, 'between', /leave the gaps out/],
    [{ parts: [1, 2], lean: lean('same-edge') }, 'lean', /let the joints stand upright/],
    [{ parts: [1, 2], inOrder: true }, 'inOrder', /make them equal, or leave the order out/],
    [{ count: 11, lean: lean('turned-over') }, 'count', /11; .* need an even count/],
    [{ ...GAPS, ...plug(30) }, 'plug', /leave the plug out or close the gaps/],
    [{ inOrder: true, lean: lean('two-fences') }, 'lean.cut', /the same edge is out every time; cut them so/],
    [{ ...GAPS, ...SLICED }, 'after', /close the gaps, or leave the ring whole/],
    [{ count: 11, ...BOOK }, 'count', /11; .* need an even count/],
    [{ ...SPACERS, ...BOOK }, 'after', /without a plug; make it so, or leave the ring whole/],
    [{ ...OUTSIDE_IN, lean: lean('two-fences') }, 'lean.cut', /sawn with the same edge out/],
    [{ ...bottomUp('none'), ...SLICED }, 'after', /let the layers lie from outside to inside/],
    [{ ...bottomUp('first'), lean: lean('same-edge') }, 'sawnFrom.turned', /let none stand upside down/],
    [{ ...bottomUp('none'), lean: lean('turned-over') }, 'sawnFrom.turned', /let every other segment stand/],
    [{ ...bottomUp('first'), inOrder: true }, 'inOrder', /let none stand upside down/],
    [{ count: 9, ...bottomUp('first') }, 'count', /9; .* has to be even, or two alike meet/],
    [{ ...from('plugs'), parts: [1, 2] }, 'parts', /make the segments equal/],
    [{ ...from('plugs'), ...plug(30) }, 'plug', /rings of one wood or of layers/],
    [{ ...from('letters'), ...SLICED }, 'after', /leave the ring whole/],
    [{ ...from('letters'), inOrder: true }, 'inOrder', /leave their order out/],
    [
      { ...from('illusion'), lean: lean('same-edge') },
      'lean',
      /let the joints stand upright, or take layers/,
    ],
    [{ ...from('laminated'), lean: lean('same-edge') }, 'lean', /is no rectangle/],
    [{ ...from('laminated'), count: 121 }, 'count', /121; a laminated ring has 3 to 120/],
    [
      { between: { put: 'mixed', joints: [{ joint: 12, holds: 'gap', thicknessMm: mm(2) }] } },
      'between.joints',
      /Joint 13 is not there/,
    ],
    [
      { between: { put: 'mixed', joints: [] } },
      'between.joints',
      /give one a spacer or a gap, or leave them out/,
    ],
  ])('%j', (answers, path, says) => {
    const { error } = makingSchema.safeParse(ring(answers));
    expect(error?.issues.map((issue) => issue.path.join('.'))).toContain(path);
    expect(error?.issues.map(({ message }) => message).join(' ')).toMatch(says);
  });
  test('a backing behind letters in leaning joints is sawn with the same edge out', () => {
    const backed = (cut: 'two-fences' | 'same-edge') =>
      sawn('letters', 12, { backingMm: mm(9) }, { lean: lean(cut) });
    expect(makingSchema.safeParse(backed('two-fences')).error?.issues[0]?.path).toEqual(['lean', 'cut']);
    expect(makingSchema.safeParse(backed('same-edge')).success).toBe(true);
  });
});

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

describe('a slice of a leaning ring', () => {
  const tilted = { ...SPACERS, lean: lean('same-edge', 15) };
  const heights = [8, 12, 8];
  const members = heights.map((height) => ({ ...EXAMPLE_NEED, heightMm: mm(height) }));
  const whole = madeRing(ring(tilted), { ...EXAMPLE_NEED, heightMm: mm(8 + 12 + 8 + 2 * 2 + 1) });
  test.each([0, 1, 2])('number %i is the whole ring between its own heights', (index) => {
    const need = { ...members[index]!, body: { members, index } };
    const slice = madeRing(ring({ ...tilted, ...SLICED }), need);
    // Half of what is cleaned up lies below the lowest slice, a kerf between each.
    const bottom = 0.5 + heights.slice(0, index).reduce((sum, height) => sum + height + 2, 0);
    let met = 0;
    for (let i = 0; i < 600; i++) {
      const [angle, radius] = [i * 2.399963, 80 + ((i * 0.618) % 1) * 20];
      const [x, y, z] = [
        radius * Math.cos(angle),
        radius * Math.sin(angle),
        ((i * 0.754) % 1) * heights[index]!,
      ];
      const place = slice.placeAt(x, y, z);
      expect(place).toBe(whole.placeAt(x, y, bottom + z));
      if (place !== null && place >= 12) met++;
    }
    expect(met).toBeGreaterThan(10);
    expect(slice.gives).toEqual(whole.gives);
  });
});

test.each<readonly [string, Answers]>([
  ['upright', SLICED],
  ['leaning', { ...SLICED, ...SPACERS, lean: lean('same-edge', 20) }],
  ['opened like a book', { ...BOOK, ...OUTSIDE_IN }],
])(
  'the thickness of a strip is what stays of it, what is sawn away and what is cleaned up: %s',
  (_, answers) => {
    const members = [8, 12, 8].map((height) => ({ ...EXAMPLE_NEED, heightMm: mm(height) }));
    const need = { ...members[0]!, ...(answers.after?.done === 'sliced' && { body: { members, index: 0 } }) };
    for (const { stock } of madeRing(ring(answers), need).kinds) {
      if (stock.from !== 'strip' || !stock.slicing) throw new Error('not sliced');
      const { keptMm, kerfMm, slices, cleanUpMm } = stock.slicing;
      expect(stock.thicknessMm).toBeCloseTo(keptMm + (slices - 1) * kerfMm + cleanUpMm, 9);
    }
  },
);

test.each<readonly [string, Answers, string, boolean]>([
  ['whole', {}, '1 to 12', true],
  ['sliced', SLICED, '1 to 12', true],
  ['opened, two from each block', BOOK, '1 to 6', false],
])('what is numbered of a ring in order along the strip, %s', (_, answers, says, ends) => {
  const given = ring({ ...answers, ...(ends && { inOrder: true }) });
  const told = plain(
    madeRing(given, EXAMPLE_NEED)
      .steps(UNSANDED)
      .find(({ id }) => id === 'number')!.says,
  );
  expect(told).toContain(`Number the pieces ${says} as they come off`);
  expect(told.includes('the figure does not run on')).toBe(ends);
});

describe('what segments are sawn from, in joints of every kind', () => {
  test.each<readonly [string, Answers, RingMaking]>([
    ['layers that lean', { ...OUTSIDE_IN, lean: lean('same-edge') }, ring({ lean: lean('same-edge') })],
    [
      'layers one above the other that lean',
      { ...bottomUp('first'), lean: lean('turned-over') },
      ring({ lean: lean('turned-over') }),
    ],
    ['layers of unequal segments', { ...OUTSIDE_IN, parts: [1, 2] }, ring({ parts: [1, 2] })],
    [
      'dots that lean',
      { ...from('plugs'), lean: lean('turned-over', 8) },
      ring({ lean: lean('turned-over', 8) }),
    ],
    [
      'letters that lean',
      { ...from('letters'), lean: lean('two-fences') },
      ring({ lean: lean('two-fences') }),
    ],
    ['an illusion between gaps', { ...from('illusion'), ...GAPS }, ring(GAPS)],
    ['a zigzag between spacers', { ...from('laminated'), ...SPACERS }, ring(SPACERS)],
  ])('%s: their pieces are together the ring of one wood', (_, answers, whole) => {
    const need = { ...EXAMPLE_NEED, heightMm: mm(24) };
    const [made, plain] = [madeRing(ring(answers), need), madeRing(whole, need)];
    expect(volume(made) / volume(plain)).toBeCloseTo(1, 9);
    expect(made.gives).toEqual(plain.gives);
  });
  test('a letter in a leaning segment has the area of its outline times its depth', () => {
    const made = madeRing(
      sawn('letters', 12, { depthMm: mm(6), cutterMm: mm(0.2) }, { lean: lean('same-edge') }),
      {
        ...EXAMPLE_NEED,
        heightMm: mm(24),
      },
    );
    // The upright cross that a ring of letters begins with: 0.3·1 + 2·0.25·0.27 of a square as high as it is, 12 mm.
    expect(volumeOfAll(made.lay(12)) / ((0.3 + 0.135) * 144 * 6)).toBeCloseTo(1, 2);
    expect(FIRST_GLYPH.loops).toHaveLength(1);
  });
  test.each(['plugs', 'letters', 'illusion', 'laminated'] as const)(
    'a backing behind %s begins where it is said to, and the front is no deeper',
    (is) => {
      const need = { ...EXAMPLE_NEED, heightMm: mm(24) };
      const made = madeRing(sawn(is, 12, { backingMm: mm(14) }), need);
      expect(made.groups.at(-1)).toEqual({ name: 'Backing', count: 12 });
      const first = placesIn(made.groups) - 12;
      const [line] = made.layers.filter(({ name }) => plain(name).includes('backing'));
      expect(line?.nearMm).toBeCloseTo(86, 9);
      const middle = (radius: number) =>
        made.placeAt(radius * Math.cos(Math.PI / 12), radius * Math.sin(Math.PI / 12), 2);
      expect(middle(85.9)).toBe(first);
      expect(middle(86.1)).toBeLessThan(first);
      expect(volume(made) / volume(madeRing(ring(), need))).toBeCloseTo(1, 9);
      expect(plain(refusalOf(sawn(is, 12, { backingMm: mm(70) }), need)?.message ?? '')).toMatch(
        /70 mm thick and the strip 22.73 mm wide; nothing is left/,
      );
    },
  );
  test('a plug goes through layers as far as the innermost', () => {
    const made = madeRing(ring({ count: 8, ...OUTSIDE_IN, ...plug(60) }), {
      ...EXAMPLE_NEED,
      innerRadiusMm: mm(0),
    });
    expect(made.placeAt(29.9, 0.1, 5)).toBe(16);
    expect(made.placeAt(30.1, 0.1, 5)).toBe(8);
    const large = ring({ count: 8, ...OUTSIDE_IN, ...plug(190) });
    expect(refusalOf(large, { ...EXAMPLE_NEED, innerRadiusMm: mm(0) })).toMatchObject({
      code: 'plug-too-large',
      path: 'plug.diameterMm',
    });
  });
  test('segments of layers with gaps between them are glued to the ring below as those of one wood are', () => {
    const contact = (answers: Answers) =>
      leastContact(
        { made: madeRing(ring()), turn: 0 },
        { made: madeRing(ring({ ...GAPS, ...answers })), turn: Math.PI / 12 },
        EXAMPLE_NEED,
      );
    expect(contact(OUTSIDE_IN)).toBeCloseTo(contact({}), 6);
    expect(contact(bottomUp('first'))).toBeCloseTo(contact({}), 6);
  });
  test('leaves of a book of two layers have one wood each, and number like those of one', () => {
    const made = madeRing(ring({ count: 8, ...OUTSIDE_IN, ...BOOK }));
    expect([0, 3, 4, 7, 8, 15].map((place) => made.mark(place))).toEqual([
      '1a',
      '4a',
      '4b',
      '1b',
      '1a',
      '1b',
    ]);
    expect(made.kinds.map(({ stock }) => stock.from === 'strip' && stock.thicknessMm)).toEqual([43, 43]);
  });
});

test('a ring is called by what there is most of, and what is beside it', () => {
  const names: readonly (readonly [Answers, string])[] = [
    [{}, 'Flat segments'],
    [{ parts: [1, 2] }, 'Unequal segments'],
    [GAPS, 'Open segments'],
    [{ lean: lean('same-edge'), ...SPACERS }, 'Climbing stripe'],
    [{ lean: lean('same-edge'), ...SPACERS, ...OUTSIDE_IN }, 'Segments of layers, leaning with spacers'],
    [{ ...OUTSIDE_IN, ...SLICED, lean: lean('same-edge') }, 'Segments of layers, sliced, leaning'],
    [BOOK, 'Grain-matched'],
  ];
  for (const [answers, name] of names) expect(calledOf(ring(answers))).toBe(name);
});
