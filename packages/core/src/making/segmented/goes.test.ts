import { describe, expect, test } from 'vitest';
import { sawn } from '../../demo/build.js';
import { makingSchema } from '../../making/registry.js';
import { mm } from '../../measure/quantity.js';
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
    [{ ...halves(11) }, 'inHalves.first', /11 of 12 segments; each half has 2 at least/],
    [{ ...halves(6), ...SPACERS }, 'inHalves', /or let the segments close the ring together/],
    [{ ...halves(6), ...from('plugs') }, 'inHalves', /take one wood or layers/],
    [{ ...halves(6), ...bottomUp('first') }, 'sawnFrom.turned', /let none stand upside down/],
    [{ ...halves(6), ...BOOK }, 'after', /leave the ring whole/],
    [{ ...CENTRE, ...GAPS }, 'toCentre', /end short of the middle, or close the gaps/],
    [{ ...CENTRE, ...staves() }, 'toCentre', /let the segments lie flat, or/],
    [{ ...staves(3), ...plug(30) }, 'plug', /let the staves stand upright, or leave the plug out/],
    [{ ...staves(), lean: lean('same-edge') }, 'lean', /let the joints stand upright, or/],
    [{ ...staves(), ...GAPS }, 'between', /close the gaps, or let the segments lie flat/],
    [{ ...staves(), inOrder: true }, 'inOrder', /leave their order out, or/],
    [{ ...staves(), ...SLICED }, 'after', /end grain to end grain.*leave the ring whole, or/],
    [{ ...staves(), ...bottomUp('none') }, 'sawnFrom.laid', /let them lie from outside to inside, or/],
    [{ ...staves(3), ...from('letters') }, 'staves.leanDeg', /let the staves stand upright, or take layers/],
    [{ ...staves(), ...from('illusion') }, 'staves', /let the segments lie flat, or take layers/],
    [{ ...staves(), ...from('laminated') }, 'staves', /let the segments lie flat/],
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
