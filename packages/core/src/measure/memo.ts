/** What else something is asked with: three things at most. */
type AFew = readonly [unknown?, unknown?, unknown?];

/** The last answer of one sort about a thing, what else it was asked with, and the next sort of answers about it. */
interface Kept {
  readonly slot: symbol;
  a: unknown;
  b: unknown;
  c: unknown;
  answer: unknown;
  next: Kept | undefined;
}

/** Under this a thing keeps all answers about it, a sort after the other: there are a handful. */
const ANSWERS = Symbol();

/**
 * Answers are kept on the thing itself, where nobody sees them: neither spreading it nor JSON takes them along, and they go
 * when it goes. (A `WeakMap` for each sort of answer did the same and made plans twice as slow; a hidden property for each
 * sort took a tenth of a plan.)
 */
function keptOn(of: object, slot: symbol): Kept | undefined {
  let at = (of as { [ANSWERS]?: Kept })[ANSWERS];
  while (at !== undefined && at.slot !== slot) at = at.next;
  return at;
}

function keep(of: object, slot: symbol, answer: unknown, a?: unknown, b?: unknown, c?: unknown): void {
  const known = keptOn(of, slot);
  if (known) {
    known.a = a;
    known.b = b;
    known.c = c;
    known.answer = answer;
    return;
  }
  const first = (of as { [ANSWERS]?: Kept })[ANSWERS];
  if (first) first.next = { slot, a, b, c, answer, next: first.next };
  else Object.defineProperty(of, ANSWERS, { value: { slot, a, b, c, answer, next: undefined } });
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
    const last = keptOn(of, slot);
    if (last && last.a === a && last.b === b && last.c === c) return last.answer as T;
    const answer = (work as unknown as (of: K, a?: unknown, b?: unknown, c?: unknown) => T)(of, a, b, c);
    keep(of, slot, answer, a, b, c);
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
    const last = keptOn(first, slot);
    if (last && sameTogether(last.a as readonly unknown[], of, rest)) return last.answer as T;
    const answer = work(of, ...rest);
    keep(first, slot, answer, [...of, ...rest]);
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
  const known = new WeakMap<K, { readonly rest: Rest; readonly answer: T }>();
  return (of, ...rest) => {
    if (!Object.isFrozen(of)) return work(of, ...rest);
    const last = known.get(of);
    if (last && same(last.rest, rest)) return last.answer;
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
    keep(of, slot, made);
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
