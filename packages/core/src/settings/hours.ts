import { z } from 'zod';
import { whole } from '../measure/field.js';

export const WEEKDAYS = [
  'Monday',
  'Tuesday',
  'Wednesday',
  'Thursday',
  'Friday',
  'Saturday',
  'Sunday',
] as const;

const DAY = 24 * 60;

/** A stretch of the week in which there is time: 0 is Monday, minutes from midnight. */
const windowSchema = z
  .strictObject({
    day: whole('Day of the week', 0, 6),
    fromMinute: whole('Beginning of the hours', 0, DAY),
    toMinute: whole('End of the hours', 0, DAY),
  })
  .refine(({ fromMinute, toMinute }) => toMinute > fromMinute, {
    path: ['toMinute'],
    error: 'The hours end before they begin.',
  });
export type WorkingHours = z.infer<typeof windowSchema>;

/** The hours of the week in which there is time. */
export const hoursSchema = z
  .array(windowSchema)
  .min(1, { error: 'There are no working hours in the week; give at least one.' })
  .max(42, { abort: true, error: 'There are too many working hours; 42 are allowed.' })
  .superRefine((hours, context) => {
    const sorted = [...hours].sort((a, b) => a.day - b.day || a.fromMinute - b.fromMinute);
    const over = sorted.find(
      (next, i) => i > 0 && sorted[i - 1]!.day === next.day && sorted[i - 1]!.toMinute > next.fromMinute,
    );
    if (!over) return;
    const path = [hours.indexOf(over), 'fromMinute'];
    context.addIssue({
      code: 'custom',
      path,
      message: `The hours on ${WEEKDAYS[over.day]} overlap; let one end before the other begins.`,
    });
  });
