import type Sqlite from 'better-sqlite3';
import { type BackupCounts, holding, PICTURE_TYPES } from './format.js';

/** One file of a backup; `content` is asked for when its turn comes, so that only one is in memory. */
export interface BackupFile {
  readonly path: string;
  /** Pictures are compressed already. */
  readonly compress: boolean;
  content(): Buffer;
}

const numbered = (folder: string, n: number): string => `${folder}/${String(n + 1).padStart(6, '0')}.json`;
const json = (value: unknown): Buffer => Buffer.from(JSON.stringify(value, null, 1));

/** Every row of a table with one JSON column; what was entered together stays in its order. */
const TABLES = [
  { file: 'woods.json', sort: 'woods', query: 'SELECT id, species AS text FROM woods ORDER BY id' },
  {
    file: 'boards.json',
    sort: 'boards',
    query: 'SELECT id, savedAt, board AS text FROM board ORDER BY rowid',
  },
  { file: 'stash.json', sort: 'stash', query: 'SELECT id, savedAt, ring AS text FROM stash ORDER BY rowid' },
  {
    file: 'patterns.json',
    sort: 'patterns',
    query: 'SELECT id, savedAt, pattern AS text FROM pattern ORDER BY rowid',
  },
] as const;

/** Reads what can be read: of a damaged database rows drop out, one by one, and `lost` is told. */
export type Reader = <T>(query: string, ...values: readonly unknown[]) => T[];

/** Reads rows of a sound database; throws on the first that cannot be read. */
export const strictly =
  (db: Sqlite.Database): Reader =>
  (query, ...values) =>
    db.prepare(query).all(...values) as never;

/** The files of a backup in their order, the list of them last, and how many of each sort they hold. */
export function filesOfBackup(read: Reader): { files: BackupFile[]; counts: BackupCounts } {
  const pieces = read<{ id: string; removedAt: string | null }>(
    'SELECT id, removedAt FROM projects ORDER BY savedAt, id',
  );
  const versioned = read<{ projectId: string; n: number }>(
    'SELECT projectId, count(*) AS n FROM project_versions GROUP BY projectId ORDER BY projectId',
  );
  const pictures = read<{ key: string; type: string }>('SELECT key, type FROM pictures ORDER BY key');
  const photos = tableThere(read, 'photos')
    ? read<PhotoRow>('SELECT id, projectId, type, view IS NOT NULL AS view FROM photos ORDER BY id')
    : [];
  const tables = TABLES.map((table) => ({
    ...table,
    n: read<{ n: number }>(`SELECT count(*) AS n FROM (${table.query})`)[0]?.n ?? 0,
  }));
  const of = (sort: string) => tables.find((table) => table.sort === sort)!.n;
  const files: BackupFile[] = [
    ...pieces.map(({ id }, i) => ({
      path: numbered('pieces', i),
      compress: true,
      content: () => json(pieceOf(read, id)),
    })),
    ...versioned.map(({ projectId }, i) => ({
      path: numbered('versions', i),
      compress: true,
      content: () => json(versionsOf(read, projectId)),
    })),
    ...tables.map(({ file, query }) => ({
      path: file,
      compress: true,
      content: () => json(read<Row>(query).map(({ text, ...row }) => ({ ...row, held: holding(text) }))),
    })),
    {
      path: 'shop.json',
      compress: true,
      content: () => {
        const [row] = read<{ settings: string }>('SELECT settings FROM shop WHERE id = 1');
        return json({ settings: row ? holding(row.settings) : null });
      },
    },
    ...pictures.map(({ key, type }) => ({
      path: `pictures/${key}.${Object.keys(PICTURE_TYPES).find((end) => PICTURE_TYPES[end] === type) ?? 'png'}`,
      compress: false,
      content: () => read<{ bytes: Buffer }>('SELECT bytes FROM pictures WHERE key = ?', key)[0]!.bytes,
    })),
    ...photos.flatMap((row, i) => filesOfPhoto(read, row, `photos/${String(i + 1).padStart(6, '0')}`)),
  ];
  return {
    files,
    counts: {
      pieces: pieces.filter(({ removedAt }) => removedAt === null).length,
      removed: pieces.filter(({ removedAt }) => removedAt !== null).length,
      versions: versioned.reduce((sum, { n }) => sum + n, 0),
      woods: of('woods'),
      boards: of('boards'),
      stash: of('stash'),
      patterns: of('patterns'),
      pictures: pictures.length,
      photos: photos.length,
    },
  };
}

interface Row {
  readonly id: string;
  readonly text: string;
}

function pieceOf(read: Reader, id: string) {
  const [row] = read<Record<string, string>>(
    'SELECT id, revision, savedAt, removedAt, document, history FROM projects WHERE id = ?',
    id,
  );
  const ticks = tableThere(read, 'ticks')
    ? read('SELECT id, job, amount, at, device FROM ticks WHERE projectId = ? ORDER BY rowid', id)
    : [];
  const journal = tableThere(read, 'journal')
    ? read<JournalRow>('SELECT id, at, entry FROM journal WHERE projectId = ? ORDER BY rowid', id)
    : [];
  return {
    ...row,
    document: holding(row!.document!),
    history: holding(row!.history!),
    ticks,
    journal: journal.map((each) => ({ ...each, entry: holding(each.entry) })),
  };
}

/** A database that is rescued as it is may be older than a table. */
const tableThere = (read: Reader, table: string): boolean =>
  read(`SELECT name FROM sqlite_master WHERE name = '${table}'`).length > 0;

/** A photograph: whose it is, as it was taken, and as it is looked at. */
function filesOfPhoto(read: Reader, { view, ...row }: PhotoRow, path: string): BackupFile[] {
  const bytes = (column: 'bytes' | 'view') => () =>
    read<{ is: Buffer }>(`SELECT ${column} AS "is" FROM photos WHERE id = ?`, row.id)[0]!.is;
  return [
    { path: `${path}.json`, compress: true, content: () => json({ ...row, view: view === 1 }) },
    { path: `${path}.original`, compress: false, content: bytes('bytes') },
    ...(view === 1 ? [{ path: `${path}.view`, compress: false, content: bytes('view') }] : []),
  ];
}

interface JournalRow {
  readonly id: string;
  readonly at: string;
  readonly entry: string;
}
interface PhotoRow {
  readonly id: string;
  readonly projectId: string;
  readonly type: string;
  /** Whether there is one: SQLite has no booleans. */
  readonly view: 0 | 1;
}

function versionsOf(read: Reader, piece: string) {
  const rows = read<Record<string, string>>(
    'SELECT revision, savedAt, document FROM project_versions WHERE projectId = ? ORDER BY revision',
    piece,
  );
  return { piece, versions: rows.map((row) => ({ ...row, document: holding(row.document!) })) };
}
