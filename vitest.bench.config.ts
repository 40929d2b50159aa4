import { defineConfig } from 'vitest/config';

const conditions = ['fellside-source'];

export default defineConfig({
  resolve: { conditions },
  ssr: { resolve: { conditions } },
  test: { include: ['packages/*/bench/**/*.bench.ts'], testTimeout: 300_000 },
});
