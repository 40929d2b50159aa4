/**
 * The same work for the same things is done once: remembers the last answer for a thing as long as all else that it was
 * asked with is the same, by identity. Things are forgotten with their answers when nobody has them any more.
 */
export function remembered<K extends object, Rest extends readonly unknown[], T>(
  work: (of: K, ...rest: Rest) => T,
): (of: K, ...rest: Rest) => T {
  const known = new WeakMap<K, { readonly rest: Rest; readonly answer: T }>();
  return (of, ...rest) => {
    const last = known.get(of);
    if (last?.rest.every((each, i) => Object.is(each, rest[i]))) return last.answer;
    const answer = work(of, ...rest);
    known.set(of, { rest, answer });
    return answer;
  };
}

/**
 * The same for parts of a document, which may be drafts that are still being written on: what is not frozen is worked out
 * anew every time.
 */
export function rememberedWhenFrozen<K extends object, Rest extends readonly unknown[], T>(
  work: (of: K, ...rest: Rest) => T,
): (of: K, ...rest: Rest) => T {
  const known = remembered(work);
  return (of, ...rest) => (Object.isFrozen(of) ? known(of, ...rest) : work(of, ...rest));
}

/** The thing that was made before, where a new one holds the very same: what hangs on its identity need not be made again. */
export function sameAsBefore<K extends object, T extends object>(
  alike: (a: T, b: T) => boolean,
): (of: K, made: T) => T {
  const known = new WeakMap<K, T>();
  return (of, made) => {
    const before = known.get(of);
    if (before && alike(before, made)) return before;
    known.set(of, made);
    return made;
  };
}

/** The same for several things together: the answer stays as long as they are the very same, in the same order. */
export function rememberedTogether<K extends object, Rest extends readonly unknown[], T>(
  work: (of: readonly K[], ...rest: Rest) => T,
): (of: readonly K[], ...rest: Rest) => T {
  const known = new WeakMap<K, { readonly of: readonly K[]; readonly rest: Rest; readonly answer: T }>();
  return (of, ...rest) => {
    const first = of[0];
    const last = first && known.get(first);
    const same =
      last?.of.length === of.length &&
      last.of.every((each, i) => each === of[i]) &&
      last.rest.every((each, i) => Object.is(each, rest[i]));
    if (last && same) return last.answer;
    const answer = work(of, ...rest);
    if (first) known.set(first, { of, rest, answer });
    return answer;
  };
}
