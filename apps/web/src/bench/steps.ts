import { INCH, type Mm, mm, type UnitSystem } from '@fellside/core';

/** The step of an arrow key, and the fine one with Shift, in the user's kind of measure. */
export const stepOf = (units: UnitSystem, fine: boolean): number =>
  units === 'mm' ? (fine ? 0.1 : 1) : fine ? INCH / 64 : INCH / 16;

/** A length that the pointer gives, as a shop would say it: to 0.1 mm or 1/64 in. */
export function shopLength(value: number, units: UnitSystem): Mm {
  const step = stepOf(units, true);
  return mm(Math.round(Math.round(value / step) * step * 1e6) / 1e6);
}
