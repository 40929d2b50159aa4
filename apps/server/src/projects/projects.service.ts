import { randomUUID } from 'node:crypto';
import {
  type History,
  NO_HISTORY,
  type Project,
  readProject,
  SCHEMA_VERSION,
  STEPS_STAND_SINCE,
} from '@fellside/core';
import { ConflictException, Injectable, NotFoundException } from '@nestjs/common';
import { DataSource, IsNull, LessThanOrEqual } from 'typeorm';
import { ProjectEntity } from './project.entity.js';
import { VersionEntity } from './version.entity.js';

/**
 * A document that an older Fellside saved, brought up to date as it is read. Steps to undo that speak of a shape which
 * is no more are left behind; what is stored stays as it is until the next save.
 */
function upToDate<T extends { document: Project; history?: History }>(saved: T): T {
  const { schema } = saved.document as { schema: number };
  if (schema === SCHEMA_VERSION) return saved;
  const read = readProject(saved.document);
  if (!read.ok) return saved;
  const stale = saved.history && schema < STEPS_STAND_SINCE;
  return { ...saved, document: read.value, ...(stale && { history: NO_HISTORY }) };
}

/** How many versions of a project are kept. */
const VERSIONS_KEPT = 100;

@Injectable()
export class ProjectsService {
  constructor(private readonly database: DataSource) {}

  /** The shelf, last saved first; without the histories, which no shelf shows. */
  async list(): Promise<Omit<ProjectEntity, 'history'>[]> {
    const select = { id: true, revision: true, document: true, savedAt: true } as const;
    const found = await this.projects.find({
      where: { removedAt: IsNull() },
      order: { savedAt: 'DESC', id: 'ASC' },
      select,
    });
    return found.map(upToDate);
  }

  /** How many there are or ever were, removed ones included. */
  count(): Promise<number> {
    return this.projects.count();
  }

  async get(id: string): Promise<ProjectEntity> {
    const found = await this.projects.findOneBy({ id, removedAt: IsNull() });
    if (!found)
      throw new NotFoundException({ statusCode: 404, message: 'There is no such piece on the shelf.' });
    return upToDate(found);
  }

  async create(document: Project): Promise<ProjectEntity> {
    const project = this.projects.create({
      id: randomUUID(),
      revision: 1,
      document,
      history: NO_HISTORY,
      savedAt: new Date().toISOString(),
      removedAt: null,
    });
    await this.database.transaction(async (manager) => {
      await manager.insert(ProjectEntity, project);
      await manager.insert(VersionEntity, {
        projectId: project.id,
        revision: 1,
        document,
        savedAt: project.savedAt,
      });
    });
    return project;
  }

  /** Saves over `revision`; 409 with the project as it stands when somebody saved since. */
  async save(id: string, revision: number, document: Project, history: History): Promise<ProjectEntity> {
    const savedAt = new Date().toISOString();
    await this.database.transaction(async (manager) => {
      const change = { revision: revision + 1, document, history, savedAt };
      const { affected } = await manager.update(ProjectEntity, { id, revision, removedAt: IsNull() }, change);
      if (!affected) throw await this.stale(id);
      await manager.insert(VersionEntity, { projectId: id, revision: revision + 1, document, savedAt });
      await manager.delete(VersionEntity, {
        projectId: id,
        revision: LessThanOrEqual(revision + 1 - VERSIONS_KEPT),
      });
    });
    return this.get(id);
  }

  /** The document of a piece, on the shelf or removed. */
  async removed(id: string): Promise<Project> {
    const found = await this.projects.findOneBy({ id });
    if (!found) throw new NotFoundException({ statusCode: 404, message: 'There is no such piece.' });
    return upToDate(found).document;
  }

  async setRemoved(id: string, removed: boolean): Promise<void> {
    const { affected } = await this.projects.update(
      { id },
      { removedAt: removed ? new Date().toISOString() : null },
    );
    if (!affected) throw new NotFoundException({ statusCode: 404, message: 'There is no such piece.' });
  }

  versions(projectId: string): Promise<Pick<VersionEntity, 'revision' | 'savedAt'>[]> {
    return this.history.find({
      where: { projectId },
      select: { revision: true, savedAt: true },
      order: { revision: 'DESC' },
    });
  }

  async version(projectId: string, revision: number): Promise<VersionEntity> {
    const found = await this.history.findOneBy({ projectId, revision });
    if (!found) throw new NotFoundException({ statusCode: 404, message: 'That version is not kept.' });
    return upToDate(found);
  }

  private async stale(id: string): Promise<Error> {
    const current = await this.get(id);
    const message = `The piece was saved by another window (revision ${current.revision}). Nothing was overwritten.`;
    return new ConflictException({ statusCode: 409, message, current });
  }

  private get projects() {
    return this.database.getRepository(ProjectEntity);
  }

  private get history() {
    return this.database.getRepository(VersionEntity);
  }
}
