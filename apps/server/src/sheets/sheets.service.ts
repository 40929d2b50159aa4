import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { Worker } from 'node:worker_threads';
import { DEFAULT_SHOP, type Goal, type Result } from '@fellside/core';
import { loadSolver, type SheetPaper, type SheetsAsk, shopSheets } from '@fellside/sheets';
import { Injectable } from '@nestjs/common';
import { DataSource } from 'typeorm';
import { BoardsService } from '../boards/boards.service.js';
import { ProjectsService } from '../projects/projects.service.js';
import { Unprocessable } from '../reasons/answer.js';
import { ShopEntity } from '../shop/shop.entity.js';
import { WoodsService } from '../woods/woods.service.js';

export interface SheetsWish {
  readonly paper: SheetPaper;
  readonly templates: boolean;
  readonly solved: boolean;
  readonly goal: Goal;
  readonly buying: boolean;
}

const WORKER = new URL('./sheetsWorker.js', import.meta.url);

/** Shop sheets of a project as it was last saved, with the shop's figures, woods and boards. */
@Injectable()
export class SheetsService {
  constructor(
    private readonly database: DataSource,
    private readonly projects: ProjectsService,
    private readonly woods: WoodsService,
    private readonly boards: BoardsService,
  ) {}

  async pdf(id: string, wish: SheetsWish): Promise<Uint8Array> {
    const { document: project } = await this.projects.get(id);
    const row = await this.database.getRepository(ShopEntity).findOneBy({ id: 1 });
    const ask: SheetsAsk = {
      project,
      woods: await this.woods.list(),
      shop: { ...DEFAULT_SHOP, ...row?.settings },
      boards: await this.boards.list(),
      ...wish,
    };
    const answer = await drawn(ask);
    if (!answer.ok) throw new Unprocessable(answer.reasons);
    return answer.value;
  }
}

/** In a thread of its own; from sources, where there is no built worker, in this one. */
function drawn(ask: SheetsAsk): Promise<Result<Uint8Array>> {
  if (!existsSync(fileURLToPath(WORKER))) return shopSheets(ask, loadSolver);
  return new Promise((answered, failed) => {
    const worker = new Worker(WORKER, { workerData: ask });
    worker.once('message', answered);
    worker.once('error', failed);
    worker.once('exit', (status) => {
      if (status !== 0) failed(new Error(`The sheets could not be drawn (${status}).`));
    });
  });
}
