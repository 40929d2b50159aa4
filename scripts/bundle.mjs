// Puts what the TypeScript compiler made of server and terminal, and the packages they need, together as a few files each:
// a program that loads seven hundred modules is slow to start.
import { join } from 'node:path';
import { rolldown } from 'rolldown';
import { ROOT } from './setup.mjs';

const compiled = (path) => join(ROOT, `${path}.js`);

/** What is started by itself: programs, and the workers that they start from beside them. */
const BACKUP = { backupWorker: compiled('packages/database/dist/backup/backupWorker') };
const PROGRAMS = {
  server: {
    main: compiled('apps/server/dist/main'),
    drawWorker: compiled('apps/server/dist/drawings/drawWorker'),
    passportWorker: compiled('apps/server/dist/passport/passportWorker'),
    sheetsWorker: compiled('apps/server/dist/sheets/sheetsWorker'),
    workbookWorker: compiled('apps/server/dist/workbook/workbookWorker'),
    ...BACKUP,
  },
  cli: { main: compiled('apps/cli/dist/main'), ...BACKUP },
};

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
