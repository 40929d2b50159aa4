// Puts what the TypeScript compiler made of server and terminal, and the packages they need, together as a few files each:
// a program that loads seven hundred modules is slow to start.
import { readdirSync } from 'node:fs';
import { basename, join } from 'node:path';
import { rolldown } from 'rolldown';
import { ROOT } from './setup.mjs';

/** The workers in a folder of what was compiled, by name: programs start them from beside themselves. */
const workersIn = (folder) =>
  Object.fromEntries(
    readdirSync(join(ROOT, folder), { recursive: true })
      .filter((path) => path.endsWith('Worker.js'))
      .map((path) => [basename(path, '.js'), join(ROOT, folder, path)]),
  );

/** What is started, by the application it is part of; of the server also what builds one, for tests that start many in one process. */
const PROGRAMS = Object.fromEntries(
  ['server', 'cli'].map((app) => [
    app,
    {
      main: join(ROOT, 'apps', app, 'dist/main.js'),
      ...(app === 'server' && { server: join(ROOT, 'apps/server/dist/server.js') }),
      ...workersIn(`apps/${app}/dist`),
      ...workersIn('packages/database/dist'),
    },
  ]),
);

/** Packages that read files beside their own: native code, WebAssembly, measures of fonts. They stay where they are. */
const WITH_FILES = ['better-sqlite3', 'highs', 'pdfkit', 'fontkit'];

/** Drivers and transports that packages would take if they were there, and that nobody here asks for. */
const isMissing = ({ code }) => code === 'UNRESOLVED_IMPORT';

for (const [app, input] of Object.entries(PROGRAMS)) {
  const made = await rolldown({
    input,
    platform: 'node',
    external: WITH_FILES,
    onwarn: (warning) => {
      if (!isMissing(warning)) console.warn(warning.message);
    },
  });
  await made.write({
    dir: join(ROOT, 'apps', app, 'bundle'),
    format: 'esm',
    entryFileNames: '[name].js',
    chunkFileNames: '[name]-[hash].js',
    cleanDir: true,
    // Tables, and refusals, are known by the names of their classes.
    keepNames: true,
  });
}
