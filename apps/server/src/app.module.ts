import { type DynamicModule, Module } from '@nestjs/common';
import { ServeStaticModule } from '@nestjs/serve-static';
import { TypeOrmModule } from '@nestjs/typeorm';
import { BoardsController } from './boards/boards.controller.js';
import { BoardsService } from './boards/boards.service.js';
import { databaseOptions } from './database/options.js';
import { PatternsController } from './patterns/patterns.controller.js';
import { PicturesController } from './pictures/pictures.controller.js';
import { ProjectsController } from './projects/projects.controller.js';
import { ProjectsService } from './projects/projects.service.js';
import type { Settings } from './settings.js';
import { SheetsController } from './sheets/sheets.controller.js';
import { SheetsService } from './sheets/sheets.service.js';
import { ShopController } from './shop/shop.controller.js';
import { StashController } from './stash/stash.controller.js';
import { StashService } from './stash/stash.service.js';
import { WoodsController } from './woods/woods.controller.js';
import { WoodsService } from './woods/woods.service.js';

@Module({})
export class AppModule {
  /** The whole server: API under /api, the interface for every other address. */
  static with(settings: Pick<Settings, 'dataFolder' | 'webFolder'>): DynamicModule {
    return {
      module: AppModule,
      imports: [
        TypeOrmModule.forRoot({ ...databaseOptions(settings.dataFolder), retryAttempts: 0 }),
        ServeStaticModule.forRoot({
          rootPath: settings.webFolder,
          exclude: ['/api/{*rest}', '/assets/{*rest}'],
        }),
      ],
      controllers: [
        ProjectsController,
        WoodsController,
        ShopController,
        PicturesController,
        StashController,
        PatternsController,
        BoardsController,
        SheetsController,
      ],
      providers: [ProjectsService, WoodsService, StashService, BoardsService, SheetsService],
    };
  }
}
