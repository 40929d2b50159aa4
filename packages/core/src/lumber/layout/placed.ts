import type { Mm } from '../../measure/quantity.js';
import { nextStep } from '../../measure/step.js';
import { ownerKey } from '../../ring/owner.js';
import type { Shop } from '../../settings/shop.js';
import type { Section } from '../board.js';
import { cutsFor, endsAlong, kerfAlong } from '../cutting.js';
import type { Cut } from '../strips.js';
import type { Demand } from './demand.js';
import type { DemandKind } from './kinds.js';
import { type Answer, groupOfStocks, type Rips, type Run } from './problem.js';
import type { StockBoard } from './stock.js';

/** A piece on its strip, mm from the strip's beginning; its slanted ends stand half over on either side. */
export interface LaidPiece extends Pick<Cut, 'owner' | 'purpose' | 'hand' | 'asked' | 'keptMm' | 'resawMm'> {
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
  /** Spares and test pieces that a strip would have had to be ripped for alone: they are not cut. */
  readonly leftOut: readonly NotCut[];
  /** Pieces that no board was left for. */
  readonly missing: readonly NotCut[];
}

/** Pieces of one kind, owner and purpose that are not cut. */
export interface NotCut extends Pick<Cut, 'owner' | 'purpose'> {
  readonly kind: number;
  readonly count: number;
}

type Waiting = Omit<LaidPiece, 'fromMm' | 'toMm' | 'edgeMm'>;

/** An answer in places: which piece lies where on which board. Pieces of more than is wanted are not cut. */
export function placed({ wood, kinds, stocks, problem }: Demand, answer: Answer, shop: Shop): WoodLayout {
  const waiting = kinds.map(({ pieces }) =>
    pieces.map(({ owners }): Waiting[] =>
      owners.flatMap(({ owner, purpose, hand, asked, numbers, count, keptMm, resawMm }) =>
        Array.from({ length: count }, (_, i) => ({
          owner,
          purpose,
          keptMm,
          resawMm,
          ...(hand && { hand }),
          ...(asked && { asked }),
          ...(numbers?.[i] !== undefined && { number: numbers[i] }),
        })),
      ),
    ),
  );
  const groupOf = groupOfStocks(problem);
  const used = groupOf.map(() => 0);
  const idle: NotCut[] = [];
  const boards = answer.boards.flatMap(({ stock, rips }): LaidBoard[] => {
    const same = stocks[stock]!;
    const board = same[0]!.board ? same[used[groupOf[stock]!]!++]! : same[0]!;
    const parts = board.sections;
    const all = laidStrips(parts, kinds, rips, waiting, shop);
    const strips = all.filter((strip) => !isIdle(strip));
    idle.push(...all.filter(isIdle).flatMap(({ kind, leaves }) => notCut(kind, leaves.flat())));
    return strips.length > 0 ? [shortened({ stock: board, sections: parts, strips }, kinds, shop)] : [];
  });
  const missing = waiting.flatMap((pieces, kind) => pieces.flatMap((left) => notCut(kind, left)));
  return { wood, kinds, boards, leftOut: idle, missing };
}

/** Pieces put together by whom they are for and what for. */
function notCut(kind: number, pieces: readonly Pick<Cut, 'owner' | 'purpose'>[]): NotCut[] {
  const counts = new Map<string, NotCut>();
  for (const { owner, purpose } of pieces) {
    const key = `${owner ? ownerKey(owner) : ''} ${purpose}`;
    counts.set(key, { owner, purpose, kind, count: (counts.get(key)?.count ?? 0) + 1 });
  }
  return [...counts.values()];
}

/** Whether a strip gives nothing but spares that nobody asked for. */
const isIdle = ({ leaves }: LaidStrip): boolean =>
  leaves.flat().every(({ purpose, asked }) => (purpose === 'spare' && !asked) || purpose === 'test');

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
 * Every part crosscut behind what its strips need, where what is left behind is worth keeping, and so is every single strip; and all
 * that is left: behind parts and strips, beside them, and parts that nothing is sawn from.
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
    if (own.length === 0) return { part: section, own, left: [section].filter(keeps) };
    const needs = own.map((strip) => neededLength(strip, kinds[strip.kind]!));
    const cutOff = cutBehind(section, Math.max(...needs), keeps, shop);
    // A strip that is resawn is crosscut before: what is behind it is as thick as the board.
    const short = own.map((strip, i) =>
      cutBehind({ ...strip, lengthMm: cutOff.kept.lengthMm }, needs[i]!, keeps, shop),
    );
    const top = Math.max(...own.map((strip) => strip.yMm + strip.widthMm + shop.ripKerfMm));
    const beside = { ...cutOff.kept, yMm: top, widthMm: section.yMm + section.widthMm - top };
    const left = [...cutOff.left, ...short.flatMap((strip) => strip.left), ...[beside].filter(keeps)];
    return { part: cutOff.kept, own: short.map(({ kept }) => kept), left };
  });
  return {
    stock,
    sections: parts.map(({ part }) => part),
    strips: parts.flatMap(({ own }) => own),
    offcuts: parts.flatMap(({ left }) => left),
  };
}

/** Something crosscut behind the length that is needed of it, where what is left behind is worth keeping. */
function cutBehind<Part extends Section>(
  part: Part,
  neededMm: number,
  keeps: (left: Section) => boolean,
  { kerfMm, lengthStepMm }: Shop,
): { readonly kept: Part; readonly left: Section[] } {
  const lengthMm = nextStep(neededMm, lengthStepMm);
  const behind: Section = {
    xMm: part.xMm + lengthMm + kerfMm,
    yMm: part.yMm,
    lengthMm: part.lengthMm - lengthMm - kerfMm,
    widthMm: part.widthMm,
  };
  return keeps(behind) ? { kept: { ...part, lengthMm }, left: [behind] } : { kept: part, left: [] };
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
