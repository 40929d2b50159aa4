import { randomUUID } from 'node:crypto';
import { type Project, type StashEntry, stashTaken, stashUsedBy } from '@fellside/core';
import { Database, StashEntity, UseEntity } from '@fellside/database';
import { ConflictException, Injectable, NotFoundException } from '@nestjs/common';
import type { EntityManager } from 'typeorm';
import { readable } from '../kept/kept.js';
import { Unprocessable } from '../reasons/answer.js';

/** A piece that has a ring. */
interface User {
  readonly id: string;
  readonly name: string;
}

/** A ring of the stash as listed: which piece has it, where one has. */
export type StashedRing = StashEntry & { readonly item: string; readonly usedBy: User | null };

/**
 * Rings that are made, shared by all pieces. Which of them are used follows from the pieces on the shelf: undoing, removing
 * or restoring a piece puts its rings back and takes them again.
 */
@Injectable()
export class StashService {
  constructor(private readonly database: Database) {}

  list(): Promise<StashedRing[]> {
    return this.database.read(async (manager) => {
      const rings = await readable(manager, 'stash');
      const users = await usersOf(manager);
      return rings.map(({ id, value }) => ({ ...value, item: id, usedBy: users.get(id) ?? null }));
    });
  }

  add(ring: StashEntry): Promise<StashedRing> {
    return this.database.write((manager) => stashRing(manager, ring));
  }

  /** Throws a ring away that no piece uses. */
  remove(id: string): Promise<void> {
    return this.database.write(async (manager) => {
      if (!(await manager.existsBy(StashEntity, { id })))
        throw new NotFoundException({ statusCode: 404, message: 'There is no such ring in the stash.' });
      const user = (await usersOf(manager, [id])).get(id);
      if (user) {
        const message = `“${user.name}” uses this ring; take it out there first.`;
        throw new ConflictException({ statusCode: 409, message });
      }
      await manager.delete(StashEntity, { id });
    });
  }
}

/** Puts a ring into the stash. */
export async function stashRing(manager: EntityManager, ring: StashEntry): Promise<StashedRing> {
  const id = randomUUID();
  await manager.insert(StashEntity, { id, ring: JSON.stringify(ring), savedAt: new Date().toISOString() });
  return { ...ring, item: id, usedBy: null };
}

/** 422 where a piece has a ring of the stash that another one has already. */
export async function assertFree(
  manager: EntityManager,
  document: Project,
  ownId: string | null,
): Promise<void> {
  const items = [...stashUsedBy(document).keys()];
  if (items.length === 0) return;
  const users = [...(await usersOf(manager, items))].filter(([, { id }]) => id !== ownId);
  const taken = stashTaken(document, new Map(users.map(([item, { name }]) => [item, name])));
  if (taken.length > 0) throw new Unprocessable(taken);
}

/** Which piece on the shelf has each ring, of all or of some; by the index of uses, no document is read. */
async function usersOf(manager: EntityManager, items?: readonly string[]): Promise<Map<string, User>> {
  const asked = manager
    .createQueryBuilder()
    .select(['use.key AS key', 'piece.id AS id', 'piece.name AS name'])
    .from(UseEntity, 'use')
    .innerJoin('projects', 'piece', 'piece.id = use.projectId')
    .where(`use.kind = 'stash' AND piece.removedAt IS NULL`);
  if (items) asked.andWhere('use.key IN (:...items)', { items });
  const rows = await asked.getRawMany<{ key: string; id: string; name: string | null }>();
  return new Map(rows.map(({ key, id, name }) => [key, { id, name: name ?? '' }]));
}
