import { answering } from '../threads/answering.js';
import { rowsOf } from './rows.js';

/** Plans all pieces of the shelf beside the server. */
answering(rowsOf);
