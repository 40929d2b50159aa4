import { defineConfig } from 'vitest/config';

const source = { conditions: ['fellside-source'] };

/** `npm run trials`: mangled documents through the core, many more than the tests draw. */
export default defineConfig({
  resolve: source,
  ssr: { resolve: source },
  test: { include: ['packages/core/bench/**/*.trial.ts'], testTimeout: 4 * 3_600_000 },
});
