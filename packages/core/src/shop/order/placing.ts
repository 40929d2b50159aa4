import type { RingPlan } from '../../lumber/ringPlan.js';
import { TURN } from '../../measure/quantity.js';
import { type Said, say, sayMm, sayRad } from '../../measure/said.js';
import { SAME_ANGLE } from '../../measure/tolerance.js';

/** How a ring lies on another: turned by an angle between −half and half a turn, and by the arc at its own outside (mm). */
export interface Placing {
  readonly turnRad: number;
  readonly arcMm: number;
  /** Circles of its outside and of its hole, to be drawn on the ring it goes onto; the hole is 0 where there is none. */
  readonly outsideMm: number;
  readonly holeMm: number;
}

type Placed = Pick<RingPlan, 'turn' | 'gives' | 'need' | 'index'>;

/** How the upper of two neighbouring rings lies on the lower. */
export function placingOf(upper: Placed, lower: Placed): Placing {
  const turned = (((upper.turn.angle - lower.turn.angle) % TURN) + TURN) % TURN;
  const turnRad = turned > TURN / 2 + SAME_ANGLE ? turned - TURN : turned;
  const { outerRadiusMm, innerRadiusMm } = upper.gives ?? upper.need;
  return { turnRad, arcMm: turnRad * outerRadiusMm, outsideMm: 2 * outerRadiusMm, holeMm: 2 * innerRadiusMm };
}

/** The same as it is done: marks, circles and centring. */
export function placingSaid(upper: Placed, lower: Placed): Said[] {
  const { turnRad, arcMm, outsideMm, holeMm } = placingOf(upper, lower);
  const hole = holeMm > 0 ? say` and of its hole, ${sayMm(holeMm, 'diameter')}` : '';
  const turn =
    Math.abs(turnRad) < SAME_ANGLE
      ? say`Put its mark over the mark of ring ${lower.index + 1}.`
      : say`Put its mark ${sayRad(Math.abs(turnRad), 'turn')} ${turnRad > 0 ? 'counter-clockwise' : 'clockwise'} from the mark of ring ${lower.index + 1}, seen from above: ${sayMm(Math.abs(arcMm), 'place')} of arc at its outside.`;
  return [
    say`Draw the circle of its outside on ring ${lower.index + 1}, ${sayMm(outsideMm, 'diameter')}${hole}.`,
    turn,
    'Centre it by the overhang: measure at two opposite places and move it by half the difference. Tabs or pins against sliding go where they are turned away again.',
  ];
}
