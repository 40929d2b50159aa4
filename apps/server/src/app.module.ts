import type { ServerResponse } from 'node:http';
import { Database, type OpenDatabase } from '@fellside/database';
import { type DynamicModule, Module } from '@nestjs/common';
import { ServeStaticModule } from '@nestjs/serve-static';
import { BackupsController } from './backups/backups.controller.js';
import { BackupsService } from './backups/backups.service.js';
import { BoardsController } from './boards/boards.controller.js';
import { BoardsService } from './boards/boards.service.js';
import { DoorController } from './door/door.controller.js';
import { DrawingsController } from './drawings/drawings.controller.js';
import { DrawingsService } from './drawings/drawings.service.js';
import { HealthController } from './health/health.controller.js';
import { JournalController } from './journal/journal.controller.js';
import { JournalService } from './journal/journal.service.js';
import { PhotosController } from './journal/photos.controller.js';
import { UnreadableController } from './kept/unreadable.controller.js';
import { PassportController } from './passport/passport.controller.js';
import { PatternsController } from './patterns/patterns.controller.js';
import { PicturesController } from './pictures/pictures.controller.js';
import { PicturesService } from './pictures/pictures.service.js';
import { ProgressController } from './progress/progress.controller.js';
import { ProgressService } from './progress/progress.service.js';
import { ProjectsController } from './projects/projects.controller.js';
import { ProjectsService } from './projects/projects.service.js';
import { SETTINGS, type Settings } from './settings.js';
import { SheetsController } from './sheets/sheets.controller.js';
import { SheetsService } from './sheets/sheets.service.js';
import { ShopController } from './shop/shop.controller.js';
import { ShowController } from './show/show.controller.js';
import { StashController } from './stash/stash.controller.js';
import { StashService } from './stash/stash.service.js';
import { WoodsController } from './woods/woods.controller.js';
import { WoodsService } from './woods/woods.service.js';
import { WorkbookController } from './workbook/workbook.controller.js';

/** Files under /assets have a digest of their content in their names: they never change. */
const cached = (response: ServerResponse, path: string): void => {
  const forever = /[\\/]assets[\\/]/.test(path);
  response.setHeader('Cache-Control', forever ? 'public, max-age=31536000, immutable' : 'no-cache');
};

const CLOSING = Symbol('closing');

@Module({})
export class AppModule {
  /** The whole server over an open database: API under /api, the interface for every other address. */
  static with(settings: Settings, { database, close }: OpenDatabase): DynamicModule {
    return {
      module: AppModule,
      imports: [
        ServeStaticModule.forRoot({
          rootPath: settings.webFolder,
          exclude: ['/api/{*rest}', '/assets/{*rest}'],
          serveStaticOptions: { setHeaders: cached, cacheControl: false },
        }),
      ],
      controllers: [
        DoorController,
        HealthController,
        UnreadableController,
        BackupsController,
        ProjectsController,
        DrawingsController,
        PassportController,
        WoodsController,
        WorkbookController,
        ShopController,
        ShowController,
        PicturesController,
        StashController,
        PatternsController,
        BoardsController,
        SheetsController,
        ProgressController,
        JournalController,
        PhotosController,
      ],
      providers: [
        { provide: Database, useValue: database },
        // After everything that may write to it.
        { provide: CLOSING, useValue: { onApplicationShutdown: close } },
        { provide: SETTINGS, useValue: settings },
        ProjectsService,
        DrawingsService,
        WoodsService,
        StashService,
        BoardsService,
        PicturesService,
        BackupsService,
        SheetsService,
        ProgressService,
        JournalService,
      ],
    };
  }
}
