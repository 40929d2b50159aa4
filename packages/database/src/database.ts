import { statSync } from 'node:fs';
import { Mutex } from 'async-mutex';
import type Sqlite from 'better-sqlite3';
import { DataSource, type EntityManager } from 'typeorm';
import { CannotWrite, writeTrouble } from './failure.js';
import { IN_USE } from './opening/examine.js';
import { databaseOptions } from './opening/options.js';

const GONE =
  'The database file was moved or deleted while Fellside runs. Put it back, or stop Fellside and restore a backup.';

/** What tells a file from another that was put in its place; null where there is none. */
function inodeOf(file: string): bigint | null {
  return statSync(file, { bigint: true, throwIfNoEntry: false })?.ino ?? null;
}

/** Whether the database takes writes: since when not, and why, where the last one failed. */
export type Writable =
  | { readonly ok: true }
  | { readonly ok: false; readonly since: string; readonly sentence: string };

/**
 * The one way to the database (decision 18). There is one connection, so all work on it goes one after another: a reader
 * never sees half a write, and no write can nest in another. What `write` gives back is on disk.
 */
export class Database {
  private readonly line = new Mutex();
  private state: Writable = { ok: true };
  private inode: bigint | null = null;

  private constructor(private readonly source: DataSource) {}

  /** Opens a database file and brings its tables up to date. */
  static async open(file: string): Promise<Database> {
    const database = new Database(new DataSource(databaseOptions(file)));
    await database.connect();
    return database;
  }

  get writable(): Writable {
    return this.state;
  }

  get file(): string {
    return this.source.options.database as string;
  }

  /** Reads; nothing is being written meanwhile. */
  read<T>(work: (manager: EntityManager) => Promise<T>): Promise<T> {
    return this.line.runExclusive(() => work(this.source.manager));
  }

  /**
   * Writes all of it or nothing, and gives the work's answer back when it is on disk. Where the work throws, nothing is
   * kept and its error is passed on; where disk or database fail, it is a `CannotWrite` with a sentence, and the connection
   * is put right before anything else is done with it.
   */
  write<T>(work: (manager: EntityManager) => Promise<T>): Promise<T> {
    return this.line.runExclusive(async () => {
      try {
        await this.putRight();
        this.assertInPlace();
        this.connection.exec('BEGIN IMMEDIATE');
        const answer = await work(this.source.manager);
        if (!this.connection.inTransaction) throw new Error('SQLite has ended the transaction by itself');
        this.connection.exec('COMMIT');
        if (this.connection.inTransaction) throw new Error('the commit returned inside its transaction');
        this.assertInPlace();
        this.state = { ok: true };
        return answer;
      } catch (error) {
        const sentence = error instanceof CannotWrite ? error.sentence : writeTrouble(error);
        // After a full disk SQLite may have rolled back by itself: only what is still open is rolled back here.
        await this.putRight().catch(() => {});
        if (sentence === null) throw error;
        this.state = {
          ok: false,
          since: this.state.ok ? new Date().toISOString() : this.state.since,
          sentence,
        };
        throw new CannotWrite(sentence, error);
      }
    });
  }

  /** Closes the file while everybody waits, lets `swap` keep it and put another in its place, and opens what is there then. */
  async replace(swap: () => Promise<void>): Promise<void> {
    await this.line.runExclusive(async () => {
      await this.settle();
      try {
        await swap();
      } finally {
        await this.connect();
        this.begin();
      }
    });
  }

  /** Marks the database as in use, so that a copy without its log is known for what it is. */
  begin(): void {
    this.connection.pragma(`user_version = ${IN_USE}`);
    this.connection.pragma('wal_checkpoint(TRUNCATE)');
  }

  /** Ends it with all in one file. */
  async close(): Promise<void> {
    await this.line.runExclusive(() => this.settle());
  }

  private async settle(): Promise<void> {
    if (!this.source.isInitialized) return;
    try {
      this.connection.pragma('user_version = 0');
      this.connection.pragma('wal_checkpoint(TRUNCATE)');
    } catch {
      // A full disk: what is in the log stays there and is found at the next start.
    }
    await this.source.destroy();
  }

  /** A connection outside any transaction; a new one where the old cannot be brought there. */
  private async putRight(): Promise<void> {
    if (this.source.isInitialized) {
      try {
        if (this.connection.inTransaction) this.connection.exec('ROLLBACK');
      } catch {
        // What cannot be rolled back is judged by what SQLite says next.
      }
      if (this.connection.open && !this.connection.inTransaction) return;
      await this.source.destroy();
    }
    await this.connect();
  }

  /** The file that is written to still has its name: one that was deleted or moved away is written to and lost. */
  private assertInPlace(): void {
    if (inodeOf(this.file) !== this.inode) throw new CannotWrite(GONE, null);
  }

  private async connect(): Promise<void> {
    await this.source.initialize();
    this.inode = inodeOf(this.file);
  }

  private get connection(): Sqlite.Database {
    return (this.source.driver as unknown as { databaseConnection: Sqlite.Database }).databaseConnection;
  }
}
