import { randomUUID } from 'node:crypto';
import type { Board, NewBoard } from '@fellside/core';
import { Injectable, NotFoundException } from '@nestjs/common';
import { DataSource, type EntityManager } from 'typeorm';
import { BoardEntity } from './board.entity.js';

const GONE = { statusCode: 404, message: 'There is no such board; it may have been taken out elsewhere.' };

/** The boards on hand, shared by all pieces. */
@Injectable()
export class BoardsService {
  constructor(private readonly database: DataSource) {}

  async list(): Promise<Board[]> {
    const rows = await this.database
      .getRepository(BoardEntity)
      .find({ order: { savedAt: 'DESC', id: 'ASC' } });
    return rows.map(({ id, board }) => ({ ...board, id }));
  }

  async change(id: string, board: NewBoard): Promise<Board> {
    const boards = this.database.getRepository(BoardEntity);
    if (!(await boards.existsBy({ id }))) throw new NotFoundException(GONE);
    await boards.update({ id }, { board });
    return { ...board, id };
  }

  /** Takes boards out and puts others in, all or nothing: entering, splitting, and what is left after sawing. */
  replace(remove: readonly string[], add: readonly NewBoard[]): Promise<Board[]> {
    return this.database.transaction(async (manager: EntityManager) => {
      const boards = manager.getRepository(BoardEntity);
      for (const id of remove) {
        const { affected } = await boards.delete({ id });
        if (affected !== 1) throw new NotFoundException(GONE);
      }
      const savedAt = new Date().toISOString();
      const rows = add.map((board) => ({ id: randomUUID(), board, savedAt }));
      // A row at a time: SQLite allows a limited number of values in one statement.
      for (const row of rows) await boards.insert(row);
      return rows.map(({ id, board }) => ({ ...board, id }));
    });
  }
}
