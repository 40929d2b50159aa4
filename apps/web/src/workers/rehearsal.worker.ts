import { expose } from 'comlink';
import { type RehearsalService, rehearsed } from './rehearsal.js';

const service: RehearsalService = {
  rehearse: async (ask, tell) => rehearsed(ask, tell),
};

expose(service);
