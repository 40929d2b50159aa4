import type { Project } from '@fellside/core';
import { expect, test } from '@playwright/test';

const BENCH = new URL('../scripts/bench-page.mjs', import.meta.url).href;

test('the bench in the browser has the vase that it measures: 40 rings of 48 segments under a motif', async () => {
  const { vase }: { vase: () => Project } = await import(BENCH);
  const { rings, motifs } = vase();
  expect(rings).toHaveLength(40);
  expect(new Set(rings.map(({ woods }) => woods.length))).toEqual(new Set([48]));
  expect(motifs).toHaveLength(1);
});
