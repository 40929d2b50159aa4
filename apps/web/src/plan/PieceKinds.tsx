import {
  formatAngle,
  formatArea,
  formatLength,
  mm,
  type RingPlan,
  rad,
  type UnitSystem,
} from '@fellside/core';
import { unitsOf, woodsOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';
import { pieceSizes } from '../ui/pieceSizes.js';

/** Every distinct piece of a ring with its sizes, and the figures that only its way of making has. */
export function PieceKinds({ figures }: { figures: RingPlan }) {
  const units = useApp(unitsOf);
  const woods = useApp(woodsOf);
  return (
    <>
      <ul className="flex flex-col gap-2 text-sm">
        {figures.pieces.map(({ wood, kind, count }) => (
          <li key={`${wood} ${kind.name}`}>
            <b>
              {count} × {kind.name}
            </b>
            , {woods.find(({ id }) => id === wood)?.name ?? wood}
            <br />
            <span className="text-quiet">{pieceSizes(kind.stock, units).join(' · ')}</span>
          </li>
        ))}
      </ul>
      <Own figures={figures} units={units} />
    </>
  );
}

function Own({ figures, units }: { figures: RingPlan; units: UnitSystem }) {
  const shown = {
    mm: (value: number) => formatLength(mm(value), units),
    rad: (value: number) => formatAngle(rad(value)),
    mm2: (value: number) => formatArea(value, units),
    pieces: String,
  } as const;
  const rows = [
    ...figures.figures.map(({ name, value, unit }) => [name, shown[unit](value)] as const),
    ...(figures.contactMm2 === null
      ? []
      : [['Glued at each end, on the ring below', formatArea(figures.contactMm2, units)] as const]),
  ];
  if (rows.length === 0) return null;
  return (
    <dl className="grid grid-cols-[1fr_auto] gap-x-3 border-t border-line pt-2 text-sm">
      {rows.map(([name, value]) => (
        <div key={name} className="contents">
          <dt className="text-quiet">{name}</dt>
          <dd className="font-semibold">{value}</dd>
        </div>
      ))}
    </dl>
  );
}
