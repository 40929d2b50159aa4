import {
  type AtTheLathe,
  cannotBe,
  dayPlan,
  type Plan,
  type Prepared,
  type Project,
  type Said,
  type Shop,
  STACKING_IDS,
  type Tick,
  tasksOf,
  workDone,
  workPlanned,
} from '@fellside/core';
import { OF_PIECE } from '../../workers/others.js';
import type { PlannedDay } from './useDayPlan.js';

/** A way of stacking: why it cannot be, or how often the inside is worked at and when all is done (minutes from now; null where there is no plan). */
export interface ComparedWay {
  readonly stacking: (typeof STACKING_IDS)[number];
  readonly wrong: Said | null;
  readonly stages: number;
  readonly doneAt: number | null;
}

interface Comparing {
  readonly prepared: Prepared;
  readonly plan: Plan;
  readonly lathe: AtTheLathe;
  readonly shop: Shop;
  readonly project: Pick<Project, 'schools' | 'letIn'>;
  readonly ticks: readonly Tick[];
  readonly day: Pick<PlannedDay, 'ask' | 'from'>;
}

/** What each way of stacking comes to in the hours that there are, other pieces in the same hours with it. */
export function compared({
  prepared,
  plan,
  lathe,
  shop,
  project,
  ticks,
  day: { ask, from },
}: Comparing): ComparedWay[] {
  const others = ask.tasks.filter(({ id }) => id.includes(OF_PIECE));
  return STACKING_IDS.map((stacking) => {
    const wrong = cannotBe(stacking, prepared.vessel, plan.rings);
    if (wrong) return { stacking, wrong, stages: 0, doneAt: null };
    const choices = { ...project, schools: { ...project.schools, stacking } };
    const order = workPlanned(prepared, plan, lathe, shop, choices);
    const { tasks } = tasksOf(order, workDone(ticks, from));
    const answer = dayPlan([...tasks, ...others], ask.room, ask.glue);
    const stages = order.assembly.sections.reduce((sum, section) => sum + section.stages.length, 0);
    return { stacking, wrong: null, stages, doneAt: answer.ok ? answer.value.doneAt : null };
  });
}
