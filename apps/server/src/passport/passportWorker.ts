import { answering } from '../threads/answering.js';
import { passportMade } from './make.js';

/** Makes passports beside the server. */
answering(passportMade);
