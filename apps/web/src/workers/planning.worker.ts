import { type Plan, plan, type Result } from '@fellside/core';
import type { PlanAsk } from './planning.js';

/** Without what cannot be sent: functions of blanks and of what rings need. */
const plainly = (result: Result<Plan>): Result<Plan> => JSON.parse(JSON.stringify(result));

self.onmessage = ({ data: { project, shop, woods } }: MessageEvent<Omit<PlanAsk, 'from'>>) => {
  self.postMessage(plainly(plan(project, shop, woods)));
};
