// npm test: everything that is checked, in the order of how quickly it tells.
import { spawn } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuild, ensureChromium, ensureDependencies, node, ROOT } from './setup.mjs';

ensureDependencies();
process.env.FELLSIDE_CHROMIUM = ensureChromium();

/** Runs scripts of installed packages at once; shows what each printed, in their order, and ends when one of them has failed. */
async function together(...scripts) {
  const running = scripts.map(([script, ...args]) => {
    const child = spawn(process.execPath, [join(ROOT, script), ...args], { cwd: ROOT });
    let printed = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (data) => (printed += data));
    return new Promise((done) => child.on('close', (status) => done({ printed, status })));
  });
  let failed = 0;
  for await (const { printed, status } of running) {
    process.stdout.write(printed);
    failed ||= status ?? 1;
  }
  if (failed) process.exit(failed);
}

console.log('\n— Lint: form, style, who may import whom; types');
await together(
  ['node_modules/@biomejs/biome/bin/biome', 'check', '.'],
  [
    'node_modules/dependency-cruiser/bin/dependency-cruise.mjs',
    '--config',
    '.dependency-cruiser.cjs',
    'packages',
    'apps',
    'e2e',
  ],
  ['node_modules/typescript/bin/tsc', '-b'],
  ['node_modules/typescript/bin/tsc', '-p', 'tsconfig.tests.json'],
);

const REPORTS = join(ROOT, '.cache', 'reports');
rmSync(REPORTS, { recursive: true, force: true });
mkdirSync(REPORTS, { recursive: true });

console.log('\n— Unit tests');
// The types were checked by building: what uses a package is tested with it as it is built.
process.env.FELLSIDE_BUILT = '1';
node(
  'node_modules/vitest/vitest.mjs',
  'run',
  '--reporter=default',
  '--reporter=json',
  `--outputFile.json=${join(REPORTS, 'unit.json')}`,
);

console.log('\n— End-to-end tests in headless Chromium');
ensureBuild();
process.env.PLAYWRIGHT_JSON_OUTPUT_NAME = join(REPORTS, 'e2e.json');
node('node_modules/@playwright/test/cli.js', 'test', '--config', 'e2e/playwright.config.ts');

const read = (name) => JSON.parse(readFileSync(join(REPORTS, name), 'utf8'));
const unit = read('unit.json');
const { stats } = read('e2e.json');
console.log(
  `\n${unit.numPassedTests + stats.expected} passed, ${unit.numFailedTests + stats.unexpected} failed`,
);
