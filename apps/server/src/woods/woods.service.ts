import { SHIPPED_WOODS, type Species } from '@fellside/core';
import { ConflictException, Injectable, NotFoundException } from '@nestjs/common';
import { DataSource } from 'typeorm';
import { ProjectEntity } from '../projects/project.entity.js';
import { Unprocessable } from '../reasons/answer.js';
import { WoodEntity } from './wood.entity.js';

/** A wood as listed: `own` ones can be removed. */
export type ListedWood = Species & { readonly own: boolean };

const shipped = new Set(SHIPPED_WOODS.map(({ id }) => id));

@Injectable()
export class WoodsService {
  constructor(private readonly database: DataSource) {}

  async list(): Promise<ListedWood[]> {
    const own = await this.woods.find({ order: { id: 'ASC' } });
    return [
      ...SHIPPED_WOODS.map((wood) => ({ ...wood, own: false })),
      ...own.map(({ species }) => ({ ...species, own: true })),
    ];
  }

  /** Adds an own wood; its id, name and letter must not be taken. */
  async add(species: Species): Promise<ListedWood> {
    const others = await this.list();
    for (const field of ['id', 'name', 'letter'] as const) {
      const taken = others.find((wood) => wood[field].toLowerCase() === species[field].toLowerCase());
      if (!taken) continue;
      const message = `The ${field} “${species[field]}” is taken by ${taken.name}; choose another.`;
      throw new Unprocessable([{ code: `wood-${field}-taken`, path: field, message }]);
    }
    await this.woods.insert({ id: species.id, species });
    return { ...species, own: true };
  }

  /** Takes in the woods of a project file that are not known here; known ones stay as they are. */
  async takeIn(woods: readonly Species[]): Promise<void> {
    for (const species of woods)
      if (!shipped.has(species.id) && !(await this.woods.existsBy({ id: species.id })))
        await this.woods.insert({ id: species.id, species });
  }

  /** Removes an own wood that no piece uses. */
  async remove(id: string): Promise<void> {
    if (!(await this.woods.existsBy({ id })))
      throw new NotFoundException({ statusCode: 404, message: 'There is no such wood of your own.' });
    const projects = await this.database.getRepository(ProjectEntity).find();
    const user = projects.find(({ document }) => document.palette.some(({ wood }) => wood === id));
    if (user) {
      const message = `${user.document.name} uses this wood; change it there first.`;
      throw new ConflictException({ statusCode: 409, message });
    }
    await this.woods.delete({ id });
  }

  private get woods() {
    return this.database.getRepository(WoodEntity);
  }
}
