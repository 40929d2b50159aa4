import type { Made } from '../making/contract.js';

/** The place that a level direction (radians from the index mark) meets at a radius and a height of the ring; null in air. */
export const placeToward = (
  made: Made,
  turn: number,
  radius: number,
  direction: number,
  z = made.heightMm / 2,
): number | null => {
  const angle = direction - turn;
  return made.placeAt(radius * Math.cos(angle), radius * Math.sin(angle), z);
};

/** A stretch of a level line from the axis outwards, and the place that it runs through (null in air), mm. */
export interface CutPart {
  readonly place: number | null;
  readonly innerMm: number;
  readonly outerMm: number;
}

/** Stretches of a cut are told apart to this (mm). */
const CUT_STEP = 0.5;

/** What a cut through the axis meets in a ring at half its height, in a direction from the index mark, inside out. */
export function cutParts(made: Made, turn: number, direction: number): CutPart[] {
  const { innerMm, outerMm } = made.gives;
  const steps = Math.max(1, Math.ceil((outerMm - innerMm) / CUT_STEP));
  const parts: CutPart[] = [];
  for (let i = 0; i < steps; i++) {
    const [from, to] = [i, i + 1].map((k) => innerMm + ((outerMm - innerMm) * k) / steps) as [number, number];
    const place = placeToward(made, turn, (from + to) / 2, direction);
    const last = parts[parts.length - 1];
    if (last && last.place === place) parts[parts.length - 1] = { ...last, outerMm: to };
    else parts.push({ place, innerMm: from, outerMm: to });
  }
  return parts;
}
