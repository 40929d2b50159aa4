import { type Mm, mm } from '../../measure/quantity.js';
import { type Result, refuse } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import type { RingNeed } from '../../ring/need.js';
import type { Framing } from './framing.js';

/** The hole that segments leave: what is asked for, none where they go to the middle, that of a plug where they cannot. */
export function holeOf({ plug, toCentre, lean, between }: Framing, { innerRadiusMm }: RingNeed): Mm {
  if (plug && (!toCentre || lean || between)) return mm(plug.diameterMm / 2);
  return toCentre ? mm(0) : innerRadiusMm;
}

/** The refusal of a plug that leaves nothing of the segments; null where it does. */
export const plugTooLarge = (plug: Framing['plug'], { outerRadiusMm }: RingNeed): Result<never> | null =>
  plug && plug.diameterMm / 2 >= outerRadiusMm
    ? refuse(
        'plug-too-large',
        'plug.diameterMm',
        say`The plug is ${sayMm(plug.diameterMm)} across and the ring ${sayMm(2 * outerRadiusMm)}; nothing is left of the segments.`,
        { most: 2 * outerRadiusMm },
      )
    : null;
