import type { RingPlan } from '../lumber/ringPlan.js';
import { remembered } from '../measure/memo.js';
import type { Shop } from '../settings/shop.js';
import type { Check, Subject } from './check.js';

/** A check of one ring at a time. */
export interface RingCheck {
  ofRing(ring: RingPlan, shop: Shop): readonly Check[];
}

/** A check of the whole piece. */
export type PieceCheck = (subject: Subject) => readonly Check[];

export const eachRing = (ofRing: RingCheck['ofRing']): RingCheck => ({ ofRing });

/**
 * What checks have to say, check by check and ring by ring. What was said of a ring stands as long as the ring and the shop do:
 * most rings are in order, and asked but once.
 */
export function saidBy(checks: readonly (RingCheck | PieceCheck)[]): (subject: Subject) => Check[] {
  const ofRings = checks.filter((check) => 'ofRing' in check);
  const found = remembered((ring: RingPlan, shop: Shop): ReadonlyMap<RingCheck, readonly Check[]> | null => {
    const said = ofRings.map((check) => [check, check.ofRing(ring, shop)] as const);
    return said.some(([, checks]) => checks.length > 0) ? new Map(said) : null;
  });
  return (subject) => {
    const odd = subject.rings.flatMap((ring) => found(ring, subject.shop) ?? []);
    return checks.flatMap((check) =>
      'ofRing' in check ? odd.flatMap((said) => said.get(check)!) : check(subject),
    );
  };
}
