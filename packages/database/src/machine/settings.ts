import { existsSync, readFileSync } from 'node:fs';
import { z } from 'zod';
import { type Automatic, automaticSchema, USUAL_AUTOMATIC } from '../backup/automatic.js';
import { Refusal } from '../failure.js';
import { filesOf, writeWhole } from '../files.js';
import { type Passphrase, passphraseSchema } from './passphrase.js';

const machineSchema = z.strictObject({
  automatic: automaticSchema.optional(),
  passphrase: passphraseSchema.optional(),
});

/** What belongs to this machine and to no backup: where backups go, who may come in. */
export interface Machine {
  readonly automatic: Automatic;
  readonly passphrase: Passphrase | null;
}

/** Reads the machine's settings. Throws a `Refusal` when the file cannot be read: who may come in is never guessed. */
export function readMachine(folder: string): Machine {
  const path = filesOf(folder).machine;
  if (!existsSync(path)) return { automatic: USUAL_AUTOMATIC, passphrase: null };
  let given: unknown;
  try {
    given = JSON.parse(readFileSync(path, 'utf8'));
  } catch {
    given = null;
  }
  const parsed = machineSchema.safeParse(given);
  if (!parsed.success)
    throw new Refusal(
      `The settings in ${path} cannot be read. Mend the file, or take it away: then the passphrase is set anew and backups go to the usual folder.`,
    );
  return {
    automatic: parsed.data.automatic ?? USUAL_AUTOMATIC,
    passphrase: parsed.data.passphrase ?? null,
  };
}

/** Changes some of the machine's settings; the file can be read by its owner only. */
export function changeMachine(folder: string, change: Partial<Machine>): Machine {
  const machine = { ...readMachine(folder), ...change };
  const { automatic, passphrase } = machine;
  writeWhole(
    filesOf(folder).machine,
    `${JSON.stringify({ automatic, ...(passphrase && { passphrase }) }, null, 2)}\n`,
  );
  return machine;
}
