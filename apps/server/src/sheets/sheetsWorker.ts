import { parentPort, workerData } from 'node:worker_threads';
import { loadSolver, shopSheets } from '@fellside/sheets';

/** Draws shop sheets beside the server, which goes on answering meanwhile. */
const answer = await shopSheets(workerData, loadSolver);
parentPort?.postMessage(answer);
