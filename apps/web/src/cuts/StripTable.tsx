import {
  CUTTING_SAID,
  formatAngle,
  formatLength,
  type Lumber,
  ownerKey,
  plain,
  type Roll,
  rollOf,
  type StripListRow,
  sayContents,
  sentenceIn,
  stripRows,
  type UnitSystem,
} from '@fellside/core';
import { projectOf, unitsOf, woodsOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';
import { Swatch } from '../ui/Swatch.js';
import { headClass, tableClass } from './tables.js';

/** Strips by wood: how many of which length, and what is cut from them; then the blocks. */
export function StripTable({ lumber }: { lumber: Lumber }) {
  const units = useApp(unitsOf);
  const woods = useApp(woodsOf);
  const project = useApp(projectOf);
  const roll = rollOf(project);
  const { nameOf } = roll;
  const rows = stripRows(lumber);
  const wood = (id: string) => woods.find((species) => species.id === id);
  const woodsCut = [...new Set(rows.map((row) => row.wood))];
  return (
    <>
      <table className={tableClass}>
        <thead>
          <tr className={headClass}>
            {['Strips', 'Width', 'Planed', 'From', 'Angle', 'Segments'].map((head) => (
              <th key={head} scope="col">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        {woodsCut.map((id) => (
          <tbody key={id}>
            <tr className="border-t border-line">
              <th colSpan={6} scope="rowgroup" className="pt-2!">
                <span className="flex items-center gap-1.5">
                  <Swatch wood={wood(id)} size={16} /> {wood(id)?.name}
                </span>
              </th>
            </tr>
            {rows
              .filter((row) => row.wood === id)
              .map((row) => (
                <StripRow
                  key={`${row.widthMm} ${row.thicknessMm} ${row.cutAngle} ${row.bladeTilt} ${row.cutting}`}
                  {...{ row, units, roll }}
                />
              ))}
          </tbody>
        ))}
      </table>
      {lumber.panels.length > 0 && (
        <h3 className="mt-4 mb-1 font-semibold">Layers, blocks, discs, plugs and dowels</h3>
      )}
      <ul>
        {lumber.panels.map((panel) => (
          <li
            key={`${ownerKey(panel.owner)} ${plain(panel.name)} ${panel.wood} ${panel.lengthMm} ${panel.widthMm} ${panel.thicknessMm}`}
            className="flex gap-2 border-t border-line px-1.5 py-1"
          >
            <Swatch wood={wood(panel.wood)} size={16} /> {nameOf(panel.owner)},{' '}
            {sentenceIn(panel.name, units)}: {panel.count} × {formatLength(panel.lengthMm, units)} ×{' '}
            {formatLength(panel.widthMm, units)}, planed {formatLength(panel.thicknessMm, units)}, from{' '}
            {panel.quarter}
          </li>
        ))}
      </ul>
    </>
  );
}

interface StripRowProps {
  readonly row: StripListRow;
  readonly units: UnitSystem;
  readonly roll: Roll;
}

function StripRow({ row, units, roll }: StripRowProps) {
  return (
    <tr className="align-top">
      <td className="font-semibold">
        {row.lengths.map(({ lengthMm, count }) => (
          <div key={lengthMm}>
            {count} × {formatLength(lengthMm, units)}
          </div>
        ))}
      </td>
      <td className="font-semibold">{formatLength(row.widthMm, units)}</td>
      <td>{formatLength(row.thicknessMm, units)}</td>
      <td>{row.quarter}</td>
      <td>
        {formatAngle(row.cutAngle)}
        {row.bladeTilt > 0 && ` / ${formatAngle(row.bladeTilt)}`}
        {row.cutting !== 'turned-over' && (
          <div className="text-xs text-quiet">{CUTTING_SAID[row.cutting]}</div>
        )}
      </td>
      <td className="whitespace-normal">{sayContents(row.contents, roll)}</td>
    </tr>
  );
}
