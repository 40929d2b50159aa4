import { z } from 'zod';
import { text } from '../measure/field.js';
import { done, type Result, refuse } from '../measure/reason.js';
import { type Block, blockSchema } from '../pattern/block.js';
import { type MotifUse, motifUseSchema } from '../pattern/motifUse.js';
import { judged } from '../project/judged.js';

/** A pattern kept by itself: a motif with its numbers, or a block of places. It speaks of tones, so it goes with any woods. */
export const patternSchema = z.discriminatedUnion('holds', [
  z.strictObject({ holds: z.literal('motif'), name: text('Name', 80), motif: motifUseSchema }),
  z.strictObject({ holds: z.literal('block'), name: text('Name', 80), block: blockSchema }),
]);

export type Pattern =
  | { readonly holds: 'motif'; readonly name: string; readonly motif: MotifUse }
  | { readonly holds: 'block'; readonly name: string; readonly block: Block };

const fileSchema = z.strictObject({
  fellside: z.literal('pattern', {
    error: () => 'This is not a Fellside pattern file: “fellside” is not “pattern”.',
  }),
  version: z.literal(1, { error: () => 'The pattern file is not of version 1, the one that is read here.' }),
  pattern: patternSchema,
});

/** The file of a pattern, indented JSON. */
export const writePatternFile = (pattern: Pattern): string =>
  `${JSON.stringify({ fellside: 'pattern', version: 1, pattern }, null, 2)}\n`;

/** Reads a pattern file; all that is wrong with it is told at once. */
export function readPatternFile(given: string): Result<Pattern> {
  let read: unknown;
  try {
    read = JSON.parse(given);
  } catch {
    return refuse('not-json', '', 'The file is not JSON; a Fellside pattern file is.');
  }
  const parsed = judged(fileSchema, read);
  return parsed.ok ? done(parsed.value.pattern as Pattern) : parsed;
}
