import {
  formatAngle,
  formatLength,
  mitred,
  type Owner,
  ownerKey,
  type Plan,
  rad,
  rollOf,
  sameOwner,
} from '@fellside/core';
import { clickOwner } from '../store/selection.js';
import { unitsOf, woodsOf } from '../store/selectors.js';
import { useActions, useApp } from '../store/store.js';
import { pieceSizes } from '../ui/pieceSizes.js';
import { Swatch } from '../ui/Swatch.js';
import { headClass, tableClass } from './tables.js';

/** Every ring with its pieces by wood, top ring first. */
export function PieceTable({ plan }: { plan: Plan }) {
  const units = useApp(unitsOf);
  const woods = useApp(woodsOf);
  const { titleOf } = rollOf(plan);
  const owners = [...plan.blanks, ...plan.slants, ...[...plan.rings].reverse()];
  const rows = owners.flatMap(({ pieces }) => pieces.map((each, i) => ({ pieces: each, first: i === 0 })));
  return (
    <table className={tableClass}>
      <thead>
        <tr className={headClass}>
          {['For', 'Wood', 'Pieces', 'Angle', 'Long edge', 'Short edge', 'Width', 'Height'].map((head) => (
            <th key={head} scope="col">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ pieces: { owner, wood, kind, count }, first }) => {
          const species = woods.find(({ id }) => id === wood);
          const { stock } = kind;
          const piece = mitred(stock);
          const tilt = stock.from === 'strip' ? stock.bladeTilt : 0;
          return (
            <tr
              key={`${ownerKey(owner)} ${wood} ${kind.name} ${pieceSizes(stock, units).join()}`}
              className={first ? 'border-t border-line' : ''}
            >
              <th scope="row">
                {first ? (
                  <OwnerName owner={owner} name={titleOf(owner)} />
                ) : (
                  <span className="sr-only">{titleOf(owner)}</span>
                )}
              </th>
              <td>
                <span className="flex items-center gap-1.5">
                  <Swatch wood={species} size={16} /> {species?.name}
                </span>
                {kind.name !== 'Segment' && <span className="text-xs text-quiet">{kind.name}</span>}
              </td>
              <td className="font-semibold">{count}</td>
              {piece && piece.cutAngle > 0 ? (
                <>
                  <td>
                    {formatAngle(piece.cutAngle)}
                    {tilt > 0 && ` / ${formatAngle(rad(tilt))}`}
                  </td>
                  <td className="font-semibold">{formatLength(piece.longEdgeMm, units)}</td>
                  <td>{formatLength(piece.shortEdgeMm, units)}</td>
                  <td>{formatLength(piece.widthMm, units)}</td>
                </>
              ) : (
                <td colSpan={4} className="whitespace-normal text-quiet">
                  {pieceSizes(stock, units).join(', ')}
                </td>
              )}
              <td>{formatLength(kind.heightMm, units)}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** A name that selects what it names. */
function OwnerName({ owner, name }: { owner: Owner; name: string }) {
  const dispatch = useActions();
  const pressed = useApp((state) => state.session.selected.some((each) => sameOwner(each, owner)));
  return (
    <button
      type="button"
      aria-pressed={pressed}
      className="min-w-6 rounded px-1 text-left aria-pressed:bg-teal-wash aria-pressed:text-teal"
      onClick={(event) => dispatch(clickOwner(owner, event))}
    >
      {name}
    </button>
  );
}
