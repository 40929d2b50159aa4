import { z } from 'zod';

/** Version of the backup file; docs/backup-format.md describes it. */
export const BACKUP_VERSION = 3;
export const MANIFEST = 'fellside-backup.json';

/** What a backup holds, by sort. */
export const countsSchema = z.strictObject({
  pieces: z.int().min(0),
  removed: z.int().min(0),
  versions: z.int().min(0),
  woods: z.int().min(0),
  boards: z.int().min(0),
  stash: z.int().min(0),
  patterns: z.int().min(0),
  pictures: z.int().min(0),
  /** Backups of versions 1 and 2 have none. */
  photos: z.int().min(0).default(0),
});
export type BackupCounts = z.infer<typeof countsSchema>;

export const manifestSchema = z.strictObject({
  fellside: z.literal('backup'),
  version: z.int().min(1),
  madeAt: z.iso.datetime(),
  counts: countsSchema,
  /** Every other file in it: size in bytes and SHA-256, hexadecimal. */
  files: z.record(
    z.string(),
    z.strictObject({ bytes: z.int().min(0), sha256: z.string().regex(/^[0-9a-f]{64}$/) }),
  ),
});
export type Manifest = z.infer<typeof manifestSchema>;

const id = z.string().min(1).max(80);
const moment = z.string().min(1).max(40);
/** JSON of a row: what it holds, or its raw text where that is no JSON. */
const held = z.union([z.strictObject({ json: z.unknown() }), z.strictObject({ text: z.string() })]);
export type Held = z.infer<typeof held>;

export const pieceFile = z.strictObject({
  id,
  revision: z.int().min(1),
  savedAt: moment,
  removedAt: moment.nullable(),
  document: held,
  history: held,
  /** What was done of it, in the order in which it was counted; backups of version 1 have none. */
  ticks: z
    .array(
      z.strictObject({
        id,
        job: z.string().max(200),
        amount: z.int(),
        at: moment,
        device: z.string().max(80),
      }),
    )
    .max(1_000_000)
    .default([]),
  /** What is written of it; backups of versions 1 and 2 have none. */
  journal: z
    .array(z.strictObject({ id, at: moment, entry: held }))
    .max(100_000)
    .default([]),
});
/** Whose a photograph is, beside its bytes. */
export const photoFile = z.strictObject({ id, projectId: id, type: z.string().max(40), view: z.boolean() });
export const versionsFile = z.strictObject({
  piece: id,
  versions: z.array(z.strictObject({ revision: z.int().min(1), savedAt: moment, document: held })).max(1000),
});
/** Woods, boards, rings of the stash, patterns: rows of one sort. */
export const rowsFile = z.array(z.strictObject({ id, savedAt: moment.optional(), held })).max(200_000);
export const shopFile = z.strictObject({ settings: held.nullable() });

/** A text as it is held in a backup. */
export function holding(text: string): Held {
  try {
    return { json: JSON.parse(text) };
  } catch {
    return { text };
  }
}

/** The text that was held. */
export const textOf = (held: Held): string => ('text' in held ? held.text : JSON.stringify(held.json));

export const PICTURE_TYPES: Readonly<Record<string, string>> = { png: 'image/png', jpg: 'image/jpeg' };
