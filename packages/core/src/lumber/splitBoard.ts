import { mm } from '../measure/quantity.js';
import { done, type Result, refuse } from '../measure/reason.js';
import { say, sayMm } from '../measure/said.js';
import type { Board, NewBoard, Section } from './board.js';
import type { LaidBoard, WoodLayout } from './layout/placed.js';

/** Parts smaller than this either way are not kept, mm. */
const LEAST = { lengthMm: 50, widthMm: 10 } as const;

/** The part of a board that lies within a rectangle, with what of its defects lies there. */
export function partOf({ id: _, ...board }: Board, { xMm, yMm, lengthMm, widthMm }: Section): NewBoard {
  const defects = board.defects.flatMap((defect) => {
    const [x0, x1] = [Math.max(xMm, defect.xMm), Math.min(xMm + lengthMm, defect.xMm + defect.lengthMm)];
    const [y0, y1] = [Math.max(yMm, defect.yMm), Math.min(yMm + widthMm, defect.yMm + defect.widthMm)];
    return x1 - x0 < 0.1 || y1 - y0 < 0.1
      ? []
      : [
          {
            ...defect,
            xMm: mm(x0 - xMm),
            yMm: mm(y0 - yMm),
            lengthMm: mm(x1 - x0),
            widthMm: mm(y1 - y0),
          },
        ];
  });
  return { ...board, lengthMm: mm(lengthMm), widthMm: mm(widthMm), defects };
}

/** A board sawn in two, across at a length or along at a width; the kerf is lost from the second part. */
export function splitBoard(
  board: Board,
  way: 'across' | 'along',
  atMm: number,
  kerfMm: number,
): Result<NewBoard[]> {
  const { lengthMm, widthMm } = board;
  const [whole, least] = way === 'across' ? [lengthMm, LEAST.lengthMm] : [widthMm, LEAST.widthMm];
  if (!(atMm >= least && whole - atMm - kerfMm >= least))
    return refuse(
      'split',
      'atMm',
      say`The board is ${sayMm(whole)} ${way === 'across' ? 'long' : 'wide'}: the cut can lie from ${sayMm(least)} to ${sayMm(whole - kerfMm - least)}.`,
      { least, most: whole - kerfMm - least },
    );
  const parts: Section[] =
    way === 'across'
      ? [
          { xMm: 0, yMm: 0, lengthMm: atMm, widthMm },
          { xMm: atMm + kerfMm, yMm: 0, lengthMm: lengthMm - atMm - kerfMm, widthMm },
        ]
      : [
          { xMm: 0, yMm: 0, lengthMm, widthMm: atMm },
          { xMm: 0, yMm: atMm + kerfMm, lengthMm, widthMm: widthMm - atMm - kerfMm },
        ];
  return done(parts.map((part) => partOf(board, part)));
}

/** The boards that offcuts of a layout come back as, and which boards on hand are gone; `from` names the piece they were sawn for. */
export function afterCutting(
  layouts: readonly WoodLayout[],
  from: string,
): { readonly gone: readonly string[]; readonly offcuts: readonly NewBoard[] } {
  const boards = layouts.flatMap(({ wood, boards }) => boards.map((laid) => ({ wood, laid })));
  return {
    gone: boards.flatMap(({ laid }) => laid.stock.board?.id ?? []),
    offcuts: boards.flatMap(({ wood, laid }) =>
      laid.offcuts.map((part) => ({
        ...partOf(boardOf(wood, laid), part),
        note: `Offcut of ${from}`.slice(0, 200),
      })),
    ),
  };
}

/** A board of a layout as a board on hand: one that is bought is rough and clear. */
const boardOf = (wood: string, { stock }: LaidBoard): Board =>
  stock.board ?? {
    id: 'bought',
    wood,
    lengthMm: stock.lengthMm,
    widthMm: stock.widthMm,
    thicknessMm: stock.quarter!.roughMm,
    surfaced: false,
    price: null,
    moisturePercent: null,
    note: '',
    defects: [],
  };
