import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import type { DataSourceOptions } from 'typeorm';
import { BoardEntity } from '../boards/board.entity.js';
import { PatternEntity } from '../patterns/pattern.entity.js';
import { PictureEntity } from '../pictures/picture.entity.js';
import { ProjectEntity } from '../projects/project.entity.js';
import { VersionEntity } from '../projects/version.entity.js';
import { ShopEntity } from '../shop/shop.entity.js';
import { StashEntity } from '../stash/stash.entity.js';
import { WoodEntity } from '../woods/wood.entity.js';
import { First1763900000000 } from './0001-first.js';
import { Pictures1764000000000 } from './0002-pictures.js';
import { Stash1764100000000 } from './0003-stash.js';
import { Patterns1764200000000 } from './0004-patterns.js';
import { Boards1764300000000 } from './0005-boards.js';

/**
 * SQLite in WAL mode, every commit on disk before it is answered. The exclusive lock keeps a second Fellside off the
 * same data folder; the system lets go of it when the process ends, however it ends.
 */
export function databaseOptions(dataFolder: string): DataSourceOptions {
  mkdirSync(dataFolder, { recursive: true });
  return {
    type: 'better-sqlite3',
    database: join(dataFolder, 'fellside.sqlite'),
    enableWAL: true,
    timeout: 500,
    prepareDatabase: (db: { pragma(text: string): unknown }) => {
      db.pragma('locking_mode = EXCLUSIVE');
      db.pragma('synchronous = FULL');
      db.pragma('foreign_keys = ON');
    },
    entities: [
      ProjectEntity,
      VersionEntity,
      WoodEntity,
      ShopEntity,
      PictureEntity,
      StashEntity,
      PatternEntity,
      BoardEntity,
    ],
    migrations: [
      First1763900000000,
      Pictures1764000000000,
      Stash1764100000000,
      Patterns1764200000000,
      Boards1764300000000,
    ],
    migrationsRun: true,
    synchronize: false,
  };
}
