import { parentPort, workerData } from 'node:worker_threads';
import { Refusal } from '../failure.js';
import { type BackupAnswer, carriedOut } from './inThread.js';

/** Makes or checks a backup; what it refuses, and what it fails at, goes back as its sentence: not every error survives the way between threads. */
let answer: BackupAnswer;
try {
  answer = { done: await carriedOut(workerData) };
} catch (error) {
  const { message } = error as Error;
  answer = error instanceof Refusal ? { refused: message } : { failed: message };
}
parentPort?.postMessage(answer);
