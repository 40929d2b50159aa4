import { expect } from 'vitest';

/** A line of an example that says what comes of it: `expression // → value`. */
const SAYS = /^(.*\S)\s+\/\/ → (.*)$/;

/** Figures with decimals are held to the last of them. */
const near = (value: string): string =>
  value.replace(
    /(?<![\w'/])-?\d+\.(\d+)(?![^']*'\s*$)/g,
    (figure, decimals: string) => `near(${figure}, ${decimals.length})`,
  );

/** Whole numbers are held to what a computer’s rounding leaves. */
const whole = (value: unknown): unknown =>
  typeof value === 'number' ? expect.closeTo(value, 9) : Array.isArray(value) ? value.map(whole) : value;

/**
 * The `ts` blocks of a page as one test: they are run one after the other in one scope, with `names` in it, and every line
 * with an arrow has to come to what stands behind it.
 */
export function runExamples(page: string, names: Readonly<Record<string, unknown>>): number {
  const blocks = [...page.matchAll(/```ts\n([\s\S]*?)```/g)].map(([, block]) => block!);
  let told = 0;
  const lines = blocks
    .flatMap((block) => block.split('\n'))
    .map((line) => {
      const [, expression, value] = SAYS.exec(line) ?? [];
      if (expression === undefined || value === undefined) return line;
      told++;
      return `is(${expression}, ${near(value)}, ${JSON.stringify(expression)});`;
    });
  const is = (given: unknown, value: unknown, line: string) => expect(given, line).toEqual(whole(value));
  const scope = { ...names, is, near: (value: number, decimals: number) => expect.closeTo(value, decimals) };
  new Function(...Object.keys(scope), lines.join('\n'))(...Object.values(scope));
  return told;
}
