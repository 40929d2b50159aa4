import { existsSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { filesOf } from '../files.js';

/** Why a backup was made: by the calendar, by hand, or before a restore replaced what was there. */
export const BACKUP_KINDS = ['automatic', 'by-hand', 'before-restore'] as const;
export type BackupKind = (typeof BACKUP_KINDS)[number];

export interface ListedBackup {
  readonly path: string;
  readonly kind: BackupKind;
  /** ISO time, UTC. */
  readonly madeAt: string;
  readonly bytes: number;
}

const NAME = /^fellside-(automatic|by-hand|before-restore)-(\d{4}-\d\d-\d\d)T(\d\d)-(\d\d)-(\d\d)Z\.zip$/;

/** The name of a backup made at a time: `fellside-automatic-2026-11-28T16-29-52Z.zip`. */
export const backupName = (kind: BackupKind, at: Date): string =>
  `fellside-${kind}-${at.toISOString().slice(0, 19).replaceAll(':', '-')}Z.zip`;

/** Backups in a folder, newest first; none where there is no folder. */
export function backupsIn(folder: string): ListedBackup[] {
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .flatMap((name): ListedBackup[] => {
      const parts = NAME.exec(name);
      if (!parts) return [];
      const [, kind, day, hour, minute, second] = parts;
      const path = join(folder, name);
      return [
        {
          path,
          kind: kind as BackupKind,
          madeAt: `${day}T${hour}:${minute}:${second}Z`,
          bytes: statSync(path).size,
        },
      ];
    })
    .sort((a, b) => (a.madeAt < b.madeAt ? 1 : -1));
}

/** The newest backup in the usual folder of a data folder. */
export const newestBackup = (dataFolder: string): ListedBackup | undefined =>
  backupsIn(filesOf(dataFolder).backups)[0];
