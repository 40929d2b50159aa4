import { z } from 'zod';
import { sayMm } from './format.js';
import type { Mm } from './quantity.js';

/** What was given, short enough for a sentence. */
export function shown(input: unknown): string {
  if (input === undefined) return 'missing';
  const text = typeof input === 'number' ? String(input) : (JSON.stringify(input) ?? String(input));
  return text.length > 40 ? `${text.slice(0, 39)}…` : text;
}

const bounded = (label: string, least: number, most: number, unit: string, kind: string) => ({
  error: ({ input }: { input?: unknown }) =>
    `${label} is ${shown(input)}; it has to be ${kind} from ${least} to ${most}${unit}.`,
});

/** A stored length in mm, refused outside `[least, most]`. `label` is the field's name in sentences. */
export function length(label: string, least: number, most: number): z.ZodType<Mm, number> {
  const sentence = {
    error: ({ input }: { input?: unknown }) => {
      const given = typeof input === 'number' && Number.isFinite(input) ? sayMm(input) : shown(input);
      return `${label} is ${given}; it has to be a length from ${sayMm(least)} to ${sayMm(most)}.`;
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
