// npm run mutate [folder …]: how many changes to the code of a folder of packages/core/src the unit tests of that folder
// notice (all folders where none is named). Takes hours for all; not part of npm test. Reports are in reports/mutation.
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { Stryker } from '@stryker-mutator/core';
import { ensureDependencies, ROOT } from './setup.mjs';

ensureDependencies();
const CORE = 'packages/core/src';
const all = readdirSync(join(ROOT, CORE), { withFileTypes: true })
  .filter((entry) => entry.isDirectory() && !['testing', 'demo'].includes(entry.name))
  .map(({ name }) => name);
const folders = process.argv.slice(2).length > 0 ? process.argv.slice(2) : all;
const unknown = folders.filter((folder) => !all.includes(folder));
if (unknown.length > 0) {
  console.error(`There is no folder ${unknown.join(', ')} in ${CORE}; there are ${all.join(', ')}.`);
  process.exit(2);
}

const scores = [];
for (const folder of folders) {
  process.env.FELLSIDE_MUTATED = folder;
  const stryker = new Stryker({
    mutate: [`${CORE}/${folder}/**/*.ts`, `!${CORE}/**/*.test.ts`],
    testRunner: 'vitest',
    plugins: ['@stryker-mutator/vitest-runner'],
    vitest: { configFile: 'vitest.mutate.config.ts', related: false },
    coverageAnalysis: 'perTest',
    ignoreStatic: true,
    // Another wording is no other answer.
    mutator: { excludedMutations: ['StringLiteral'] },
    concurrency: 2,
    timeoutMS: 20_000,
    timeoutFactor: 3,
    reporters: ['progress-append-only', 'json', 'clear-text'],
    clearTextReporter: { allowColor: false, logTests: false, reportTests: false, reportScoreTable: false },
    jsonReporter: { fileName: `reports/mutation/${folder}.json` },
    tempDirName: 'reports/stryker',
    ignorePatterns: ['**/dist', 'e2e', 'test-results', 'reports'],
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
