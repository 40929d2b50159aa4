import { createHash } from 'node:crypto';
import { readProject } from '@fellside/core';
import type { z } from 'zod';
import { Refusal } from '../failure.js';
import { type Archive, openArchive } from './archive.js';
import {
  type BackupCounts,
  type Held,
  photoFile,
  pieceFile,
  rowsFile,
  shopFile,
  versionsFile,
} from './format.js';

/** What a look through a whole backup found. */
export interface CheckedBackup {
  readonly madeAt: string;
  readonly counts: BackupCounts;
  /** Names of pieces that this Fellside cannot read; they come back as they are. */
  readonly unreadable: readonly string[];
}

/** The rows of a backup, one file at a time, each checked for shape and digest. */
export interface BackupVisitor {
  piece(piece: z.infer<typeof pieceFile>): void;
  versions(versions: z.infer<typeof versionsFile>): void;
  rows(sort: 'woods' | 'boards' | 'stash' | 'patterns', rows: z.infer<typeof rowsFile>): void;
  shop(settings: Held | null): void;
  picture(key: string, type: 'png' | 'jpg', bytes: Buffer): void;
  photo(photo: z.infer<typeof photoFile>, bytes: Buffer, view: Buffer | null): void;
}

/** Reads a backup whole, telling what is in it. Throws a `Refusal` when anything in it is not as it should be. */
export async function checkBackup(path: string, visitor?: BackupVisitor): Promise<CheckedBackup> {
  const archive = await openArchive(path);
  try {
    return await visited(archive, visitor);
  } finally {
    archive.close();
  }
}

async function visited(archive: Archive, visitor?: BackupVisitor): Promise<CheckedBackup> {
  const { manifest } = archive;
  const counts = {
    pieces: 0,
    removed: 0,
    versions: 0,
    woods: 0,
    boards: 0,
    stash: 0,
    patterns: 0,
    pictures: 0,
    photos: 0,
  };
  const unreadable: string[] = [];
  const file = async <T>(path: string, schema: z.ZodType<T>): Promise<T> => {
    if (!(path in manifest.files))
      throw new Refusal(`The backup is damaged (${path} is missing). Nothing was changed.`);
    const parsed = schema.safeParse(parsedJson((await archive.read(path)).toString('utf8')));
    if (!parsed.success)
      throw new Refusal(`The backup is damaged (${path} does not fit its format). Nothing was changed.`);
    return parsed.data;
  };
  const ids = new Set<string>();
  for (const path of archive.below('pieces')) {
    const piece = await file(path, pieceFile);
    if (ids.has(piece.id))
      throw new Refusal(`The backup holds the piece ${piece.id} twice. Nothing was changed.`);
    ids.add(piece.id);
    counts[piece.removedAt === null ? 'pieces' : 'removed']++;
    const read = 'json' in piece.document ? readProject(piece.document.json) : null;
    if (!read?.ok) unreadable.push(nameIn(piece.document) ?? path);
    visitor?.piece(piece);
  }
  for (const path of archive.below('versions')) {
    const versions = await file(path, versionsFile);
    counts.versions += versions.versions.length;
    visitor?.versions(versions);
  }
  for (const sort of ['woods', 'boards', 'stash', 'patterns'] as const) {
    const rows = await file(`${sort}.json`, rowsFile);
    counts[sort] = rows.length;
    visitor?.rows(sort, rows);
  }
  visitor?.shop((await file('shop.json', shopFile)).settings);
  for (const path of archive.below('pictures')) {
    const [, key, type] = /^pictures\/([0-9a-f]{64})\.(png|jpg)$/.exec(path) ?? [];
    const bytes = await archive.read(path);
    if (!key || createHash('sha256').update(bytes).digest('hex') !== key)
      throw new Refusal(`The backup is damaged (${path} is not what its name says). Nothing was changed.`);
    counts.pictures++;
    visitor?.picture(key, type as 'png' | 'jpg', bytes);
  }
  for (const path of archive.below('photos').filter((name) => name.endsWith('.json'))) {
    const photo = await file(path, photoFile);
    const named = path.slice(0, -'.json'.length);
    const [bytes, view] = [
      await archive.read(`${named}.original`),
      photo.view ? await archive.read(`${named}.view`) : null,
    ];
    counts.photos++;
    visitor?.photo(photo, bytes, view);
  }
  for (const [sort, n] of Object.entries(manifest.counts))
    if (counts[sort as keyof BackupCounts] !== n)
      throw new Refusal(
        `The backup is damaged (it should hold ${n} ${sort} and holds ${counts[sort as keyof BackupCounts]}). Nothing was changed.`,
      );
  return { madeAt: manifest.madeAt, counts, unreadable };
}

/** A text as JSON; undefined where it is none, which no schema takes. */
function parsedJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

const nameIn = (document: Held): string | null =>
  'json' in document && typeof (document.json as { name?: unknown } | null)?.name === 'string'
    ? (document.json as { name: string }).name
    : null;
