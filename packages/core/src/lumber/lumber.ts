import { remembered, rememberedTogether } from '../measure/memo.js';
import type { Reason } from '../measure/reason.js';
import { say, sayMm } from '../measure/said.js';
import { boardFeet } from '../measure/volume.js';
import { type Owner, type Roll, rollOf } from '../ring/owner.js';
import type { Shop } from '../settings/shop.js';
import { enterPanel, enterStash, enterStrips, type Panel } from './account.js';
import { addLedger, emptyLedger, type WoodLedger } from './ledger.js';
import { QUARTERS, quarterFor } from './quarters.js';
import { cutIntoStrips, type StripList } from './strips.js';
import { type OwnedPieces, panelFor, stripGroups, wantOf } from './wants.js';

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

/** What pieces come to: the strips or the block that they are sawn from, and where the wood of it goes. */
interface Entry<List> {
  readonly list: List;
  readonly ledger: WoodLedger;
  readonly spares: number;
}

/** Strips, squares and board feet for pieces; `finished` is the volume left in the work by wood, mm³, `roll` names the owners. */
export function lumberFor(
  pieces: readonly OwnedPieces[],
  finished: ReadonlyMap<string, number>,
  shop: Shop,
  roll: Roll,
): Lumber {
  const tally = new Map<string, Mutable<WoodTotal>>();
  const of = (wood: string): Mutable<WoodTotal> => {
    const known = tally.get(wood);
    if (known) return known;
    const ledger = emptyLedger();
    const total = { wood, pieces: 0, spares: 0, strips: 0, panels: 0, ledger, boardFeet: 0 };
    tally.set(wood, total);
    return total;
  };
  for (const { wood, count, kind, volumeMm3 } of pieces) {
    of(wood).pieces += count;
    if (kind.stock.from === 'stash') enterStash(of(wood).ledger, count * volumeMm3);
  }
  const reasons: Reason[] = [];
  const taken = <List extends { readonly wood: string }>(made: Entry<List> | null, why: () => Reason[]) => {
    if (!made) reasons.push(...why());
    if (!made) return [];
    const total = of(made.list.wood);
    addLedger(total.ledger, made.ledger);
    total.spares += made.spares;
    return [made.list];
  };
  const strips = stripGroups(pieces, shop).flatMap((group) =>
    taken(strippedFrom(group, shop), () => whyNoStrips(group, shop, roll)),
  );
  const panels = pieces.flatMap((each) =>
    each.kind.stock.from === 'panel' ? taken(blockFor(each, shop), () => whyNoBlock(each, shop, roll)) : [],
  );
  for (const list of strips) of(list.wood).strips += list.strips.length;
  for (const panel of panels) of(panel.wood).panels += panel.count;
  for (const total of tally.values()) {
    total.ledger.finished = finished.get(total.wood) ?? 0;
    total.ledger.shavings = total.ledger.segments - total.ledger.finished;
    total.boardFeet = boardFeet(total.ledger.bought);
  }
  return { strips, panels, woods: [...tally.values()], reasons };
}

/** The strips that a group of pieces is sawn from; null where no strip or no lumber can give them. */
const strippedFrom = rememberedTogether(
  (group: readonly OwnedPieces[], shop: Shop): Entry<StripListEntry> | null => {
    const want = wantOf(group, shop);
    const list = cutIntoStrips(want, shop, NOBODY);
    const quarter = quarterFor(want.thicknessMm);
    if (!list.ok || !quarter) return null;
    const ledger = emptyLedger();
    enterStrips(ledger, list.value, quarter, shop);
    const spares = want.cuts.reduce((sum, { purpose, count }) => sum + (purpose === 'spare' ? count : 0), 0);
    return { list: { ...list.value, quarter: quarter.name }, ledger, spares };
  },
);

/** Reasons are worded anew every time: names of rings change when others come and go. */
function whyNoStrips(group: readonly OwnedPieces[], shop: Shop, roll: Roll): Reason[] {
  const want = wantOf(group, shop);
  const list = cutIntoStrips(want, shop, roll);
  return [...(list.ok ? [] : list.reasons), ...whyTooThick(want.thicknessMm, group[0]!.owner, roll)];
}

const blockFor = remembered((pieces: OwnedPieces, shop: Shop): Entry<PanelEntry> | null => {
  const panel = panelFor(pieces, shop)!;
  const quarter = quarterFor(panel.thicknessMm);
  if (!quarter) return null;
  const ledger = emptyLedger();
  enterPanel(ledger, panel, quarter, shop);
  return { list: { ...panel, quarter: quarter.name }, ledger, spares: 0 };
});

const whyNoBlock = (pieces: OwnedPieces, shop: Shop, roll: Roll): Reason[] =>
  whyTooThick(panelFor(pieces, shop)!.thicknessMm, pieces.owner, roll);

const NOBODY: Roll = rollOf({ rings: [] });

type Mutable<T> = { -readonly [K in keyof T]: T[K] };

/** Why no lumber is thick enough for pieces; nothing where some is. */
function whyTooThick(planedMm: number, owner: Owner, roll: Roll): Reason[] {
  if (quarterFor(planedMm)) return [];
  const thickest = QUARTERS[QUARTERS.length - 1]!;
  return [
    {
      code: 'too-thick',
      path: roll.pathOf(owner),
      message: say`${roll.titleOf(owner)} is cut from wood planed to ${sayMm(planedMm)}; the thickest lumber sold, ${thickest.name}, gives ${sayMm(thickest.surfacedMm)}. Use two rings, or glue boards face to face.`,
      limits: { most: thickest.surfacedMm },
    },
  ];
}
