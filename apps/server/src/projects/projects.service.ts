import { changesBetween, type History, type Project, plain, sentenceIn } from '@fellside/core';
import { Database, ProjectEntity, shelved, VersionEntity } from '@fellside/database';
import { ConflictException, Injectable, NotFoundException } from '@nestjs/common';
import { filter, map, type Observable, Subject } from 'rxjs';
import { type EntityManager, IsNull, Not } from 'typeorm';
import { writeHappened } from '../journal/journal.service.js';
import { accepted } from '../reasons/answer.js';
import { shopIn } from '../shop/shop.controller.js';
import { assertFree } from '../stash/stash.service.js';
import { type ShelfAsk, type ShelfPage, shelfPage } from './shelf.js';
import { readStored } from './stored.js';
import { deletePiece, insertPiece, keepUses, keepVersion, type SavedPiece } from './writing.js';

/** A version as listed: when, and what it changed from the one before it that is kept. */
export interface ListedVersion {
  readonly revision: number;
  readonly savedAt: string;
  /** In sentences, lengths in mm; null where the version cannot be read, or is the first that is kept. */
  readonly changes: readonly string[] | null;
}

const missing = (message = 'There is no such piece on the shelf.') =>
  new NotFoundException({ statusCode: 404, message });

@Injectable()
export class ProjectsService {
  private readonly saves = new Subject<{ readonly id: string; readonly revision: number }>();

  constructor(private readonly database: Database) {}

  /** Revisions of a piece as they are saved, by whatever device. */
  saved(piece: string): Observable<number> {
    return this.saves.pipe(
      filter(({ id }) => id === piece),
      map(({ revision }) => revision),
    );
  }

  list(ask: ShelfAsk): Promise<ShelfPage> {
    return this.database.read((manager) => shelfPage(manager, ask));
  }

  get(id: string): Promise<SavedPiece> {
    return this.database.read((manager) => read(manager, id));
  }

  /** What is stored of a piece, as it is, for one that cannot be read. */
  async raw(id: string): Promise<string> {
    const found = await this.database.read((manager) => manager.findOneBy(ProjectEntity, { id }));
    if (!found) throw missing('There is no such piece.');
    return found.document;
  }

  create(document: Project): Promise<SavedPiece> {
    return this.database.write(async (manager) => {
      await assertFree(manager, document, null);
      return insertPiece(manager, document);
    });
  }

  /** Puts several on the shelf, all or none; gives the first. */
  createMany(documents: readonly Project[]): Promise<SavedPiece> {
    return this.database.write(async (manager) => {
      const made: SavedPiece[] = [];
      for (const document of documents) {
        await assertFree(manager, document, null);
        made.push(await insertPiece(manager, document));
      }
      return made[0]!;
    });
  }

  /** Saves over `revision`; 409 with the piece as it stands when somebody saved since, or took it off the shelf. */
  async save(
    id: string,
    revision: number,
    project: Project,
    history: History,
  ): Promise<Pick<SavedPiece, 'id' | 'revision' | 'savedAt'>> {
    const saved = await this.database.write(async (manager) => {
      const savedAt = new Date().toISOString();
      const document = JSON.stringify(project);
      const was = await this.assertCurrent(manager, id, revision);
      await assertFree(manager, project, id);
      const change = { revision: revision + 1, document, history: JSON.stringify(history), savedAt };
      await manager.update(ProjectEntity, { id }, { ...change, ...shelved(document).columns });
      await keepVersion(manager, { projectId: id, revision: revision + 1, document, savedAt });
      await keepUses(manager, id, document);
      await writeHappened(manager, id, was, project, savedAt);
      return { id, revision: revision + 1, savedAt };
    });
    this.saves.next(saved);
    return saved;
  }

  /** The removed piece's document, whoever asks for it. */
  async document(id: string): Promise<Project> {
    const found = await this.database.read((manager) => manager.findOneBy(ProjectEntity, { id }));
    if (!found) throw missing('There is no such piece.');
    return accepted(readStored(found.document)).document;
  }

  /** Takes a piece off the shelf; its rings of the stash are free then. */
  remove(id: string): Promise<void> {
    return this.database.write(async (manager) => {
      const removedAt = new Date().toISOString();
      const { affected } = await manager.update(ProjectEntity, { id, removedAt: IsNull() }, { removedAt });
      if (!affected) throw missing();
    });
  }

  /** Puts a removed piece back; 422 where another one has its rings of the stash by now. */
  putBack(id: string): Promise<void> {
    return this.database.write(async (manager) => {
      const found = await manager.findOneBy(ProjectEntity, { id });
      if (!found) throw missing('There is no such piece.');
      const stored = readStored(found.document);
      if (stored.ok) await assertFree(manager, stored.value.document, id);
      await manager.update(ProjectEntity, { id }, { removedAt: null });
    });
  }

  /** Takes a removed piece away for good, with its versions. */
  removeForGood(id: string): Promise<void> {
    return this.database.write(async (manager) => {
      if (!(await manager.existsBy(ProjectEntity, { id, removedAt: Not(IsNull()) })))
        throw missing('There is no such piece among the removed ones.');
      await deletePiece(manager, id);
    });
  }

  /** Versions that are kept, newest first. */
  async versions(projectId: string): Promise<ListedVersion[]> {
    const order = { revision: 'ASC' } as const;
    const [all, { units }] = await this.database.read(async (manager) => [
      await manager.find(VersionEntity, { where: { projectId }, order }),
      await shopIn(manager),
    ]);
    let before: Project | null = null;
    const listed = all.map(({ revision, savedAt, document }): ListedVersion => {
      const stored = readStored(document);
      const now = stored.ok ? stored.value.document : null;
      const changes =
        before && now ? changesBetween(before, now).map((said) => sentenceIn(said, units)) : null;
      before = now ?? before;
      return { revision, savedAt, changes };
    });
    return listed.reverse();
  }

  async version(
    projectId: string,
    revision: number,
  ): Promise<{ revision: number; savedAt: string; document: Project }> {
    const found = await this.database.read((manager) =>
      manager.findOneBy(VersionEntity, { projectId, revision }),
    );
    if (!found) throw missing('That version is not kept.');
    return { revision, savedAt: found.savedAt, document: accepted(readStored(found.document)).document };
  }

  /** The piece as it stands at a revision; 409 where it stands at another. A document of a newer Fellside is never written over. */
  private async assertCurrent(manager: EntityManager, id: string, revision: number): Promise<Project> {
    const found = await manager.findOneBy(ProjectEntity, { id });
    if (!found) throw missing();
    const stored = readStored(found.document, found.history);
    if (!stored.ok)
      throw new ConflictException({ statusCode: 409, message: plain(stored.reasons[0]!.message) });
    if (found.revision === revision && found.removedAt === null) return stored.value.document;
    const current = { id, revision: found.revision, savedAt: found.savedAt, ...stored.value };
    if (found.removedAt !== null) {
      const message = 'The piece was taken off the shelf in another window. Nothing was overwritten.';
      throw new ConflictException({ statusCode: 409, code: 'removed', message, current });
    }
    const message = `The piece was saved by another window (revision ${found.revision}). Nothing was overwritten.`;
    throw new ConflictException({ statusCode: 409, message, current });
  }
}

async function read(manager: EntityManager, id: string): Promise<SavedPiece> {
  const found = await manager.findOneBy(ProjectEntity, { id, removedAt: IsNull() });
  if (!found) throw missing();
  const { revision, savedAt } = found;
  return { id, revision, savedAt, ...accepted(readStored(found.document, found.history)) };
}
