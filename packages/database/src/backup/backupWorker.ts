import { parentPort, workerData } from 'node:worker_threads';
import { Refusal } from '../failure.js';
import { type BackupAnswer, carriedOut } from './inThread.js';

/** Makes or checks a backup; what it refuses goes back as its sentence. */
let answer: BackupAnswer;
try {
  answer = { done: await carriedOut(workerData) };
} catch (error) {
  if (!(error instanceof Refusal)) throw error;
  answer = { refused: error.message };
}
parentPort?.postMessage(answer);
