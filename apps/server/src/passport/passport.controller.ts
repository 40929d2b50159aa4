import type { JournalEntry, Result } from '@fellside/core';
import { Database, PhotoEntity } from '@fellside/database';
import { CARD_SIZES, type CardSize } from '@fellside/sheets';
import {
  Controller,
  Get,
  Header,
  type OnModuleDestroy,
  Param,
  Query,
  Req,
  StreamableFile,
} from '@nestjs/common';
import type { Request } from 'express';
import type { EntityManager } from 'typeorm';
import { z } from 'zod';
import { journalIn } from '../journal/journal.service.js';
import { ProjectsService } from '../projects/projects.service.js';
import { accepted, parsed } from '../reasons/answer.js';
import { shopIn } from '../shop/shop.controller.js';
import { Threads } from '../threads/threads.js';
import { WoodsService } from '../woods/woods.service.js';
import { type PassportAsk, passportMade } from './make.js';

const SIZES = Object.keys(CARD_SIZES) as [CardSize, ...CardSize[]];
const cardSchema = z.strictObject({
  size: z.enum(SIZES, { error: () => `Size is one of ${SIZES.join(', ')}.` }).default('a6'),
});

const LIMITS = { most: 1, mostWaiting: 8, seconds: 60, megabytes: 1024 } as const;

/** The passport of a piece as it was last saved: a card to print, and a page of its own that turns; made in a thread. */
@Controller('api/projects/:id')
export class PassportController implements OnModuleDestroy {
  private readonly threads = new Threads<PassportAsk, Result<Uint8Array>>(
    new URL('./passportWorker.js', import.meta.url),
    passportMade,
    LIMITS,
  );

  constructor(
    private readonly database: Database,
    private readonly projects: ProjectsService,
    private readonly woods: WoodsService,
  ) {}

  @Get('passport.pdf')
  async card(
    @Param('id') id: string,
    @Query() query: unknown,
    @Req() request: Request,
  ): Promise<StreamableFile> {
    const { size } = parsed(cardSchema, query);
    return new StreamableFile(await this.made(id, size, request), { type: 'application/pdf' });
  }

  @Get('passport.html')
  @Header('content-disposition', 'attachment; filename="passport.html"')
  async page(@Param('id') id: string, @Req() request: Request): Promise<StreamableFile> {
    return new StreamableFile(await this.made(id, 'page', request), { type: 'text/html; charset=utf-8' });
  }

  private async made(id: string, as: PassportAsk['as'], request: Request): Promise<Uint8Array> {
    const { document } = await this.projects.get(id);
    const woods = await this.woods.list();
    const kept = await this.database.read(async (manager) => {
      const journal = await journalIn(manager, id);
      return { shop: await shopIn(manager), journal, photo: await coverIn(manager, journal) };
    });
    const left = new AbortController();
    request.socket.once('close', () => left.abort());
    return accepted(await this.threads.run({ document, woods, ...kept, as }, left.signal));
  }

  onModuleDestroy(): Promise<void> {
    return this.threads.close();
  }
}

/** The photograph that stands on the passport; null for none. */
async function coverIn(
  manager: EntityManager,
  journal: readonly JournalEntry[],
): Promise<PassportAsk['photo']> {
  const entry = journal.find((each) => each.kind === 'photo' && each.cover);
  if (entry?.kind !== 'photo') return null;
  const photo = await manager.findOneBy(PhotoEntity, { id: entry.photo });
  if (!photo) return null;
  const [type, bytes] = photo.view ? ['image/jpeg', photo.view] : [photo.type, photo.bytes];
  return { picture: `data:${type};base64,${Buffer.from(bytes).toString('base64')}`, says: entry.text };
}
