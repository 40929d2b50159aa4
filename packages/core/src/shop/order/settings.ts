import { type Rad, rad } from '../../measure/quantity.js';
import type { Said } from '../../measure/said.js';
import { SAME_ANGLE } from '../../measure/tolerance.js';
import type { Job, Order } from './job.js';
import { setFor } from './partJobs.js';
import { type Done, isDone } from './states.js';

/** One setting of the saw: what is cut at it, and with which stops, in the order of the work. */
export interface Setting {
  readonly id: string;
  readonly title: Said;
  readonly cutAngle: Rad;
  readonly bladeTilt: Rad;
  readonly cuts: readonly SettingCut[];
  readonly done: boolean;
}

/** What is cut in a job; its stop in mm, null where none is set. */
export interface SettingCut {
  readonly job: Job;
  readonly stopMm: number | null;
}

/** The settings of the table saw, one after the other; cuts that follow each other at the same angle and tilt are one. */
export function settingsOf({ jobs, stages }: Order, done: Done): Setting[] {
  const settings: (Omit<Setting, 'done'> & { cuts: SettingCut[] })[] = [];
  for (const job of jobs) {
    if (job.tool !== 'saw' || !job.stage.startsWith('saw-')) continue;
    const set = (purpose: Parameters<typeof setFor>[1]) => setFor(job.says[0]!, purpose);
    const [cutAngle, bladeTilt] = [rad(set('cut-angle') ?? 0), rad(set('blade-tilt') ?? 0)];
    const last = settings.at(-1);
    const cut = { job, stopMm: set('stop') };
    if (
      last &&
      Math.abs(last.cutAngle - cutAngle) < SAME_ANGLE &&
      Math.abs(last.bladeTilt - bladeTilt) < SAME_ANGLE
    )
      last.cuts.push(cut);
    else {
      const title = stages.find(({ id }) => id === job.stage)!.title;
      settings.push({ id: job.id, title, cutAngle, bladeTilt, cuts: [cut] });
    }
  }
  return settings.map((setting) => ({
    ...setting,
    done: setting.cuts.every(({ job }) => isDone(job, done)),
  }));
}
