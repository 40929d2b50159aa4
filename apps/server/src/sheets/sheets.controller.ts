import { GOALS } from '@fellside/core';
import { Controller, Get, Header, Param, Query, Req, StreamableFile } from '@nestjs/common';
import type { Request } from 'express';
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

@Controller('api')
export class SheetsController {
  constructor(private readonly sheets: SheetsService) {}

  /** How many sheets are being drawn and how many wait. */
  @Get('sheets')
  line() {
    return this.sheets.line;
  }

  /** The sheets of a saved piece; drawing ends when the asker leaves. */
  @Get('projects/:id/sheets')
  @Header('content-type', 'application/pdf')
  async pdf(
    @Param('id') id: string,
    @Query() query: unknown,
    @Req() request: Request,
  ): Promise<StreamableFile> {
    const left = new AbortController();
    request.socket.once('close', () => left.abort());
    const pdf = await this.sheets.pdf(id, parsed(wishSchema, query), left.signal);
    return new StreamableFile(pdf, { type: 'application/pdf' });
  }
}
