import { writeFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { mangled, mangledFile, probed, probedFile } from '../src/testing/fuzz.js';

const COUNT = Number(process.env.TRIALS_DOCUMENTS ?? 1000);
const FROM = Number(process.env.TRIALS_SEED ?? 1) * 1_000_000;

/** Planning longer than this is told by its seed, ms. */
const SLOW = 1000;

test('mangled documents are refused or planned, with numbers only, and soon', () => {
  const tally = { documents: 0, refused: 0, planned: 0, 'not planned': 0, wrong: 0, slowestMs: 0, slow: 0 };
  const wrong: string[] = [];
  const slow: number[] = [];
  for (let seed = FROM; seed < FROM + COUNT; seed++) {
    const given = mangled(seed);
    const from = performance.now();
    try {
      tally[probed(given)]++;
    } catch (error) {
      tally.wrong++;
      wrong.push(`${seed}: ${(error as Error).message}`);
    }
    const took = performance.now() - from;
    tally.slowestMs = Math.max(tally.slowestMs, took);
    if (took > SLOW) {
      tally.slow++;
      slow.push(seed);
    }
    tally.documents++;
  }
  const out = process.env.TRIALS_OUT;
  if (out) writeFileSync(out, JSON.stringify({ ...tally, slowestMs: Math.round(tally.slowestMs), wrong }));
  console.log(JSON.stringify(tally), wrong.slice(0, 10), slow.slice(0, 10));
  expect(wrong).toEqual([]);
});

test('mangled files are read or refused, and soon', () => {
  const tally = { files: 0, read: 0, refused: 0, slowestMs: 0 };
  const wrong: string[] = [];
  for (let seed = FROM; seed < FROM + COUNT; seed++) {
    const from = performance.now();
    try {
      tally[probedFile(mangledFile(seed))]++;
    } catch (error) {
      wrong.push(`${seed}: ${(error as Error).message}`);
    }
    tally.slowestMs = Math.max(tally.slowestMs, performance.now() - from);
    tally.files++;
  }
  console.log(JSON.stringify(tally), wrong.slice(0, 10));
  expect(wrong).toEqual([]);
});
