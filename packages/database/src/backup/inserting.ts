import type Sqlite from 'better-sqlite3';
import { shelved } from '../shelved.js';
import type { BackupVisitor } from './check.js';
import { PICTURE_TYPES, textOf } from './format.js';

const INSERTS = {
  woods: 'INSERT INTO woods (id, species) VALUES (@id, @text)',
  boards: 'INSERT INTO board (id, board, savedAt) VALUES (@id, @text, @savedAt)',
  stash: 'INSERT INTO stash (id, ring, savedAt) VALUES (@id, @text, @savedAt)',
  patterns: 'INSERT INTO pattern (id, pattern, savedAt) VALUES (@id, @text, @savedAt)',
} as const;

/** Puts what a backup holds into the tables of an empty database. */
export function inserting(db: Sqlite.Database): BackupVisitor {
  const piece = db.prepare(
    'INSERT INTO projects (id, revision, document, history, savedAt, removedAt, name, heightMm, diameterMm, woods, kind, made) VALUES (@id, @revision, @document, @history, @savedAt, @removedAt, @name, @heightMm, @diameterMm, @woods, @kind, @made)',
  );
  const use = db.prepare('INSERT INTO uses (kind, key, projectId) VALUES (@kind, @key, @projectId)');
  const tick = db.prepare(
    'INSERT INTO ticks (id, projectId, job, amount, at, device) VALUES (@id, @projectId, @job, @amount, @at, @device)',
  );
  const written = db.prepare(
    'INSERT INTO journal (id, projectId, at, entry) VALUES (@id, @projectId, @at, @entry)',
  );
  const version = db.prepare(
    'INSERT INTO project_versions (projectId, revision, document, savedAt) VALUES (?, ?, ?, ?)',
  );
  return {
    piece({ document: held, history, ticks, journal, ...row }) {
      const document = textOf(held);
      const { columns, uses } = shelved(document);
      piece.run({ ...row, ...columns, document, history: textOf(history) });
      for (const each of uses) use.run({ ...each, projectId: row.id });
      for (const each of ticks) tick.run({ ...each, projectId: row.id });
      for (const { id, at, entry } of journal)
        written.run({ id, at, entry: textOf(entry), projectId: row.id });
    },
    versions({ piece: id, versions }) {
      for (const { revision, document, savedAt } of versions)
        version.run(id, revision, textOf(document), savedAt);
    },
    rows(sort, rows) {
      const insert = db.prepare(INSERTS[sort]);
      for (const { id, savedAt, held } of rows) {
        const values = { id, text: textOf(held) };
        insert.run(sort === 'woods' ? values : { ...values, savedAt: savedAt ?? '' });
      }
    },
    shop(settings) {
      if (settings) db.prepare('INSERT INTO shop (id, settings) VALUES (1, ?)').run(textOf(settings));
    },
    photo({ id, projectId, type }, bytes, view) {
      db.prepare('INSERT INTO photos (id, projectId, type, bytes, view) VALUES (?, ?, ?, ?, ?)').run(
        id,
        projectId,
        type,
        bytes,
        view,
      );
    },
    picture(key, type, bytes) {
      db.prepare('INSERT INTO pictures (key, type, bytes) VALUES (?, ?, ?)').run(
        key,
        PICTURE_TYPES[type],
        bytes,
      );
    },
  };
}
