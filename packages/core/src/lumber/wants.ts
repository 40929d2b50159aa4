import type { PieceKind } from '../making/contract.js';
import type { PanelStock, StripStock } from '../making/stock.js';
import { mm } from '../measure/quantity.js';
import { SAME_ANGLE, SAME_SETTING } from '../measure/tolerance.js';
import type { Shop } from '../settings/shop.js';
import type { Panel } from './account.js';
import { type Cut, type StripWant, spareOf, withOtherHand, withSpares } from './strips.js';

/** Pieces of one kind and one wood that a ring (by index) is made of. */
export interface RingPieces {
  readonly ring: number;
  readonly wood: string;
  readonly kind: PieceKind;
  readonly count: number;
  /** The places that they fill. */
  readonly places: readonly number[];
  /** Of one piece as it lies in the ring, mm³. */
  readonly volumeMm3: number;
  /** Spares wanted besides those of the shop's rule. */
  readonly spares?: number;
}

/** Planed thickness that a ring of a height is cut from: both faces are sanded after gluing (mm). */
export const plannedThickness = (heightMm: number, shop: Shop) => mm(heightMm + 2 * shop.faceSandingMm);

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

/** Groups pieces by what one strip can serve: same wood, width, thickness and setting. Spares are added. */
export function stripWants(pieces: readonly RingPieces[], shop: Shop): StripWant[] {
  const groups: { want: Setting; cuts: Cut[]; byHand: Cut[] }[] = [];
  for (const of of pieces) {
    const { stock } = of.kind;
    if (stock.from !== 'strip') continue;
    const { cutAngle, bladeTilt, cutting } = stock;
    const widthMm = rippedWidth(stock, shop);
    const thicknessMm = plannedThickness(stock.thicknessMm, shop);
    const want = { wood: of.wood, widthMm, thicknessMm, cutAngle, bladeTilt, cutting };
    const group = groups.find((g) => sameStrip(g.want, want));
    const cut = cutOf(of, stock);
    const byHand = of.spares ? [spareOf(cut, of.spares)] : [];
    if (!group) groups.push({ want, cuts: [cut], byHand });
    else {
      group.cuts.push(cut);
      group.byHand.push(...byHand);
      group.want = {
        ...group.want,
        widthMm: mm(Math.max(group.want.widthMm, want.widthMm)),
        thicknessMm: mm(Math.max(group.want.thicknessMm, want.thicknessMm)),
      };
    }
  }
  return groups.map(({ want, cuts, byHand }) => {
    const all = want.cutting === 'two-fences' ? withOtherHand(cuts) : cuts;
    return { ...want, cuts: [...withSpares(all, shop), ...byHand] };
  });
}

function cutOf({ ring, kind, count, places }: RingPieces, stock: StripStock): Cut {
  const { slicing, inOrder, hand, boardEdgeMm, longEdgeMm } = stock;
  const inRing = slicing?.inRing ?? 1;
  const half = kind.places.length / inRing;
  const numbered = places.filter((place) => inRing === 1 || place < half).map((place) => place + 1);
  return {
    ring,
    purpose: 'ring',
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

/** The blocks that discs, plugs and staves are sawn from. */
export const panelsOf = (pieces: readonly RingPieces[], shop: Shop): Panel[] =>
  pieces.flatMap(({ ring, wood, kind, count, volumeMm3 }) =>
    kind.stock.from === 'panel'
      ? [panelOf(kind.stock, { ring, wood, name: kind.name, ...blocksOf(kind, count, volumeMm3) }, shop)]
      : [],
  );

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
  of: Pick<Panel, 'ring' | 'wood' | 'name' | 'count' | 'pieceMm3'>,
  shop: Shop,
): Panel => ({
  ...of,
  shape,
  lengthMm,
  widthMm,
  netMm: slicing ? slicing.keptMm : thicknessMm,
  resawMm: slicing ? mm(thicknessMm - slicing.keptMm) : mm(0),
  thicknessMm: PLANED.includes(shape) ? thicknessMm : plannedThickness(thicknessMm, shop),
});
