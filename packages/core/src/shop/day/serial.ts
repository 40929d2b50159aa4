import type { Workshop } from '../../settings/workshop.js';
import { FreeHours, type Moment } from './calendar.js';
import type { Placed, Running, Stretch, Task } from './task.js';
import { Units } from './units.js';

/** What tasks are fitted into: what there is of everything, the hours, now, and what is in clamps. */
export interface Room {
  readonly equipment: Workshop['equipment'];
  readonly hours: Workshop['hours'];
  readonly now: Moment;
  readonly running: readonly Running[];
}

/**
 * Fits tasks in one after the other, each as early as hands, clamps and what it needs allow; of those that can be begun the first by
 * `rank` (lowest first) is next. A serial schedule generation scheme (Kolisch, European Journal of Operational Research 90, 1996): some ranking gives the
 * shortest schedule there is of those that put nothing off. What is kept until another task is done waits for one that is free for good; null where
 * all are kept by what waits for one itself.
 */
export function serially(
  tasks: readonly Task[],
  rank: (task: number) => number,
  room: Room,
): Placed[] | null {
  const free = new FreeHours(room.hours, room.now);
  const units = new Units(room.equipment, room.running);
  const at = new Map(tasks.map(({ id }, i) => [id, i]));
  const placed: Placed[] = new Array(tasks.length);
  const followers: number[][] = tasks.map(() => []);
  const open = tasks.map(({ needs }, i) => {
    const own = needs.filter(({ id }) => at.has(id));
    for (const { id } of own) followers[at.get(id)!]!.push(i);
    return own.length;
  });
  const ready = new Heap(rank);
  const waiting: number[] = [];
  for (const [i, count] of open.entries()) if (count === 0) ready.push(i);
  for (let next = ready.pop(); next !== undefined; next = ready.pop()) {
    const task = tasks[next]!;
    const from = task.needs.reduce((latest, { id, wait }) => {
      const before = placed[at.get(id) ?? -1];
      return before ? Math.max(latest, before.hands.at(-1)![1] + wait) : latest;
    }, task.notBefore);
    const found = place(task, from, free, units);
    if (!found) {
      waiting.push(next);
      continue;
    }
    placed[next] = found;
    units.release(task.id, found.hands.at(-1)![1]);
    for (const follower of followers[next]!) if (--open[follower]! === 0) ready.push(follower);
    for (const task of waiting.splice(0)) ready.push(task);
  }
  return waiting.length > 0 ? null : placed;
}

/** Null where nothing that it has to keep will be free as things stand. */
function place(task: Task, earliest: number, free: FreeHours, units: Units): Placed | null {
  for (let from = earliest; Number.isFinite(from); ) {
    const hands = free.find(from, task.hands, task.breaks);
    const [start, end] = [hands[0]![0], hands.at(-1)![1]];
    const kept: Stretch = [start, end + task.clamp];
    const unit = task.on ? units.free(task.on, kept) : null;
    if (unit && unit.number < 0) {
      from = unit.next;
      continue;
    }
    const { holds } = task;
    const stand = holds ? units.free(holds.of, [start, Number.POSITIVE_INFINITY]) : null;
    if (stand && stand.number < 0) {
      from = stand.next;
      continue;
    }
    free.take(hands);
    if (holds && stand) units.hold(holds.of, stand.number, start, holds.until);
    if (task.on && unit) units.take(task.on, unit.number, kept);
    const clampedTo = end + task.clamp;
    return {
      id: task.id,
      hands,
      unit: task.on && unit ? { of: task.on, number: unit.number } : null,
      clampedTo,
      readyAt: clampedTo + task.cure,
    };
  }
  return null;
}

/** Numbers by rank, the least first. */
class Heap {
  private readonly items: number[] = [];
  constructor(private readonly rank: (item: number) => number) {}

  push(item: number): void {
    const { items, rank } = this;
    let at = items.push(item) - 1;
    while (at > 0 && rank(items[(at - 1) >> 1]!) > rank(item)) {
      items[at] = items[(at - 1) >> 1]!;
      at = (at - 1) >> 1;
    }
    items[at] = item;
  }

  pop(): number | undefined {
    const { items, rank } = this;
    const [top] = items;
    const last = items.pop();
    if (top === undefined || last === undefined || items.length === 0) return top;
    let at = 0;
    for (let child = 1; child < items.length; child = 2 * at + 1) {
      if (child + 1 < items.length && rank(items[child + 1]!) < rank(items[child]!)) child++;
      if (rank(items[child]!) >= rank(last)) break;
      items[at] = items[child]!;
      at = child;
    }
    items[at] = last;
    return top;
  }
}
