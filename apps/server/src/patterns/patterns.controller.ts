import { randomUUID } from 'node:crypto';
import { type Pattern, patternSchema } from '@fellside/core';
import { Body, Controller, Delete, Get, HttpCode, NotFoundException, Param, Post } from '@nestjs/common';
import { DataSource } from 'typeorm';
import { parsed } from '../reasons/answer.js';
import { PatternEntity } from './pattern.entity.js';

/** Patterns that all pieces share. */
@Controller('api/patterns')
export class PatternsController {
  constructor(private readonly database: DataSource) {}

  @Get()
  list() {
    return this.patterns.find({ order: { savedAt: 'DESC', id: 'ASC' } });
  }

  @Post()
  async add(@Body() body: unknown) {
    const pattern = parsed(patternSchema, body) as Pattern;
    const kept = { id: randomUUID(), pattern, savedAt: new Date().toISOString() };
    await this.patterns.insert(kept);
    return kept;
  }

  @Delete(':id')
  @HttpCode(204)
  async remove(@Param('id') id: string) {
    const { affected } = await this.patterns.delete({ id });
    if (!affected) throw new NotFoundException({ statusCode: 404, message: 'There is no such pattern.' });
  }

  private get patterns() {
    return this.database.getRepository(PatternEntity);
  }
}
