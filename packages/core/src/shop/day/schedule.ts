import { lots } from '../../measure/lots.js';
import { done, type Reason, type Result, refused } from '../../measure/reason.js';
import { type Said, say } from '../../measure/said.js';
import type { Workshop } from '../../settings/workshop.js';
import { boundOf, type DayBound, reachOf } from './bound.js';
import { FreeHours } from './calendar.js';
import { type Room, serially } from './serial.js';
import type { Placed, Task } from './task.js';

/** All tasks in their places, when the last is ready, and before when no plan could be. */
export interface DayPlan {
  readonly placed: readonly Placed[];
  /** Minutes from now. */
  readonly doneAt: number;
  readonly bound: DayBound;
}

/** Something that is named in sentences: tasks by the titles of their jobs. */
export type Named = Task & { readonly title: Said };

/** Why tasks cannot be fitted in: glue below its limit, nothing to clamp with, no hours long enough. */
export function whyNoPlan(
  tasks: readonly Named[],
  { equipment, hours, now }: Room,
  glue: Workshop['glue'],
): Reason[] {
  const glued = tasks.find(({ clamp }) => clamp > 0);
  if (glued && glue.shopCelsius < glue.leastCelsius)
    return [
      {
        code: 'too-cold',
        path: 'workshop.glue.shopCelsius',
        message: say`The shop is at ${glue.shopCelsius} °C; the glue does not cure below ${glue.leastCelsius} °C. Warm it before “${glued.title}”.`,
        limits: { least: glue.leastCelsius },
      },
    ];
  const without = tasks.find(({ on }) => on !== null && equipment[on] === 0);
  if (without)
    return [
      {
        code: 'nothing-to-clamp-with',
        path: `workshop.equipment.${without.on}`,
        message: say`“${without.title}” wants one of the ${EQUIPMENT_NAMES[without.on!]}, and the shop has none.`,
        limits: { least: 1 },
      },
    ];
  const { longest } = new FreeHours(hours, now);
  const long = tasks.find(({ breaks, hands }) => !breaks && hands > longest + 1e-6);
  if (!long) return [];
  return [
    {
      code: 'hours-too-short',
      path: 'workshop.hours',
      message: say`“${long.title}” takes ${Math.ceil(long.hands)} minutes at one go, for glue is open; the longest hours of the week are ${Math.floor(longest)} minutes.`,
    },
  ];
}

/** What stands on plates until something is done that needs one more of them. */
function tooFewToStandOn(tasks: readonly Named[], { equipment }: Room): Reason {
  const { holds } = tasks.find((task) => task.holds)!;
  const of = holds!.of;
  return {
    code: 'too-few-plates',
    path: `workshop.equipment.${of}`,
    message: say`Parts of the work stand on ${EQUIPMENT_NAMES[of]} until they are joined or parted off, and all ${equipment[of]} are taken while one more is wanted. Have one more, or hold the work by tenons on waste blocks.`,
    limits: { least: equipment[of] + 1 },
  };
}

export const EQUIPMENT_NAMES: Readonly<Record<keyof Workshop['equipment'], string>> = {
  bands: 'ring clamps',
  presses: 'presses',
  plates: 'faceplates',
  lathes: 'lathes',
};

/** After so many rounds another order is begun with, drawn by lot; a task that is moved near by goes so many places at the most. */
const ANEW = 60;
const NEAR = 6;

/**
 * Fits tasks into the hours: at once by the better of the order of work and the longest way to the end first; then, as long as `goesOn` is true, with
 * single tasks moved forward or back, which is kept where it ends no later. The same answer for the same tasks and rounds.
 */
export function dayPlan(
  tasks: readonly Named[],
  room: Room,
  glue: Workshop['glue'],
  rounds = 0,
  goesOn: (best: DayPlan, round: number) => boolean = () => true,
): Result<DayPlan> {
  const wrong = whyNoPlan(tasks, room, glue);
  if (wrong.length > 0) return refused(...wrong);
  const reach = reachOf(tasks, room);
  const bound = boundOf(tasks, room, reach);
  const inOrder = tasks.map((_, i) => i);
  const longestFirst = tasks.map((_, i) => -reach.tails[i]!);
  const scheduled = (ranks: readonly number[]): DayPlan | null => {
    const placed = serially(tasks, (task) => ranks[task]! + task * 1e-9, room);
    return placed && { placed, doneAt: Math.max(0, ...placed.map(({ readyAt }) => readyAt)), bound };
  };
  const first = [inOrder, longestFirst].flatMap((ranks) => {
    const plan = scheduled(ranks);
    return plan ? [{ ranks, plan }] : [];
  });
  if (first.length === 0) return refused(tooFewToStandOn(tasks, room));
  let best = first.reduce((a, b) => (b.plan.doneAt < a.plan.doneAt - 1e-6 ? b : a));
  const lot = lots(1);
  let ranks = rankOrder(best.ranks);
  let here = best.plan.doneAt;
  for (let round = 0; round < rounds && best.plan.doneAt > bound.atLeast + 1e-6; round++) {
    if (!goesOn(best.plan, round)) break;
    // Now and then all anew, else one task elsewhere: near by, or anywhere.
    const anew = round % ANEW === ANEW - 1;
    const tried = anew ? ranks.map(() => lot() * tasks.length) : [...ranks];
    const task = Math.floor(lot() * tasks.length);
    tried[task] = lot() < 0.5 ? lot() * tasks.length : tried[task]! + (lot() - 0.5) * NEAR;
    const plan = scheduled(tried);
    if (!plan) continue;
    if (plan.doneAt <= here + 1e-6 || anew) {
      ranks = tried;
      here = plan.doneAt;
    }
    if (plan.doneAt < best.plan.doneAt - 1e-6) best = { ranks: tried, plan };
  }
  return done(best.plan);
}

/** Places in an order, as ranks that are whole numbers apart. */
function rankOrder(ranks: readonly number[]): number[] {
  const order = ranks.map((_, i) => i).sort((a, b) => ranks[a]! - ranks[b]! || a - b);
  const places: number[] = [];
  order.forEach((task, place) => {
    places[task] = place;
  });
  return places;
}
