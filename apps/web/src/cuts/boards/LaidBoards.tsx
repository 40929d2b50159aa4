import {
  areasOf,
  type BoardAreas,
  formatLength,
  type LaidBoard,
  mm,
  type NumberedBoard,
  type Owner,
  type Roll,
  type Shop,
  type Species,
} from '@fellside/core';
import { Link, useParams } from 'react-router';
import { shopOf } from '../../store/house.js';
import { useApp } from '../../store/store.js';
import { Swatch } from '../../ui/Swatch.js';
import type { WoodState } from '../../workers/layout.js';
import { BoardDrawing } from './BoardDrawing.js';

interface LaidBoardsProps {
  readonly state: WoodState;
  readonly species: Species | undefined;
  /** Width that there is for the longest board, px. */
  readonly room: number;
  readonly roll: Roll;
  readonly boards: readonly NumberedBoard[];
  readonly onOwner: (owner: Owner) => void;
}

/** The boards of one wood, all to one scale, and how near they are to what is possible. */
export function LaidBoards({ state, boards, species, room, roll, onOwner }: LaidBoardsProps) {
  const { layout } = state;
  const shop = useApp(shopOf);
  const longest = Math.max(1, ...layout.boards.map(({ stock }) => stock.lengthMm));
  const scale = room / longest;
  return (
    <section aria-label={species?.name ?? layout.wood} className="mb-4">
      <h3 className="flex items-center gap-1.5 font-semibold">
        <Swatch wood={species} size={18} /> {species?.name ?? layout.wood}
      </h3>
      {layout.boards.length === 0 && <p className="text-sm text-rust">There is no board of it.</p>}
      {layout.boards.length > 0 && <p className="text-xs">{nearness(state)}</p>}
      {layout.boards.length > 0 && <p className="text-xs text-quiet">{useOf(state, shop)}</p>}
      {boards.map((board) => (
        <Board key={board.number} {...{ board, species, scale, roll, onOwner }} />
      ))}
      <LeftOut layout={layout} />
    </section>
  );
}

/** Where the face of the boards goes; all of it together is the boards. */
function useOf({ layout: { boards, kinds } }: WoodState, shop: Shop): string {
  const areas = boards.map((laid) => areasOf(laid, kinds, shop));
  const sum = (key: keyof BoardAreas) => areas.reduce((all, of) => all + of[key], 0);
  const whole = USES.reduce((all, [key]) => all + sum(key), 0);
  return USES.map(([key, name]) => `${((100 * sum(key)) / whole).toFixed(1)} % ${name}`).join(', ');
}

const USES: readonly (readonly [keyof BoardAreas, string])[] = [
  ['pieces', 'pieces'],
  ['ends', 'ends and tails of strips'],
  ['kerf', 'rip kerfs'],
  ['offcuts', 'kept as offcuts'],
  ['rest', 'trims, defects and slivers'],
];

/** What was tried and what is known of how good a layout is, and nothing beyond it. */
function nearness({ cost, bound, stage, tried, leastFeet }: WoodState): string {
  const least = `no layout at all needs less than ${(Math.floor(10 * leastFeet + 1e-6) / 10).toFixed(1)} bd ft`;
  if (stage === 'at once') return `laid out at once, not solved; ${least}`;
  if (bound <= 0) return `being solved; ${least}`;
  const ways = tried === 1 ? 'boards not crosscut' : `${tried} ways to crosscut a board tried`;
  const saved = 1 - bound / cost;
  const known =
    saved < 0.0005
      ? 'so sawn, nothing needs less'
      : `so sawn, at most ${(100 * saved).toFixed(saved < 0.1 ? 1 : 0)} % could be saved`;
  return `${ways}; ${known}; ${least}`;
}

/** Spares for which a strip would have had to be ripped: they are not cut. */
function LeftOut({ layout: { leftOut } }: Pick<WoodState, 'layout'>) {
  const count = leftOut.reduce((sum, of) => sum + of.count, 0);
  if (count === 0) return null;
  return (
    <p className="mt-1 text-xs text-quiet">
      {count} {count === 1 ? 'spare is' : 'spares are'} left out: a strip would have to be ripped for{' '}
      {count === 1 ? 'it' : 'them'} alone.
    </p>
  );
}

/** `4/4 6" × 96", to buy`. */
export function boardSaid(stock: LaidBoard['stock'], units: Shop['units']): string {
  const size = [stock.widthMm, stock.lengthMm].map((side) => formatLength(mm(side), units)).join(' × ');
  const thick = stock.quarter?.name ?? formatLength(stock.board!.thicknessMm, units);
  const from = stock.board ? `on hand${stock.board.note ? `: ${stock.board.note}` : ''}` : 'to buy';
  return stock.quarter ? `${thick}, ${size}, ${from}` : `${thick} × ${size}, ${from}`;
}

function Board({
  board: { number, layout, laid },
  ...rest
}: { board: NumberedBoard; scale: number } & Pick<LaidBoardsProps, 'species' | 'roll' | 'onOwner'>) {
  const { id } = useParams();
  const shop = useApp(shopOf);
  const { stock } = laid;
  const { pieces } = areasOf(laid, layout.kinds, shop);
  return (
    <figure className="mt-2">
      <figcaption className="flex flex-wrap gap-x-2 text-[13px]">
        <Link to={`/piece/${id}/cuts/boards/${number}`} className="font-semibold text-teal underline">
          Board {number}
        </Link>
        {boardSaid(stock, shop.units)}
        <span className="ml-auto text-quiet">
          {Math.round((100 * pieces) / (stock.lengthMm * stock.widthMm))} % in pieces
        </span>
      </figcaption>
      <BoardDrawing {...{ laid }} kinds={layout.kinds} {...rest} />
    </figure>
  );
}
