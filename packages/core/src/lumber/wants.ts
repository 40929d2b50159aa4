import type { PieceKind, StripStock } from '../making/contract.js';
import { mm } from '../measure/quantity.js';
import { SAME_ANGLE, SAME_SETTING } from '../measure/tolerance.js';
import type { Shop } from '../settings/shop.js';
import type { Panel } from './account.js';
import { type Cut, type StripWant, withSpares } from './strips.js';

/** Pieces of one kind and one wood that a ring (by index) is made of. */
export interface RingPieces {
  readonly ring: number;
  readonly wood: string;
  readonly kind: PieceKind;
  readonly count: number;
}

type FromStrip = RingPieces & { readonly kind: PieceKind & { readonly stock: StripStock } };

const fromStrip = (pieces: RingPieces): pieces is FromStrip => pieces.kind.stock.from === 'strip';

/** Planed thickness that a ring of a height is cut from: both faces are sanded after gluing (mm). */
export const plannedThickness = (heightMm: number, shop: Shop) => mm(heightMm + 2 * shop.faceSandingMm);

/** Groups pieces by what one strip can serve: same wood, width, thickness and cut angle. Spares are added. */
export function stripWants(pieces: readonly RingPieces[], shop: Shop): StripWant[] {
  const groups: { want: Omit<StripWant, 'cuts'>; cuts: Cut[] }[] = [];
  for (const { ring, wood, kind, count } of pieces.filter(fromStrip)) {
    const want = {
      wood,
      widthMm: kind.stock.widthMm,
      thicknessMm: plannedThickness(kind.heightMm, shop),
      cutAngle: kind.stock.cutAngle,
    };
    const cut = { ring, longEdgeMm: kind.stock.longEdgeMm, count };
    const group = groups.find((g) => sameStrip(g.want, want));
    if (!group) groups.push({ want, cuts: [cut] });
    else {
      group.cuts.push(cut);
      const widthMm = mm(Math.max(group.want.widthMm, want.widthMm));
      const thicknessMm = mm(Math.max(group.want.thicknessMm, want.thicknessMm));
      group.want = { ...group.want, widthMm, thicknessMm };
    }
  }
  return groups.map(({ want, cuts }) => ({ ...want, cuts: withSpares(cuts, shop) }));
}

const sameStrip = (a: Omit<StripWant, 'cuts'>, b: Omit<StripWant, 'cuts'>): boolean =>
  a.wood === b.wood &&
  Math.abs(a.widthMm - b.widthMm) < SAME_SETTING &&
  Math.abs(a.thicknessMm - b.thicknessMm) < SAME_SETTING &&
  Math.abs(a.cutAngle - b.cutAngle) < SAME_ANGLE;

/** The squares that discs are sawn from, one each. */
export const panelsOf = (pieces: readonly RingPieces[], shop: Shop): Panel[] =>
  pieces.flatMap(({ ring, wood, kind, count }) => {
    if (kind.stock.from !== 'panel') return [];
    const { lengthMm, widthMm } = kind.stock;
    const panel: Panel = {
      ring,
      wood,
      lengthMm,
      widthMm,
      thicknessMm: plannedThickness(kind.heightMm, shop),
      pieceMm3: kind.volumeMm3,
      heightMm: kind.heightMm,
    };
    return Array.from({ length: count }, () => panel);
  });
