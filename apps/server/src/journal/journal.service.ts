import { randomUUID } from 'node:crypto';
import {
  type HandEntry,
  happenedBetween,
  type JournalEntry,
  MOST_ENTRIES,
  type Project,
} from '@fellside/core';
import { Database, JournalEntity, PhotoEntity, ProjectEntity } from '@fellside/database';
import { Injectable, NotFoundException } from '@nestjs/common';
import { filter, type Observable, Subject } from 'rxjs';
import type { EntityManager } from 'typeorm';
import { Unprocessable } from '../reasons/answer.js';
import { entryOf } from './entryOf.js';

const gone = (message: string) => new NotFoundException({ statusCode: 404, message });
const NO_ENTRY = 'There is no such entry; it may have been taken out elsewhere.';

/** The journal of each piece, told to every device that looks at it. */
@Injectable()
export class JournalService {
  private readonly written = new Subject<string>();

  constructor(private readonly database: Database) {}

  list(piece: string): Promise<JournalEntry[]> {
    return this.database.read((manager) => journalIn(manager, piece));
  }

  /** Adds entries; those that are there already stay as they are. */
  async add(piece: string, entries: readonly HandEntry[]): Promise<void> {
    await this.database.write(async (manager) => {
      if (!(await manager.existsBy(ProjectEntity, { id: piece })))
        throw gone('There is no such piece; it may have been removed.');
      for (const entry of entries) {
        if (
          entry.kind !== 'photo' ||
          (await manager.existsBy(PhotoEntity, { id: entry.photo, projectId: piece }))
        )
          continue;
        throw new Unprocessable([
          { code: 'api:no-photo', path: 'photo', message: 'That photograph is not kept here; add it again.' },
        ]);
      }
      for (const entry of entries) await uncover(manager, piece, entry);
      await insertEntries(manager, piece, entries);
    });
    this.written.next(piece);
  }

  /** Writes an entry over; only one photograph of a piece stands on its passport. */
  async change(piece: string, entry: HandEntry): Promise<void> {
    await this.database.write(async (manager) => {
      const was = await entryIn(manager, piece, entry.id);
      if (was.kind !== entry.kind)
        throw new Unprocessable([
          { code: 'api:other-kind', path: 'kind', message: 'An entry stays of its kind; write another one.' },
        ]);
      if (was.kind === 'photo' && entry.kind === 'photo' && was.photo !== entry.photo)
        throw new Unprocessable([
          {
            code: 'api:no-photo',
            path: 'photo',
            message: 'An entry keeps its photograph; write another one.',
          },
        ]);
      await uncover(manager, piece, entry);
      await write(manager, entry);
    });
    this.written.next(piece);
  }

  /** Takes an entry out, and the photograph that it shows. */
  async remove(piece: string, id: string): Promise<void> {
    await this.database.write(async (manager) => {
      const entry = await entryIn(manager, piece, id);
      if (entry.kind === 'photo') await manager.delete(PhotoEntity, { id: entry.photo });
      await manager.delete(JournalEntity, { id });
    });
    this.written.next(piece);
  }

  /** A beat whenever the journal of a piece was written in. */
  changed(piece: string): Observable<string> {
    return this.written.pipe(filter((id) => id === piece));
  }
}

/** Where an entry is the one that stands on the passport, no other one does. */
async function uncover(manager: EntityManager, piece: string, entry: HandEntry): Promise<void> {
  if (entry.kind !== 'photo' || !entry.cover) return;
  for (const other of await journalIn(manager, piece))
    if (other.kind === 'photo' && other.cover && other.id !== entry.id)
      await write(manager, { ...other, cover: false });
}

const write = (manager: EntityManager, entry: JournalEntry) =>
  manager.update(JournalEntity, { id: entry.id }, { entry: JSON.stringify(entry), at: entry.at });

async function entryIn(manager: EntityManager, projectId: string, id: string): Promise<JournalEntry> {
  const found = await manager.findOneBy(JournalEntity, { projectId, id });
  const entry = found && entryOf(found);
  if (!entry) throw gone(NO_ENTRY);
  return entry;
}

/** All entries of a piece that can be read, in the order of their time. */
export async function journalIn(manager: EntityManager, projectId: string): Promise<JournalEntry[]> {
  const rows = await manager.find(JournalEntity, { where: { projectId }, order: { at: 'ASC', id: 'ASC' } });
  return rows.flatMap((row) => entryOf(row) ?? []);
}

/** Adds entries; those that are there stay as they are. 422 where the journal is full. */
export async function insertEntries(
  manager: EntityManager,
  projectId: string,
  entries: readonly JournalEntry[],
): Promise<void> {
  const there = await manager.countBy(JournalEntity, { projectId });
  if (there + entries.length > MOST_ENTRIES)
    throw new Unprocessable([
      {
        code: 'api:journal-full',
        path: '',
        message: `The journal of a piece has at most ${MOST_ENTRIES} entries; take some out first.`,
      },
    ]);
  for (const entry of entries)
    await manager
      .createQueryBuilder()
      .insert()
      .orIgnore()
      .into(JournalEntity)
      .values({ id: entry.id, projectId, at: entry.at, entry: JSON.stringify(entry) })
      .execute();
}

/** What happened to a piece between what stood and what is saved now is written down in the same write; a full journal stays as it is. */
export async function writeHappened(
  manager: EntityManager,
  projectId: string,
  was: Project,
  is: Project,
  at: string,
): Promise<void> {
  const entries = happenedBetween(was, is).map(
    (happened): JournalEntry => ({ id: randomUUID(), at, device: '', ...happened }),
  );
  if (entries.length === 0) return;
  const there = await manager.countBy(JournalEntity, { projectId });
  await insertEntries(manager, projectId, entries.slice(0, Math.max(0, MOST_ENTRIES - there)));
}
