import type { PieceKind } from '../making/contract.js';
import type { PanelStock, StripStock } from '../making/stock.js';
import { remembered } from '../measure/memo.js';
import { mm } from '../measure/quantity.js';
import { SAME_ANGLE, SAME_SETTING } from '../measure/tolerance.js';
import type { Owner } from '../ring/owner.js';
import type { Shop } from '../settings/shop.js';
import type { Panel } from './account.js';
import { type Cut, type StripWant, spareOf, withOtherHand, withSpares } from './strips.js';

/** Pieces of one kind and one wood that a ring, a slanted band or a blank is made of. */
export interface OwnedPieces {
  readonly owner: Owner;
  readonly wood: string;
  readonly kind: PieceKind;
  readonly count: number;
  /** The places that they fill. */
  readonly places: readonly number[];
  /** Of one piece as it lies in the ring, mm³. */
  readonly volumeMm3: number;
  /** How many faces are sanded after gluing; two where nothing is said. */
  readonly sanded?: 0 | 1 | 2;
  /** Spares wanted besides those of the shop's rule. */
  readonly spares?: number;
}

/** Planed thickness that a ring of a height is cut from, of which so many faces are sanded after gluing (mm). */
export const plannedThickness = (heightMm: number, shop: Shop, sanded = 2) =>
  mm(heightMm + sanded * shop.faceSandingMm);

/**
 * Width that a strip is ripped to: as wide as it has to be, or the next full step of the shop's. A step at which the piece
 * would have no short edge left (a ring solid to its centre) is not taken.
 */
function rippedWidth({ widthMm, longEdgeMm, cutAngle }: StripStock, { ripStepMm }: Shop) {
  const stepped = Math.ceil(widthMm / ripStepMm - SAME_STEP) * ripStepMm;
  const pointed = longEdgeMm / (2 * Math.tan(cutAngle));
  return mm(Number.isFinite(stepped) && stepped <= pointed ? Math.max(widthMm, stepped) : widthMm);
}

/** A width this share of a step over is on the step. */
const SAME_STEP = 1e-3;

type Setting = Omit<StripWant, 'cuts'>;

/** How pieces are sawn from strips; null of those that come from elsewhere. */
const settingOf = remembered(({ wood, sanded, kind: { stock } }: OwnedPieces, shop: Shop): Setting | null => {
  if (stock.from !== 'strip') return null;
  const { cutAngle, bladeTilt, cutting } = stock;
  const widthMm = rippedWidth(stock, shop);
  const thicknessMm = plannedThickness(stock.thicknessMm, shop, sanded);
  return { wood, widthMm, thicknessMm, cutAngle, bladeTilt, cutting };
});

const widest = (a: Setting, b: Setting): Setting => ({
  ...a,
  widthMm: mm(Math.max(a.widthMm, b.widthMm)),
  thicknessMm: mm(Math.max(a.thicknessMm, b.thicknessMm)),
});

/** Pieces put together that one strip can serve: same wood, width, thickness and setting. */
export function stripGroups(pieces: readonly OwnedPieces[], shop: Shop): (readonly OwnedPieces[])[] {
  const groups: { setting: Setting; readonly pieces: OwnedPieces[] }[] = [];
  for (const of of pieces) {
    const setting = settingOf(of, shop);
    if (!setting) continue;
    const group = groups.find((g) => sameStrip(g.setting, setting));
    if (!group) groups.push({ setting, pieces: [of] });
    else {
      group.pieces.push(of);
      if (setting.widthMm > group.setting.widthMm || setting.thicknessMm > group.setting.thicknessMm)
        group.setting = widest(group.setting, setting);
    }
  }
  return groups.map((group) => group.pieces);
}

/** What is wanted of the strips of one group, spares added. */
export function wantOf(group: readonly OwnedPieces[], shop: Shop): StripWant {
  const setting = group.map((of) => settingOf(of, shop)!).reduce(widest);
  const cuts = group.map((of) => cutOf(of, of.kind.stock as StripStock));
  const byHand = group.flatMap(({ spares }, i) => (spares ? [spareOf(cuts[i]!, spares)] : []));
  const all = setting.cutting === 'two-fences' ? withOtherHand(cuts) : cuts;
  return { ...setting, cuts: [...withSpares(all, shop), ...byHand] };
}

function cutOf({ owner, kind, count, places }: OwnedPieces, stock: StripStock): Cut {
  const { slicing, inOrder, hand, boardEdgeMm, longEdgeMm } = stock;
  const inRing = slicing?.inRing ?? 1;
  const half = kind.places.length / inRing;
  const numbered = places.filter((place) => inRing === 1 || place < half).map((place) => place + 1);
  return {
    owner,
    purpose: 'piece',
    longEdgeMm,
    count: Math.ceil(count / inRing),
    keptMm: slicing?.keptMm ?? kind.heightMm,
    resawMm: slicing ? mm((slicing.slices - 1) * slicing.kerfMm + slicing.cleanUpMm) : mm(0),
    ...(boardEdgeMm !== undefined && { boardEdgeMm }),
    ...(hand && { hand }),
    ...(inOrder && { numbers: numbered }),
  };
}

const sameStrip = (a: Setting, b: Setting): boolean =>
  a.wood === b.wood &&
  a.cutting === b.cutting &&
  Math.abs(a.widthMm - b.widthMm) < SAME_SETTING &&
  Math.abs(a.thicknessMm - b.thicknessMm) < SAME_SETTING &&
  Math.abs(a.cutAngle - b.cutAngle) < SAME_ANGLE &&
  Math.abs(a.bladeTilt - b.bladeTilt) < SAME_ANGLE;

/** The blocks that discs, plugs and staves are sawn from; null of pieces that come from elsewhere. */
export const panelFor = (
  { owner, wood, kind, count, volumeMm3, sanded }: OwnedPieces,
  shop: Shop,
): Panel | null =>
  kind.stock.from === 'panel'
    ? panelOf(kind.stock, { owner, wood, name: kind.name, ...blocksOf(kind, count, volumeMm3) }, shop, sanded)
    : null;

/** Blocks that pieces come from, and what of each is left in the ring: one for each piece, or all from a few. */
function blocksOf(
  { stock, places, heightMm }: PieceKind,
  count: number,
  volumeMm3: number,
): { readonly count: number; readonly pieceMm3: number } {
  const all = stock.from === 'panel' ? stock.blocks : undefined;
  const slices = stock.from === 'panel' && stock.slicing ? stock.slicing.keptMm / heightMm : 1;
  if (all === undefined) return { count, pieceMm3: slices * volumeMm3 };
  const blocks = Math.ceil((all * count) / places.length);
  return { count: blocks, pieceMm3: (count * volumeMm3) / blocks };
}

/** Shapes that are planed to size before they are glued up; the faces of the others are sanded with the ring's. */
const PLANED: readonly PanelStock['shape'][] = ['stave', 'layer', 'dowel'];

const panelOf = (
  { shape, lengthMm, widthMm, thicknessMm, slicing }: PanelStock,
  of: Pick<Panel, 'owner' | 'wood' | 'name' | 'count' | 'pieceMm3'>,
  shop: Shop,
  sanded?: 0 | 1 | 2,
): Panel => ({
  ...of,
  shape,
  lengthMm,
  widthMm,
  netMm: slicing ? slicing.keptMm : thicknessMm,
  resawMm: slicing ? mm(thicknessMm - slicing.keptMm) : mm(0),
  thicknessMm: PLANED.includes(shape) ? thicknessMm : plannedThickness(thicknessMm, shop, sanded),
});
