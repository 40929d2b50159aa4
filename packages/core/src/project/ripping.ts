import { stripWidth } from '../making/registry.js';
import { remembered } from '../measure/memo.js';
import { mm } from '../measure/quantity.js';
import { nextStep } from '../measure/step.js';
import { SAME_LENGTH } from '../measure/tolerance.js';
import type { Shop } from '../settings/shop.js';
import type { SizedRing } from './sizing.js';

/** How strips are ripped: widths nearer than `shareMm` are one, and all are on a full step (0: neither). */
export interface Ripping {
  readonly shareMm: number;
  readonly stepMm: number;
}

/** Every strip exactly as wide as its ring has to be. */
export const AS_DRAWN: Ripping = { shareMm: 0, stepMm: 0 };

/** What a shop does. */
export const rippingOf = ({
  shareWidthMm,
  ripStepMm,
}: Pick<Shop, 'shareWidthMm' | 'ripStepMm'>): Ripping => ({
  shareMm: shareWidthMm,
  stepMm: ripStepMm,
});

/** A wider strip may leave no less than this share of a hole: a short edge never comes to nothing. */
const LEAST_HOLE = 0.5;

/**
 * Rings whose strips differ by little are made from strips of the widest of them: one fence for all. Only the hole becomes
 * smaller; long edge and stop stay. Rings of a given size keep it, and those that are solid to the centre are excepted.
 */
export function rippedTogether(
  rings: readonly SizedRing[],
  { shareMm, stepMm }: Ripping,
): readonly SizedRing[] {
  if (shareMm <= 0 && stepMm <= 0) return rings;
  const waiting = rings
    .flatMap((ring, index) => {
      const widthMm = widthOf(ring);
      return widthMm === null ? [] : [{ ring, index, widthMm, served: false }];
    })
    .sort((a, b) => b.widthMm - a.widthMm);
  const ripped = [...rings];
  waiting.forEach((first, i) => {
    if (first.served) return;
    const stepped = nextStep(first.widthMm, stepMm);
    const wider = mayGrow(first.ring) ? widened(first.ring, stepped) : null;
    ripped[first.index] = wider ?? first.ring;
    const widthMm = wider ? stepped : first.widthMm;
    for (let k = i + 1; k < waiting.length; k++) {
      const other = waiting[k]!;
      if (first.widthMm - other.widthMm > shareMm) break;
      const shared = !other.served && mayGrow(other.ring) ? widened(other.ring, widthMm) : null;
      if (!shared) continue;
      ripped[other.index] = shared;
      other.served = true;
    }
  });
  return ripped;
}

const widthOf = remembered(({ ring, size }: SizedRing): number | null =>
  size.innerRadiusMm > 0 ? stripWidth(ring.making, size) : null,
);

const mayGrow = ({ ring }: SizedRing): boolean => !ring.fixed && ring.measured?.diameterMm === undefined;

/** Steps in which a hole is looked for at most; of a flat ring, whose strip grows evenly, it takes one. */
const STEPS = 60;
/** Widths nearer than this are the one that is looked for (mm). */
const SAME_WIDTH = 1e-9;

/** The ring with the hole that its strips have at a width; null where too little of a hole would be left. */
const widened = remembered((sized: SizedRing, widthMm: number): SizedRing | null => {
  const { ring, size } = sized;
  const now = widthOf(sized) ?? 0;
  if (widthMm - now < SAME_LENGTH) return sized;
  const over = (inner: number): number | null => {
    const wide = stripWidth(ring.making, { ...size, innerRadiusMm: mm(inner) });
    return wide === null ? null : wide - widthMm;
  };
  // Regula falsi between a hole that is too small and one that is too large; the end that stays weighs half (Illinois).
  let [low, high] = [LEAST_HOLE * size.innerRadiusMm, size.innerRadiusMm as number];
  let [atLow, atHigh] = [over(low), now - widthMm];
  if (atLow === null || atLow < 0) return null;
  for (let i = 0, last = 0; i < STEPS; i++) {
    const inner: number = (low * atHigh - high * atLow) / (atHigh - atLow);
    const here = over(inner);
    if (here === null) return null;
    if (here >= 0) {
      [low, atLow] = [inner, here];
      if (last > 0) atHigh /= 2;
      last = 1;
    } else {
      [high, atHigh] = [inner, here];
      if (last < 0) atLow /= 2;
      last = -1;
    }
    if (Math.abs(here) <= SAME_WIDTH) {
      low = inner;
      break;
    }
  }
  return { ...sized, size: { ...size, innerRadiusMm: mm(low) } };
});
