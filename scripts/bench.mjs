// npm run bench: prints figures of one run; ratios are what counts, machines differ.
import { ensureBuild, ensureDependencies, node } from './setup.mjs';

ensureDependencies();
ensureBuild();
node(
  'node_modules/vitest/vitest.mjs',
  'run',
  '--config',
  'vitest.bench.config.ts',
  '--disable-console-intercept',
  '--reporter=dot',
);

const { turntableBench } = await import('./turntable-bench.mjs');
await turntableBench();

const { dragBench } = await import('./drag-bench.mjs');
await dragBench();

const { tickBench } = await import('./tick-bench.mjs');
await tickBench();

const { startBench } = await import('./start-bench.mjs');
await startBench();
