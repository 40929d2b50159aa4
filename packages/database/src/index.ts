import 'reflect-metadata';

export { type Automatic, automaticSchema, isDue, makeBackup, tidy } from './backup/automatic.js';
export { type CheckedBackup, checkBackup } from './backup/check.js';
export type { BackupCounts } from './backup/format.js';
export { type BackupDone, backupInThread } from './backup/inThread.js';
export { backupName, backupsIn, type ListedBackup } from './backup/listed.js';
export { rescue } from './backup/rescue.js';
export { type Restored, restoreFolder, restoreInto } from './backup/restore.js';
export { writeBackup } from './backup/write.js';
export { Database, type Writable } from './database.js';
export { BoardEntity } from './entities/board.js';
export { DrawingEntity } from './entities/drawing.js';
export { JournalEntity } from './entities/journal.js';
export { PatternEntity } from './entities/pattern.js';
export { PhotoEntity } from './entities/photo.js';
export { PictureEntity } from './entities/picture.js';
export { ProjectEntity } from './entities/project.js';
export { ShopEntity } from './entities/shop.js';
export { StashEntity } from './entities/stash.js';
export { TickEntity } from './entities/tick.js';
export { UseEntity, type UseKind } from './entities/use.js';
export { VersionEntity } from './entities/version.js';
export { WoodEntity } from './entities/wood.js';
export { CannotWrite, Refusal } from './failure.js';
export { filesOf, makeFolder } from './files.js';
export { type KeepRule, keepers } from './keepers.js';
export {
  isPassphrase,
  isSession,
  keepPassphrase,
  type Passphrase,
  sessionToken,
} from './machine/passphrase.js';
export { changeMachine, type Machine, readMachine } from './machine/settings.js';
export { examine } from './opening/examine.js';
export { type OpenDatabase, openDatabase } from './opening/open.js';
export { shelved } from './shelved.js';
