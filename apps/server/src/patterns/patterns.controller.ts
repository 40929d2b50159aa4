import { randomUUID } from 'node:crypto';
import { type Pattern, patternSchema } from '@fellside/core';
import { Database, PatternEntity } from '@fellside/database';
import { Body, Controller, Delete, Get, HttpCode, NotFoundException, Param, Post } from '@nestjs/common';
import { readable } from '../kept/kept.js';
import { parsed } from '../reasons/answer.js';

/** Patterns that all pieces share. */
@Controller('api/patterns')
export class PatternsController {
  constructor(private readonly database: Database) {}

  @Get()
  async list() {
    const rows = await this.database.read((manager) => readable(manager, 'pattern'));
    return rows.map(({ id, savedAt, value }) => ({ id, savedAt, pattern: value }));
  }

  @Post()
  add(@Body() body: unknown) {
    const pattern = parsed(patternSchema, body) as Pattern;
    const kept = { id: randomUUID(), savedAt: new Date().toISOString() };
    return this.database.write(async (manager) => {
      await manager.insert(PatternEntity, { ...kept, pattern: JSON.stringify(pattern) });
      return { ...kept, pattern };
    });
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string) {
    return this.database.write(async (manager) => {
      const { affected } = await manager.delete(PatternEntity, { id });
      if (!affected) throw new NotFoundException({ statusCode: 404, message: 'There is no such pattern.' });
    });
  }
}
