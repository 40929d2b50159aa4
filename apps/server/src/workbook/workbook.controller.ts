import type { WorkbookRow } from '@fellside/core';
import { Database, JournalEntity, ProjectEntity } from '@fellside/database';
import { Controller, Get, type OnModuleDestroy, Req } from '@nestjs/common';
import type { Request } from 'express';
import { IsNull } from 'typeorm';
import { shopIn } from '../shop/shop.controller.js';
import { Threads } from '../threads/threads.js';
import { WoodsService } from '../woods/woods.service.js';
import { rowsOf, type WorkbookAsk } from './rows.js';

const LIMITS = { most: 1, mostWaiting: 4, seconds: 120, megabytes: 1024 } as const;

/** All pieces of the shelf in one table, newest first; planned in a thread, for there may be hundreds. */
@Controller('api/workbook')
export class WorkbookController implements OnModuleDestroy {
  private readonly threads = new Threads<WorkbookAsk, WorkbookRow[]>(
    new URL('./workbookWorker.js', import.meta.url),
    async (ask) => rowsOf(ask),
    LIMITS,
  );

  constructor(
    private readonly database: Database,
    private readonly woods: WoodsService,
  ) {}

  @Get()
  async rows(@Req() request: Request): Promise<WorkbookRow[]> {
    const left = new AbortController();
    request.socket.once('close', () => left.abort());
    const woods = await this.woods.list();
    const ask = await this.database.read(async (manager) => ({
      pieces: await manager.find(ProjectEntity, {
        select: { id: true, savedAt: true, document: true },
        where: { removedAt: IsNull() },
        order: { savedAt: 'DESC', id: 'ASC' },
      }),
      journal: (await manager.find(JournalEntity, { select: { projectId: true, entry: true } })).map(
        (row) => ({
          ...row,
        }),
      ),
      shop: await shopIn(manager),
      woods,
    }));
    return this.threads.run({ ...ask, pieces: ask.pieces.map((piece) => ({ ...piece })) }, left.signal);
  }

  onModuleDestroy(): Promise<void> {
    return this.threads.close();
  }
}
