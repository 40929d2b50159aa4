import { expect, test } from 'vitest';
import { begun, type RingMaking, WAYS } from '../src/making/registry.js';
import { mm } from '../src/measure/quantity.js';
import { prepare } from '../src/project/prepare.js';
import { outsideLine } from '../src/surface/drawing.js';
import { outsidePatches } from '../src/surface/outside.js';
import { cutParts } from '../src/surface/toward.js';
import { unrolledParts } from '../src/surface/unrolled.js';

/** A shouldered vase of 40 rings of 48 segments, all made one way. */
const vase = (making: RingMaking) =>
  prepare({
    form: {
      points: [
        [90, 0],
        [150, 160],
        [110, 272],
        [120, 320],
      ].map(([radius, height]) => ({
        radiusMm: mm(radius!),
        heightMm: mm(height!),
        kind: 'smooth' as const,
      })),
      inside: { by: 'wall', walls: [{ heightMm: mm(0), wallMm: mm(8) }], floorMm: mm(0) },
      recess: null,
      lid: null,
    },
    rings: Array.from({ length: 40 }, (_, i) => ({
      id: `r${i}`,
      heightMm: mm(8),
      making,
      turn: (i % 2) / 2,
      woods: ['wood'],
    })),
    allowances: { outsideMm: mm(4), insideMm: mm(4) },
  });

/** Works out what all drawings of the bench show of a piece. */
function drawn(making: RingMaking): number {
  const prepared = vase(making);
  if (!prepared.ok) throw new Error(prepared.reasons[0]!.message);
  const { vessel, rings } = prepared.value;
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

function middle(work: () => void, runs = 11): number {
  const times = Array.from({ length: runs }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return times.sort((a, b) => a - b)[runs >> 1]!;
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
    expect(drawn(making)).toBeGreaterThan(0);
    return [{ way, ms: middle(() => drawn(making)) }];
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
