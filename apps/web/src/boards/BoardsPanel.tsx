import {
  type Board,
  chargedFeet,
  formatLength,
  mm,
  type Species,
  surfacedThickness,
  waitingBoards,
} from '@fellside/core';
import { Pencil, Scissors, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { waitSaid } from '../make/ageing/waitSaid.js';
import { api, sentencesOf } from '../store/api.js';
import { shopOf, woodsOf } from '../store/house.js';
import { useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { Swatch } from '../ui/Swatch.js';
import { headClass, tableClass } from '../ui/tables.js';
import { WoodPatterns } from '../ui/WoodPatterns.js';
import { BoardDialog } from './BoardDialog.js';
import { BoardFiles } from './BoardFiles.js';
import { BoardPicture } from './BoardPicture.js';
import { SplitDialog } from './SplitDialog.js';

type Open = { readonly what: 'edit' | 'split'; readonly board: Board } | { readonly what: 'new' } | null;

/** The boards on hand, for all pieces: entered, changed, split, thrown out, read from and written to files. */
export function BoardsPanel() {
  const { data: boards = [] } = api.useBoardsQuery();
  const woods = useApp(woodsOf);
  const [replace] = api.useReplaceBoardsMutation();
  const [trouble, setTrouble] = useState<string[]>([]);
  const [open, setOpen] = useState<Open>(null);
  const takeOut = (id: string) =>
    replace({ remove: [id], add: [] })
      .unwrap()
      .then(() => setTrouble([]))
      .catch((error) => setTrouble(sentencesOf(error)));
  const longest = Math.max(1, ...boards.map(({ lengthMm }) => lengthMm));
  return (
    <section aria-label="Boards on hand" className="mb-6">
      <div className="mb-3 flex flex-wrap items-center gap-4">
        <h2 className="text-xl font-semibold">Boards on hand</h2>
        <p className="text-quiet">Pieces are laid out on these first; what is missing is bought.</p>
        <div className="flex-1" />
        <BoardFiles boards={boards} woods={woods} />
        <Button kind="main" onClick={() => setOpen({ what: 'new' })}>
          Enter a board
        </Button>
      </div>
      {trouble.length > 0 && (
        <p role="alert" className="mb-3 text-rust">
          {trouble.join(' ')}
        </p>
      )}
      <div className="rounded border border-line bg-pane p-2">
        {boards.length === 0 ? (
          <p className="text-quiet">
            No boards yet. Enter one with its length, width and thickness, or read a list from a CSV file.
          </p>
        ) : (
          <table className={tableClass} aria-label="Boards on hand">
            <thead>
              <tr className={headClass}>
                {[
                  'Wood',
                  'Board',
                  'Thickness',
                  'Width',
                  'Length',
                  'bd ft',
                  'Price',
                  'Moisture',
                  'Where',
                  '',
                ].map((head) => (
                  <th key={head} scope="col">
                    {head || <span className="sr-only">What to do</span>}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {boards.map((board) => (
                <Row
                  key={board.id}
                  board={board}
                  species={woods.find(({ id }) => id === board.wood)}
                  scale={190 / longest}
                  onEdit={() => setOpen({ what: 'edit', board })}
                  onSplit={() => setOpen({ what: 'split', board })}
                  onRemove={() => takeOut(board.id)}
                />
              ))}
            </tbody>
          </table>
        )}
      </div>
      {open?.what === 'new' && <BoardDialog onClose={() => setOpen(null)} />}
      {open?.what === 'edit' && <BoardDialog board={open.board} onClose={() => setOpen(null)} />}
      {open?.what === 'split' && <SplitDialog board={open.board} onClose={() => setOpen(null)} />}
    </section>
  );
}

interface RowProps {
  readonly board: Board;
  readonly species: Species | undefined;
  readonly scale: number;
  readonly onEdit: () => void;
  readonly onSplit: () => void;
  readonly onRemove: () => void;
}

function Row({ board, species, scale, onEdit, onSplit, onRemove }: RowProps) {
  const { units, prices, currency, charges, workshop } = useApp(shopOf);
  const { lengthMm, widthMm, thicknessMm, surfaced, moisturePercent, note, wood } = board;
  const price = board.price ?? prices[wood];
  const days = waitingBoards([board], species ? [species] : [], workshop.climate)[0]?.days ?? 0;
  const name = `${species?.name ?? wood}, ${formatLength(mm(lengthMm), units)}`;
  const each = 'h-6! px-1.5!';
  return (
    <tr className="border-t border-line">
      <th scope="row">
        <span className="flex items-center gap-1.5">
          <Swatch wood={species} size={16} /> {species?.name ?? wood}
        </span>
      </th>
      <td>
        {species && (
          <svg width="0" height="0" aria-hidden className="absolute">
            <WoodPatterns woods={[species]} hatched={false} prefix={`board-${board.id}`} />
          </svg>
        )}
        <BoardPicture board={board} species={species} prefix={`board-${board.id}`} scale={scale} />
      </td>
      <td>
        {formatLength(thicknessMm, units)}{' '}
        <span className="text-quiet">
          {surfaced ? 'surfaced' : `rough, planes to ${formatLength(surfacedThickness(board), units)}`}
        </span>
      </td>
      <td>{formatLength(widthMm, units)}</td>
      <td>{formatLength(lengthMm, units)}</td>
      <td>{chargedFeet(board, { charges }).toFixed(2)}</td>
      <td>{price === undefined || price === null ? '–' : `${currency}${price.toFixed(2)} / bd ft`}</td>
      <td>
        {moisturePercent === null ? '–' : `${moisturePercent} %`}
        {days > 0 && <span className="block text-rust">wait {waitSaid(days)}</span>}
      </td>
      <td className="max-w-48 whitespace-normal">{note}</td>
      <td>
        <span className="flex gap-1">
          <Button className={each} aria-label={`Change ${name}`} onClick={onEdit}>
            <Pencil aria-hidden size={12} />
          </Button>
          <Button className={each} aria-label={`Split ${name}`} onClick={onSplit}>
            <Scissors aria-hidden size={12} />
          </Button>
          <Button className={each} aria-label={`Throw out ${name}`} onClick={onRemove}>
            <Trash2 aria-hidden size={12} />
          </Button>
        </span>
      </td>
    </tr>
  );
}
