import { describe, expect, test } from 'vitest';
import { sawn } from '../../demo/build.js';
import type { Made } from '../../making/contract.js';
import { placesIn, volumeOfAll } from '../../making/layOut.js';
import { FIRST_GLYPH } from '../../making/lettered/lettered.js';
import { calledOf, insteadOf, type RingMaking } from '../../making/registry.js';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { leastContact } from '../../surface/contact.js';
import {
  type Answers,
  BOOK,
  bottomUp,
  CENTRE,
  from,
  GAPS,
  halves,
  lean,
  OUTSIDE_IN,
  plug,
  ring,
  SLICED,
  SPACERS,
  staves,
} from '../../testing/answers.js';
import { EXAMPLE_NEED, madeRing, refusalOf } from '../../testing/rings.js';

const volume = (made: Made, first = 0, count = placesIn(made.groups)) =>
  Array.from({ length: count }, (_, i) => volumeOfAll(made.lay(first + i))).reduce((a, b) => a + b, 0);

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
    [
      'leaning staves of layers, with spacers',
      { ...staves(12), ...OUTSIDE_IN, ...SPACERS },
      ring({ ...staves(12), ...SPACERS }),
    ],
    ['letters in staves', { ...staves(), ...from('letters') }, ring(staves())],
    [
      'layers in two halves that differ',
      { ...halves(5, 2, 0), ...OUTSIDE_IN },
      ring({ count: 12, ...halves(5, 2, 0) }),
    ],
    [
      'layers one above the other to the centre',
      { ...CENTRE, ...bottomUp('first'), ...plug(20) },
      ring({ ...CENTRE, ...plug(20) }),
    ],
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
  test('segments to the centre meet there, or come as near as the plug where spacers push them out', () => {
    const wide = (answers: Answers) => {
      const { stock } = madeRing(ring({ ...CENTRE, ...answers }), EXAMPLE_NEED).kinds[0]!;
      return stock.from === 'strip' ? stock.widthMm : 0;
    };
    expect(wide({})).toBeCloseTo(100, 9);
    expect(wide(plug(30))).toBeCloseTo(100, 9);
    expect(wide({ ...plug(30), ...SPACERS })).toBeLessThan(100 - 15 * Math.cos(Math.PI / 12) + 3);
    expect(refusalOf(ring({ ...CENTRE, ...SPACERS }), EXAMPLE_NEED)?.code).toBe('hole-too-small');
    const near = insteadOf(ring({ ...CENTRE, ...SPACERS }), EXAMPLE_NEED);
    expect(near).toMatchObject({ toCentre: true, plug: { diameterMm: expect.any(Number) } });
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
});

test('a ring is called by what there is most of, and what is beside it', () => {
  const names: readonly (readonly [Answers, string])[] = [
    [{}, 'Flat segments'],
    [{ parts: [1, 2] }, 'Unequal segments'],
    [GAPS, 'Open segments'],
    [{ lean: lean('same-edge'), ...SPACERS }, 'Climbing stripe'],
    [{ lean: lean('same-edge'), ...SPACERS, woven: true }, 'Basket band'],
    [{ lean: lean('same-edge'), ...SPACERS, woven: true, ...SLICED }, 'Slices of a thick ring, woven'],
    [{ lean: lean('same-edge'), ...SPACERS, ...OUTSIDE_IN }, 'Segments of layers, leaning with spacers'],
    [{ ...OUTSIDE_IN, ...SLICED, lean: lean('same-edge') }, 'Segments of layers, sliced, leaning'],
    [BOOK, 'Grain-matched'],
    [staves(4), 'Staves'],
    [{ ...staves(), ...SPACERS }, 'Staves, with spacers'],
    [{ ...OUTSIDE_IN, ...staves() }, 'Segments of layers, of staves'],
    [CENTRE, 'Segments to the centre'],
    [{ ...CENTRE, ...plug(20), ...SPACERS }, 'Pie with a plug, with spacers'],
    [{ ...halves(6), ...SLICED }, 'Half and half, sliced'],
  ];
  for (const [answers, name] of names) expect(calledOf(ring(answers))).toBe(name);
});
