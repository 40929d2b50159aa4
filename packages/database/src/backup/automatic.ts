import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import { type KeepRule, keepers } from '../keepers.js';
import { type CheckedBackup, checkBackup } from './check.js';
import { backupName, backupsIn } from './listed.js';
import { writeBackup } from './write.js';

const many = (label: string, most: number) => {
  const error = `${label} kept has to be a whole number from 0 to ${most}.`;
  return z.int({ error }).min(0, { error }).max(most, { error });
};

/** How many automatic backups are kept, and where; `folder` null is the usual one in the data folder. */
export const automaticSchema = z
  .strictObject({
    on: z.boolean(),
    folder: z.string().trim().min(1).max(500).nullable(),
    days: many('Days', 60),
    weeks: many('Weeks', 60),
    months: many('Months', 120),
  })
  .refine(({ days, weeks, months }) => days + weeks + months > 0, {
    path: ['days'],
    error: 'At least one backup has to be kept; switch them off where none is wanted.',
  });
export type Automatic = z.infer<typeof automaticSchema>;

export const USUAL_AUTOMATIC: Automatic = { on: true, folder: null, days: 7, weeks: 5, months: 12 };

const DAY = 24 * 3_600_000;

/** Whether the next automatic backup is due: none of the last day is there. */
export function isDue(folder: string, now: number): boolean {
  const newest = backupsIn(folder).find(({ kind }) => kind === 'automatic');
  return !newest || now - Date.parse(newest.madeAt) >= DAY || Date.parse(newest.madeAt) > now + DAY;
}

/**
 * Writes a backup into a folder and tries it: opens it, reads every file in it and counts. Throws where it does not hold
 * what was written; then the older ones stay.
 */
export async function makeBackup(
  database: string,
  folder: string,
  kind: 'automatic' | 'by-hand',
  now = new Date(),
): Promise<{ path: string; checked: CheckedBackup }> {
  const path = join(folder, backupName(kind, now));
  const counts = await writeBackup(database, path, now);
  const checked = await checkBackup(path);
  if (JSON.stringify(checked.counts) !== JSON.stringify(counts))
    throw new Error('The backup does not hold what was written into it.');
  return { path, checked };
}

/** Takes automatic backups away that no rule keeps; those made by hand or before a restore stay. */
export function tidy(folder: string, { days, weeks, months }: Automatic): string[] {
  const automatic = backupsIn(folder).filter(({ kind }) => kind === 'automatic');
  const rule: KeepRule = { newest: 1, day: days, week: weeks, month: months };
  const kept = keepers(
    automatic.map(({ madeAt }) => Date.parse(madeAt)),
    rule,
  );
  const gone = automatic.filter(({ madeAt }) => !kept.has(Date.parse(madeAt))).map(({ path }) => path);
  for (const path of gone) rmSync(path, { force: true });
  return gone;
}
