import type { Made } from '../making/contract.js';
import { makeRing, type RingMaking } from '../making/registry.js';
import type { StripStock } from '../making/stock.js';
import { mm } from '../measure/quantity.js';
import type { Reason, Result } from '../measure/reason.js';
import { plain } from '../measure/said.js';
import type { RingNeed } from '../ring/need.js';

/** The ring of worked examples: 100 outside, 80 inside, 20 high (mm). */
export const EXAMPLE_NEED = { outerRadiusMm: mm(100), innerRadiusMm: mm(80), heightMm: mm(20) };

/** A ring that can be made; throws its sentence where it cannot. */
export function madeRing(making: RingMaking, need: RingNeed = EXAMPLE_NEED): Made {
  const made = makeRing(making, need);
  if (!made.ok) throw new Error(plain(made.reasons[0]!.message));
  return made.value;
}

/** The strip that a ring's first kind of piece comes from. */
export const firstStrip = (making: RingMaking): StripStock => madeRing(making).kinds[0]!.stock as StripStock;

/** Why a ring cannot be made; null where it can. */
export function refusalOf(making: RingMaking, need: RingNeed = EXAMPLE_NEED): Reason | null {
  const made = makeRing(making, need);
  return made.ok ? null : made.reasons[0]!;
}

/** A refusal with its sentences as text, for looking at; anything else as it is. */
export const worded = (result: Result<unknown>) =>
  result.ok
    ? result
    : { ...result, reasons: result.reasons.map((reason) => ({ ...reason, message: plain(reason.message) })) };

/** A need that a ring of a kind can hold: a shell is as high as it is wide. */
export const needFor = <N extends RingNeed>(making: RingMaking, need: N): N =>
  making.way === 'globe'
    ? { ...need, heightMm: mm((making.part === 'half' ? 0.96 : 1.93) * need.outerRadiusMm) }
    : need;
