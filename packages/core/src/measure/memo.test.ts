import { expect, test } from 'vitest';
import { remembered, rememberedTogether, sameAsBefore } from './memo.js';

test('what is asked with anything else is answered anew, and the last answer stands as long as all is the same', () => {
  let asked = 0;
  const answer = remembered((of: { readonly at: number }, a: number, b: string, c: boolean) => {
    asked++;
    return `${of.at} ${a} ${b} ${c}`;
  });
  const [one, other] = [{ at: 1 }, { at: 2 }];
  expect(answer(one, 3, 'x', true)).toBe('1 3 x true');
  expect(answer(one, 3, 'x', true)).toBe('1 3 x true');
  expect(asked).toBe(1);
  expect(answer(other, 3, 'x', true)).toBe('2 3 x true');
  expect(answer(one, 4, 'x', true)).toBe('1 4 x true');
  expect(answer(one, 4, 'y', true)).toBe('1 4 y true');
  expect(answer(one, 4, 'y', false)).toBe('1 4 y false');
  expect(asked).toBe(5);
});

test('sorts of answers about one thing do not meet, and nobody sees them', () => {
  const [double, half, name] = [
    remembered(({ at }: { readonly at: number }) => 2 * at),
    remembered(({ at }: { readonly at: number }) => at / 2),
    remembered(({ at }: { readonly at: number }) => `${at}`),
  ];
  const of = { at: 6 };
  expect([double(of), half(of), name(of), double(of), half(of), name(of)]).toEqual([12, 3, '6', 12, 3, '6']);
  expect(JSON.stringify(of)).toBe('{"at":6}');
  const copied = { ...of, at: 8 };
  expect([double(copied), half(copied), name(copied)]).toEqual([16, 4, '8']);
});

test('of several things together each counts, and their order', () => {
  const names = rememberedTogether((all: readonly { readonly name: string }[], sep: string) => ({
    said: all.map(({ name }) => name).join(sep),
  }));
  const [a, b] = [{ name: 'a' }, { name: 'b' }];
  const first = names([a, b], '+');
  expect(names([a, b], '+')).toBe(first);
  expect(names([a, b], '-').said).toBe('a-b');
  expect(names([a], '-').said).toBe('a');
  expect(names([b, a], '-').said).toBe('b-a');
});

test('what is alike is the thing that was there before', () => {
  const before = sameAsBefore<object, { readonly at: number }>((x, y) => x.at === y.at);
  const of = {};
  const first = before(of, { at: 1 });
  expect(before(of, { at: 1 })).toBe(first);
  const next = before(of, { at: 2 });
  expect(next).toEqual({ at: 2 });
  expect(before(of, { at: 2 })).toBe(next);
});
