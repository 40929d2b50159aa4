import { makingSchema, type RingMaking } from '../../making/registry.js';
import type { Reason } from '../../measure/reason.js';
import { say } from '../../measure/said.js';
import { reasonsOf } from '../sentences.js';

/** Parameters for a ring, or why they are none, told with the ring's number. */
export function parsedMaking(
  index: number,
  making: RingMaking,
): { readonly making: RingMaking } | { readonly reasons: readonly Reason[] } {
  const parsed = makingSchema.safeParse(making);
  if (parsed.success) return { making: parsed.data };
  return {
    reasons: reasonsOf(parsed.error).map((reason) => ({
      ...reason,
      path: `rings.${index}.making.${reason.path}`,
      message: say`Ring ${index + 1}: ${reason.message}`,
    })),
  };
}
