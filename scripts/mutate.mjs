// npm run mutate [-- folder …] [--of N]: how many changes to the code of a folder of packages/core/src the unit tests of
// that folder notice (all folders where none is named). Takes hours for all; --of 8 tries every eighth pair of lines, which
// is an estimate. Not part of npm test. Reports are in reports/mutation.
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { Stryker } from '@stryker-mutator/core';
import { ensureDependencies, ROOT } from './setup.mjs';

ensureDependencies();
const CORE = 'packages/core/src';
const all = readdirSync(join(ROOT, CORE), { withFileTypes: true })
  .filter((entry) => entry.isDirectory() && !['testing', 'demo'].includes(entry.name))
  .map(({ name }) => name);
const { positionals, values } = parseArgs({
  allowPositionals: true,
  options: { of: { type: 'string', default: '1' } },
});
const of = Number(values.of);
const folders = positionals.length > 0 ? positionals : all;
const unknown = folders.filter((folder) => !all.includes(folder));
if (!Number.isInteger(of) || of < 1) {
  console.error(`--of is ${values.of}; it has to be a whole number from 1.`);
  process.exit(2);
}
if (unknown.length > 0) {
  console.error(`There is no folder ${unknown.join(', ')} in ${CORE}; there are ${all.join(', ')}.`);
  process.exit(2);
}

/** Lines that are tried or left together. */
const BLOCK = 2;

/** What of a folder is changed: all of it, or every `of`th pair of its lines. */
function changedIn(folder) {
  if (of === 1) return [`${CORE}/${folder}/**/*.ts`, `!${CORE}/**/*.test.ts`];
  const files = readdirSync(join(ROOT, CORE, folder), { recursive: true })
    .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
    .sort();
  let block = 0;
  return files.flatMap((file) => {
    const path = `${CORE}/${folder}/${file}`;
    const lines = readFileSync(join(ROOT, path), 'utf8').split('\n').length;
    const blocks = Array.from({ length: Math.ceil(lines / BLOCK) }, (_, i) => i * BLOCK + 1);
    return blocks
      .filter(() => block++ % of === 0)
      .map((from) => `${path}:${from}-${Math.min(lines, from + BLOCK - 1)}`);
  });
}

const scores = [];
for (const folder of folders) {
  process.env.FELLSIDE_MUTATED = folder;
  const stryker = new Stryker({
    mutate: changedIn(folder),
    testRunner: 'vitest',
    plugins: ['@stryker-mutator/vitest-runner'],
    vitest: { configFile: 'vitest.mutate.config.ts', related: false },
    coverageAnalysis: 'perTest',
    ignoreStatic: true,
    // Another wording is no other answer.
    mutator: { excludedMutations: ['StringLiteral'] },
    concurrency: 2,
    timeoutMS: 5000,
    timeoutFactor: 3,
    reporters: ['progress-append-only', 'json', 'clear-text'],
    clearTextReporter: { allowColor: false, logTests: false, reportTests: false, reportScoreTable: false },
    jsonReporter: { fileName: `reports/mutation/${folder}.json` },
    tempDirName: 'reports/stryker',
    ignorePatterns: ['**/dist', '**/bundle', 'e2e', 'test-results', 'reports'],
    dryRunTimeoutMinutes: 30,
    allowEmpty: true,
  });
  const results = await stryker.runMutationTest();
  const count = (...status) => results.filter((each) => status.includes(each.status)).length;
  const noticed = count('Killed', 'Timeout');
  const judged = noticed + count('Survived', 'NoCoverage');
  scores.push({ folder, noticed, judged, score: judged === 0 ? 100 : (100 * noticed) / judged });
}
for (const { folder, noticed, judged, score } of scores.sort((a, b) => a.score - b.score))
  console.log(`${folder.padEnd(10)} ${score.toFixed(1).padStart(5)} %   ${noticed} of ${judged}`);
