import { createHash } from 'node:crypto';
import {
  Body,
  Controller,
  Get,
  Header,
  NotFoundException,
  Param,
  Post,
  StreamableFile,
  UnprocessableEntityException,
} from '@nestjs/common';
import { DataSource } from 'typeorm';
import { PictureEntity } from './picture.entity.js';

/** Largest picture that is kept, bytes. */
export const MOST_PICTURE = 12 * 1024 * 1024;

/** First bytes of a file of each type that is taken. */
const BEGINNINGS: Readonly<Record<string, readonly number[]>> = {
  'image/png': [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a],
  'image/jpeg': [0xff, 0xd8, 0xff],
};

@Controller('api/pictures')
export class PicturesController {
  constructor(private readonly database: DataSource) {}

  /** Takes the bytes of a PNG or JPEG; answers with the key it is kept under. */
  @Post()
  async keep(@Body() body: unknown): Promise<{ key: string }> {
    const bytes = Buffer.isBuffer(body) ? body : Buffer.alloc(0);
    const type = Object.keys(BEGINNINGS).find((name) =>
      BEGINNINGS[name]!.every((byte, i) => bytes[i] === byte),
    );
    if (!type)
      throw new UnprocessableEntityException({
        statusCode: 422,
        reasons: [{ code: 'picture-type', path: '', message: 'The picture is neither a PNG nor a JPEG.' }],
      });
    const key = createHash('sha256').update(bytes).digest('hex');
    await this.pictures.save({ key, type, bytes });
    return { key };
  }

  @Get(':key')
  @Header('Cache-Control', 'private, max-age=31536000, immutable')
  async get(@Param('key') key: string): Promise<StreamableFile> {
    const found = await this.pictures.findOneBy({ key });
    if (!found) throw new NotFoundException({ statusCode: 404, message: 'That picture is not kept here.' });
    return new StreamableFile(found.bytes, { type: found.type });
  }

  private get pictures() {
    return this.database.getRepository(PictureEntity);
  }
}
