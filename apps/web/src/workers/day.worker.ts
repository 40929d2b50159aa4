import { expose } from 'comlink';
import { type DayService, improved } from './day.js';

const service: DayService = { improve: async (ask, tell) => improved(ask, tell) };

expose(service);
