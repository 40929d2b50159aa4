import { createHash } from 'node:crypto';
import { text } from 'node:stream/consumers';
import { type Entry, openPromise, type ZipFile } from 'yauzl';
import { Refusal } from '../failure.js';
import { BACKUP_VERSION, MANIFEST, type Manifest, manifestSchema } from './format.js';

/** A file in a backup is at most so large, bytes: a piece with two hundred steps to undo has a few million. */
const MOST_ENTRY = 256 * 1024 * 1024;
const MOST_ENTRIES = 400_000;

/** An open backup file whose list has been read; what is asked of it is checked against that list. */
export interface Archive {
  readonly manifest: Manifest;
  /** Paths of one sort: `pieces/`, `versions/`, `pictures/`. */
  below(folder: string): string[];
  /** The content of a file. Throws a `Refusal` where it is not what the list says. */
  read(path: string): Promise<Buffer>;
  close(): void;
}

/** Opens a backup file. Throws a `Refusal` with a sentence when it is none, is damaged, or is of a newer Fellside. */
export async function openArchive(path: string): Promise<Archive> {
  const zip = await openPromise(path, { lazyEntries: true, autoClose: false }).catch((error: Error) => {
    throw new Refusal(`${path} cannot be read as a backup: ${error.message}.`);
  });
  try {
    const entries = await entriesOf(zip);
    const manifest = await manifestOf(zip, entries.get(MANIFEST));
    const missing = Object.keys(manifest.files).find((name) => !entries.has(name));
    if (missing !== undefined) throw damaged(`${missing} is missing`);
    const strange = [...entries.keys()].find((name) => name !== MANIFEST && !(name in manifest.files));
    if (strange !== undefined) throw damaged(`${strange} is not in its list`);
    return {
      manifest,
      below: (folder) => Object.keys(manifest.files).filter((name) => name.startsWith(`${folder}/`)),
      async read(name) {
        const { bytes, sha256 } = manifest.files[name]!;
        const content = await contentOf(zip, entries.get(name)!).catch((error: Error) => {
          throw error instanceof Refusal ? error : damaged(`${name}: ${error.message}`);
        });
        if (content.length !== bytes || createHash('sha256').update(content).digest('hex') !== sha256)
          throw damaged(`${name} is not what it was`);
        return content;
      },
      close: () => zip.close(),
    };
  } catch (error) {
    zip.close();
    throw error instanceof Refusal ? error : damaged((error as Error).message);
  }
}

const damaged = (why: string) => new Refusal(`The backup is damaged (${why}). Nothing was changed.`);

function entriesOf(zip: ZipFile): Promise<Map<string, Entry>> {
  return new Promise((found, failed) => {
    const entries = new Map<string, Entry>();
    zip.on('entry', (entry: Entry) => {
      entries.set(entry.fileName, entry);
      if (entries.size > MOST_ENTRIES) failed(damaged('it holds too many files'));
      else zip.readEntry();
    });
    zip.on('end', () => found(entries));
    zip.on('error', failed);
    zip.readEntry();
  });
}

async function contentOf(zip: ZipFile, entry: Entry): Promise<Buffer> {
  if (entry.uncompressedSize > MOST_ENTRY) throw damaged(`${entry.fileName} is too large`);
  const stream = await zip.openReadStreamPromise(entry);
  const parts: Buffer[] = [];
  for await (const part of stream) parts.push(part as Buffer);
  return Buffer.concat(parts);
}

async function manifestOf(zip: ZipFile, entry: Entry | undefined): Promise<Manifest> {
  if (!entry) throw new Refusal(`This is not a Fellside backup: there is no ${MANIFEST} in it.`);
  if (entry.uncompressedSize > MOST_ENTRY) throw damaged('its list is too large');
  const given = JSON.parse(await text(await zip.openReadStreamPromise(entry))) as { version?: unknown };
  if (typeof given?.version === 'number' && given.version > BACKUP_VERSION)
    throw new Refusal(
      `The backup was made by a newer Fellside (format ${given.version}); this one reads up to format ${BACKUP_VERSION}. Nothing was changed.`,
    );
  const parsed = manifestSchema.safeParse(given);
  if (!parsed.success) throw damaged(`${MANIFEST} does not fit its format`);
  return parsed.data;
}
