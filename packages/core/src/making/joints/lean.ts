import { z } from 'zod';
import { number } from '../../measure/field.js';
import { fromDegrees, type Rad } from '../../measure/quantity.js';
import type { Cutting, Hand } from '../stock.js';
import type { Wedge } from '../wedge.js';

/**
 * How leaning pieces are cut. `two-fences`: the strip is never turned over, left and right leaning pieces come in turn.
 * `same-edge`: one hand only, a wedge wasted each time. `turned-over`: one fence and the strip turned over gives no
 * leaning pieces but wedges wider on one face, which close alternately upside down.
 */
const CUTS = ['two-fences', 'same-edge', 'turned-over'] as const satisfies readonly Cutting[];

/** Joints that lean by the tilt of the blade. */
export const leanSchema = z.strictObject({
  tiltDeg: number('Blade tilt', 0.1, 60, '°'),
  /** Which way the joints lean going up, seen from outside. */
  hand: z.enum(['left', 'right']),
  cut: z.enum(CUTS),
});

export type Leaning = z.infer<typeof leanSchema>;

/** Leaning joints as they are begun; one hand, so that every piece that is cut goes into the ring. */
export const LEAN_BEGUN: Leaning = { tiltDeg: 15, hand: 'right', cut: 'same-edge' };

/** The field that is changed where joints lean too much. */
export const TILT_FIELD = 'lean.tiltDeg';

/** Joints that lean by the tilt of the blade; those of wedges glued alternately upside down in turn. */
export interface Lean {
  /** τ, radians. */
  readonly tau: Rad;
  readonly hand: Hand;
  readonly inTurn: boolean;
}

export const leanOf = ({ tiltDeg, hand, cut }: Leaning): Lean => ({
  tau: fromDegrees(tiltDeg),
  hand,
  inTurn: cut === 'turned-over',
});

/** The same wedges with joints that move round by ±tan τ for every mm that they climb. */
export function leaning(wedges: readonly Wedge[], { tau, hand, inTurn }: Lean): Wedge[] {
  const slope = Math.tan(tau) * (hand === 'right' ? 1 : -1);
  return wedges.map((wedge, i) => {
    const wide = i % 2 === 0 ? slope : -slope;
    return { ...wedge, tiltFrom: inTurn ? -wide : slope, tiltTo: inTurn ? wide : slope };
  });
}
