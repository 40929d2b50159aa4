import { sayMm } from '../measure/format.js';
import type { Reason } from '../measure/reason.js';
import { boardFeet } from '../measure/volume.js';
import type { Shop } from '../settings/shop.js';
import { enterPanel, enterStash, enterStrips, type Panel } from './account.js';
import { emptyLedger, type WoodLedger } from './ledger.js';
import { type Owner, ringName } from './owners.js';
import { QUARTERS, type Quarter, quarterFor } from './quarters.js';
import { cutIntoStrips, type StripList } from './strips.js';
import { panelsOf, type RingPieces, stripWants } from './wants.js';

/** What one wood comes to: volumes in mm³, board feet as bought. */
export interface WoodTotal {
  readonly wood: string;
  /** Pieces in the work, spares not counted. */
  readonly pieces: number;
  readonly spares: number;
  readonly strips: number;
  readonly panels: number;
  readonly ledger: WoodLedger;
  readonly boardFeet: number;
}

export type StripListEntry = StripList & { readonly quarter: string };
export type PanelEntry = Panel & { readonly quarter: string };

export interface Lumber {
  readonly strips: readonly StripListEntry[];
  readonly panels: readonly PanelEntry[];
  readonly woods: readonly WoodTotal[];
  /** Pieces that no strip or board can give; they are in no figure above. */
  readonly reasons: readonly Reason[];
}

/** Strips, squares and board feet for pieces; `finished` is the volume left in the work by wood, mm³. */
export function lumberFor(
  pieces: readonly RingPieces[],
  finished: ReadonlyMap<string, number>,
  shop: Shop,
  nameOf: Owner = ringName,
): Lumber {
  const tally = new Map<string, Mutable<WoodTotal>>();
  const of = (wood: string): Mutable<WoodTotal> => {
    const total = tally.get(wood) ?? {
      wood,
      pieces: 0,
      spares: 0,
      strips: 0,
      panels: 0,
      ledger: emptyLedger(),
      boardFeet: 0,
    };
    tally.set(wood, total);
    return total;
  };
  for (const { wood, count, kind, volumeMm3 } of pieces) {
    of(wood).pieces += count;
    if (kind.stock.from === 'stash') enterStash(of(wood).ledger, count * volumeMm3);
  }
  const reasons: Reason[] = [];
  const strips = stripWants(pieces, shop).flatMap((want): StripListEntry[] => {
    const list = cutIntoStrips(want, shop, nameOf);
    const quarter = thickEnough(want.thicknessMm, want.cuts[0]?.ring ?? 0, reasons, nameOf);
    if (!list.ok) reasons.push(...list.reasons);
    if (!list.ok || !quarter) return [];
    const total = of(want.wood);
    enterStrips(total.ledger, list.value, quarter, shop);
    total.strips += list.value.strips.length;
    for (const cut of want.cuts) if (cut.purpose === 'spare') total.spares += cut.count;
    return [{ ...list.value, quarter: quarter.name }];
  });
  const panels = panelsOf(pieces, shop).flatMap((panel): PanelEntry[] => {
    const quarter = thickEnough(panel.thicknessMm, panel.ring, reasons, nameOf);
    if (!quarter) return [];
    const total = of(panel.wood);
    enterPanel(total.ledger, panel, quarter, shop);
    total.panels += panel.count;
    return [{ ...panel, quarter: quarter.name }];
  });
  for (const total of tally.values()) {
    total.ledger.finished = finished.get(total.wood) ?? 0;
    total.ledger.shavings = total.ledger.segments - total.ledger.finished;
    total.boardFeet = boardFeet(total.ledger.bought);
  }
  return { strips, panels, woods: [...tally.values()], reasons };
}

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

type Mutable<T> = { -readonly [K in keyof T]: T[K] };

function thickEnough(planedMm: number, ring: number, reasons: Reason[], nameOf: Owner): Quarter | null {
  const quarter = quarterFor(planedMm);
  const thickest = QUARTERS[QUARTERS.length - 1]!;
  if (!quarter)
    reasons.push({
      code: 'too-thick',
      path: `rings.${ring}.heightMm`,
      message: `${capital(nameOf(ring))} is cut from wood planed to ${sayMm(planedMm)}; the thickest lumber sold, ${thickest.name}, gives ${sayMm(thickest.surfacedMm)}. Use two rings, or glue boards face to face.`,
      limits: { most: thickest.surfacedMm },
    });
  return quarter;
}
