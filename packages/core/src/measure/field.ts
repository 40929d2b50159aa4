import { z } from 'zod';
import type { Mm } from './quantity.js';
import { forZod, say, sayMm } from './said.js';
import { SHOWN, shortened } from './shortened.js';

/** What was given, short enough for a sentence. */
export function shown(input: unknown): string {
  if (input === undefined) return 'missing';
  const text = typeof input === 'number' ? String(input) : brief(input, SHOWN + 1);
  return shortened(text);
}

/** The beginning of a value's JSON, at least `room` letters of it where it has so many; never looks further than that. */
function brief(value: unknown, room: number): string {
  if (typeof value === 'string') return JSON.stringify(value.slice(0, room));
  if (typeof value !== 'object' || value === null) return JSON.stringify(value) ?? String(value);
  const list = Array.isArray(value);
  let text = list ? '[' : '{';
  for (const key in value) {
    if (text.length > room) return text;
    if (text.length > 1) text += ',';
    if (!list) text += `${brief(key, room)}:`;
    text += brief((value as Record<string, unknown>)[key], Math.max(0, room - text.length));
  }
  return text + (list ? ']' : '}');
}

/**
 * A field beyond its limits ends the judging of what it is a part of: refinements, which loop and allocate, never see it.
 */
const bounded = (label: string, least: number, most: number, unit: string, kind: string) => ({
  abort: true,
  error: ({ input }: { input?: unknown }) =>
    `${label} is ${shown(input)}; it has to be ${kind} from ${least} to ${most}${unit}.`,
});

/** A stored length in mm, refused outside `[least, most]`. `label` is the field's name in sentences. */
export function length(label: string, least: number, most: number): z.ZodType<Mm, number> {
  const sentence = {
    abort: true,
    error: ({ input }: { input?: unknown }) => {
      const given = typeof input === 'number' && Number.isFinite(input) ? sayMm(input) : shown(input);
      return forZod(say`${label} is ${given}; it has to be a length from ${sayMm(least)} to ${sayMm(most)}.`);
    },
  };
  return z.number(sentence).min(least, sentence).max(most, sentence) as unknown as z.ZodType<Mm, number>;
}

/** A stored plain number, refused outside `[least, most]`. */
export function number(label: string, least: number, most: number, unit = '') {
  const sentence = bounded(label, least, most, unit, 'a number');
  return z.number(sentence).min(least, sentence).max(most, sentence);
}

/** A stored whole number, refused outside `[least, most]`. */
export function whole(label: string, least: number, most: number) {
  const sentence = bounded(label, least, most, '', 'a whole number');
  return z.number(sentence).int(sentence).min(least, sentence).max(most, sentence);
}

/** A stored text, trimmed, refused when empty or too long. */
export const text = (label: string, most: number, least = 1) =>
  z
    .string({ error: ({ input }) => `${label} is ${shown(input)}; it has to be a text.` })
    .trim()
    .min(least, { error: `${label} is empty; give it at least ${least} letter${least > 1 ? 's' : ''}.` })
    .max(most, {
      error: ({ input }) => `${label} is ${String(input).length} letters long; ${most} are allowed.`,
    });
