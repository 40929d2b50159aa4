import type { Mm } from '../../measure/quantity.js';
import { type Owner, ownerKey } from '../../ring/owner.js';
import type { Shop } from '../../settings/shop.js';
import type { Section } from '../board.js';
import { cutsFor, endsAlong, kerfAlong } from '../cutting.js';
import type { Cut } from '../strips.js';
import type { Demand } from './demand.js';
import type { DemandKind } from './kinds.js';
import type { Answer, Rips, Run } from './problem.js';
import type { StockBoard } from './stock.js';

/** A piece on its strip, mm from the strip's beginning; its slanted ends stand half over on either side. */
export interface LaidPiece extends Pick<Cut, 'owner' | 'purpose' | 'hand'> {
  readonly fromMm: number;
  readonly toMm: number;
  readonly edgeMm: Mm;
  /** Number of the piece in its ring, where it matters. */
  readonly number?: number;
}

/** A strip ripped off a board, mm from the board's left end and lower edge; where it is resawn, its leaves. */
export interface LaidStrip extends Section {
  /** Index of the kind in the demand. */
  readonly kind: number;
  readonly leaves: readonly (readonly LaidPiece[])[];
}

export interface LaidBoard {
  readonly stock: StockBoard;
  /** The parts that it is sawn into first, each as long as its strips need. */
  readonly sections: readonly Section[];
  readonly strips: readonly LaidStrip[];
  /** What is left and worth keeping. */
  readonly offcuts: readonly Section[];
}

/** The boards of one wood as they are sawn. */
export interface WoodLayout {
  readonly wood: string;
  readonly kinds: readonly DemandKind[];
  readonly boards: readonly LaidBoard[];
  /** Pieces that no board was left for. */
  readonly missing: readonly (Pick<Cut, 'owner' | 'purpose'> & {
    readonly kind: number;
    readonly count: number;
  })[];
}

type Waiting = { owner: Owner | null; purpose: Cut['purpose']; hand?: Cut['hand']; number?: number };

/** An answer in places: which piece lies where on which board. Pieces of more than is wanted are not cut. */
export function placed({ wood, kinds, stocks }: Demand, answer: Answer, shop: Shop): WoodLayout {
  const waiting = kinds.map(({ pieces }) =>
    pieces.map(({ owners }): Waiting[] =>
      owners.flatMap(({ owner, purpose, hand, numbers, count }) =>
        Array.from({ length: count }, (_, i) => ({
          owner,
          purpose,
          ...(hand && { hand }),
          ...(numbers?.[i] !== undefined && { number: numbers[i] }),
        })),
      ),
    ),
  );
  const used = stocks.map(() => 0);
  const boards = answer.boards.flatMap(({ stock, rips }): LaidBoard[] => {
    const same = stocks[stock]!;
    const board = same[0]!.board ? same[used[stock]!++]! : same[0]!;
    const parts = board.sections;
    const strips = laidStrips(parts, kinds, rips, waiting, shop);
    return strips.length > 0 ? [shortened({ stock: board, sections: parts, strips }, kinds, shop)] : [];
  });
  const missing = waiting.flatMap((pieces, kind) =>
    pieces.flatMap((left) => {
      const counts = new Map<
        string,
        { owner: Owner | null; purpose: Cut['purpose']; kind: number; count: number }
      >();
      for (const { owner, purpose } of left) {
        const key = `${owner ? ownerKey(owner) : ''} ${purpose}`;
        const known = counts.get(key) ?? { owner, purpose, kind, count: 0 };
        counts.set(key, { ...known, count: known.count + 1 });
      }
      return [...counts.values()];
    }),
  );
  return { wood, kinds, boards, missing };
}

/** Rips one beside the other from the jointed edge, the widest first; those that nothing is cut from are left out. */
function laidStrips(
  sections: readonly Section[],
  kinds: readonly DemandKind[],
  rips: readonly Rips[],
  waiting: Waiting[][][],
  shop: Shop,
): LaidStrip[] {
  const strips: LaidStrip[] = [];
  const reached = sections.map(({ yMm }) => yMm);
  for (const { section, kind, runs } of [...rips].sort(
    (a, b) => kinds[b.kind]!.widthMm - kinds[a.kind]!.widthMm,
  )) {
    const leaves = runs
      .map((run) => laidPieces(kinds[kind]!, run, waiting[kind]!))
      .filter((leaf) => leaf.length > 0);
    if (leaves.length === 0) continue;
    const { xMm, lengthMm } = sections[section]!;
    const { widthMm } = kinds[kind]!;
    strips.push({ kind, xMm, yMm: reached[section]!, lengthMm, widthMm, leaves });
    reached[section]! += widthMm + shop.ripKerfMm;
  }
  return strips;
}

function laidPieces({ setting, pieces }: DemandKind, run: Run, waiting: Waiting[][]): LaidPiece[] {
  const kerf = kerfAlong(setting);
  const each = cutsFor(setting, 1) - cutsFor(setting, 0);
  let at = cutsFor(setting, 0) * kerf + endsAlong(setting) / 2;
  const laid: LaidPiece[] = [];
  run.forEach((count, i) => {
    const { along, edgeMm } = pieces[i]!;
    for (let n = 0; n < count; n++) {
      const next = waiting[i]!.shift();
      if (!next) return;
      // With the same edge out a kerf goes before each piece and one behind it.
      const fromMm = at + (each > 1 ? kerf : 0);
      laid.push({ ...next, fromMm, toMm: fromMm + along, edgeMm });
      at += along + each * kerf;
    }
  });
  return laid;
}

/**
 * Every part crosscut behind what its strips need, where what is left behind is worth keeping; and all that is left: behind the
 * strips, beside them, and parts that nothing is sawn from.
 */
function shortened(
  { stock, sections, strips }: Omit<LaidBoard, 'offcuts'>,
  kinds: readonly DemandKind[],
  shop: Shop,
): LaidBoard {
  const { lengthMm: long, widthMm: wide } = shop.leastOffcutMm;
  const keeps = ({ lengthMm, widthMm }: Section) => lengthMm >= long && widthMm >= wide;
  const parts = sections.map((section) => {
    const own = strips.filter((strip) => isIn(strip, section));
    const needed = Math.max(0, ...own.map((strip) => neededLength(strip, kinds[strip.kind]!)));
    const behind: Section = {
      ...section,
      xMm: section.xMm + needed + (own.length > 0 ? shop.kerfMm : 0),
      lengthMm: section.lengthMm - needed - (own.length > 0 ? shop.kerfMm : 0),
    };
    if (own.length === 0) return { part: section, own, left: [section].filter(keeps) };
    const part = keeps(behind) ? { ...section, lengthMm: needed } : section;
    const top = Math.max(...own.map((strip) => strip.yMm + strip.widthMm + shop.ripKerfMm));
    const beside = { ...part, yMm: top, widthMm: section.yMm + section.widthMm - top };
    return { part, own, left: [behind, beside].filter(keeps) };
  });
  return {
    stock,
    sections: parts.map(({ part }) => part),
    strips: parts.flatMap(({ part, own }) => own.map((strip) => ({ ...strip, lengthMm: part.lengthMm }))),
    offcuts: parts.flatMap(({ left }) => left),
  };
}

/** Length of strip up to behind its last piece, with the tail that is held back. */
const neededLength = ({ leaves }: LaidStrip, { setting, tailMm }: DemandKind): number => {
  const last = Math.max(...leaves.map((leaf) => leaf.at(-1)!.toMm));
  const cut = setting.cutting === 'same-edge' ? kerfAlong(setting) : 0;
  return last + cut + kerfAlong(setting) + endsAlong(setting) / 2 + tailMm;
};

const isIn = (strip: Section, section: Section): boolean =>
  Math.abs(strip.xMm - section.xMm) < 1e-6 &&
  strip.yMm >= section.yMm - 1e-6 &&
  strip.yMm < section.yMm + section.widthMm;
