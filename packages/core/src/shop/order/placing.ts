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

type Placed = Pick<RingPlan, 'turn' | 'gives' | 'need' | 'index' | 'wall'>;

/** Two rings whose joints lean: turned against each other by what both have run where they meet, their joints meet at a radius. */
export interface LeaningJoint {
  readonly radiusMm: number;
  /** Counter-clockwise from above. */
  readonly meetRad: number;
  /** What is left over beside the joint there as the rings are turned; null where that cannot be told. */
  readonly stepMm: number | null;
}

/** A pin against sliding, or a nail with its head off, needs so much wood round it (mm): a working value. */
const PIN_ROOM = 3;

/** Where a pin between two rings is turned away again: its radius and how much is turned off there; null where nowhere is room for one. */
export function pinAt(upper: Pick<Placed, 'gives' | 'need' | 'wall'>, lower: typeof upper): Pin | null {
  const bands = [upper, lower].map(({ gives, need }) => gives ?? need);
  const walls = [upper.wall, lower.wall];
  const outside = [
    Math.max(...walls.map(({ outerRadiusMm }) => outerRadiusMm)),
    Math.min(...bands.map(({ outerRadiusMm }) => outerRadiusMm)),
  ] as const;
  const inside = [
    Math.max(...bands.map(({ innerRadiusMm }) => innerRadiusMm)),
    Math.min(...walls.map(({ innerRadiusMm }) => innerRadiusMm)),
  ] as const;
  const [side, [from, to]] =
    outside[1] - outside[0] >= inside[1] - inside[0]
      ? (['outside', outside] as const)
      : (['inside', inside] as const);
  return to - from < PIN_ROOM ? null : { side, radiusMm: (from + to) / 2, roomMm: to - from };
}

export interface Pin {
  readonly side: 'outside' | 'inside';
  readonly radiusMm: number;
  readonly roomMm: number;
}

/** How the upper of two neighbouring rings lies on the lower. */
export function placingOf(upper: Placed, lower: Placed): Placing {
  const turned = (((upper.turn.angle - lower.turn.angle) % TURN) + TURN) % TURN;
  const turnRad = turned > TURN / 2 + SAME_ANGLE ? turned - TURN : turned;
  const { outerRadiusMm, innerRadiusMm } = upper.gives ?? upper.need;
  return { turnRad, arcMm: turnRad * outerRadiusMm, outsideMm: 2 * outerRadiusMm, holeMm: 2 * innerRadiusMm };
}

/** The same as it is done: marks, circles and centring. */
export function placingSaid(upper: Placed, lower: Placed, leaning: LeaningJoint | null = null): Said[] {
  const { turnRad, arcMm, outsideMm, holeMm } = placingOf(upper, lower);
  const hole = holeMm > 0 ? say` and of its hole, ${sayMm(holeMm, 'diameter')}` : '';
  const turn =
    Math.abs(turnRad) < SAME_ANGLE
      ? say`Put its mark over the mark of ring ${lower.index + 1}.`
      : say`Put its mark ${sayRad(Math.abs(turnRad), 'turn')} ${turnRad > 0 ? 'counter-clockwise' : 'clockwise'} from the mark of ring ${lower.index + 1}, seen from above: ${sayMm(Math.abs(arcMm), 'place')} of arc at its outside.`;
  return [
    say`Draw the circle of its outside on ring ${lower.index + 1}, ${sayMm(outsideMm, 'diameter')}${hole}.`,
    turn,
    ...(leaning ? [leaningSaid(leaning)] : []),
    'Centre it by the overhang: measure at two opposite places and move it by half the difference.',
    pinSaid(pinAt(upper, lower)),
  ];
}

const leaningSaid = ({ radiusMm, meetRad, stepMm }: LeaningJoint): Said =>
  say`Its joints lean: turned by ${sayRad(Math.abs(meetRad))} ${meetRad > 0 ? 'counter-clockwise' : 'clockwise'}, what both have run to there, they meet those below at a radius of ${sayMm(radiusMm)}${stepMm === null ? '' : stepMm < SAME_STEP ? ', and so they lie' : say`; as it is turned a step of ${sayMm(stepMm)} is left there`}.`;

/** A step that is less (mm) is not seen. */
const SAME_STEP = 0.05;

const pinSaid = (pin: Pin | null): Said =>
  pin
    ? say`A pin against sliding goes ${sayMm(pin.radiusMm)} from the axis: the ${sayMm(pin.roomMm)} of wood there are turned away ${pin.side}.`
    : 'No wood is turned away that would take a pin: glue tabs across the joint outside, and cut them off again.';
