import { expose } from 'comlink';
import { type DayService, improved } from './day.js';
import { otherWork } from './others.js';

const service: DayService = {
  improve: async (ask, tell) => improved(ask, tell),
  others: async (...ask) => otherWork(...ask),
};

expose(service);
