/** A moment as a clock shows it, with the day where it is not today. */
export function timeOf(at: number, now = Date.now()): string {
  const [then, today] = [new Date(at), new Date(now)];
  const clock = then.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
  if (then.toDateString() === today.toDateString()) return clock;
  const near = Math.abs(at - now) < 6 * 86_400_000;
  const day = then.toLocaleDateString(
    'en-GB',
    near ? { weekday: 'long' } : { weekday: 'short', day: 'numeric', month: 'short' },
  );
  return `${day} ${clock}`;
}

/** A stretch of time as it is read at a glance: `24:05`, `2 h 10`, `3 days`. */
export function longSaid(minutes: number): string {
  if (minutes < 60) {
    const seconds = Math.max(0, Math.ceil(minutes * 60));
    return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
  }
  if (minutes < 48 * 60)
    return `${Math.floor(minutes / 60)} h ${String(Math.floor(minutes % 60)).padStart(2, '0')}`;
  return `${(minutes / 1440).toFixed(1).replace(/\.0$/, '')} days`;
}

const MINUTE = 60_000;

/** A moment as the clock on the wall counts: the same for both sides of a change to summer time. */
const onTheWall = (at: number): number => {
  const date = new Date(at);
  return Date.UTC(
    date.getFullYear(),
    date.getMonth(),
    date.getDate(),
    date.getHours(),
    date.getMinutes(),
    date.getSeconds(),
    date.getMilliseconds(),
  );
};

/** The moment so many minutes later by the clock on the wall, as the hours of the week are: a change of the clocks moves none of them. */
export function minutesAfter(from: number, minutes: number): number {
  const wall = new Date(onTheWall(from) + minutes * MINUTE);
  return new Date(
    wall.getUTCFullYear(),
    wall.getUTCMonth(),
    wall.getUTCDate(),
    wall.getUTCHours(),
    wall.getUTCMinutes(),
    wall.getUTCSeconds(),
    wall.getUTCMilliseconds(),
  ).getTime();
}

/** How many minutes by the clock on the wall from one moment to another. */
export const minutesBetween = (from: number, to: number): number =>
  (onTheWall(to) - onTheWall(from)) / MINUTE;
