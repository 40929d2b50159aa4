import { availableParallelism } from 'node:os';
import type { Given, Goal, Result } from '@fellside/core';
import { Database } from '@fellside/database';
import type { SheetPaper, SheetsAsk } from '@fellside/sheets';
import { HttpException, Injectable, type OnModuleDestroy } from '@nestjs/common';
import { BoardsService } from '../boards/boards.service.js';
import { ProjectsService } from '../projects/projects.service.js';
import { Unprocessable } from '../reasons/answer.js';
import { shopIn } from '../shop/shop.controller.js';
import { GivenUp, Threads } from '../threads/threads.js';
import { WoodsService } from '../woods/woods.service.js';

export interface SheetsWish {
  readonly paper: SheetPaper;
  readonly templates: boolean;
  readonly work: boolean;
  readonly solved: boolean;
  readonly goal: Goal;
  readonly buying: boolean;
  /** How many of the piece are cut together. */
  readonly copies: number;
  /** A layout that is printed as it is. */
  readonly given?: Given;
}

/** As many sheets at once as there are cores; the solver's own limits end well before these. */
const LIMITS = { most: availableParallelism(), mostWaiting: 12, seconds: 300, megabytes: 1024 } as const;

const STATUS = { full: 503, time: 503, memory: 503, left: 499 } as const;

/** Shop sheets of a project as it was last saved, with the shop's figures, woods and boards. */
@Injectable()
export class SheetsService implements OnModuleDestroy {
  private readonly threads = new Threads<SheetsAsk, Result<Uint8Array>>(
    new URL('./sheetsWorker.js', import.meta.url),
    // Fetched when it is first asked for: a server that starts needs no PDF.
    async (ask) => {
      const { loadSolver, shopSheets } = await import('@fellside/sheets');
      return shopSheets(ask, loadSolver);
    },
    LIMITS,
  );

  constructor(
    private readonly database: Database,
    private readonly projects: ProjectsService,
    private readonly woods: WoodsService,
    private readonly boards: BoardsService,
  ) {}

  /** How many sheets are being drawn, and how many wait. */
  get line() {
    return this.threads.state;
  }

  async pdf(id: string, wish: SheetsWish, signal: AbortSignal): Promise<Uint8Array> {
    const { document: project } = await this.projects.get(id);
    const [shop, woods, boards] = [
      await this.database.read(shopIn),
      await this.woods.list(),
      await this.boards.list(),
    ];
    const answer = await this.threads
      .run({ project, woods, shop, boards, ...wish }, signal)
      .catch((error) => {
        if (!(error instanceof GivenUp)) throw error;
        const message = `The shop sheets were not drawn: ${error.message}`;
        throw new HttpException(
          { statusCode: STATUS[error.why], code: `sheets-${error.why}`, message },
          STATUS[error.why],
        );
      });
    if (!answer.ok) throw new Unprocessable(answer.reasons);
    return answer.value;
  }

  onModuleDestroy(): Promise<void> {
    return this.threads.close();
  }
}
