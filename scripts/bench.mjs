// npm run bench: prints figures of one run; ratios are what counts, machines differ.
import { ensureDependencies, node } from './setup.mjs';

ensureDependencies();
node(
  'node_modules/vitest/vitest.mjs',
  'run',
  '--config',
  'vitest.bench.config.ts',
  '--disable-console-intercept',
  '--reporter=dot',
);
