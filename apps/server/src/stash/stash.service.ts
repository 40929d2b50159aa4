import { randomUUID } from 'node:crypto';
import { type Project, type StashEntry, stashTaken, stashUsedBy } from '@fellside/core';
import { ConflictException, Injectable, NotFoundException } from '@nestjs/common';
import { DataSource, IsNull } from 'typeorm';
import { ProjectEntity } from '../projects/project.entity.js';
import { Unprocessable } from '../reasons/answer.js';
import { StashEntity } from './stash.entity.js';

/** A ring of the stash as listed: which piece has it, where one has. */
export type StashedRing = StashEntry & {
  readonly item: string;
  readonly usedBy: { readonly id: string; readonly name: string } | null;
};

/**
 * Rings that are made, shared by all pieces. Which of them are used follows from the pieces on the shelf and is kept
 * nowhere else: undoing, removing or restoring a piece puts its rings back and takes them again.
 */
@Injectable()
export class StashService {
  constructor(private readonly database: DataSource) {}

  async list(): Promise<StashedRing[]> {
    const rings = await this.rings.find({ order: { savedAt: 'DESC', id: 'ASC' } });
    const users = await this.users();
    return rings.map(({ id, ring }) => ({ ...ring, item: id, usedBy: users.get(id) ?? null }));
  }

  async add(ring: StashEntry): Promise<StashedRing> {
    const id = randomUUID();
    await this.rings.insert({ id, ring, savedAt: new Date().toISOString() });
    return { ...ring, item: id, usedBy: null };
  }

  /** Throws a ring away that no piece uses. */
  async remove(id: string): Promise<void> {
    if (!(await this.rings.existsBy({ id })))
      throw new NotFoundException({ statusCode: 404, message: 'There is no such ring in the stash.' });
    const user = (await this.users()).get(id);
    if (user) {
      const message = `“${user.name}” uses this ring; take it out there first.`;
      throw new ConflictException({ statusCode: 409, message });
    }
    await this.rings.delete({ id });
  }

  /** 422 where a piece has a ring of the stash that another one has already. */
  async assertFree(document: Project, ownId: string | null): Promise<void> {
    if (stashUsedBy(document).size === 0) return;
    const users = [...(await this.users())].filter(([, { id }]) => id !== ownId);
    const taken = stashTaken(document, new Map(users.map(([item, { name }]) => [item, name])));
    if (taken.length > 0) throw new Unprocessable(taken);
  }

  /** Which piece on the shelf has each ring. */
  private async users(): Promise<Map<string, { id: string; name: string }>> {
    const pieces = await this.database
      .getRepository(ProjectEntity)
      .find({ where: { removedAt: IsNull() }, select: { id: true, document: true } });
    return new Map(
      pieces.flatMap(({ id, document }) =>
        [...stashUsedBy(document).keys()].map((item) => [item, { id, name: document.name }] as const),
      ),
    );
  }

  private get rings() {
    return this.database.getRepository(StashEntity);
  }
}
