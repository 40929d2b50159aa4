import { loadSolver, shopSheets } from '@fellside/sheets';
import { answering } from '../threads/answering.js';

/** Draws shop sheets beside the server, which goes on answering meanwhile. */
answering((ask: Parameters<typeof shopSheets>[0]) => shopSheets(ask, loadSolver));
