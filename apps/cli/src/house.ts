import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { Writable } from 'node:stream';
import { done, type Result, refuse } from '@fellside/core';
import {
  type BackupCounts,
  changeMachine,
  checkBackup,
  examine,
  filesOf,
  keepPassphrase,
  Refusal,
  rescue,
  restoreFolder,
  writeBackup,
} from '@fellside/database';

/** Commands on the house itself: its data folder, not a piece. */
export const HOUSE = ['backup', 'restore', 'rescue', 'inspect', 'passphrase'] as const;
export type HouseCommand = (typeof HOUSE)[number];

export const isHouse = (command: string | undefined): command is HouseCommand =>
  (HOUSE as readonly string[]).includes(command ?? '');

export interface HouseGiven {
  readonly data?: string;
  /** Restores without asking; there is somebody to ask only at a terminal. */
  readonly yes?: boolean;
}

/** Asks for a line; with `secret` it does not show what is typed. */
export type Ask = (question: string, secret?: boolean) => Promise<string>;

const counted = (counts: BackupCounts): string =>
  Object.entries(counts)
    .map(([sort, n]) => `${n} ${sort}`)
    .join(', ');

/** Carries out a command on a data folder; a sentence on what was done, or why not. */
export async function house(
  command: HouseCommand,
  file: string | undefined,
  { data, yes = false }: HouseGiven,
  ask: Ask,
): Promise<Result<string>> {
  const folder = resolve(data ?? process.env.FELLSIDE_DATA ?? 'data/own');
  try {
    if (command === 'passphrase') return done(await passphrase(folder, ask));
    if (!existsSync(filesOf(folder).database) && command !== 'restore')
      return refuse(
        'terminal:no-database',
        'data',
        `There is no database in ${folder}; say with --data where it is.`,
      );
    if (command === 'inspect') {
      examine(folder, { full: true });
      return done(`The database in ${folder} is sound: every page and every index was read.\n`);
    }
    if (!file) return refuse('terminal:file', 'file', `Say which file: fellside ${command} FILE.zip.`);
    const path = resolve(file);
    if (command === 'restore') return await restored(folder, path, yes, ask);
    if (existsSync(path))
      return refuse('terminal:there-already', 'file', `${path} is there already; give another name.`);
    if (command === 'rescue') {
      const { counts, lost } = await rescue(folder, path);
      return done(`${path}: ${counted(counts)}\n${lost.map((line) => `Not whole: ${line}\n`).join('')}`);
    }
    examine(folder);
    await writeBackup(filesOf(folder).database, path);
    // Opened and counted, as it will be when it is needed.
    const { counts } = await checkBackup(path);
    return done(`${path}: ${counted(counts)}\n`);
  } catch (error) {
    if (error instanceof Refusal) return refuse('terminal:refused', '', error.message);
    return refuse('terminal:failed', '', `${command} failed: ${(error as Error).message}.`);
  }
}

async function restored(folder: string, path: string, yes: boolean, ask: Ask): Promise<Result<string>> {
  const { counts, madeAt, unreadable } = await checkBackup(path);
  const holds = `${path} of ${madeAt.slice(0, 16).replace('T', ' ')} holds ${counted(counts)}.`;
  if (!yes) {
    const answer = await ask(
      `${holds}\nIt takes the place of everything in ${folder}, which is kept as a backup first. Go on? [yes/no] `,
    );
    if (answer.trim().toLowerCase() !== 'yes')
      return refuse('terminal:not-asked', '', 'Nothing was changed.');
  }
  const { replaced } = await restoreFolder(folder, path);
  return done(
    [
      holds,
      ...(unreadable.length > 0 ? [`Cannot be read by this Fellside: ${unreadable.join(', ')}.`] : []),
      replaced ? `What was there is kept as ${replaced}.` : 'The folder was empty.',
      '',
    ].join('\n'),
  );
}

async function passphrase(folder: string, ask: Ask): Promise<string> {
  const words = await ask('Passphrase for other machines: ', true);
  changeMachine(folder, { passphrase: await keepPassphrase(words) });
  return `The passphrase is set in ${filesOf(folder).machine}; only its scrypt hash is kept.\n`;
}

/** Asks at the terminal, or takes the next line that is sent in. */
export async function askAtTerminal(question: string, secret = false): Promise<string> {
  const { stdin, stdout } = process;
  const shown = stdin.isTTY === true;
  if (shown) stdout.write(question);
  const silent = new Writable({ write: (_chunk, _encoding, next) => next() });
  const lines = createInterface({
    input: stdin,
    output: secret || !shown ? silent : stdout,
    terminal: shown,
  });
  try {
    for await (const line of lines) return line;
    return '';
  } finally {
    lines.close();
    if (shown && secret) stdout.write('\n');
  }
}
