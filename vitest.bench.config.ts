import { resolve } from 'node:path';
import { defineConfig } from 'vitest/config';

/** The core as it is built and shipped: measured as users run it, not through the test runner's transform. */
const core = (folder: string) => resolve(import.meta.dirname, `packages/core/${folder}`);

export default defineConfig({
  resolve: {
    alias: [{ find: /^\.\.\/src\/(?!testing)(.*)$/, replacement: `${core('dist')}/$1` }],
  },
  test: {
    include: ['packages/*/bench/**/*.bench.ts'],
    testTimeout: 300_000,
    server: { deps: { external: [/packages\/core\/dist\//] } },
  },
});
