import { Body, Controller, Delete, Get, Header, Param, Post, StreamableFile } from '@nestjs/common';
import { Unprocessable } from '../reasons/answer.js';
import { PicturesService, pictureType } from './pictures.service.js';

@Controller('api/pictures')
export class PicturesController {
  constructor(private readonly pictures: PicturesService) {}

  /** Takes the bytes of a PNG or JPEG; answers with the key it is kept under. */
  @Post()
  async keep(@Body() body: unknown): Promise<{ key: string }> {
    const bytes = Buffer.isBuffer(body) ? body : Buffer.alloc(0);
    const type = pictureType(bytes);
    if (!type)
      throw new Unprocessable([
        { code: 'api:picture-type', path: '', message: 'The picture is neither a PNG nor a JPEG.' },
      ]);
    return this.pictures.keep(type, bytes);
  }

  @Get('unused')
  unused() {
    return this.pictures.unused();
  }

  /** Clears away what nothing uses. */
  @Delete('unused')
  clear() {
    return this.pictures.clear();
  }

  @Get(':key')
  @Header('Cache-Control', 'private, max-age=31536000, immutable')
  async get(@Param('key') key: string): Promise<StreamableFile> {
    const { bytes, type } = await this.pictures.get(key);
    return new StreamableFile(bytes, { type });
  }
}
