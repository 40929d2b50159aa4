import {
  boardCuts,
  boardParts,
  formatLength,
  laidContents,
  mm,
  type NumberedBoard,
  type Owner,
  plain,
  type Roll,
  type Species,
  sayLaid,
  sentenceIn,
} from '@fellside/core';
import { Link, useParams } from 'react-router';
import { shopOf } from '../../store/house.js';
import { useApp } from '../../store/store.js';
import { Heads } from '../../ui/Heads.js';
import { Swatch } from '../../ui/Swatch.js';
import { tableClass } from '../../ui/tables.js';
import { BoardDrawing } from './BoardDrawing.js';
import { boardSaid } from './LaidBoards.js';

interface OneBoardProps {
  readonly opened: NumberedBoard | undefined;
  readonly boards: readonly NumberedBoard[];
  readonly species: Species | undefined;
  readonly roll: Roll;
  /** Width that there is for the board, px. */
  readonly room: number;
  readonly onOwner: (owner: Owner) => void;
}

const linkClass = 'text-teal underline';

/** One board at full width: where it is crosscut, the cuts in their order, and what every strip gives. */
export function OneBoard({ opened, boards, species, roll, room, onOwner }: OneBoardProps) {
  const { id } = useParams();
  const shop = useApp(shopOf);
  const { units } = shop;
  const all = `/piece/${id}/cuts/boards`;
  if (!opened)
    return (
      <p>
        There is no such board in the layout as it is now.{' '}
        <Link to={all} className={linkClass}>
          All boards
        </Link>
      </p>
    );
  const { number, layout, laid } = opened;
  const { stock } = laid;
  const cuts = boardCuts(laid, layout.kinds, shop);
  return (
    <>
      <nav aria-label="Board" className="mb-2 flex flex-wrap items-center gap-4 text-sm">
        <Link to={all} className={linkClass}>
          All boards
        </Link>
        {number > 1 && (
          <Link to={`${all}/${number - 1}`} className={linkClass}>
            Board {number - 1}
          </Link>
        )}
        {number < boards.length && (
          <Link to={`${all}/${number + 1}`} className={linkClass}>
            Board {number + 1}
          </Link>
        )}
      </nav>
      <h2 className="mb-2 flex items-center gap-2 text-lg font-semibold">
        <Swatch wood={species} size={20} /> Board {number}: {species?.name ?? layout.wood}
        <span className="text-base font-normal text-quiet">{boardSaid(stock, units)}</span>
      </h2>
      <BoardDrawing
        {...{ laid, species, roll, onOwner }}
        kinds={layout.kinds}
        scale={room / Math.max(1, stock.lengthMm)}
        marked
      />
      <div className="mt-4 grid gap-6 lg:grid-cols-2">
        <section aria-label="Cuts of this board">
          <h3 className="mb-1 font-semibold">Cuts, in this order</h3>
          <ol className="ml-5 list-decimal space-y-1">
            {cuts.map((cut) => (
              <li key={plain(cut)}>{sentenceIn(cut, units)}</li>
            ))}
          </ol>
        </section>
        <section aria-label="Strips of this board" className="overflow-x-auto">
          <h3 className="mb-1 font-semibold">Strips</h3>
          <table className={tableClass}>
            <Heads of={['Strip', 'Part', 'Width', 'Length', 'Planed', 'Pieces']} />
            <tbody>
              {boardParts(laid).flatMap(({ name, strips }) =>
                strips.map(({ number: which, strip }) => (
                  <tr key={which} className="border-t border-line align-top">
                    <th scope="row">{which}</th>
                    <td>{name}</td>
                    <td className="font-semibold">{formatLength(mm(strip.widthMm), units)}</td>
                    <td>{formatLength(mm(strip.lengthMm), units)}</td>
                    <td>
                      {formatLength(layout.kinds[strip.kind]!.thicknessMm, units)}
                      {strip.leaves.length > 1 && ` × ${strip.leaves.length}, resawn`}
                    </td>
                    <td className="whitespace-normal">{sayLaid(laidContents(strip), roll)}</td>
                  </tr>
                )),
              )}
            </tbody>
          </table>
        </section>
      </div>
    </>
  );
}
