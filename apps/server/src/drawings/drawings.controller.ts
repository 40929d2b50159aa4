import { Controller, Get, Header, Param, ParseIntPipe, Req, StreamableFile } from '@nestjs/common';
import type { Request } from 'express';
import { DrawingsService } from './drawings.service.js';

@Controller('api/projects/:id/drawings')
export class DrawingsController {
  constructor(private readonly drawings: DrawingsService) {}

  /** The elevation of a piece at a revision, PNG; it never changes. */
  @Get(':revision')
  @Header('Cache-Control', 'private, max-age=31536000, immutable')
  async get(
    @Param('id') id: string,
    @Param('revision', ParseIntPipe) revision: number,
    @Req() request: Request,
  ): Promise<StreamableFile> {
    const left = new AbortController();
    request.socket.once('close', () => left.abort());
    return new StreamableFile(await this.drawings.of(id, revision, left.signal), { type: 'image/png' });
  }
}
