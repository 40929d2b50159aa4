const HOUR = 3_600_000;
const DAY = 24 * HOUR;

/** Stretches of the calendar (UTC): two moments are in the same one when its number is the same. */
const STRETCHES = {
  hour: (at: number) => Math.floor(at / HOUR),
  day: (at: number) => Math.floor(at / DAY),
  // 1970 began on a Thursday; weeks begin on Monday.
  week: (at: number) => Math.floor((at / DAY + 3) / 7),
  month: (at: number) => {
    const date = new Date(at);
    return 12 * date.getUTCFullYear() + date.getUTCMonth();
  },
} as const;

/** How many are kept: the newest ones whatever their age, and the last of each of so many stretches. */
export type KeepRule = { readonly newest?: number } & { readonly [S in keyof typeof STRETCHES]?: number };

/**
 * Which of some moments (ms since 1970, any order) a rule keeps: `{ day: 7, week: 5 }` keeps the last of each of the seven
 * newest days and five newest weeks on which there is any.
 */
export function keepers(moments: readonly number[], rule: KeepRule): Set<number> {
  const newestFirst = [...new Set(moments)].sort((a, b) => b - a);
  const kept = new Set(newestFirst.slice(0, rule.newest ?? 0));
  for (const [name, stretchOf] of Object.entries(STRETCHES)) {
    const most = rule[name as keyof typeof STRETCHES] ?? 0;
    const seen = new Set<number>();
    for (const moment of newestFirst) {
      const stretch = stretchOf(moment);
      if (seen.has(stretch)) continue;
      if (seen.size === most) break;
      seen.add(stretch);
      kept.add(moment);
    }
  }
  return kept;
}
