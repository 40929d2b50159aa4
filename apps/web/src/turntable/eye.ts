import { Vector3 } from 'three';

/** What the eye goes to: the whole piece from outside, or into it from above. */
export type Stand = 'outside' | 'inside';

/** What is looked at, mm, and from where it is looked at first: radians round the axis from the index mark. */
export interface Looked {
  readonly stand: Stand;
  readonly heightMm: number;
  readonly radiusMm: number;
  readonly turn: number;
  /** Half the angle that is seen upright, radians, and how wide the picture is for its height. */
  readonly half: number;
  readonly aspect: number;
}

/** Room around the piece, in its own size. */
const ROOM = 1.02;
/** How high the eye stands, radians over the level. */
const RISE: Record<Stand, number> = { outside: 0.38, inside: 1.15 };
/** The axis of the piece. */
const UP = new Vector3(0, 0, 1);

/** How far away all of it is in sight. */
export const awayFrom = ({ heightMm, radiusMm, half, aspect }: Looked): number =>
  (ROOM * Math.hypot(heightMm / 2, radiusMm)) / Math.sin(half) / Math.min(1, aspect);

export const targetOf = ({ stand, heightMm }: Looked): Vector3 =>
  new Vector3(0, 0, stand === 'inside' ? heightMm * 0.6 : heightMm / 2);

/**
 * Where the eye stands. Once it has been somewhere it stays on that side and as near for the size of what is seen, whatever the piece or its pane
 * become: it is the hand that turns the piece. A further turn is turned on from there; another stand begins anew.
 */
export function eyeAt(
  now: Looked,
  before: { readonly looked: Looked; readonly eye: Vector3 } | null,
): Vector3 {
  const away = awayFrom(now);
  if (before?.looked.stand === now.stand)
    return before.eye
      .clone()
      .sub(targetOf(before.looked))
      .multiplyScalar(away / awayFrom(before.looked))
      .applyAxisAngle(UP, now.turn - before.looked.turn)
      .add(targetOf(now));
  const rise = RISE[now.stand];
  return new Vector3(
    away * Math.cos(rise) * Math.cos(now.turn),
    away * Math.cos(rise) * Math.sin(now.turn),
    now.heightMm / 2 + away * Math.sin(rise),
  );
}
