import { handEntrySchema } from '@fellside/core';
import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put } from '@nestjs/common';
import { z } from 'zod';
import { parsed } from '../reasons/answer.js';
import { JournalService } from './journal.service.js';

const MOST_AT_ONCE = 200;
const body = z.strictObject({
  entries: z
    .array(handEntrySchema)
    .max(MOST_AT_ONCE, { error: `At most ${MOST_AT_ONCE} entries are taken at once.` }),
});

/** What is written of a piece. */
@Controller('api/projects/:id/journal')
export class JournalController {
  constructor(private readonly journal: JournalService) {}

  @Get()
  async list(@Param('id') id: string) {
    return { entries: await this.journal.list(id) };
  }

  @Post()
  @HttpCode(204)
  add(@Param('id') id: string, @Body() given: unknown) {
    return this.journal.add(id, parsed(body, given).entries);
  }

  @Put(':entry')
  @HttpCode(204)
  change(@Param('id') id: string, @Param('entry') entry: string, @Body() given: unknown) {
    return this.journal.change(id, parsed(handEntrySchema, { ...(given as object), id: entry }));
  }

  @Delete(':entry')
  @HttpCode(204)
  remove(@Param('id') id: string, @Param('entry') entry: string) {
    return this.journal.remove(id, entry);
  }
}
