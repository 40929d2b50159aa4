import {
  formatAngle,
  formatLength,
  type Owner,
  ownerKey,
  type PieceRow,
  type Plan,
  pieceRows,
  rollOf,
  type Shop,
  sameOwner,
  sentenceIn,
} from '@fellside/core';
import { unitsOf, woodsOf } from '../../store/house.js';
import { clickOwner } from '../../store/selection.js';
import { useActions, useApp } from '../../store/store.js';
import { Heads } from '../../ui/Heads.js';
import { Swatch } from '../../ui/Swatch.js';
import { tableClass } from '../../ui/tables.js';
import { useStopSaid } from '../Exact.js';

/** Every ring with its pieces by wood, top ring first. */
export function PieceTable({ plan, shop }: { plan: Plan; shop: Shop }) {
  const units = useApp(unitsOf);
  const woods = useApp(woodsOf);
  const { titleOf } = rollOf(plan);
  return (
    <table className={tableClass}>
      <Heads
        of={['For', 'Wood', 'Pieces', 'Angle', 'Long edge', 'Short edge', 'Width', 'Planed', 'Height']}
      />
      <tbody>
        {pieceRows(plan, shop).map((row) => {
          const { owner, first, wood, count } = row;
          const species = woods.find(({ id }) => id === wood);
          const name = sentenceIn(row.name, units);
          const sizes = row.sizes.map((size) => sentenceIn(size, units)).join(', ');
          return (
            <tr
              key={`${ownerKey(owner)} ${wood} ${name} ${sizes}`}
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
                {name !== 'Segment' && <span className="text-xs text-quiet">{name}</span>}
              </td>
              <td className="font-semibold">{count}</td>
              <Sizes {...{ row, sizes }} />
              <td>{row.planedMm !== null && formatLength(row.planedMm, units)}</td>
              <td>{formatLength(row.heightMm, units)}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** What is set for a mitred piece in columns of its own; others say their sizes. */
function Sizes({ row, sizes }: { row: PieceRow; sizes: string }) {
  const units = useApp(unitsOf);
  const stopSaid = useStopSaid();
  const { cutAngle, bladeTilt, longEdgeMm, shortEdgeMm, widthMm } = row;
  if (cutAngle === null || longEdgeMm === null || shortEdgeMm === null || widthMm === null)
    return (
      <td colSpan={4} className="whitespace-normal text-quiet">
        {sizes}
      </td>
    );
  return (
    <>
      <td>
        {formatAngle(cutAngle)}
        {bladeTilt !== null && ` / ${formatAngle(bladeTilt)}`}
      </td>
      <td className="font-semibold">{stopSaid(longEdgeMm)}</td>
      <td>{stopSaid(shortEdgeMm)}</td>
      <td>{formatLength(widthMm, units)}</td>
    </>
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
