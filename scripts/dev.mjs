// npm run dev: server and interface, rebuilt as files change. The interface is at the address that Vite prints.
import { join } from 'node:path';
import { ensureBuild, ensureDependencies, ROOT } from './setup.mjs';

ensureDependencies();
ensureBuild();
process.env.FELLSIDE_DATA ??= join(ROOT, 'data', 'dev');
process.env.FELLSIDE_DEMO ??= '1';
const { default: concurrently } = await import('concurrently');
const { result } = concurrently(
  [
    { name: 'types', command: 'node node_modules/typescript/bin/tsc -b -w --preserveWatchOutput' },
    {
      name: 'server',
      command: 'node --watch-path=apps/server/dist --watch-path=packages/core/dist apps/server/dist/main.js',
    },
    { name: 'web', command: 'node ../../node_modules/vite/bin/vite.js', cwd: join(ROOT, 'apps/web') },
  ],
  { cwd: ROOT, killOthersOn: ['failure', 'success'] },
);
await result.catch(() => process.exit(1));
