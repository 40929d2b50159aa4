import 'reflect-metadata';
import { MOST_BYTES } from '@fellside/core';
import { demoBoards, demoProjects, demoStash } from '@fellside/core/demo';
import { HttpAdapterHost, NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import helmet from 'helmet';
import { AppModule } from './app.module.js';
import { BoardsService } from './boards/boards.service.js';
import { ownPagesOnly } from './neighbours.js';
import { MOST_PICTURE } from './pictures/pictures.controller.js';
import { ProjectsService } from './projects/projects.service.js';
import { BodyFilter } from './reasons/bodyFilter.js';
import type { Settings } from './settings.js';
import { StashService } from './stash/stash.service.js';

/** A request carries a document and its history. */
const MOST_BODY = 3 * MOST_BYTES;

/** Builds the server without listening; it logs nothing until it does, so that what stops it is said once. Throws when the data folder is in use. */
export async function createServer(settings: Settings): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.with(settings), {
    logger: false,
    abortOnError: false,
    forceCloseConnections: true,
  });
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: { 'script-src': ["'self'", "'wasm-unsafe-eval'"], 'upgrade-insecure-requests': null },
      },
      strictTransportSecurity: false,
    }),
  );
  app.use(ownPagesOnly(settings.host));
  app.useBodyParser('json', { limit: MOST_BODY });
  app.useBodyParser('text', { limit: MOST_BODY });
  app.useBodyParser('raw', { type: ['image/png', 'image/jpeg'], limit: MOST_PICTURE });
  app.useGlobalFilters(new BodyFilter(app.get(HttpAdapterHost).httpAdapter));
  if (settings.demo) await fillShelf(app.get(ProjectsService), app.get(StashService), app.get(BoardsService));
  return app;
}

/** Puts the demo pieces, rings and boards into a database that never held any. */
async function fillShelf(
  projects: ProjectsService,
  stash: StashService,
  boards: BoardsService,
): Promise<void> {
  if ((await projects.count()) > 0) return;
  for (const piece of demoProjects().reverse()) await projects.create(piece);
  for (const ring of demoStash()) await stash.add(ring);
  await boards.replace([], demoBoards());
}
