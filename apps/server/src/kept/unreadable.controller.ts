import { Database } from '@fellside/database';
import { Controller, Delete, Get, HttpCode, NotFoundException, Param, Res } from '@nestjs/common';
import type { Response } from 'express';
import { KEPT_SORTS, type KeptSort, keptRows, removeUnreadable } from './kept.js';

/** A row beside the pieces that cannot be read. */
interface UnreadableRow {
  readonly sort: KeptSort;
  readonly id: string;
  readonly savedAt: string | null;
}

const missing = () =>
  new NotFoundException({ statusCode: 404, message: 'There is nothing unreadable of that name.' });

/** Woods, boards, rings, patterns and shop settings that cannot be read: they cost themselves, never their list. */
@Controller('api/unreadable')
export class UnreadableController {
  constructor(private readonly database: Database) {}

  @Get()
  list(): Promise<UnreadableRow[]> {
    return this.database.read(async (manager) => {
      const found: UnreadableRow[] = [];
      for (const sort of KEPT_SORTS)
        for (const { id, savedAt, value } of await keptRows(manager, sort))
          if (value === null) found.push({ sort, id, savedAt });
      return found;
    });
  }

  /** What is stored, as it is. */
  @Get(':sort/:id')
  async raw(@Param('sort') sort: string, @Param('id') id: string, @Res() response: Response) {
    const rows = await this.database.read((manager) => keptRows(manager, known(sort)));
    const found = rows.find((row) => row.id === id && row.value === null);
    if (!found) throw missing();
    response
      .attachment(`${sort}-${id.replace(/[^\w-]/g, '_')}.txt`)
      .type('text/plain')
      .send(found.raw);
  }

  @Delete(':sort/:id')
  @HttpCode(204)
  remove(@Param('sort') sort: string, @Param('id') id: string): Promise<void> {
    return this.database.write(async (manager) => {
      if (!(await removeUnreadable(manager, known(sort), id))) throw missing();
    });
  }
}

function known(sort: string): KeptSort {
  const found = KEPT_SORTS.find((each) => each === sort);
  if (!found) throw missing();
  return found;
}
