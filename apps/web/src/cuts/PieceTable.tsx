import { formatAngle, formatLength, mitred, type Plan, rad } from '@fellside/core';
import { clickRing } from '../bench/keys.js';
import { unitsOf, woodsOf } from '../store/selectors.js';
import { useActions, useApp } from '../store/store.js';
import { pieceSizes } from '../ui/pieceSizes.js';
import { Swatch } from '../ui/Swatch.js';
import { headClass, tableClass } from './tables.js';

/** Every ring with its pieces by wood, top ring first. */
export function PieceTable({ plan }: { plan: Plan }) {
  const units = useApp(unitsOf);
  const woods = useApp(woodsOf);
  const owners = [
    ...plan.slants.map((pieces, i) => ({ id: `slant-${i}`, pieces: [pieces], name: `Band ${i + 1}` })),
    ...plan.blanks.map(({ id, pieces }, i) => ({ id, pieces, name: `Blank ${i + 1}` })),
    ...[...plan.rings]
      .reverse()
      .map(({ id, pieces, index }) => ({ id, pieces, name: String(index + 1), index })),
  ];
  const rows = owners.flatMap((ring) => ring.pieces.map((pieces, i) => ({ ring, pieces, first: i === 0 })));
  return (
    <table className={tableClass}>
      <thead>
        <tr className={headClass}>
          {['Ring', 'Wood', 'Pieces', 'Angle', 'Long edge', 'Short edge', 'Width', 'Height'].map((head) => (
            <th key={head} scope="col">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ ring, pieces: { wood, kind, count }, first }) => {
          const species = woods.find(({ id }) => id === wood);
          const { stock } = kind;
          const piece = mitred(stock);
          const tilt = stock.from === 'strip' ? stock.bladeTilt : 0;
          return (
            <tr
              key={`${ring.id} ${wood} ${kind.name} ${pieceSizes(stock, units).join()}`}
              className={first ? 'border-t border-line' : ''}
            >
              <th scope="row">
                {first ? <RingName ring={ring} /> : <span className="sr-only">{ring.name}</span>}
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

/** A ring's number selects it; blanks and bands have a name only. */
function RingName({ ring }: { ring: { readonly name: string; readonly index?: number } }) {
  const dispatch = useActions();
  const selected = useApp((state) => state.session.selected);
  const { name, index } = ring;
  if (index === undefined) return name;
  return (
    <button
      type="button"
      aria-pressed={selected.includes(index)}
      aria-label={`Ring ${name}`}
      className="min-w-6 rounded px-1 text-left aria-pressed:bg-teal-wash aria-pressed:text-teal"
      onClick={(event) => dispatch(clickRing(index, event))}
    >
      {name}
    </button>
  );
}
