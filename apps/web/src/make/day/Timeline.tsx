import { DAY_MINUTES, type DayPlan, EQUIPMENT, type Placed } from '@fellside/core';
import { useState } from 'react';
import { Choice } from '../../ui/Choice.js';
import { minutesBetween } from '../clock.js';

const SPANS = [
  ['day', 'The next 12 hours'],
  ['week', 'The next 7 days'],
  ['all', 'Until it is done'],
] as const;
type Span = (typeof SPANS)[number][0];

const UNIT_NAMES = { bands: 'ring clamp', presses: 'press', plates: 'faceplate', lathes: 'lathe' } as const;

interface TimelineProps {
  readonly plan: DayPlan;
  /** Milliseconds since 1970. */
  readonly from: number;
  readonly titleOf: (id: string) => string;
}

/** Sizes of the drawing, px. */
const [WIDE, LABELS, ROW, HEAD] = [1000, 130, 30, 32];
/** Nothing is drawn thinner than this, px. */
const THIN = 1.5;

/** What hands, clamps and lathe do over time; hands are solid, clamps hatched, so that it reads in black and white too. */
export function Timeline({ plan, from, titleOf }: TimelineProps) {
  const [span, setSpan] = useState<Span>('week');
  const until = span === 'day' ? 12 * 60 : span === 'week' ? 7 * DAY_MINUTES : Math.max(60, plan.doneAt);
  const units = rowsOf(plan.placed);
  const x = (minute: number) => LABELS + (minute / until) * (WIDE - LABELS - 10);
  const high = HEAD + ROW * (units.length + 1) + 8;
  const bar = (
    key: string,
    [start, end]: readonly [number, number],
    row: number,
    fill: string,
    title: string,
  ) =>
    start < until &&
    end > 0 && (
      <rect
        key={key}
        x={x(Math.max(0, start))}
        width={Math.max(THIN, x(Math.min(until, end)) - x(Math.max(0, start)))}
        y={HEAD + ROW * row + 4}
        height={ROW - 8}
        fill={fill}
        stroke="var(--color-ink)"
        strokeWidth={0.5}
      >
        <title>{title}</title>
      </rect>
    );
  return (
    <>
      <div className="flex items-end justify-between gap-4">
        <h2 className="font-semibold">Timeline</h2>
        <Choice label="Shown" value={span} options={SPANS} onChange={setSpan} className="w-44" />
      </div>
      <section aria-label="Timeline" tabIndex={0} className="overflow-x-auto">
        <svg
          viewBox={`0 0 ${WIDE} ${high}`}
          className="w-full min-w-[640px]"
          role="img"
          aria-label={`Timeline of ${plan.placed.length} jobs on hands and ${units.length} clamps, presses, plates and lathes`}
        >
          <pattern
            id="clamped"
            width="6"
            height="6"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <rect width="6" height="6" fill="var(--color-raised)" />
            <line x1="0" y1="0" x2="0" y2="6" stroke="var(--color-ink)" strokeWidth="2" />
          </pattern>
          {ticksOf(from, until, span).map(({ at, says }) => (
            <g key={at}>
              <line x1={x(at)} x2={x(at)} y1={HEAD - 6} y2={high} stroke="var(--color-line)" />
              <text x={x(at) + 3} y={HEAD - 10} fontSize={16} fill="var(--color-quiet)">
                {says}
              </text>
            </g>
          ))}
          {['hands', ...units.map(({ name }) => name)].map((name, row) => (
            <text key={name} x={0} y={HEAD + ROW * row + ROW / 2 + 5} fontSize={17} fill="var(--color-ink)">
              {name}
            </text>
          ))}
          {plan.placed.flatMap(({ id, hands }) =>
            hands.map((stretch) => bar(`${id} ${stretch[0]}`, stretch, 0, 'var(--color-teal)', titleOf(id))),
          )}
          {units.flatMap(({ own }, row) =>
            own.map(({ id, hands, clampedTo }) =>
              bar(id, [hands[0]![0], clampedTo], row + 1, 'url(#clamped)', titleOf(id)),
            ),
          )}
        </svg>
      </section>
      <p className="text-sm text-quiet">Solid: hands at work. Hatched: clamped, pressed or on the lathe.</p>
    </>
  );
}

/** Every band, press, plate and lathe that is used, with what it keeps. */
function rowsOf(placed: readonly Placed[]) {
  return EQUIPMENT.flatMap((kind) => {
    const numbers = [...new Set(placed.flatMap(({ unit }) => (unit?.of === kind ? [unit.number] : [])))].sort(
      (a, b) => a - b,
    );
    return numbers.map((number) => ({
      name: numbers.length > 1 || number > 0 ? `${UNIT_NAMES[kind]} ${number + 1}` : UNIT_NAMES[kind],
      own: placed.filter(({ unit }) => unit?.of === kind && unit.number === number),
    }));
  });
}

/** Ticks of the time axis: hours of a day, else days, no more than fit. */
function ticksOf(from: number, until: number, span: Span) {
  const start = new Date(from);
  const hours = span === 'day';
  start.setMinutes(0, 0, 0);
  if (!hours) start.setHours(0);
  const days = Math.max(1, Math.ceil(until / DAY_MINUTES / 12));
  const ticks: { at: number; says: string }[] = [];
  for (let date = start; ; date = new Date(date)) {
    if (hours) date.setHours(date.getHours() + 1);
    else date.setDate(date.getDate() + days);
    const at = minutesBetween(from, date.getTime());
    if (at > until) return ticks;
    ticks.push({
      at,
      says: hours
        ? String(date.getHours())
        : date.toLocaleDateString(
            'en-GB',
            until > 14 * DAY_MINUTES
              ? { day: 'numeric', month: 'short' }
              : { weekday: 'short', day: 'numeric' },
          ),
    });
  }
}
