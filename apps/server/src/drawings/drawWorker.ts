import { answering } from '../threads/answering.js';
import { drawn } from './draw.js';

/** Draws elevations beside the server. */
answering(drawn);
