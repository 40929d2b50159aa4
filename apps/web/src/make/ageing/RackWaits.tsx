import { formatLength, waitingBoards } from '@fellside/core';
import { api } from '../../store/api.js';
import { projectOf, shopOf, unitsOf, woodsOf } from '../../store/house.js';
import { useApp } from '../../store/store.js';
import { waitSaid } from './waitSaid.js';

/** Boards of the rack in the woods of this piece that are too wet or too dry for its room: how long they wait, and what they are then. */
export function RackWaits() {
  const units = useApp(unitsOf);
  const woods = useApp(woodsOf);
  const palette = useApp((state) => projectOf(state).palette);
  const { climate } = useApp(shopOf).workshop;
  const { data: boards = [] } = api.useBoardsQuery();
  const wanted = new Set(palette.map(({ wood }) => wood));
  const known = boards.filter(({ wood, moisturePercent }) => wanted.has(wood) && moisturePercent !== null);
  const waiting = waitingBoards(known, woods, climate).filter(({ days }) => days > 0);
  if (waiting.length === 0)
    return (
      <p className="mb-2 text-sm text-quiet">
        {known.length === 0
          ? 'No board on the rack in these woods has a moisture written down; measure it, and enter it in Woods.'
          : 'All boards on the rack in these woods are near enough to the room.'}
      </p>
    );
  return (
    <ul aria-label="Boards of the rack that wait" className="mb-2 text-sm">
      {waiting.map(({ board, percent, roomPercent, days, weight, widthMm, thicknessMm }) => (
        <li key={board.id} className="border-t border-line py-1">
          <b>{woods.find(({ id }) => id === board.wood)?.name ?? board.wood}</b>
          {board.note && <span className="text-quiet">, {board.note}</span>}: {percent} %, wait about{' '}
          <b>{waitSaid(days)}</b>. Then at {roomPercent.toFixed(1)} % it weighs {Math.round(100 * weight)} %
          of now, and is {formatLength(widthMm, units)} × {formatLength(thicknessMm, units)}.
        </li>
      ))}
    </ul>
  );
}
