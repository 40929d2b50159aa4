import type { UnitSystem } from '../measure/format.js';
import { type Said, say, sayList, sayMm, sentenceIn } from '../measure/said.js';
import type { Job } from '../shop/order/job.js';
import { jobNow, type Tick } from '../shop/order/ticks.js';
import { spanSaid } from './hours.js';
import type { JournalEntry } from './journalEntry.js';
import { WORK_KINDS } from './workKind.js';

/** One line of the journal: what was done, or what was written. */
export interface JournalLine {
  /** ISO 8601, UTC: when it was begun, and ended where that is another moment. */
  readonly at: string;
  readonly until: string | null;
  readonly device: string;
  readonly says: Said;
  /** What it is made of; null for work that was counted off. */
  readonly entry: JournalEntry | null;
}
export interface JournalDay {
  readonly day: string;
  readonly lines: readonly JournalLine[];
}

/** More jobs than this counted off in one moment are told in one line. */
const TOLD_ONE_BY_ONE = 3;

/**
 * The journal of a piece, day by day and the last day first: what was counted off, with what was written and what happened. `dayOf` gives
 * the day of a moment where the reader is; `nameOf` the name of a wood.
 */
export function journalOf(
  { jobs }: { readonly jobs: readonly Job[] },
  ticks: readonly Tick[],
  entries: readonly JournalEntry[],
  dayOf: (at: string) => string,
  nameOf: (wood: string) => string,
): JournalDay[] {
  const byId = new Map(jobs.flatMap((job) => [job.id, ...job.also].map((id) => [id, job] as const)));
  const lines: JournalLine[] = [
    ...counted(ticks, byId, dayOf),
    ...entries.map((entry): JournalLine => {
      const { at, device } = entry;
      return { at, until: null, device, says: entrySaid(entry, nameOf), entry };
    }),
  ];
  lines.sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
  const days = new Map<string, JournalLine[]>();
  for (const line of lines) {
    const day = dayOf(line.at);
    const known = days.get(day);
    if (known) known.push(line);
    else days.set(day, [line]);
  }
  return [...days].reverse().map(([day, lines]) => ({ day, lines }));
}

/** What was counted off: each job once for a day, with when it was begun and ended. */
function counted(
  ticks: readonly Tick[],
  jobs: ReadonlyMap<string, Job>,
  dayOf: (at: string) => string,
): JournalLine[] {
  const together = new Map<string, Tick[]>();
  for (const tick of ticks) (together.get(tick.at) ?? together.set(tick.at, []).get(tick.at)!).push(tick);
  const lines: JournalLine[] = [];
  const spans = new Map<string, { job: string; amount: number; at: string; until: string; device: string }>();
  for (const [at, those] of [...together].sort(([a], [b]) => (a < b ? -1 : 1))) {
    if (those.length > TOLD_ONE_BY_ONE) {
      const { device } = those[0]!;
      const says =
        those[0]!.amount > 0
          ? say`${those.length} jobs were marked as done.`
          : say`${those.length} jobs were taken back.`;
      lines.push({ at, until: null, device, says, entry: null });
      continue;
    }
    for (const { job, amount, device } of those) {
      const key = `${dayOf(at)} ${job}`;
      const span = spans.get(key);
      if (span) Object.assign(span, { amount: span.amount + amount, until: at, device });
      else spans.set(key, { job, amount, at, until: at, device });
    }
  }
  for (const { job, amount, at, until, device } of spans.values())
    if (amount !== 0)
      lines.push({
        at,
        until: until === at ? null : until,
        device,
        says: countSaid(jobs.get(jobNow(job)), amount),
        entry: null,
      });
  return lines;
}

function countSaid(job: Job | undefined, amount: number): Said {
  const title = job?.title ?? 'Work that is no longer in the plan';
  if (amount < 0) return job?.times === 1 ? say`${title}: taken back` : say`${title}: ${-amount} taken back`;
  return job?.times === 1 ? title : say`${title}: ${amount} done`;
}

/** An entry as a sentence. */
export function entrySaid(entry: JournalEntry, nameOf: (wood: string) => string): Said {
  switch (entry.kind) {
    case 'note':
      return entry.text;
    case 'trouble':
      return entry.mended ? `Went wrong: ${entry.text} Mended: ${entry.mended}` : `Went wrong: ${entry.text}`;
    case 'hours':
      return `${WORK_KINDS[entry.work]}: ${spanSaid(entry.minutes)}`;
    case 'photo':
      return entry.text || 'Photograph';
    case 'boards':
      return say`Sawn from ${sayList(entry.boards.map((board) => boardSaid(board, nameOf)))}.`;
    case 'measured':
      return measuredSaid(entry);
    case 'sawn-off':
      return say`Sawn off ${entry.gone} ${sayMm(entry.atMm)}: ${entry.rings} ${entry.rings === 1 ? 'ring' : 'rings'}.`;
    case 'put-back':
      return 'What was sawn off is back.';
    case 'glued-on':
      return entry.end === 'foot'
        ? say`A new foot, ${sayMm(entry.heightMm)} high, is planned under it.`
        : say`A new rim, ${sayMm(entry.heightMm)} high, is planned on top.`;
    case 'ring-anew':
      return say`Ring ${entry.ring + 1} is made anew.`;
    case 'patched':
      return entry.copies === 1
        ? say`A patch let in at ${sayMm(entry.heightMm)}.`
        : say`${entry.copies} patches let in at ${sayMm(entry.heightMm)}.`;
  }
}

function boardSaid(
  { wood, lengthMm, widthMm, thicknessMm, note }: Extract<JournalEntry, { kind: 'boards' }>['boards'][number],
  nameOf: (wood: string) => string,
): Said {
  const size = say`${nameOf(wood)} ${sayMm(lengthMm)} × ${sayMm(widthMm)} × ${sayMm(thicknessMm)}`;
  return note ? say`${size} (${note})` : size;
}

function measuredSaid({ ring, what, mm, plannedMm }: Extract<JournalEntry, { kind: 'measured' }>): Said {
  const of = what === 'heightMm' ? 'thickness' : 'across the flats';
  if (mm === null) return say`Ring ${ring + 1}: ${of} no longer measured.`;
  return plannedMm === null
    ? say`Ring ${ring + 1}: ${of} measured ${sayMm(mm)}.`
    : say`Ring ${ring + 1}: ${of} measured ${sayMm(mm)}, planned ${sayMm(plannedMm)}.`;
}

/** The journal as plain text, the first day first; `timeOf` tells the time of day of a moment. */
export const journalText = (
  name: string,
  days: readonly JournalDay[],
  timeOf: (at: string) => string,
  units: UnitSystem,
): string =>
  [
    name,
    ...[...days]
      .reverse()
      .flatMap(({ day, lines }) => [
        '',
        day,
        ...lines.map(({ at, until, says }) =>
          `${timeOf(at)}${until ? `–${timeOf(until)}` : ''}  ${sentenceIn(says, units)}`.trim(),
        ),
      ]),
  ].join('\n');
