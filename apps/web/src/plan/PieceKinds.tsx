import { degrees, formatAngle, formatLength, type RingPlan, trimZeros } from '@fellside/core';
import { unitsOf, woodsOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';

/** Every distinct piece of a ring with its sizes. */
export function PieceKinds({ figures }: { figures: RingPlan }) {
  const units = useApp(unitsOf);
  const woods = useApp(woodsOf);
  return (
    <ul className="flex flex-col gap-2 text-sm">
      {figures.pieces.map(({ wood, kind, count }) => {
        const { stock } = kind;
        const sizes =
          stock.from === 'strip'
            ? [
                `long edge ${formatLength(stock.longEdgeMm, units)}`,
                `short edge ${formatLength(stock.shortEdgeMm, units)}`,
                `width ${formatLength(stock.widthMm, units)}`,
                `cut at ${formatAngle(stock.cutAngle)}, ${trimZeros((2 * degrees(stock.cutAngle)).toFixed(2))}° in all`,
              ]
            : [`${formatLength(stock.widthMm, units)} across`];
        return (
          <li key={`${wood} ${kind.name}`}>
            <b>
              {count} × {kind.name}
            </b>
            , {woods.find(({ id }) => id === wood)?.name ?? wood}
            <br />
            <span className="text-quiet">{sizes.join(' · ')}</span>
          </li>
        );
      })}
    </ul>
  );
}
