import { availableParallelism } from 'node:os';
import { resolve } from 'node:path';
import { defineConfig } from 'vitest/config';

const setups: Record<string, string> = {
  core: 'vitest.seed.ts',
  web: 'vitest.jsdom.ts',
};

const source = { conditions: ['fellside-source'] };
/** Packages that are used as their sources, so that a change is seen at once. */
const sources = { resolve: source, ssr: { resolve: source } };
/** Packages as they were built: one load each, where the test runner would fetch sources file by file for every test file. */
const shipped = { server: { deps: { external: [/\/packages\/[a-z]+\/dist\//] } } };
/** `npm test` has just built them. */
const BUILT = process.env.FELLSIDE_BUILT === '1';

const project = (name: string, include: string, environment = 'node') => ({
  ...(BUILT ? {} : sources),
  test: {
    ...(BUILT ? shipped : {}),
    name,
    include: [include],
    environment,
    testTimeout: 180_000,
    // The core keeps nothing but answers, with what they are about: its test files load its modules once.
    isolate: name !== 'core',
    // Random pieces by the thousand: what lives a moment only is swept in larger heaps, less often.
    execArgv: name === 'core' ? ['--max-semi-space-size=64'] : [],
    setupFiles: name in setups ? [resolve(import.meta.dirname, setups[name]!)] : [],
  },
});

export default defineConfig({
  test: {
    // One for every core: vitest leaves one idle by itself, which of two is half of them.
    maxWorkers: availableParallelism(),
    projects: [
      project('core', 'packages/core/src/**/*.test.ts'),
      project('database', 'packages/database/src/**/*.test.ts'),
      project('sheets', 'packages/sheets/src/**/*.test.ts'),
      project('server', 'apps/server/src/**/*.test.ts'),
      project('cli', 'apps/cli/src/**/*.test.ts'),
      project('web', 'apps/web/src/**/*.test.{ts,tsx}', 'jsdom'),
    ],
  },
});
