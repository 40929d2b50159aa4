import type { PanelStock } from '../making/stock.js';
import type { Mm } from '../measure/quantity.js';
import type { Said } from '../measure/said.js';
import type { Owner } from '../ring/owner.js';
import type { Shop } from '../settings/shop.js';
import { cutsFor, endsAlong, kerfAlong, meanLength, pieceAlong, type StripSetting } from './cutting.js';
import type { WoodLedger } from './ledger.js';
import type { Quarter } from './quarters.js';
import type { Cut, StripList } from './strips.js';

/** Blocks of board that discs, plugs or staves are sawn from. */
export interface Panel {
  readonly owner: Owner;
  readonly wood: string;
  /** What the pieces that come from it are called. */
  readonly name: Said;
  readonly shape: PanelStock['shape'];
  readonly count: number;
  readonly lengthMm: Mm;
  readonly widthMm: Mm;
  readonly thicknessMm: Mm;
  /** Thickness that is left when the ring is sanded, of all slices together where it is sliced. */
  readonly netMm: Mm;
  /** Lost in slicing it, and what of the block is not sliced. */
  readonly resawMm: Mm;
  /** Of one piece as it lies in the ring. */
  readonly pieceMm3: number;
}

export function enterStrips(ledger: WoodLedger, list: StripList, quarter: Quarter, shop: Shop): void {
  const setting: StripSetting = { ...list, kerfMm: shop.kerfMm };
  const section = list.widthMm * list.thicknessMm;
  for (const strip of list.strips) {
    let used = shop.endTrimMm + endsAlong(setting);
    let count = 0;
    for (const cut of strip.cuts) {
      enterPieces(ledger, cut, setting);
      used += cut.count * pieceAlong(setting, cut.longEdgeMm, cut.boardEdgeMm);
      count += cut.count;
    }
    const kerf = cutsFor(setting, count) * kerfAlong(setting);
    ledger.kerf += kerf * section;
    ledger.wedges += endsAlong(setting) * section;
    ledger.endTrim += shop.endTrimMm * section;
    ledger.tails += (strip.lengthMm - used - kerf) * section;
    const planed = strip.lengthMm * section;
    ledger.strips += planed;
    enterBoard(ledger, planed, strip.lengthMm * (list.widthMm + shop.ripKerfMm) * quarter.roughMm, shop);
  }
}

/** Pieces of one length: what stays in the ring, what resawing and sanding take, the wedges beside them. */
function enterPieces(ledger: WoodLedger, cut: Cut, setting: StripSetting): void {
  const { widthMm, thicknessMm } = setting;
  const mean = cut.count * meanLength(setting, cut.longEdgeMm) * widthMm;
  const along = cut.count * pieceAlong(setting, cut.longEdgeMm, cut.boardEdgeMm) * widthMm;
  ledger.wedges += (along - mean) * thicknessMm;
  if (cut.purpose === 'spare') ledger.spares += mean * thicknessMm;
  else if (cut.purpose === 'other-hand') ledger.otherHand += mean * thicknessMm;
  else {
    ledger.segments += mean * cut.keptMm;
    ledger.resawing += mean * cut.resawMm;
    ledger.faceSanding += mean * (thicknessMm - cut.keptMm - cut.resawMm);
  }
}

/** Enters blocks; a rip kerf is taken off both ways. */
export function enterPanel(ledger: WoodLedger, panel: Panel, quarter: Quarter, shop: Shop): void {
  const face = panel.count * panel.lengthMm * panel.widthMm;
  const pieces = panel.count * panel.pieceMm3;
  ledger.segments += pieces;
  ledger.corners += face * panel.netMm - pieces;
  ledger.resawing += face * panel.resawMm;
  ledger.faceSanding += face * (panel.thicknessMm - panel.netMm - panel.resawMm);
  const planed = face * panel.thicknessMm;
  ledger.strips += planed;
  const sawn = (panel.lengthMm + shop.ripKerfMm) * (panel.widthMm + shop.ripKerfMm);
  enterBoard(ledger, planed, panel.count * sawn * quarter.roughMm, shop);
}

/** Enters pieces of rings that are made already. */
export function enterStash(ledger: WoodLedger, volumeMm3: number): void {
  ledger.segments += volumeMm3;
  ledger.stash += volumeMm3;
}

function enterBoard(ledger: WoodLedger, planed: number, rough: number, shop: Shop): void {
  const allowance = (rough * shop.wastePercent) / 100;
  ledger.planing += rough - planed;
  ledger.allowance += allowance;
  ledger.bought += rough + allowance;
}
