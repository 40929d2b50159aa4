import { type History, historySchema, readProject, readProjectFile } from '@fellside/core';
import { Body, Controller, Delete, Get, HttpCode, Param, ParseIntPipe, Post, Put } from '@nestjs/common';
import { z } from 'zod';
import { accepted, parsed } from '../reasons/answer.js';
import { StashService } from '../stash/stash.service.js';
import { WoodsService } from '../woods/woods.service.js';
import { ProjectsService } from './projects.service.js';

const newBody = z.strictObject({ document: z.unknown() });
const saveBody = z.strictObject({ revision: z.int().min(1), document: z.unknown(), history: historySchema });

@Controller('api/projects')
export class ProjectsController {
  constructor(
    private readonly projects: ProjectsService,
    private readonly woods: WoodsService,
    private readonly stash: StashService,
  ) {}

  @Get()
  list() {
    return this.projects.list();
  }

  @Post()
  async create(@Body() body: unknown) {
    const document = accepted(readProject(parsed(newBody, body).document));
    await this.stash.assertFree(document, null);
    return this.projects.create(document);
  }

  /** Takes the text of a project file; woods in it that are not known here are taken in as own woods. */
  @Post('import')
  async import(@Body() text: unknown) {
    const file = accepted(readProjectFile(typeof text === 'string' ? text : ''));
    await this.stash.assertFree(file.project, null);
    await this.woods.takeIn(file.woods);
    return this.projects.create(file.project);
  }

  @Get(':id')
  get(@Param('id') id: string) {
    return this.projects.get(id);
  }

  @Put(':id')
  async save(@Param('id') id: string, @Body() body: unknown) {
    const { revision, document, history } = parsed(saveBody, body);
    const project = accepted(readProject(document));
    await this.stash.assertFree(project, id);
    return this.projects.save(id, revision, project, history as History);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string) {
    return this.projects.setRemoved(id, true);
  }

  /** Puts a removed piece back on the shelf. */
  @Post(':id/restore')
  @HttpCode(204)
  async restore(@Param('id') id: string) {
    await this.stash.assertFree(await this.projects.removed(id), id);
    return this.projects.setRemoved(id, false);
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
