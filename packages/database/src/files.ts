import {
  closeSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  renameSync,
  rmSync,
  writeSync,
} from 'node:fs';
import { dirname, join } from 'node:path';

/** The files of a data folder. */
export const filesOf = (folder: string) => ({
  database: join(folder, 'fellside.sqlite'),
  log: join(folder, 'fellside.sqlite-wal'),
  /** A database that is being made; it takes its name when it is whole. */
  unborn: join(folder, 'fellside.new.sqlite'),
  lock: join(folder, 'fellside.lock'),
  machine: join(folder, 'machine.json'),
  backups: join(folder, 'backups'),
});

/**
 * Makes a folder with those above it that are missing. Node's own `recursive` never ends where a file system takes no
 * folders (below /proc, for one); this throws what the system says.
 */
export function makeFolder(path: string): void {
  if (existsSync(path)) return;
  const above = dirname(path);
  if (above !== path) makeFolder(above);
  mkdirSync(path);
}

/** Puts on disk that names in a folder changed. */
export function syncFolder(folder: string): void {
  const handle = openSync(folder, 'r');
  try {
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
}

/** Puts the content of a file on disk. */
export function syncFile(path: string): void {
  const handle = openSync(path, 'r+');
  try {
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
}

/** Gives a finished file its name, in one step that a power cut cannot halve. */
export function settle(from: string, to: string): void {
  renameSync(from, to);
  syncFolder(dirname(to));
}

/** Writes a small file whole or not at all. */
export function writeWhole(path: string, text: string, mode = 0o600): void {
  makeFolder(dirname(path));
  const part = `${path}.part`;
  const handle = openSync(part, 'w', mode);
  try {
    writeSync(handle, text);
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
  settle(part, path);
}

/** Takes a database file away with what SQLite keeps beside it. */
export function removeDatabase(path: string): void {
  for (const end of ['', '-wal', '-shm', '-journal'])
    if (existsSync(path + end)) rmSync(path + end, { force: true });
}
