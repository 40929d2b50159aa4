import { randomUUID } from 'node:crypto';
import { Database, PhotoEntity, ProjectEntity } from '@fellside/database';
import {
  Body,
  Controller,
  Get,
  Header,
  HttpCode,
  NotFoundException,
  Param,
  Post,
  Put,
  StreamableFile,
} from '@nestjs/common';
import { pictureType } from '../pictures/pictures.service.js';
import { Unprocessable } from '../reasons/answer.js';

const gone = (message: string) => new NotFoundException({ statusCode: 404, message });

/** Photographs of pieces: as they were taken, and as a browser turned and shrank them to be looked at. */
@Controller('api')
export class PhotosController {
  constructor(private readonly database: Database) {}

  /** Takes the bytes of a JPEG or PNG; it is seen once an entry of the journal names it. */
  @Post('projects/:id/photos')
  async keep(@Param('id') projectId: string, @Body() body: unknown): Promise<{ id: string }> {
    const { bytes, type } = pictureOf(body);
    const id = randomUUID();
    await this.database.write(async (manager) => {
      if (!(await manager.existsBy(ProjectEntity, { id: projectId }))) throw gone('There is no such piece.');
      await manager.insert(PhotoEntity, { id, projectId, type, bytes, view: null });
    });
    return { id };
  }

  /** Puts what is looked at in its place; the original stays. */
  @Put('photos/:photo/view')
  @HttpCode(204)
  async show(@Param('photo') id: string, @Body() body: unknown): Promise<void> {
    const { bytes, type } = pictureOf(body);
    if (type !== 'image/jpeg') throw wrongType('What is looked at has to be a JPEG.');
    await this.database.write(async (manager) => {
      const { affected } = await manager.update(PhotoEntity, { id }, { view: bytes });
      if (!affected) throw gone('That photograph is not kept here.');
    });
  }

  @Get('photos/:photo')
  async original(@Param('photo') id: string): Promise<StreamableFile> {
    const { bytes, type } = await this.found(id);
    return new StreamableFile(bytes, { type });
  }

  /** As it is looked at; the original where no browser has made that yet. */
  @Get('photos/:photo/view')
  @Header('Cache-Control', 'private, no-cache')
  async view(@Param('photo') id: string): Promise<StreamableFile> {
    const { bytes, type, view } = await this.found(id);
    return view ? new StreamableFile(view, { type: 'image/jpeg' }) : new StreamableFile(bytes, { type });
  }

  private async found(id: string): Promise<PhotoEntity> {
    const found = await this.database.read((manager) => manager.findOneBy(PhotoEntity, { id }));
    if (!found) throw gone('That photograph is not kept here.');
    return found;
  }
}

const wrongType = (message: string) => new Unprocessable([{ code: 'api:picture-type', path: '', message }]);

function pictureOf(body: unknown): { bytes: Buffer; type: string } {
  const bytes = Buffer.isBuffer(body) ? body : Buffer.alloc(0);
  const type = pictureType(bytes);
  if (!type) throw wrongType('The photograph is neither a JPEG nor a PNG.');
  return { bytes, type };
}
