import {
  FORM_KINDS,
  type FormKind,
  type History,
  historySchema,
  MOST_AT_ONCE,
  readProject,
  readProjectFile,
  writeProjectFile,
} from '@fellside/core';
import { Database, PictureEntity } from '@fellside/database';
import {
  Body,
  Controller,
  Delete,
  Get,
  Header,
  HttpCode,
  Param,
  ParseIntPipe,
  Post,
  Put,
  Query,
} from '@nestjs/common';
import { z } from 'zod';
import { accepted, parsed } from '../reasons/answer.js';
import { WoodsService } from '../woods/woods.service.js';
import { ProjectsService } from './projects.service.js';
import { MOST_ON_PAGE, SHELF_ORDERS, SHELF_STATES } from './shelf.js';
import { takeIn } from './taking.js';

const newBody = z.strictObject({ document: z.unknown() });
const manyBody = z.strictObject({
  documents: z
    .array(z.unknown())
    .min(1, { error: 'There is no piece to put on the shelf.' })
    .max(MOST_AT_ONCE, { error: `At most ${MOST_AT_ONCE} pieces are made at once.` }),
});
const saveBody = z.strictObject({ revision: z.int().min(1), document: z.unknown(), history: historySchema });
const takeBody = z.strictObject({
  text: z.string(),
  woods: z.record(z.string(), z.enum(['mine', 'both'])).default({}),
  anew: z.boolean().default(false),
});
const pageNumber = (label: string, least: number, most: number, usual: number) =>
  z.coerce
    .number({ error: `${label} has to be a number.` })
    .int({ error: `${label} has to be a whole number.` })
    .min(least, { error: `${label} has to be at least ${least}.` })
    .max(most, { error: `${label} has to be at most ${most}.` })
    .default(usual);
const KINDS = Object.keys(FORM_KINDS) as FormKind[];
const pageAsk = z.strictObject({
  from: pageNumber('From', 0, 1e6, 0),
  count: pageNumber('Count', 1, MOST_ON_PAGE, 60),
  removed: z
    .enum(['true', 'false'])
    .default('false')
    .transform((given) => given === 'true'),
  named: z.string().max(80).default(''),
  order: z
    .enum(SHELF_ORDERS, { error: () => `Order is one of ${SHELF_ORDERS.join(', ')}.` })
    .default('saved'),
  wood: z.string().max(80).default(''),
  kind: z.enum(['', ...KINDS], { error: () => `Kind is one of ${KINDS.join(', ')}.` }).default(''),
  state: z
    .enum(['', ...SHELF_STATES], { error: () => `State is one of ${SHELF_STATES.join(', ')}.` })
    .default(''),
});

@Controller('api/projects')
export class ProjectsController {
  constructor(
    private readonly projects: ProjectsService,
    private readonly woods: WoodsService,
    private readonly database: Database,
  ) {}

  @Get()
  list(@Query() query: unknown) {
    return this.projects.list(parsed(pageAsk, query));
  }

  @Post()
  create(@Body() body: unknown) {
    return this.projects.create(accepted(readProject(parsed(newBody, body).document)));
  }

  /** Several pieces at once, all of them or none. */
  @Post('many')
  createMany(@Body() body: unknown) {
    return this.projects.createMany(
      parsed(manyBody, body).documents.map((each) => accepted(readProject(each))),
    );
  }

  /** Takes in a project file: its text, or that with what to do about woods that differ and rings from the stash. */
  @Post('import')
  import(@Body() body: unknown) {
    const { text, woods, anew } = parsed(takeBody, typeof body === 'string' ? { text: body } : body);
    const file = accepted(readProjectFile(text));
    return this.database.write((manager) => takeIn(manager, file, { woods, anew }));
  }

  @Get(':id')
  get(@Param('id') id: string) {
    return this.projects.get(id);
  }

  /** The project file of a piece, with its picture and own woods. */
  @Get(':id/file')
  @Header('content-type', 'application/json; charset=utf-8')
  async file(@Param('id') id: string): Promise<string> {
    const project = await this.projects.document(id);
    const key = project.underlay?.picture;
    const picture = key
      ? await this.database.read((manager) => manager.findOneBy(PictureEntity, { key }))
      : null;
    const carried = picture && { key: picture.key, base64: picture.bytes.toString('base64') };
    return writeProjectFile(project, await this.woods.list(), carried ?? undefined);
  }

  /** What is stored, as it is. */
  @Get(':id/raw')
  @Header('content-type', 'text/plain; charset=utf-8')
  raw(@Param('id') id: string) {
    return this.projects.raw(id);
  }

  @Put(':id')
  save(@Param('id') id: string, @Body() body: unknown) {
    const { revision, document, history } = parsed(saveBody, body);
    return this.projects.save(id, revision, accepted(readProject(document)), history as History);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string) {
    return this.projects.remove(id);
  }

  /** Takes a removed piece away for good. */
  @Delete(':id/for-good')
  @HttpCode(204)
  removeForGood(@Param('id') id: string) {
    return this.projects.removeForGood(id);
  }

  /** Puts a removed piece back on the shelf. */
  @Post(':id/restore')
  @HttpCode(204)
  restore(@Param('id') id: string) {
    return this.projects.putBack(id);
  }

  @Get(':id/versions')
  versions(@Param('id') id: string) {
    return this.projects.versions(id);
  }

  @Get(':id/versions/:revision')
  version(@Param('id') id: string, @Param('revision', ParseIntPipe) revision: number) {
    return this.projects.version(id, revision);
  }
}
