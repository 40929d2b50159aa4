import { SHIPPED_WOODS, type Species } from '@fellside/core';
import { Database, ProjectEntity, UseEntity, WoodEntity } from '@fellside/database';
import { ConflictException, Injectable, NotFoundException } from '@nestjs/common';
import type { EntityManager } from 'typeorm';
import { readable } from '../kept/kept.js';
import { Unprocessable } from '../reasons/answer.js';

/** A wood as listed: `own` ones can be removed. */
export type ListedWood = Species & { readonly own: boolean };

@Injectable()
export class WoodsService {
  constructor(private readonly database: Database) {}

  list(): Promise<ListedWood[]> {
    return this.database.read(listed);
  }

  /** Adds an own wood; its id, name and letter must not be taken. */
  add(species: Species): Promise<ListedWood> {
    return this.database.write(async (manager) => {
      const others = await listed(manager);
      for (const field of ['id', 'name', 'letter'] as const) {
        const taken = others.find((wood) => wood[field].toLowerCase() === species[field].toLowerCase());
        if (!taken) continue;
        const message = `The ${field} “${species[field]}” is taken by ${taken.name}; choose another.`;
        throw new Unprocessable([{ code: `api:wood-${field}-taken`, path: field, message }]);
      }
      await manager.insert(WoodEntity, { id: species.id, species: JSON.stringify(species) });
      return { ...species, own: true };
    });
  }

  /** Removes an own wood that no piece uses, on the shelf or off it. */
  remove(id: string): Promise<void> {
    return this.database.write(async (manager) => {
      if (!(await manager.existsBy(WoodEntity, { id })))
        throw new NotFoundException({ statusCode: 404, message: 'There is no such wood of your own.' });
      const use = await manager.findOneBy(UseEntity, { kind: 'wood', key: id });
      if (use) {
        const user = await manager.findOneBy(ProjectEntity, { id: use.projectId });
        const message = `${user?.name ?? 'A piece'} uses this wood; change it there first.`;
        throw new ConflictException({ statusCode: 409, message });
      }
      await manager.delete(WoodEntity, { id });
    });
  }
}

/** The woods of the user's own that can be read. */
export const ownWoods = async (manager: EntityManager): Promise<Species[]> =>
  (await readable(manager, 'wood')).map(({ value }) => value);

const listed = async (manager: EntityManager): Promise<ListedWood[]> => [
  ...SHIPPED_WOODS.map((wood) => ({ ...wood, own: false })),
  ...(await ownWoods(manager)).map((species) => ({ ...species, own: true })),
];
