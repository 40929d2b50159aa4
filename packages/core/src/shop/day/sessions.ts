import type { DayPlan } from './schedule.js';

/** A stretch in which hands are busy without a pause worth the name, and what is done in it; minutes from now. */
export interface Session {
  readonly from: number;
  readonly to: number;
  readonly jobs: readonly { readonly id: string; readonly from: number; readonly to: number }[];
}

/** Pauses up to this long (minutes) do not end a session. */
const PAUSE = 45;

/** The hands' time of a plan as sessions, in order: what a day looks like. */
export function sessionsOf({ placed }: Pick<DayPlan, 'placed'>): Session[] {
  const stretches = placed
    .flatMap(({ id, hands }) => hands.map(([from, to]) => ({ id, from, to })))
    .sort((a, b) => a.from - b.from || a.to - b.to);
  const sessions: { from: number; to: number; jobs: (typeof stretches)[number][] }[] = [];
  for (const stretch of stretches) {
    const last = sessions.at(-1);
    if (last && stretch.from - last.to <= PAUSE) {
      last.to = Math.max(last.to, stretch.to);
      last.jobs.push(stretch);
    } else sessions.push({ from: stretch.from, to: stretch.to, jobs: [stretch] });
  }
  return sessions;
}
