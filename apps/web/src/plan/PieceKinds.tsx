import {
  FIGURE_NAMES,
  formatArea,
  layerMargins,
  marginSaid,
  type Prepared,
  plain,
  type RingPlan,
  sentenceIn,
  shownIn,
  sizesOf,
  type UnitSystem,
} from '@fellside/core';
import { unitsOf, woodsOf } from '../store/house.js';
import { useApp } from '../store/store.js';

interface PieceKindsProps {
  readonly figures: RingPlan;
  readonly vessel: Prepared['vessel'];
}

/** Every distinct piece of a ring with its sizes, and the figures that only its way of making has. */
export function PieceKinds({ figures, vessel }: PieceKindsProps) {
  const units = useApp(unitsOf);
  const woods = useApp(woodsOf);
  return (
    <>
      <ul className="flex flex-col gap-2 text-sm">
        {figures.pieces.map(({ wood, kind, count }) => (
          <li key={`${wood} ${plain(kind.name)} ${kind.places[0]}`}>
            <b>
              {count} × {sentenceIn(kind.name, units)}
            </b>
            , {woods.find(({ id }) => id === wood)?.name ?? wood}
            <br />
            <span className="text-quiet">
              {sizesOf(kind.stock)
                .map((size) => sentenceIn(size, units))
                .join(' · ')}
            </span>
          </li>
        ))}
      </ul>
      <Own {...{ figures, vessel, units }} />
    </>
  );
}

function Own({ figures, vessel, units }: PieceKindsProps & { units: UnitSystem }) {
  const rows = [
    ...figures.figures.map((figure) => [FIGURE_NAMES[figure.key], shownIn(figure, units)] as const),
    ...layerMargins(figures, vessel).map(
      (margin) => [sentenceIn(margin.name, units), sentenceIn(marginSaid(margin), units)] as const,
    ),
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
