import { createReadStream, createWriteStream } from 'node:fs';
import { basename } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { automaticSchema, Refusal } from '@fellside/database';
import { Body, Controller, Get, HttpCode, Param, Post, Put, Req, StreamableFile } from '@nestjs/common';
import type { Request } from 'express';
import { z } from 'zod';
import { parsed } from '../reasons/answer.js';
import { BackupsService } from './backups.service.js';

/** Largest backup that is taken over the network, bytes; larger ones go by `npx fellside restore`. */
const MOST = 4 * 1024 ** 3;

const restoreBody = z.strictObject({ name: z.string().max(200).nullable() });

@Controller('api/backups')
export class BackupsController {
  /** The file that was sent and looked through last, waiting to be put back. */
  private waiting: string | null = null;

  constructor(private readonly backups: BackupsService) {}

  @Get()
  state() {
    const { backups, ...state } = this.backups.state();
    return { ...state, backups: backups.map(({ path, ...backup }) => ({ ...backup, name: basename(path) })) };
  }

  @Put('automatic')
  @HttpCode(204)
  set(@Body() body: unknown): void {
    this.backups.set(parsed(automaticSchema, body));
  }

  /** Makes one now, tries it, and says its name. */
  @Post()
  async make() {
    return { name: basename(await this.backups.make()) };
  }

  /** The file of a backup. */
  @Get(':name')
  file(@Param('name') name: string): StreamableFile {
    const { path } = this.backups.named(name);
    return new StreamableFile(createReadStream(path), {
      type: 'application/zip',
      disposition: `attachment; filename="${basename(path)}"`,
    });
  }

  /** Looks a backup of the list through, and says what is in it. */
  @Post(':name/check')
  @HttpCode(200)
  async check(@Param('name') name: string) {
    return (await this.backups.check(this.backups.named(name).path)).checked;
  }

  /** Takes a backup file and looks it through; nothing is changed before it is asked to be put back. */
  @Post('sent')
  @HttpCode(200)
  async send(@Req() request: Request) {
    this.waiting = null;
    const path = this.backups.incoming();
    let bytes = 0;
    const limited = new Transform({
      transform(part: Buffer, _, done) {
        bytes += part.length;
        done(
          bytes > MOST ? new Refusal('The backup is larger than 4 GB; use npx fellside restore.') : null,
          part,
        );
      },
    });
    await pipeline(request, limited, createWriteStream(path));
    const { checked } = await this.backups.check(path);
    this.waiting = path;
    return checked;
  }

  /** Puts a backup back: one of the list by its name, or, with null, the one that was sent. */
  @Post('restore')
  @HttpCode(200)
  async restore(@Body() body: unknown) {
    const { name } = parsed(restoreBody, body);
    const path = name === null ? this.waiting : this.backups.named(name).path;
    if (path === null) throw new Refusal('Send the backup first.');
    const { replaced, ...restored } = await this.backups.restore(path);
    if (name === null) this.waiting = null;
    return { ...restored, replaced: replaced && basename(replaced) };
  }
}
