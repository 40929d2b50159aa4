/** What was answered last, and what it was asked with. */
interface Kept {
  readonly rest: readonly unknown[];
  readonly answer: unknown;
}

/** What else something is asked with: three things at most. */
type AFew = readonly [unknown?, unknown?, unknown?];
interface KeptFew {
  readonly a: unknown;
  readonly b: unknown;
  readonly c: unknown;
  readonly answer: unknown;
}

/** Under this a thing keeps all answers about it, by sort. */
const ANSWERS = Symbol();
type Answers = Record<symbol, Kept | KeptFew | undefined>;

/**
 * Answers are kept on the thing itself, where nobody sees them: neither spreading it nor JSON takes them along, and they go
 * when it goes. (A `WeakMap` for each sort of answer did the same and made plans twice as slow; a hidden property for each
 * sort took a tenth of a plan.)
 */
function keptOn(of: object, slot: symbol): Kept | KeptFew | undefined {
  return (of as { [ANSWERS]?: Answers })[ANSWERS]?.[slot];
}
function keep(of: object, slot: symbol, kept: Kept | KeptFew): void {
  const known = (of as { [ANSWERS]?: Answers })[ANSWERS];
  if (known) known[slot] = kept;
  else Object.defineProperty(of, ANSWERS, { value: { [slot]: kept } });
}

const same = (a: readonly unknown[], b: readonly unknown[]): boolean => {
  for (let i = 0; i < a.length; i++) if (!Object.is(a[i], b[i])) return false;
  return a.length === b.length;
};

/** Whether a list is the one of several things and what else was asked with. */
function sameTogether(a: readonly unknown[], of: readonly unknown[], rest: readonly unknown[]): boolean {
  if (a.length !== of.length + rest.length) return false;
  for (let i = 0; i < of.length; i++) if (a[i] !== of[i]) return false;
  for (let i = 0; i < rest.length; i++) if (!Object.is(a[of.length + i], rest[i])) return false;
  return true;
}

/**
 * The same work for the same things is done once: remembers the last answer for a thing that the core made as long as all
 * else that it was asked with is the same, by identity.
 */
export function remembered<K extends object, Rest extends AFew, T>(
  work: (of: K, ...rest: Rest) => T,
): (of: K, ...rest: Rest) => T {
  const slot = Symbol();
  // Each by itself: a list of them for every question took a tenth of a plan after an edit.
  const asked = (of: K, a?: unknown, b?: unknown, c?: unknown): T => {
    const last = keptOn(of, slot) as KeptFew | undefined;
    if (last && last.a === a && last.b === b && last.c === c) return last.answer as T;
    const answer = (work as unknown as (of: K, a?: unknown, b?: unknown, c?: unknown) => T)(of, a, b, c);
    keep(of, slot, { a, b, c, answer });
    return answer;
  };
  return asked as unknown as (of: K, ...rest: Rest) => T;
}

/** The same for several things together: the answer stays as long as they are the very same, in the same order. */
export function rememberedTogether<K extends object, Rest extends readonly unknown[], T>(
  work: (of: readonly K[], ...rest: Rest) => T,
): (of: readonly K[], ...rest: Rest) => T {
  const slot = Symbol();
  return (of, ...rest) => {
    const first = of[0];
    if (!first) return work(of, ...rest);
    const last = keptOn(first, slot) as Kept | undefined;
    if (last && sameTogether(last.rest, of, rest)) return last.answer as T;
    const answer = work(of, ...rest);
    keep(first, slot, { rest: [...of, ...rest], answer });
    return answer;
  };
}

/**
 * The same for parts of a document. They are frozen, so nothing can be kept on them; and what is not frozen may be a draft
 * that is still being written on, and is worked out anew every time.
 */
export function rememberedWhenFrozen<K extends object, Rest extends readonly unknown[], T>(
  work: (of: K, ...rest: Rest) => T,
): (of: K, ...rest: Rest) => T {
  const known = new WeakMap<K, Kept>();
  return (of, ...rest) => {
    if (!Object.isFrozen(of)) return work(of, ...rest);
    const last = known.get(of);
    if (last && same(last.rest, rest)) return last.answer as T;
    const answer = work(of, ...rest);
    known.set(of, { rest, answer });
    return answer;
  };
}

/** The thing that was made of another before, where a new one holds the very same: what hangs on it need not be made again. */
export function sameAsBefore<K extends object, T extends object>(
  alike: (a: T, b: T) => boolean,
): (of: K, made: T) => T {
  const slot = Symbol();
  return (of, made) => {
    const before = keptOn(of, slot)?.answer as T | undefined;
    if (before && alike(before, made)) return before;
    keep(of, slot, { rest: [], answer: made });
    return made;
  };
}

/** Works something out when it is first asked for, and keeps it. */
export function once<T>(work: () => T): () => T {
  let known: { readonly value: T } | undefined;
  return () => {
    known ??= { value: work() };
    return known.value;
  };
}
