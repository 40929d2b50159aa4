import { done, type Result, refuse } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import type { Warning } from '../warnings.js';
import type { Apart } from './contract.js';

interface Strips {
  readonly stripsMm: readonly number[];
  readonly longestMm?: number | undefined;
}

/** Width of the board that the strips make, mm. */
export const widthOf = ({ stripsMm }: Strips): number => stripsMm.reduce((a, b) => a + b, 0);

/** Whether a disc goes into its board, and its strips are no thinner than the saw leaves them. */
export function goesIn(of: Strips, radius: number, apart: Apart | undefined): Result<null> {
  const { stripsMm, longestMm } = of;
  const { shared = null, kerfMm = 0 } = apart ?? {};
  if (shared && longestMm !== undefined && shared.lengthMm > longestMm + SAME_LENGTH)
    return refuse(
      'board-short',
      'sawnFrom.longestMm',
      say`A disc ${sayMm(2 * radius)} across takes a board of ${sayMm(shared.lengthMm)} with the room round it; the longest is ${sayMm(longestMm)}.`,
      { least: shared.lengthMm },
    );
  const width = widthOf(of);
  if (width < 2 * radius - SAME_LENGTH)
    return refuse(
      'board-narrow',
      'sawnFrom.stripsMm',
      say`The strips make a board ${sayMm(width)} wide; the disc is ${sayMm(2 * radius)} across. Add strips, or make them wider.`,
      { least: 2 * radius },
    );
  const thin = stripsMm.findIndex((w) => w < kerfMm / 2);
  if (thin >= 0)
    return refuse(
      'strip-thinner-than-kerf',
      'sawnFrom.stripsMm',
      say`Strip ${thin + 1} is ${sayMm(stripsMm[thin]!)} wide and the kerf ${sayMm(kerfMm)}: the saw eats more than twice what it leaves. Take strips of at least ${sayMm(kerfMm / 2)}.`,
      { least: kerfMm / 2 },
    );
  return done(null);
}

const isSymmetric = (widths: readonly number[]): boolean =>
  widths.every((w, i) => Math.abs(w - widths[widths.length - 1 - i]!) < 0.01);

/** What can be looked at where slices of it are turned. */
export const crooked = (stripsMm: readonly number[]): Warning[] =>
  isSymmetric(stripsMm)
    ? []
    : [
        {
          code: 'board-crooked',
          message: say`The ${stripsMm.length} strips are not the same on both sides of the middle; the swirl will look crooked.`,
        },
      ];
