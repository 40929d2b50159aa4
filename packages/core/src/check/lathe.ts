import { radiusAt } from '../form/curve.js';
import { brimOf, type Vessel } from '../form/vessel.js';
import { remembered } from '../measure/memo.js';
import { type Said, say, sayMm } from '../measure/said.js';
import type { Shop } from '../settings/shop.js';
import type { Check, Subject } from './check.js';
import type { CheckCode } from './codes.js';
import { ownersOf } from './said.js';

/** What the lathe and its tools cannot take: the widest blank, the foot in the jaws, the depth of the hollow. */
export const latheChecks = (subject: Subject): Check[] => [
  ...widestBlank(subject),
  ...footInJaws(subject),
  ...reach(subject),
];

function widestBlank({ rings, shop: { swingRadiusMm, bedDistanceMm } }: Subject): Check[] {
  const widest = rings.reduce((a, b) => (b.cornerMm > a.cornerMm ? b : a));
  const check = (code: CheckCode, rest: Said): Check => ({
    code,
    owners: ownersOf([widest]),
    message: say`Ring ${widest.index + 1} is ${sayMm(widest.cornerMm)} from the axis to its corners before turning; ${rest}.`,
    remedies: [],
  });
  if (widest.cornerMm > swingRadiusMm) return [check('swing', say`the lathe swings ${sayMm(swingRadiusMm)}`)];
  return widest.cornerMm > bedDistanceMm
    ? [
        check(
          'bed',
          say`the bed is ${sayMm(bedDistanceMm)} away, so it turns only where no bed or tool rest is under it`,
        ),
      ]
    : [];
}

function footInJaws({ rings, vessel, shop }: Subject): Check[] {
  const message = otherHoldings(vessel, shop);
  if (message === null) return [];
  return [{ code: 'jaws', owners: ownersOf([rings[0]!]), message, remedies: [], note: true }];
}

/** What is said of a foot that the jaws do not hold; null where they do. */
const otherHoldings = remembered(({ outside }: Vessel, { jawLeastMm, jawMostMm }: Shop): Said | null => {
  const foot = 2 * radiusAt(outside, 0);
  return foot >= jawLeastMm && foot <= jawMostMm
    ? null
    : say`The foot is ${sayMm(foot)} across; your jaws hold ${sayMm(jawLeastMm)} to ${sayMm(jawMostMm)}. A faceplate, a glue block, jam or bowl jaws, or a tenon of a size that they hold are other ways.`;
});

function reach({ vessel, shop: { reachMm } }: Subject): Check[] {
  const depth = brimOf(vessel) - vessel.hollowFromMm;
  if (!vessel.inside || depth <= reachMm) return [];
  const message = say`The hollow is ${sayMm(depth)} deep; your tools reach ${sayMm(reachMm)}. Hollow the lower part before the upper rings go on.`;
  return [{ code: 'reach', owners: [], message, remedies: [] }];
}
