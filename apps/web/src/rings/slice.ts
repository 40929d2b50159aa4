import { type Command, edit, type Mm, mm, type Result, refuse, type Thickness } from '@fellside/core';

/** The ways to slice a form, with a word on each. */
export const WAYS = {
  height: ['By one height', 'every ring as thick as the boards you plane'],
  boards: ['By the boards on hand', 'in the order that takes the least wood'],
  hand: ['By hand', 'heights from the bottom up, the last one repeated'],
} as const;
export type SliceWay = keyof typeof WAYS;

/** What is typed for each. */
export const LABELS: Record<SliceWay, string> = {
  height: 'Height of every ring',
  boards: 'Planed thickness × how many rings it gives',
  hand: 'Heights from the bottom up',
};

interface Asked {
  readonly command: Command;
  /** The boards on hand, to be kept in the shop. */
  readonly stock?: readonly Thickness[] & { readonly [i: number]: { heightMm: Mm; rings: number } };
}

/** Reads what was typed for a way of slicing. */
export function commandFor(way: SliceWay, text: string, read: (part: string) => Result<Mm>): Result<Asked> {
  const parts = text
    .split(';')
    .map((part) => part.trim())
    .filter(Boolean);
  if (parts.length === 0) return refuse('web:empty', way, 'Nothing is typed; give at least one height.');
  if (way !== 'boards') {
    const heights = parts.map(read);
    const bad = heights.find((height) => !height.ok);
    if (bad && !bad.ok) return bad;
    return {
      ok: true,
      value: { command: edit.sliceBy(heights.map((height) => (height.ok ? height.value : mm(0)))) },
    };
  }
  const stock: { heightMm: Mm; rings: number }[] = [];
  for (const part of parts) {
    const [height, count = '1'] = part.split(/[×x*]/i).map((piece) => piece.trim());
    const heightMm = read(height ?? '');
    if (!heightMm.ok) return heightMm;
    const rings = Number(count);
    if (!Number.isInteger(rings) || rings < 1 || rings > 400 || heightMm.value < 0.5)
      return refuse('board', way, `“${part}” is not a thickness × a number of rings; write it like 3/4 × 6.`);
    stock.push({ heightMm: heightMm.value, rings });
  }
  return { ok: true, value: { command: edit.sliceFromBoards(stock), stock } };
}
