import { INCH } from '../measure/format.js';
import { type Mm, mm } from '../measure/quantity.js';
import { SAME_SETTING } from '../measure/tolerance.js';

/** A thickness in which rough hardwood is sold, and what is left of it surfaced both sides. */
export interface Quarter {
  readonly name: string;
  readonly roughMm: Mm;
  readonly surfacedMm: Mm;
}

const quarter = (name: string, rough: number, surfaced: number): Quarter => ({
  name,
  roughMm: mm(rough * INCH),
  surfacedMm: mm(surfaced * INCH),
});

/** Hardwood trade grading rules, written down from memory. Thinner stock is charged as 4/4. */
export const QUARTERS: readonly Quarter[] = [
  quarter('4/4', 1, 13 / 16),
  quarter('5/4', 1.25, 1 + 1 / 16),
  quarter('6/4', 1.5, 1 + 5 / 16),
  quarter('8/4', 2, 1.75),
  quarter('10/4', 2.5, 2.25),
  quarter('12/4', 3, 2.75),
  quarter('16/4', 4, 3.75),
];

/** The thinnest quarter that still gives the planed thickness (mm); null when none does. */
export const quarterFor = (planedMm: number): Quarter | null =>
  QUARTERS.find((q) => q.surfacedMm >= planedMm - SAME_SETTING) ?? null;
