import { GOALS, givenSchema } from '@fellside/core';
import {
  Body,
  Controller,
  Get,
  Header,
  HttpCode,
  Param,
  Post,
  Query,
  Req,
  StreamableFile,
} from '@nestjs/common';
import type { Request } from 'express';
import { z } from 'zod';
import { parsed } from '../reasons/answer.js';
import { SheetsService, type SheetsWish } from './sheets.service.js';

const yes = (name: string, usual: 'true' | 'false') =>
  z
    .enum(['true', 'false'], { error: () => `${name} is true or false.` })
    .default(usual)
    .transform((given) => given === 'true');

const wishSchema = z.strictObject({
  paper: z.enum(['a4', 'letter'], { error: () => 'Paper is a4 or letter.' }).default('a4'),
  templates: yes('Templates', 'true'),
  work: yes('Work', 'true'),
  solved: yes('Solved', 'false'),
  goal: z.enum(GOALS, { error: () => `Goal is one of ${GOALS.join(', ')}.` }).default('cost'),
  buying: yes('Buying', 'true'),
  copies: z.coerce
    .number()
    .int()
    .min(1)
    .max(50, { error: () => 'At most 50 pieces are cut together.' })
    .default(1),
});

/** The layout that is printed as it is. */
const layoutSchema = z.strictObject({ given: givenSchema });

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
  pdf(@Param('id') id: string, @Query() query: unknown, @Req() request: Request): Promise<StreamableFile> {
    return this.drawn(id, parsed(wishSchema, query), request);
  }

  /** The same with a layout of the boards that is printed as it is, and not looked for again. */
  @Post('projects/:id/sheets')
  @HttpCode(200)
  @Header('content-type', 'application/pdf')
  pdfOf(
    @Param('id') id: string,
    @Query() query: unknown,
    @Body() body: unknown,
    @Req() request: Request,
  ): Promise<StreamableFile> {
    return this.drawn(id, { ...parsed(wishSchema, query), ...parsed(layoutSchema, body) }, request);
  }

  private async drawn(id: string, wish: SheetsWish, request: Request): Promise<StreamableFile> {
    const left = new AbortController();
    request.socket.once('close', () => left.abort());
    const pdf = await this.sheets.pdf(id, wish, left.signal);
    return new StreamableFile(pdf, { type: 'application/pdf' });
  }
}
