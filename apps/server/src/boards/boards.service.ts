import { randomUUID } from 'node:crypto';
import type { Board, NewBoard } from '@fellside/core';
import { BoardEntity, Database } from '@fellside/database';
import { Injectable, NotFoundException } from '@nestjs/common';
import type { EntityManager } from 'typeorm';
import { readable } from '../kept/kept.js';

const GONE = { statusCode: 404, message: 'There is no such board; it may have been taken out elsewhere.' };

/** The boards on hand, shared by all pieces. */
@Injectable()
export class BoardsService {
  constructor(private readonly database: Database) {}

  async list(): Promise<Board[]> {
    const rows = await this.database.read((manager) => readable(manager, 'board'));
    return rows.map(({ id, value }) => ({ ...value, id }));
  }

  change(id: string, board: NewBoard): Promise<Board> {
    return this.database.write(async (manager) => {
      if (!(await manager.existsBy(BoardEntity, { id }))) throw new NotFoundException(GONE);
      await manager.update(BoardEntity, { id }, { board: JSON.stringify(board) });
      return { ...board, id };
    });
  }

  /** Takes boards out and puts others in, all or nothing: entering, splitting, and what is left after sawing. */
  replace(remove: readonly string[], add: readonly NewBoard[]): Promise<Board[]> {
    return this.database.write(async (manager) => {
      for (const id of remove) {
        const { affected } = await manager.delete(BoardEntity, { id });
        if (affected !== 1) throw new NotFoundException(GONE);
      }
      return insertBoards(manager, add);
    });
  }
}

/** Puts boards in; a row at a time, for SQLite allows a limited number of values in one statement. */
export async function insertBoards(manager: EntityManager, add: readonly NewBoard[]): Promise<Board[]> {
  const savedAt = new Date().toISOString();
  const rows = add.map((board) => ({ ...board, id: randomUUID() }));
  for (const { id, ...board } of rows)
    await manager.insert(BoardEntity, { id, board: JSON.stringify(board), savedAt });
  return rows;
}
