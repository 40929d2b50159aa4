import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { Worker } from 'node:worker_threads';
import { Refusal } from '../failure.js';
import { makeBackup } from './automatic.js';
import { type CheckedBackup, checkBackup } from './check.js';

export type BackupJob =
  | {
      readonly do: 'make';
      readonly database: string;
      readonly folder: string;
      readonly kind: 'automatic' | 'by-hand';
    }
  | { readonly do: 'check'; readonly path: string };
export interface BackupDone {
  readonly path: string;
  readonly checked: CheckedBackup;
}
export type BackupAnswer =
  | { readonly done: BackupDone }
  | { readonly refused: string }
  | { readonly failed: string };

const WORKER = new URL('./backupWorker.js', import.meta.url);

/** Makes or checks a backup as a thread of its own does it. */
export async function carriedOut(job: BackupJob): Promise<BackupDone> {
  if (job.do === 'check') return { path: job.path, checked: await checkBackup(job.path) };
  return makeBackup(job.database, job.folder, job.kind);
}

/** The same beside the server, which goes on answering; from sources, where there is no built worker, in this thread. */
export function backupInThread(job: BackupJob): Promise<BackupDone> {
  if (!existsSync(fileURLToPath(WORKER))) return carriedOut(job);
  return new Promise((answered, failed) => {
    const worker = new Worker(WORKER, { workerData: job });
    worker.once('message', (answer: BackupAnswer) => {
      if ('done' in answer) answered(answer.done);
      else failed('refused' in answer ? new Refusal(answer.refused) : new Error(answer.failed));
    });
    worker.once('error', failed);
    worker.once('exit', (status) => {
      if (status !== 0) failed(new Error(`The backup could not be made (${status}).`));
    });
  });
}
