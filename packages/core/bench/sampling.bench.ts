import { expect, test } from 'vitest';
import { begun, insteadOf, makeRing, type RingMaking, START_IDS } from '../src/making/registry.js';
import { mm } from '../src/measure/quantity.js';
import { plain } from '../src/measure/said.js';

const NEED = { outerRadiusMm: mm(150), innerRadiusMm: mm(135), heightMm: mm(12) };
const ONE_MM = { put: 'spacers', spacers: { at: 'every', thicknessMm: mm(1) } } as const;
const QUESTIONS = 400_000;

/** Points all over the blank's height and round its wall, the same for every way. */
const points = Float64Array.from({ length: 3 * 4096 }, (_, i) => {
  const n = Math.floor(i / 3);
  const angle = n * 2.399963;
  const radius = 132 + ((n * 0.618) % 1) * 20;
  return i % 3 === 2 ? ((n * 0.754) % 1) * 12 : radius * (i % 3 === 0 ? Math.cos(angle) : Math.sin(angle));
});

function asked(making: RingMaking): { prepared: number; each: number; wood: number } {
  const made = makeRing(making, NEED);
  if (!made.ok) throw new Error(plain(made.reasons[0]!.message));
  const start = performance.now();
  made.value.placeAt(140, 0, 1);
  const prepared = performance.now() - start;
  let wood = 0;
  const run = () => {
    const from = performance.now();
    for (let i = 0; i < QUESTIONS; i++) {
      const k = 3 * (i & 4095);
      if (made.value.placeAt(points[k]!, points[k + 1]!, points[k + 2]!) !== null) wood++;
    }
    return ((performance.now() - from) / QUESTIONS) * 1e6;
  };
  run();
  return { prepared, each: Math.min(run(), run(), run()), wood };
}

test('which place is at a point: prepared once, then asked', () => {
  const rows = START_IDS.flatMap((start) => {
    const rings = [48, 240].map((segments) => {
      const making = begun(start, { segments, body: 'thick' });
      const fit =
        making?.way === 'segmented' && start === 'spaced'
          ? { ...making, between: ONE_MM }
          : making?.way === 'segmented' && making.lean
            ? { ...making, lean: { ...making.lean, tiltDeg: 8 } }
            : making;
      // A way that does not go with this size is asked as what it proposes in its place, or not at all.
      const possible = fit && (makeRing(fit, NEED).ok ? fit : insteadOf(fit, NEED));
      return possible && asked(possible);
    });
    const [few, many] = rings;
    if (!few || !many) return [];
    expect(few.wood).toBeGreaterThan(0);
    return [
      `  ${start.padEnd(9)} ${few.prepared.toFixed(2)} ms, ${few.each.toFixed(0)} ns; with 240 segments ${many.prepared.toFixed(2)} ms, ${many.each.toFixed(0)} ns (${(many.each / few.each).toFixed(1)} times)`,
    ];
  });
  console.log(['placeAt(), 48 segments: prepared in, each question', ...rows].join('\n'));
});
