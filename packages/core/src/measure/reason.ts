/**
 * What is wrong with something a user gave, as data: the same sentence in a form, in the API's 422 and in the
 * terminal. `path` names the field (`rings.3.heightMm`), `limits` what would have been allowed.
 */
export interface Reason {
  readonly code: string;
  readonly path: string;
  readonly message: string;
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
  const told = reasons.slice(0, MOST_TOLD);
  const more = found - told.length;
  if (more > 0)
    told.push({
      code: 'and-more',
      path: '',
      message: `And ${more} more ${more === 1 ? 'thing is' : 'things are'} wrong.`,
    });
  return { ok: false, reasons: told };
}

export const refuse = (
  code: string,
  path: string,
  message: string,
  limits?: Reason['limits'],
): Result<never> => refused(limits ? { code, path, message, limits } : { code, path, message });
