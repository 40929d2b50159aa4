import { test } from 'vitest';
import { begun, type RingMaking, WAYS } from '../src/making/registry.js';
import { mm } from '../src/measure/quantity.js';
import { outsideLine } from '../src/surface/drawing.js';
import { outsidePatches } from '../src/surface/outside.js';
import { cutParts } from '../src/surface/toward.js';
import { unrolledParts } from '../src/surface/unrolled.js';
import { middleOf, stacked, vaseOf } from './vase.js';

/** A shouldered vase of 40 rings of 48 segments, all made one way. */
function vase(making: RingMaking) {
  const { rings, ...rest } = vaseOf(40, 48);
  return stacked({ ...rest, rings: rings.map((ring) => ({ ...ring, making })) });
}

/** Works out what all drawings of the bench show of a piece. */
function drawn(making: RingMaking): number {
  const { vessel, rings } = vase(making);
  let shown = 0;
  for (const { made, turn, course } of rings) {
    if (!made.ok) continue;
    const ring = { made: made.value, turn, bottomMm: course.bottomMm };
    const line = outsideLine(vessel, course.bottomMm, course.topMm);
    shown += outsidePatches(ring, vessel.outside, line, 0.3).length;
    shown += unrolledParts(ring, vessel.outside, course.bottomMm, course.topMm).length;
    shown += cutParts(made.value, turn, 0.3).length;
  }
  return shown;
}

test('from a changed form to what outside, unrolled wall and half-section show, 40 × 48', () => {
  for (let i = 0; i < 10; i++) drawn({ way: 'flat', count: 48 });
  const times = WAYS.flatMap((way) => {
    const begin = begun(way, { segments: 48, body: 'thick' });
    if (!begin) return [];
    const making: RingMaking =
      begin.way === 'spaced'
        ? { ...begin, spacers: { at: 'even', number: 12, thicknessMm: mm(2) } }
        : begin.way === 'tilted'
          ? { ...begin, tiltDeg: 12 }
          : begin;
    // Boards, twisted slices and such do not go with rings so thin and many.
    if (drawn(making) === 0) return [];
    return [{ way, ms: middleOf(() => drawn(making), 11) }];
  });
  const flat = times.find(({ way }) => way === 'flat')!.ms;
  console.log(
    [
      'a changed form to its drawings, 40 rings × 48, middle of 11 runs',
      ...times.map(
        ({ way, ms }) => `  ${way.padEnd(9)} ${ms.toFixed(1)} ms, ${(ms / flat).toFixed(1)} times flat`,
      ),
    ].join('\n'),
  );
});
