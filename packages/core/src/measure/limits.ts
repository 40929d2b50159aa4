import type { Reason } from './reason.js';
import type { ReasonCode } from './reasonCodes.js';

/**
 * What anything given may come to, whatever it is, before a schema, a loop or an allocation sees it. The largest piece
 * that is allowed has 800,000 values; no document is nested more than fourteen deep.
 */
export const MOST_DEPTH = 40;
export const MOST_VALUES = 2_000_000;
export const MOST_IN_LIST = 60_000;

/**
 * Looks at something given, a value at a time and without recursion, and says which limit it breaks; null where none.
 * Costs a few nanoseconds a value.
 */
export function overLimits(given: unknown): Reason | null {
  const open: { readonly value: object; readonly depth: number }[] = [];
  let values = 0;
  const look = (value: unknown, depth: number) => {
    values++;
    if (typeof value === 'object' && value !== null) open.push({ value, depth });
  };
  look(given, 1);
  for (let next = open.pop(); next; next = open.pop()) {
    const { value, depth } = next;
    if (depth > MOST_DEPTH)
      return over(
        'too-deep',
        `It is nested more than ${MOST_DEPTH} deep; nothing of Fellside’s is.`,
        MOST_DEPTH,
      );
    const inside = Array.isArray(value) ? value : Object.values(value);
    if (inside.length > MOST_IN_LIST)
      return over(
        'too-long',
        `It holds a list of ${inside.length}; ${MOST_IN_LIST} is the most that any list may have.`,
        MOST_IN_LIST,
      );
    for (const each of inside) look(each, depth + 1);
    if (values > MOST_VALUES)
      return over('too-many', `It holds more than ${MOST_VALUES} values; that is the most.`, MOST_VALUES);
  }
  return null;
}

const over = (code: ReasonCode, message: string, most: number): Reason => ({
  code,
  path: '',
  message,
  limits: { most },
});
