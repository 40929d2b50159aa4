import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import * as core from './index.js';
import { runExamples } from './testing/examples.js';

const page = readFileSync(new URL('../../../docs/core.md', import.meta.url), 'utf8');

// 12 segments, 100/80 mm: long edge, width and corner as worked in craft's flat ring, 2·100·tan 15°, 100 − 80·cos 15°, 100/cos 15°.
test('every example of the page on the core comes to what it says', () => {
  expect(runExamples(page, core)).toBeGreaterThanOrEqual(40);
});

test('every function that the page names is there, with a docstring where it is written', () => {
  const named = new Set([...page.matchAll(/`([a-z]\w+)\(/g)].map(([, name]) => name!));
  expect(named.size).toBeGreaterThan(20);
  const index = readFileSync(new URL('./index.ts', import.meta.url), 'utf8');
  for (const name of named) {
    expect(core, name).toHaveProperty(name);
    const [, from] = new RegExp(`\\b${name}\\b[^;]*?from '\\./([^']+)\\.js'`).exec(index)!;
    const source = readFileSync(new URL(`./${from}.ts`, import.meta.url), 'utf8');
    expect(source, name).toMatch(new RegExp(`\\*/\\nexport (?:const|function) ${name}\\b`));
  }
});
