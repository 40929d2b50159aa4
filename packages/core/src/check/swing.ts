import { sayMm } from '../measure/format.js';
import type { Check, Subject } from './check.js';

/** The widest blank, corner to axis, against what the lathe can swing. */
export function swingChecks({ rings, shop }: Subject): Check[] {
  const widest = rings.reduce((a, b) => (b.cornerMm > a.cornerMm ? b : a));
  if (widest.cornerMm <= shop.swingRadiusMm) return [];
  const message = `Ring ${widest.index + 1} is ${sayMm(widest.cornerMm)} from the axis to its corners before turning; the lathe swings ${sayMm(shop.swingRadiusMm)}.`;
  return [{ code: 'swing', ring: widest.index, message }];
}
