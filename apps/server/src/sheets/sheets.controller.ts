import { GOALS } from '@fellside/core';
import { Controller, Get, Header, Param, Query, StreamableFile } from '@nestjs/common';
import { z } from 'zod';
import { parsed } from '../reasons/answer.js';
import { SheetsService } from './sheets.service.js';

const yes = (name: string, usual: 'true' | 'false') =>
  z
    .enum(['true', 'false'], { error: () => `${name} is true or false.` })
    .default(usual)
    .transform((given) => given === 'true');

const wishSchema = z.strictObject({
  paper: z.enum(['a4', 'letter'], { error: () => 'Paper is a4 or letter.' }).default('a4'),
  templates: yes('Templates', 'true'),
  solved: yes('Solved', 'false'),
  goal: z.enum(GOALS, { error: () => `Goal is one of ${GOALS.join(', ')}.` }).default('cost'),
  buying: yes('Buying', 'true'),
});

@Controller('api/projects/:id/sheets')
export class SheetsController {
  constructor(private readonly sheets: SheetsService) {}

  @Get()
  @Header('content-type', 'application/pdf')
  async pdf(@Param('id') id: string, @Query() query: unknown): Promise<StreamableFile> {
    return new StreamableFile(await this.sheets.pdf(id, parsed(wishSchema, query)), {
      type: 'application/pdf',
    });
  }
}
