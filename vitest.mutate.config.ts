import { resolve } from 'node:path';
import { defineConfig } from 'vitest/config';

const source = { conditions: ['fellside-source'] };

/** The unit tests of one folder of the core, for `npm run mutate`. */
export default defineConfig({
  resolve: source,
  ssr: { resolve: source },
  test: {
    include: [`packages/core/src/${process.env.FELLSIDE_MUTATED ?? '**'}/**/*.test.ts`],
    testTimeout: 900_000,
    setupFiles: [resolve(import.meta.dirname, 'vitest.seed.ts')],
  },
});
