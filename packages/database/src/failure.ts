/** A sentence for the user: what cannot be, and the way on. Nothing was changed. */
export class Refusal extends Error {}

/** The database does not take writes just now; nothing of what was asked is kept. */
export class CannotWrite extends Error {
  constructor(
    readonly sentence: string,
    cause: unknown,
  ) {
    super(sentence, { cause });
  }
}

/** SQLite's code of an error, wherever TypeORM has wrapped it. */
export function sqliteCode(error: unknown): string | null {
  const { code, driverError } = (error ?? {}) as { code?: unknown; driverError?: unknown };
  if (typeof code === 'string' && code.startsWith('SQLITE_')) return code;
  return driverError === undefined ? null : sqliteCode(driverError);
}

const SENTENCES: readonly (readonly [begins: string, sentence: string])[] = [
  ['SQLITE_FULL', 'The disk is full. Make room on it; Fellside tries again by itself.'],
  ['SQLITE_IOERR', 'The disk failed while it was written to. Look after it; Fellside tries again by itself.'],
  ['SQLITE_READONLY', 'The database may only be read. Give Fellside the right to write to its data folder.'],
  ['SQLITE_CANTOPEN', 'The database file cannot be opened. Is the data folder still there?'],
  ['SQLITE_CORRUPT', 'The database is damaged. Stop Fellside and start it again: it says what can be done.'],
  ['SQLITE_NOTADB', 'The database is damaged. Stop Fellside and start it again: it says what can be done.'],
  ['SQLITE_BUSY', 'Another program holds the database. Close it; Fellside tries again by itself.'],
  ['SQLITE_LOCKED', 'Another program holds the database. Close it; Fellside tries again by itself.'],
  ['SQLITE_NOMEM', 'The machine is out of memory. Close what is not needed; Fellside tries again by itself.'],
  ['SQLITE_INTERRUPT', 'Writing was interrupted. Fellside tries again by itself.'],
];

/** Why the database could not be written, as a sentence; null where the error is not the disk's or the database's. */
export function writeTrouble(error: unknown): string | null {
  const code = sqliteCode(error);
  return SENTENCES.find(([begins]) => code?.startsWith(begins))?.[1] ?? null;
}
