import type { ReasonCode } from './reasonCodes.js';
import { type Said, say } from './said.js';

/**
 * What is wrong with something a user gave, as data: the same sentence in a form, in the API's 422 and in the
 * terminal, in the units of whoever reads it. `path` names the field (`rings.3.heightMm`), `limits` what would have been allowed.
 */
export interface Reason {
  readonly code: ReasonCode;
  readonly path: string;
  readonly message: Said;
  readonly limits?: Readonly<Record<string, number | string>>;
}

export type Result<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly reasons: readonly Reason[] };

export const done = <T>(value: T): Result<T> => ({ ok: true, value });

export const refused = (...reasons: readonly Reason[]): Result<never> => ({ ok: false, reasons });

/** So many reasons are told; how many more there are is the last. */
const MOST_TOLD = 60;

/** Refuses for a list of reasons, of any length. */
export function refusedFor(reasons: readonly Reason[], found = reasons.length): Result<never> {
  const told: Reason[] = reasons.slice(0, MOST_TOLD);
  const more = found - told.length;
  if (more > 0)
    told.push({
      code: 'and-more',
      path: '',
      message: say`And ${more} more ${more === 1 ? 'thing is' : 'things are'} wrong.`,
    });
  return { ok: false, reasons: told };
}

export const refuse = (
  code: ReasonCode,
  path: string,
  message: Said,
  limits?: Reason['limits'],
): Result<never> => refused({ code, path, message, ...(limits && { limits }) });
