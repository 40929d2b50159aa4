import type { Mm } from '../measure/quantity.js';
import type { Shop } from '../settings/shop.js';
import { kerfAlong, meanLength, type StripSetting, wedgeAlong } from './cutting.js';
import type { WoodLedger } from './ledger.js';
import type { Quarter } from './quarters.js';
import type { StripList } from './strips.js';

/** A square of board that a disc is sawn from. */
export interface Panel {
  readonly ring: number;
  readonly wood: string;
  readonly lengthMm: Mm;
  readonly widthMm: Mm;
  readonly thicknessMm: Mm;
  /** Of the piece itself, at its ring's height. */
  readonly pieceMm3: number;
  readonly heightMm: Mm;
}

/** Enters a strip list: `heightOf` gives the height of a ring by its index. */
export function enterStrips(
  ledger: WoodLedger,
  list: StripList,
  quarter: Quarter,
  shop: Shop,
  heightOf: (ring: number) => number,
): void {
  const setting: StripSetting = { ...list, kerfMm: shop.kerfMm };
  const section = list.widthMm * list.thicknessMm;
  for (const strip of list.strips) {
    let used = shop.endTrimMm + wedgeAlong(setting);
    let count = 0;
    for (const cut of strip.cuts) {
      const length = cut.count * meanLength(setting, cut.longEdgeMm);
      const whole = length * section;
      if (cut.ring === null) ledger.spares += whole;
      else {
        const kept = length * list.widthMm * heightOf(cut.ring);
        ledger.segments += kept;
        ledger.faceSanding += whole - kept;
      }
      used += length;
      count += cut.count;
    }
    const kerf = (count + 1) * kerfAlong(setting);
    ledger.kerf += kerf * section;
    ledger.wedges += wedgeAlong(setting) * section;
    ledger.endTrim += shop.endTrimMm * section;
    ledger.tails += (strip.lengthMm - used - kerf) * section;
    const planed = strip.lengthMm * section;
    ledger.strips += planed;
    enterBoard(ledger, planed, strip.lengthMm * (list.widthMm + shop.ripKerfMm) * quarter.roughMm, shop);
  }
}

/** Enters the square of a disc; a rip kerf is taken off both ways. */
export function enterPanel(ledger: WoodLedger, panel: Panel, quarter: Quarter, shop: Shop): void {
  const face = panel.lengthMm * panel.widthMm;
  ledger.segments += panel.pieceMm3;
  ledger.corners += face * panel.heightMm - panel.pieceMm3;
  ledger.faceSanding += face * (panel.thicknessMm - panel.heightMm);
  const planed = face * panel.thicknessMm;
  ledger.strips += planed;
  const rough = (panel.lengthMm + shop.ripKerfMm) * (panel.widthMm + shop.ripKerfMm) * quarter.roughMm;
  enterBoard(ledger, planed, rough, shop);
}

function enterBoard(ledger: WoodLedger, planed: number, rough: number, shop: Shop): void {
  const allowance = (rough * shop.wastePercent) / 100;
  ledger.planing += rough - planed;
  ledger.allowance += allowance;
  ledger.bought += rough + allowance;
}
