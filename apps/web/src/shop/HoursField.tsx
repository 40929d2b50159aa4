import {
  done,
  type Result,
  refuse,
  type Said,
  sentenceIn,
  WEEKDAYS,
  type WorkingHours,
} from '@fellside/core';
import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { Button } from '../ui/Button.js';
import { Choice } from '../ui/Choice.js';
import { Field } from '../ui/Field.js';
import { TextEntry } from '../ui/TextEntry.js';

interface HoursFieldProps {
  readonly hours: readonly WorkingHours[];
  readonly onChange: (hours: WorkingHours[]) => Result<unknown>;
}

const DAYS = WEEKDAYS.map((name, day) => [String(day), name] as const);
const clock = (minute: number): string =>
  `${Math.floor(minute / 60)}:${String(minute % 60).padStart(2, '0')}`;

/** Reads a time of the day: `19`, `19:30`, `19.30`; minutes from midnight, 24:00 is its end. */
function readClock(text: string): Result<number> {
  const [, hour, minute = '0'] = /^\s*(\d{1,2})(?:[:.](\d{2}))?\s*$/.exec(text) ?? [];
  const at = hour === undefined ? Number.NaN : 60 * Number(hour) + Number(minute);
  return at <= 24 * 60 && Number(minute) < 60
    ? done(at)
    : refuse('web:not-a-time', 'hours', `“${text.trim()}” is not a time of the day; write it like 19:30.`);
}

/** The hours of the week in which there is time for the shop. */
export function HoursField({ hours, onChange }: HoursFieldProps) {
  const [problem, setProblem] = useState<Said>();
  const change = (at: number, part: Partial<WorkingHours>) =>
    onChange(hours.map((each, i) => (i === at ? { ...each, ...part } : each)));
  const time = (at: number, key: 'fromMinute' | 'toMinute', label: string) => (
    <Field label={label}>
      {(control) => (
        <TextEntry
          {...control}
          className="w-20"
          shown={clock(hours[at]![key])}
          editable={clock(hours[at]![key])}
          onProblem={setProblem}
          read={(text) => {
            const read = readClock(text);
            return read.ok ? change(at, { [key]: read.value }) : read;
          }}
        />
      )}
    </Field>
  );
  const last = hours.at(-1);
  const next = (): WorkingHours => {
    const free = WEEKDAYS.findIndex((_, day) => !hours.some((each) => each.day === day));
    return { day: Math.max(0, free), fromMinute: 19 * 60, toMinute: 21 * 60, ...(free < 0 && last) };
  };
  return (
    <ul className="flex flex-col gap-1">
      {hours.map(({ day, fromMinute }, at) => (
        <li key={`${day} ${fromMinute}`} className="flex flex-wrap items-end gap-2">
          <Choice
            label={`Day ${at + 1}`}
            value={String(day)}
            options={DAYS}
            className="w-32"
            onChange={(value) => change(at, { day: Number(value) })}
          />
          {time(at, 'fromMinute', `From ${at + 1}`)}
          {time(at, 'toMinute', `To ${at + 1}`)}
          <Button
            aria-label={`No hours on ${WEEKDAYS[day]} from ${clock(fromMinute)}`}
            onClick={() => onChange(hours.filter((_, i) => i !== at))}
          >
            <X aria-hidden size={14} />
          </Button>
        </li>
      ))}
      <li>
        {problem && (
          <p role="alert" className="mb-1 text-sm text-rust">
            {sentenceIn(problem, 'mm')}
          </p>
        )}
        <Button onClick={() => onChange([...hours, next()])}>
          <Plus aria-hidden size={14} /> More hours
        </Button>
      </li>
    </ul>
  );
}
