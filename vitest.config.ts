import { availableParallelism } from 'node:os';
import { resolve } from 'node:path';
import { defineConfig } from 'vitest/config';

const here = (file: string) => resolve(import.meta.dirname, file);
const setups: Record<string, string> = {
  core: 'vitest.seed.ts',
  web: 'vitest.labels.ts',
};
/** Tests of a folder. Other packages are taken as they are built, in one load: through the test runner each file would be fetched by itself. */
const project = (name: string, include: string, environment = 'node') => ({
  test: {
    name,
    include: [include],
    environment,
    testTimeout: 180_000,
    setupFiles: name in setups ? [here(setups[name]!)] : [],
    globalSetup: name === 'core' ? [] : [here('vitest.built.ts')],
    server: { deps: { external: [/\/packages\/[a-z]+\/dist\//] } },
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
