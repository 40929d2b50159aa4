import { readdirSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import {
  type Automatic,
  type BackupCounts,
  type BackupDone,
  backupInThread,
  backupsIn,
  changeMachine,
  Database,
  filesOf,
  isDue,
  type ListedBackup,
  makeFolder,
  Refusal,
  type Restored,
  readMachine,
  restoreInto,
  tidy,
} from '@fellside/database';
import { Inject, Injectable, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import { SETTINGS, type Settings } from '../settings.js';

/** How often it is looked whether a backup is due, ms. */
const LOOK = 10 * 60_000;

/** What became of the last backup of this run of the server. */
export interface LastTry {
  readonly at: string;
  readonly path: string | null;
  readonly counts: BackupCounts | null;
  /** Why it failed; null where it was made and tried. */
  readonly failed: string | null;
}

/** Backups: by the calendar, by hand, and back. */
@Injectable()
export class BackupsService implements OnModuleInit, OnModuleDestroy {
  private timers: NodeJS.Timeout[] = [];
  private last: LastTry | null = null;
  private running: Promise<unknown> = Promise.resolve();

  constructor(
    private readonly database: Database,
    @Inject(SETTINGS) private readonly settings: Settings,
  ) {}

  onModuleInit(): void {
    const look = () => void this.look();
    // Not before the server has begun to answer.
    this.timers = [setTimeout(look, 2000).unref(), setInterval(look, LOOK).unref()];
  }

  async onModuleDestroy(): Promise<void> {
    for (const timer of this.timers) clearTimeout(timer);
    await this.running.catch(() => {});
  }

  get folder(): string {
    const { dataFolder } = this.settings;
    return readMachine(dataFolder).automatic.folder ?? filesOf(dataFolder).backups;
  }

  state(): { folder: string; automatic: Automatic; last: LastTry | null; backups: readonly ListedBackup[] } {
    const { automatic } = readMachine(this.settings.dataFolder);
    const usual = filesOf(this.settings.dataFolder).backups;
    const folders = [...new Set([this.folder, usual])];
    return {
      folder: this.folder,
      automatic,
      last: this.last,
      backups: folders.flatMap(backupsIn).sort((a, b) => (a.madeAt < b.madeAt ? 1 : -1)),
    };
  }

  /** Sets where and how many automatic backups are kept; refused where the folder cannot be written to. */
  set(automatic: Automatic): void {
    const folder = automatic.folder === null ? null : resolve(automatic.folder);
    if (folder !== null) assertWritable(folder);
    changeMachine(this.settings.dataFolder, { automatic: { ...automatic, folder } });
    void this.look();
  }

  /** Makes one by hand and tries it. */
  make(): Promise<string> {
    return this.alone(() => this.tried(() => this.made('by-hand')));
  }

  /** Looks a backup file through. */
  check(path: string): Promise<BackupDone> {
    return backupInThread({ do: 'check', path });
  }

  /** Puts a backup in the place of everything here, which is kept as a backup first. */
  restore(path: string): Promise<Restored> {
    return this.alone(() => restoreInto(this.database, this.settings.dataFolder, path));
  }

  /** A backup of the list by its file's name. */
  named(name: string): ListedBackup {
    const found = this.state().backups.find(
      ({ path }) => path.endsWith(`/${name}`) || path.endsWith(`\\${name}`),
    );
    if (!found) throw new Refusal('There is no such backup; it may have been taken away.');
    return found;
  }

  /** A place for what is being sent, in the data folder; what a kill left there is taken away. */
  incoming(): string {
    const folder = join(this.settings.dataFolder, 'incoming');
    makeFolder(folder);
    for (const name of readdirSync(folder)) rmSync(join(folder, name), { force: true });
    return join(folder, 'backup.zip');
  }

  /** Makes one where one is due. What keeps it from that, a disk that was taken out or settings that cannot be read, is told, no more. */
  private async look(): Promise<void> {
    const look = async () => {
      const { automatic } = readMachine(this.settings.dataFolder);
      if (!automatic.on || !isDue(this.folder, Date.now())) return null;
      await this.made('automatic');
      return automatic;
    };
    await this.alone(async () => {
      const made = await this.tried(look);
      if (made) tidy(this.folder, made);
    }).catch(() => {});
  }

  private async made(kind: 'automatic' | 'by-hand'): Promise<string> {
    const at = new Date().toISOString();
    const { path, checked } = await backupInThread({
      do: 'make',
      database: this.database.file,
      folder: this.folder,
      kind,
    });
    this.last = { at, path, counts: checked.counts, failed: null };
    return path;
  }

  /** What fails stands as the last try. */
  private async tried<T>(work: () => Promise<T>): Promise<T> {
    try {
      return await work();
    } catch (error) {
      const failed = (error as Error).message;
      this.last = { at: new Date().toISOString(), path: null, counts: null, failed };
      throw new Refusal(`The backup could not be made: ${failed}`);
    }
  }

  /** One after another. */
  private alone<T>(work: () => Promise<T>): Promise<T> {
    const turn = this.running.catch(() => {}).then(work);
    this.running = turn;
    return turn;
  }
}

function assertWritable(folder: string): void {
  try {
    makeFolder(folder);
    const probe = join(folder, '.fellside-probe');
    makeFolder(probe);
    rmSync(probe, { recursive: true });
  } catch (error) {
    throw new Refusal(`Backups cannot be written to ${folder}: ${(error as Error).message}.`);
  }
}
