import { z } from 'zod';
import type { Motif } from './motif.js';
import { MOTIFS, motifOf } from './motifs/registry.js';
import { MOST_OF_A_TONE, TONES, type ToneName } from './tones.js';

const toneName = z.string().regex(new RegExp(`^(${TONES.join('|')})(-[2-${MOST_OF_A_TONE}])?$`), {
  error: ({ input }) =>
    `Tone is ${JSON.stringify(input)}; it has to be ${TONES.join(', ')}, or one of these with -2 to -${MOST_OF_A_TONE} for a further wood of that tone.`,
}) as unknown as z.ZodType<ToneName, ToneName>;

/** A motif as it is laid over rings: which one, in which tones, with which numbers. */
export const motifUseSchema = z
  .strictObject({
    kind: z.enum(MOTIFS.map(({ kind }) => kind) as [string, ...string[]], {
      error: ({ input }) => `There is no motif ${JSON.stringify(input)}.`,
    }),
    tones: z.array(toneName).min(1).max(8, { abort: true }),
    values: z.record(z.string().max(20), z.number()),
  })
  .superRefine((use, context) => {
    for (const message of faults(use)) context.addIssue({ code: 'custom', message, path: ['values'] });
  });

export interface MotifUse {
  readonly kind: string;
  readonly tones: readonly ToneName[];
  readonly values: Readonly<Record<string, number>>;
}

/** What is wrong with a motif's tones and numbers, in sentences. */
function faults({ kind, tones, values }: MotifUse): string[] {
  const motif = motifOf(kind);
  if (!motif) return [];
  const { least, most } = motif.tones;
  const wrong: string[] = [];
  if (tones.length < least || tones.length > most)
    wrong.push(
      `${motif.name} has ${tones.length} tones; it takes ${least === most ? least : `${least} to ${most}`}.`,
    );
  for (const { key, label, least, most, fraction } of motif.numbers) {
    const value = values[key];
    const fits =
      value !== undefined && value >= least && value <= most && (fraction || Number.isInteger(value));
    if (!fits)
      wrong.push(
        `${motif.name}: ${label} is ${value ?? 'missing'}; it has to be a ${fraction ? '' : 'whole '}number from ${least} to ${most}.`,
      );
  }
  const known = new Set(motif.numbers.map((number) => number.key));
  for (const key of Object.keys(values))
    if (!known.has(key)) wrong.push(`${motif.name} has no number “${key}”.`);
  return wrong;
}

/** A motif as it is first laid. */
export const begunMotif = (motif: Motif): MotifUse => ({
  kind: motif.kind,
  tones: [...motif.tones.start],
  values: Object.fromEntries(motif.numbers.map(({ key, start }) => [key, start])),
});

/** What ring counts go with a motif: the number that a count has to be a multiple of. */
export const dividesInto = (use: MotifUse): number =>
  motifOf(use.kind)!.divides(use.values, use.tones.length);

/** A motif as it is first laid over rings of such counts: with the repeats nearest to its usual ones that come out whole in all of them, if any do. */
export function begunFor(motif: Motif, counts: readonly number[]): MotifUse {
  const use = begunMotif(motif);
  const repeats = motif.numbers.find(({ key }) => key === 'repeats');
  if (!repeats) return use;
  const at = (n: number): MotifUse => ({ ...use, values: { ...use.values, repeats: n } });
  const whole = (n: number) => counts.every((count) => count % dividesInto(at(n)) === 0);
  const near = Array.from({ length: repeats.most - repeats.least + 1 }, (_, i) => repeats.least + i)
    .sort((a, b) => Math.abs(a - repeats.start) - Math.abs(b - repeats.start) || b - a)
    .find(whole);
  return near === undefined ? use : at(near);
}

/** Counts near one that a motif comes out whole with: the next below and the next two above, within what can be sawn. */
export function countsNear(use: MotifUse, count: number): number[] {
  const unit = dividesInto(use);
  const below = Math.floor(count / unit) * unit;
  return [below, below + unit, below + 2 * unit].filter((n) => n >= 3 && n <= 360 && n !== count);
}

/** Repeats near those of a motif that go into a count of segments; none where it does not repeat. */
export function repeatsNear(use: MotifUse, count: number): number[] {
  const now = use.values.repeats;
  if (now === undefined) return [];
  const whole = (repeats: number) =>
    count % dividesInto({ ...use, values: { ...use.values, repeats } }) === 0;
  return Array.from({ length: 120 }, (_, i) => i + 1)
    .filter((repeats) => repeats !== now && whole(repeats))
    .sort((a, b) => Math.abs(a - now) - Math.abs(b - now))
    .slice(0, 3)
    .sort((a, b) => a - b);
}
