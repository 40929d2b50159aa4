import type { z } from 'zod';
import { overLimits } from '../measure/limits.js';
import { done, type Result, refuse, refused, refusedFor } from '../measure/reason.js';
import { reasonsOf } from './sentences.js';

/**
 * What a schema makes of anything given, or the reasons why not. Cheap limits come first, so that nothing that loops,
 * allocates or refines ever sees what breaks them.
 */
export function judged<T>(schema: z.ZodType<T>, given: unknown): Result<T> {
  const over = overLimits(given);
  if (over) return refused(over);
  try {
    const parsed = schema.safeParse(given);
    return parsed.success
      ? done(parsed.data)
      : refusedFor(reasonsOf(parsed.error), parsed.error.issues.length);
  } catch (error) {
    // Zod hands lists of issues on as arguments; there is room for some hundred thousand.
    if (error instanceof RangeError)
      return refuse('too-wrong', '', 'More is wrong with it than can be listed.');
    throw error;
  }
}
