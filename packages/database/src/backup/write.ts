import { createHash } from 'node:crypto';
import { createWriteStream, rmSync } from 'node:fs';
import { dirname } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { ZipFile } from 'yazl';
import { makeFolder, settle, syncFile } from '../files.js';
import { openToRead } from '../opening/toRead.js';
import { BACKUP_VERSION, type BackupCounts, MANIFEST, type Manifest } from './format.js';
import { type BackupFile, filesOfBackup, type Reader, strictly } from './rows.js';

/**
 * Writes everything in a database into one backup file, as it was at one moment: in a read transaction of a connection
 * of its own, while the server goes on. The file takes its name when it is whole and on disk.
 */
export async function writeBackup(database: string, out: string, now = new Date()): Promise<BackupCounts> {
  const { db, close } = openToRead(database);
  try {
    db.exec('BEGIN');
    return await writeFrom(strictly(db), out, now);
  } finally {
    close();
  }
}

/** Writes what a reader gives into a backup file. */
export async function writeFrom(read: Reader, out: string, now: Date): Promise<BackupCounts> {
  const { files, counts } = filesOfBackup(read);
  const part = `${out}.part`;
  makeFolder(dirname(out));
  try {
    await pipeline(zipped(files, counts, now), createWriteStream(part));
    syncFile(part);
    settle(part, out);
  } catch (error) {
    rmSync(part, { force: true });
    throw error;
  }
  return counts;
}

/** A ZIP of the files, each read when its turn comes; the list of them with sizes and digests is the last. */
function zipped(files: readonly BackupFile[], counts: BackupCounts, now: Date): NodeJS.ReadableStream {
  const zip = new ZipFile();
  const listed: Manifest['files'] = {};
  const entry = (path: string, compress: boolean, content: () => Buffer) =>
    zip.addReadStreamLazy(path, { compress, mtime: now }, (ready) => {
      try {
        ready(null, Readable.from([content()]));
      } catch (error) {
        ready(error, Readable.from([]));
      }
    });
  for (const { path, compress, content } of files)
    entry(path, compress, () => {
      const bytes = content();
      listed[path] = { bytes: bytes.length, sha256: createHash('sha256').update(bytes).digest('hex') };
      return bytes;
    });
  entry(MANIFEST, true, () => {
    const manifest: Manifest = {
      fellside: 'backup',
      version: BACKUP_VERSION,
      madeAt: now.toISOString(),
      counts,
      files: listed,
    };
    return Buffer.from(JSON.stringify(manifest, null, 1));
  });
  zip.end();
  zip.on('error', (error) => (zip.outputStream as Readable).destroy(error as Error));
  return zip.outputStream;
}
