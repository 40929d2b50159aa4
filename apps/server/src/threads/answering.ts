import { parentPort } from 'node:worker_threads';

/** A thread's side: answers one ask after another; what goes wrong ends the thread and is told there. */
export function answering<Ask, Answer>(work: (ask: Ask) => Promise<Answer> | Answer): void {
  parentPort?.on('message', async (ask: Ask) => parentPort?.postMessage(await work(ask)));
}
