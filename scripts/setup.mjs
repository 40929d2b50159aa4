// What a fresh clone lacks is made up here. Plain Node only: nothing is installed yet when this runs.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';

export const ROOT = resolve(import.meta.dirname, '..');
/** The server as it is started. */
export const SERVER = join(ROOT, 'apps/server/bundle/main.js');
const CACHE = join(ROOT, '.cache');

/** Runs a command in the repository; ends this process with its status when it fails. */
export function must(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
  if (error) fail(`${command} could not be started: ${error.message}.`);
  if (status !== 0) process.exit(status ?? 1);
}

export function fail(sentence) {
  console.error(sentence);
  process.exit(1);
}

export function needNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    fail(`Fellside needs Node 20.19 or newer; this is ${process.versions.node}.`);
}

/** Files below a folder that a build or an install depends on. */
function filesBelow(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    if (['node_modules', 'dist', 'bundle', '.cache'].includes(entry.name)) return [];
    const path = join(folder, entry.name);
    return entry.isDirectory() ? filesBelow(path) : [path];
  });
}

function digest(paths) {
  const hash = createHash('sha256');
  for (const path of [...paths].sort()) hash.update(path.slice(ROOT.length)).update(readFileSync(path));
  return hash.digest('hex');
}

/** Does `work` unless it was done for the same files before; `there` says whether its outcome is still there. */
function once(name, paths, there, work) {
  const stamp = join(CACHE, `${name}.stamp`);
  const now = digest(paths);
  if (there() && existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return;
  work();
  mkdirSync(CACHE, { recursive: true });
  writeFileSync(stamp, now);
}

/** Dependencies from the lock file. */
export function ensureDependencies() {
  needNode();
  const workspaces = ['packages', 'apps'].flatMap((group) =>
    readdirSync(join(ROOT, group)).map((name) => join(ROOT, group, name, 'package.json')),
  );
  const paths = [
    join(ROOT, 'package.json'),
    join(ROOT, 'package-lock.json'),
    ...workspaces.filter(existsSync),
  ];
  const there = () => existsSync(join(ROOT, 'node_modules', 'typescript'));
  once('install', paths, there, () => {
    console.log('Installing dependencies (a minute or two, once)…');
    // What is built from source, SQLite most of all, is built on every core (read by node-gyp).
    must('npm', ['ci', '--no-audit', '--no-fund'], { env: { JOBS: 'max', ...process.env } });
  });
}

/** Core, server and terminal by the TypeScript compiler, put together by Rolldown; the interface by Vite. */
export function ensureBuild() {
  const sources = ['packages', 'apps']
    .flatMap((group) => filesBelow(join(ROOT, group)))
    .filter((path) => !/\.test\.tsx?$/.test(path));
  const outcomes = ['apps/server/bundle', 'apps/cli/bundle', 'apps/web/dist', 'packages/core/dist'].map(
    (folder) => join(ROOT, folder),
  );
  once(
    'build',
    // Packages are in what is built: other versions of them are another build.
    [
      ...sources,
      ...['tsconfig.base.json', 'package-lock.json', 'scripts/bundle.mjs'].map((file) => join(ROOT, file)),
    ],
    () => outcomes.every(existsSync),
    () => {
      console.log('Building…');
      node('node_modules/typescript/bin/tsc', '-b');
      node('scripts/bundle.mjs');
      must(process.execPath, [join(ROOT, 'node_modules/vite/bin/vite.js'), 'build', '--logLevel', 'warn'], {
        cwd: join(ROOT, 'apps/web'),
      });
    },
  );
}

/** Runs a script of an installed package. */
export const node = (script, ...args) => must(process.execPath, [join(ROOT, script), ...args]);

const CHROMIUM = [process.env.FELLSIDE_CHROMIUM, '/usr/bin/chromium', '/usr/bin/chromium-browser'];
const chromium = () => CHROMIUM.find((path) => path && existsSync(path) && statSync(path).isFile());

/** The browser that the end-to-end tests drive; Debian's package is installed where this process may. */
export function ensureChromium() {
  if (!chromium() && process.getuid?.() === 0 && existsSync('/usr/bin/apt-get')) {
    console.log('Installing Chromium from Debian’s packages…');
    const quiet = {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    };
    spawnSync('apt-get', ['update'], quiet);
    spawnSync('apt-get', ['install', '-y', '--no-install-recommends', 'chromium'], quiet);
  }
  const found = chromium();
  if (!found)
    fail(
      'The browser tests need Chromium. On Debian: apt-get install chromium (as root). Elsewhere set FELLSIDE_CHROMIUM to its path.',
    );
  return found;
}
