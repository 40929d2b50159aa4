import { RPM_STEP } from './speeds.js';

/** Something heavy at a place in plan: mm from the axis, kg. */
export interface Weight {
  readonly x: number;
  readonly y: number;
  readonly kg: number;
}

/** How far the centre of gravity lies off the axis. */
export interface Balance extends Weight {
  readonly offMm: number;
}

/** Of standard gravity, m/s² (SI brochure). */
export const GRAVITY = 9.80665;
/** A force of this share of the work's weight shakes the lathe: a working limit of this project. */
const MOST_SHAKE = 0.1;

/** Σ m·x / Σ m; on the axis where nothing weighs anything. */
export function balanceOf(weights: readonly Weight[]): Balance {
  let [x, y, kg] = [0, 0, 0];
  for (const each of weights) {
    x += each.x * each.kg;
    y += each.y * each.kg;
    kg += each.kg;
  }
  if (kg <= 0) return { x: 0, y: 0, kg: 0, offMm: 0 };
  return { x: x / kg, y: y / kg, kg, offMm: Math.hypot(x, y) / kg };
}

const omega = (rpm: number): number => (2 * Math.PI * rpm) / 60;

/** The force that turns with the work at a speed, N: m·e·ω². */
export const shakeAt = ({ kg, offMm }: Balance, rpm: number): number => kg * (offMm / 1000) * omega(rpm) ** 2;

/** Turns a minute up to which it is at most a tenth of the work's weight, as a dial shows them; infinite where the work is in balance. */
export const calmUpTo = ({ offMm }: Balance): number =>
  Math.floor(((60 / (2 * Math.PI)) * Math.sqrt((MOST_SHAKE * GRAVITY * 1000) / offMm)) / RPM_STEP) * RPM_STEP;
