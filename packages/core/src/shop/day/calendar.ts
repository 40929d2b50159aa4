import type { WorkingHours } from '../../settings/hours.js';
import type { Stretch } from './task.js';

export const DAY_MINUTES = 24 * 60;
const WEEK = 7 * DAY_MINUTES;

/** A moment of the week: 0 is Monday, minutes from midnight. */
export interface Moment {
  readonly day: number;
  readonly minute: number;
}

const SAME = 1e-9;

/** The hours in which there are hands, from now on: stretches that are still free, taken one after the other. */
export class FreeHours {
  private readonly free: Stretch[] = [];
  private weeks = 0;
  /** Longest stretch that any week has. */
  readonly longest: number;
  private readonly week: readonly Stretch[];

  constructor(
    hours: readonly WorkingHours[],
    private readonly now: Moment,
  ) {
    this.week = joined(
      hours.map(
        ({ day, fromMinute, toMinute }): Stretch => [
          day * DAY_MINUTES + fromMinute,
          day * DAY_MINUTES + toMinute,
        ],
      ),
    );
    this.longest = Math.max(...this.week.map(([from, to]) => to - from));
  }

  /** The free stretch with this number, counted from now; weeks are added as they are asked for. */
  private at(index: number): Stretch {
    while (index >= this.free.length) {
      const start = this.weeks++ * WEEK - this.now.day * DAY_MINUTES - this.now.minute;
      for (const [from, to] of this.week)
        if (start + to > 0) this.push([Math.max(0, start + from), start + to]);
    }
    return this.free[index]!;
  }

  /** Hours that run on over midnight into the next week are one stretch. */
  private push(stretch: Stretch): void {
    const last = this.free.at(-1);
    if (last && stretch[0] - last[1] < SAME) this.free[this.free.length - 1] = [last[0], stretch[1]];
    else this.free.push(stretch);
  }

  /** Where hands are free for so many minutes from a moment on: at one go, or in as many stretches as it takes. */
  find(from: number, minutes: number, breaks: boolean): Stretch[] {
    const found: Stretch[] = [];
    let left = minutes;
    for (let i = this.first(from); left > SAME; i++) {
      const [start, end] = this.at(i);
      const begin = Math.max(start, from);
      const room = end - begin;
      if (room < SAME || (!breaks && room < minutes - SAME)) continue;
      const take = Math.min(room, left);
      found.push([begin, begin + take]);
      left -= take;
    }
    return found.length > 0 ? found : [[this.nextOpen(from), this.nextOpen(from)]];
  }

  take(stretches: readonly Stretch[]): void {
    for (const [from, to] of stretches) {
      if (to - from < SAME) continue;
      const i = this.first(from);
      const [start, end] = this.at(i);
      const rest: Stretch[] = [];
      if (from - start > SAME) rest.push([start, from]);
      if (end - to > SAME) rest.push([to, end]);
      this.free.splice(i, 1, ...rest);
    }
  }

  private nextOpen(from: number): number {
    return Math.max(from, this.at(this.first(from))[0]);
  }

  /** The first free stretch that ends after a moment. */
  private first(from: number): number {
    while (this.free.length === 0 || this.free.at(-1)![1] <= from + SAME) this.at(this.free.length);
    let [low, high] = [0, this.free.length - 1];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.free[middle]![1] > from + SAME) high = middle;
      else low = middle + 1;
    }
    return low;
  }
}

/** Stretches in order, those that meet as one. */
function joined(stretches: readonly Stretch[]): Stretch[] {
  const all: Stretch[] = [];
  for (const [from, to] of [...stretches].sort((a, b) => a[0] - b[0])) {
    const last = all.at(-1);
    if (last && from <= last[1]) all[all.length - 1] = [last[0], Math.max(last[1], to)];
    else all.push([from, to]);
  }
  return all;
}
