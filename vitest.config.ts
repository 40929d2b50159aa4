import { availableParallelism } from 'node:os';
import { resolve } from 'node:path';
import { defineConfig } from 'vitest/config';

const setups: Record<string, string> = {
  core: 'vitest.seed.ts',
  web: 'vitest.labels.ts',
};
const source = { conditions: ['fellside-source'] };
const project = (name: string, include: string, environment = 'node') => ({
  resolve: source,
  ssr: { resolve: source },
  test: {
    name,
    include: [include],
    environment,
    testTimeout: 180_000,
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
