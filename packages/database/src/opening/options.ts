import type { DataSourceOptions } from 'typeorm';
import { BoardEntity } from '../entities/board.js';
import { DrawingEntity } from '../entities/drawing.js';
import { JournalEntity } from '../entities/journal.js';
import { PatternEntity } from '../entities/pattern.js';
import { PhotoEntity } from '../entities/photo.js';
import { PictureEntity } from '../entities/picture.js';
import { ProjectEntity } from '../entities/project.js';
import { ShopEntity } from '../entities/shop.js';
import { StashEntity } from '../entities/stash.js';
import { TickEntity } from '../entities/tick.js';
import { UseEntity } from '../entities/use.js';
import { VersionEntity } from '../entities/version.js';
import { WoodEntity } from '../entities/wood.js';
import { First1763900000000 } from '../migrations/0001-first.js';
import { Pictures1764000000000 } from '../migrations/0002-pictures.js';
import { Stash1764100000000 } from '../migrations/0003-stash.js';
import { Patterns1764200000000 } from '../migrations/0004-patterns.js';
import { Boards1764300000000 } from '../migrations/0005-boards.js';
import { Shelf1764400000000 } from '../migrations/0006-shelf.js';
import { Ticks1764500000000 } from '../migrations/0007-ticks.js';
import { Journal1764600000000 } from '../migrations/0008-journal.js';
import { Kinds1764700000000 } from '../migrations/0009-kinds.js';

/** Migrations in their order, and the tables that each brought. */
export const MIGRATIONS = [
  { migration: First1763900000000, tables: ['projects', 'project_versions', 'woods', 'shop'] },
  { migration: Pictures1764000000000, tables: ['pictures'] },
  { migration: Stash1764100000000, tables: ['stash'] },
  { migration: Patterns1764200000000, tables: ['pattern'] },
  { migration: Boards1764300000000, tables: ['board'] },
  { migration: Shelf1764400000000, tables: ['uses', 'drawings'] },
  { migration: Ticks1764500000000, tables: ['ticks'] },
  { migration: Journal1764600000000, tables: ['journal', 'photos'] },
  { migration: Kinds1764700000000, tables: [] },
] as const;

/** How SQLite is opened: in WAL mode, every commit on disk before it is answered. */
export const databaseOptions = (file: string): DataSourceOptions => ({
  type: 'better-sqlite3',
  database: file,
  enableWAL: true,
  timeout: 5000,
  prepareDatabase: (db: { pragma(text: string): unknown }) => {
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
    UseEntity,
    DrawingEntity,
    TickEntity,
    JournalEntity,
    PhotoEntity,
  ],
  migrations: MIGRATIONS.map(({ migration }) => migration),
  migrationsRun: true,
  migrationsTransactionMode: 'all',
  synchronize: false,
});
