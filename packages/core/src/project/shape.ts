import type { Slant } from '../ring/slant.js';
import type { Ring } from './schema.js';

/** What the shape of a ring hangs on, its need apart; woods, motifs, locks and how it is sawn are not among it. */
const SHAPE = [
  'id',
  'making',
  'turn',
  'heightMm',
  'fixed',
  'measured',
] as const satisfies readonly (keyof Ring)[];

/** What the shape of a slanted band hangs on. */
const SLANT = [
  'id',
  'heightMm',
  'slantDeg',
  'towardDeg',
  'thicknessMm',
  'kerfMm',
  'count',
] as const satisfies readonly (keyof Slant)[];

const alike = <T>(keys: readonly (keyof T)[], a: readonly T[], b: readonly T[]): boolean =>
  a === b ||
  (a.length === b.length &&
    a.every((each, i) => each === b[i] || keys.every((key) => each[key] === b[i]![key])));

/** Whether rings have the same shapes in the same places, whatever they are painted with. */
export const sameRingShapes = (a: readonly Ring[], b: readonly Ring[]): boolean => alike(SHAPE, a, b);

/** Whether slanted bands have the same shapes, whatever their woods. */
export const sameSlantShapes = (a: readonly Slant[] = [], b: readonly Slant[] = []): boolean =>
  alike(SLANT, a, b);
