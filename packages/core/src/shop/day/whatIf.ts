import { EQUIPMENT, type Equipment, type Workshop } from '../../settings/workshop.js';
import type { DayPlan, Named } from './schedule.js';
import { dayPlan } from './schedule.js';
import type { Room } from './serial.js';

/** What one more of something would make of it: minutes sooner. */
export interface OneMore {
  readonly of: Equipment;
  readonly soonerMinutes: number;
}

/** For each kind of equipment that is used, how much sooner all is done with one more of it; the greatest gain first, without what gains nothing. */
export function oneMore(
  tasks: readonly Named[],
  room: Room,
  glue: Workshop['glue'],
  now: DayPlan,
): OneMore[] {
  const used = EQUIPMENT.filter((kind) => tasks.some(({ on, holds }) => on === kind || holds?.of === kind));
  return used
    .flatMap((of): OneMore[] => {
      const equipment = { ...room.equipment, [of]: room.equipment[of] + 1 };
      const plan = dayPlan(tasks, { ...room, equipment }, glue);
      const soonerMinutes = plan.ok ? now.doneAt - plan.value.doneAt : 0;
      return soonerMinutes >= 1 ? [{ of, soonerMinutes }] : [];
    })
    .sort((a, b) => b.soonerMinutes - a.soonerMinutes);
}
