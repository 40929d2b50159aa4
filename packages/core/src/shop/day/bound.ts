import { EQUIPMENT } from '../../settings/workshop.js';
import { FreeHours } from './calendar.js';
import type { Room } from './serial.js';
import type { Task } from './task.js';

/** Before when nothing can be finished, minutes from now, and what holds it up. */
export interface DayBound {
  readonly atLeast: number;
  readonly by: 'chain' | 'hands' | (typeof EQUIPMENT)[number];
}

/** When each task can begin and what comes after it at the least, in minutes, were there enough of everything. */
export interface Reach {
  /** Earliest beginning, within the hours. */
  readonly heads: readonly number[];
  /** From the end of its hands to the end of all. */
  readonly tails: readonly number[];
}

/** So many tasks, those with the most before them, are looked at for when hands can be through with all that. */
const LOOKED_AT = 24;

/**
 * Tasks stand in an order in which they can be done: what is needed stands before. A task begins no earlier than what it needs allows, and,
 * of those with much before them, no earlier than one pair of hands can be through with all of that.
 */
export function reachOf(tasks: readonly Task[], room: Pick<Room, 'hours' | 'now'>): Reach {
  const at = new Map(tasks.map(({ id }, i) => [id, i]));
  const before = tasks.map(({ needs }) =>
    needs.flatMap(({ id, wait }) => {
      const i = at.get(id);
      return i === undefined ? [] : [{ i, wait }];
    }),
  );
  const free = new FreeHours(room.hours, room.now);
  const [heads, ends]: [number[], number[]] = [[], []];
  const ancestors: Set<number>[] = [];
  for (const own of before) ancestors.push(new Set(own.flatMap(({ i }) => [i, ...ancestors[i]!])));
  const many = ancestors.map(({ size }) => size).sort((a, b) => b - a)[LOOKED_AT - 1] ?? 0;
  tasks.forEach(({ notBefore, hands, breaks }, task) => {
    let from = before[task]!.reduce((latest, { i, wait }) => Math.max(latest, ends[i]! + wait), notBefore);
    const all = ancestors[task]!;
    if (all.size > 1 && all.size >= many) {
      const own = [...all].sort((a, b) => a - b);
      const tails = tailsTo(task, own, tasks, before);
      const kept = { heads: own.map((i) => heads[i]!), tails: own.map((i) => tails.get(i)!) };
      const bound = handsBound(
        own.map((i) => tasks[i]!),
        kept,
        new FreeHours(room.hours, room.now),
      );
      from = Math.max(from, bound);
    }
    const found = free.find(from, hands, breaks);
    heads.push(found[0]![0]);
    ends.push(found.at(-1)![1]);
  });
  const tails = tasks.map(({ clamp, cure }) => clamp + cure);
  for (let task = tasks.length - 1; task >= 0; task--)
    for (const { i, wait } of before[task]!)
      tails[i] = Math.max(tails[i]!, wait + tasks[task]!.hands + tails[task]!);
  return { heads, tails };
}

/** From the end of the hands of each task that has to be done before another, to when that one may begin, at the least. */
function tailsTo(
  task: number,
  own: readonly number[],
  tasks: readonly Task[],
  before: readonly (readonly { readonly i: number; readonly wait: number }[])[],
): Map<number, number> {
  const tails = new Map(own.map((i) => [i, 0]));
  for (const i of [task, ...[...own].reverse()]) {
    const after = i === task ? 0 : tasks[i]!.hands + tails.get(i)!;
    for (const need of before[i]!) tails.set(need.i, Math.max(tails.get(need.i)!, need.wait + after));
  }
  return tails;
}

/**
 * A time that no schedule beats: the greatest of three relaxations. The chain: enough of everything, hours kept. Hands: one pair that may
 * leave any task at any time, each with its earliest beginning and what has to come after it; Jackson's rule, longest tail first, is best
 * for that (Carlier, European Journal of Operational Research 11, 1982), and a stretch without hands only takes places away from every order
 * alike. Each kind of equipment: all that it is kept, shared out evenly, between the earliest beginning and the shortest tail.
 */
export function boundOf(tasks: readonly Task[], room: Room, reach = reachOf(tasks, room)): DayBound {
  const { heads, tails } = reach;
  const free = new FreeHours(room.hours, room.now);
  const chain = Math.max(
    0,
    ...tasks.map(
      ({ hands, breaks, clamp, cure }, i) => free.find(heads[i]!, hands, breaks).at(-1)![1] + clamp + cure,
    ),
  );
  const bounds: DayBound[] = [
    { atLeast: chain, by: 'chain' },
    { atLeast: handsBound(tasks, reach, new FreeHours(room.hours, room.now)), by: 'hands' },
  ];
  for (const kind of EQUIPMENT) {
    const own = tasks.flatMap(({ on, hands, clamp }, i) =>
      on === kind ? [{ head: heads[i]!, long: hands + clamp, tail: Math.max(0, tails[i]! - clamp) }] : [],
    );
    const count = room.equipment[kind];
    if (own.length === 0 || count === 0) continue;
    const long = own.reduce((sum, task) => sum + task.long, 0) / count;
    const [head, tail] = [
      Math.min(...own.map((task) => task.head)),
      Math.min(...own.map((task) => task.tail)),
    ];
    bounds.push({ atLeast: head + long + tail, by: kind });
  }
  return bounds.reduce((best, bound) => (bound.atLeast > best.atLeast + 1e-6 ? bound : best));
}

function handsBound(tasks: readonly Task[], { heads, tails }: Reach, free: FreeHours): number {
  const order = tasks.map((_, i) => i).sort((a, b) => heads[a]! - heads[b]!);
  const left = tasks.map(({ hands }) => hands);
  const open: number[] = [];
  let [time, next, latest] = [0, 0, 0];
  while (next < order.length || open.length > 0) {
    if (open.length === 0) time = Math.max(time, heads[order[next]!]!);
    while (next < order.length && heads[order[next]!]! <= time + 1e-9) open.push(order[next++]!);
    const task = open.reduce((best, each) => (tails[each]! > tails[best]! ? each : best));
    const until = next < order.length ? heads[order[next]!]! : Number.POSITIVE_INFINITY;
    const [stretch] = free.find(time, left[task]!, true);
    const [from, to] = stretch!;
    const end = Math.min(to, until);
    if (from >= until) {
      time = until;
      continue;
    }
    left[task] = left[task]! - (end - from);
    time = end;
    if (left[task]! > 1e-9) continue;
    open.splice(open.indexOf(task), 1);
    latest = Math.max(latest, time + tails[task]!);
  }
  return latest;
}
