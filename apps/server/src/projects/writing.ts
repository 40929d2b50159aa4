import { randomUUID } from 'node:crypto';
import { type History, NO_HISTORY, type Project } from '@fellside/core';
import {
  DrawingEntity,
  JournalEntity,
  keepers,
  PhotoEntity,
  ProjectEntity,
  shelved,
  TickEntity,
  UseEntity,
  VersionEntity,
} from '@fellside/database';
import { type EntityManager, In } from 'typeorm';

/** Versions that are kept of a piece: the newest, and the last of each hour and day. */
export const VERSIONS_KEPT = { newest: 60, hour: 48, day: 90 } as const;

export interface SavedPiece {
  readonly id: string;
  readonly revision: number;
  readonly document: Project;
  readonly history: History;
  readonly savedAt: string;
}

/** The columns of a document, and what it uses, in one place for every write. */
export async function keepUses(manager: EntityManager, id: string, document: string): Promise<void> {
  await manager.delete(UseEntity, { projectId: id });
  for (const use of shelved(document).uses) await manager.insert(UseEntity, { ...use, projectId: id });
}

/** Puts a new piece on the shelf. */
export async function insertPiece(manager: EntityManager, project: Project): Promise<SavedPiece> {
  const [id, savedAt, document] = [randomUUID(), new Date().toISOString(), JSON.stringify(project)];
  const { columns } = shelved(document);
  const history = JSON.stringify(NO_HISTORY);
  await manager.insert(ProjectEntity, {
    id,
    revision: 1,
    document,
    history,
    savedAt,
    removedAt: null,
    ...columns,
  });
  await manager.insert(VersionEntity, { projectId: id, revision: 1, document, savedAt });
  await keepUses(manager, id, document);
  return { id, revision: 1, document: project, history: NO_HISTORY, savedAt };
}

/** Keeps a version, and takes away those that no rule keeps. */
export async function keepVersion(
  manager: EntityManager,
  version: Pick<VersionEntity, 'projectId' | 'revision' | 'document' | 'savedAt'>,
): Promise<void> {
  await manager.insert(VersionEntity, version);
  const { projectId } = version;
  const all = await manager.find(VersionEntity, {
    where: { projectId },
    select: { revision: true, savedAt: true },
  });
  const kept = keepers(
    all.map(({ savedAt }) => Date.parse(savedAt)),
    VERSIONS_KEPT,
  );
  const gone = all.filter(({ savedAt }) => !kept.has(Date.parse(savedAt))).map(({ revision }) => revision);
  if (gone.length > 0) await manager.delete(VersionEntity, { projectId, revision: In(gone) });
}

/** Takes a piece away with everything that is kept of it. */
export async function deletePiece(manager: EntityManager, id: string): Promise<void> {
  await manager.delete(VersionEntity, { projectId: id });
  await manager.delete(UseEntity, { projectId: id });
  await manager.delete(DrawingEntity, { projectId: id });
  await manager.delete(TickEntity, { projectId: id });
  await manager.delete(JournalEntity, { projectId: id });
  await manager.delete(PhotoEntity, { projectId: id });
  await manager.delete(ProjectEntity, { id });
}
