import {
  formatAngle,
  formatLength,
  type Lumber,
  type Mm,
  type Owner,
  ownerKey,
  rollOf,
  type StripListEntry,
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
  const { nameOf } = rollOf(project);
  const wood = (id: string) => woods.find((species) => species.id === id);
  const woodsCut = [...new Set(lumber.strips.map((list) => list.wood))];
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
            {thickestFirst(lumber.strips.filter((list) => list.wood === id)).map((list) => (
              <StripRow
                key={`${list.widthMm} ${list.thicknessMm} ${list.cutAngle} ${list.bladeTilt} ${list.cutting}`}
                list={list}
                units={units}
                nameOf={nameOf}
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
            key={`${ownerKey(panel.owner)} ${panel.name} ${panel.wood} ${panel.lengthMm} ${panel.widthMm} ${panel.thicknessMm}`}
            className="flex gap-2 border-t border-line px-1.5 py-1"
          >
            <Swatch wood={wood(panel.wood)} size={16} /> {nameOf(panel.owner)}, {panel.name}: {panel.count} ×{' '}
            {formatLength(panel.lengthMm, units)} × {formatLength(panel.widthMm, units)}, planed{' '}
            {formatLength(panel.thicknessMm, units)}, from {panel.quarter}
          </li>
        ))}
      </ul>
    </>
  );
}

const thickestFirst = (lists: readonly StripListEntry[]): StripListEntry[] =>
  [...lists].sort((a, b) => b.thicknessMm - a.thicknessMm || b.widthMm - a.widthMm);

interface StripRowProps {
  readonly list: StripListEntry;
  readonly units: UnitSystem;
  nameOf(owner: Owner): string;
}

function StripRow({ list, units, nameOf }: StripRowProps) {
  return (
    <tr className="align-top">
      <td className="font-semibold">
        {lengthsOf(list).map(([length, count]) => (
          <div key={length}>
            {count} × {formatLength(length, units)}
          </div>
        ))}
      </td>
      <td className="font-semibold">{formatLength(list.widthMm, units)}</td>
      <td>{formatLength(list.thicknessMm, units)}</td>
      <td>{list.quarter}</td>
      <td>
        {formatAngle(list.cutAngle)}
        {list.bladeTilt > 0 && ` / ${formatAngle(list.bladeTilt)}`}
        {list.cutting !== 'turned-over' && <div className="text-xs text-quiet">{HOW[list.cutting]}</div>}
      </td>
      <td className="whitespace-normal">{contents(list, nameOf)}</td>
    </tr>
  );
}

/** Lengths with how many strips there are of each, longest first. */
function lengthsOf({ strips }: StripListEntry): [Mm, number][] {
  const counts = new Map<Mm, number>();
  for (const { lengthMm } of strips) counts.set(lengthMm, (counts.get(lengthMm) ?? 0) + 1);
  return [...counts].sort(([a], [b]) => b - a);
}

const HOW = { 'same-edge': 'same edge out', 'two-fences': 'two fences' } as const;

/** `ring 3: 12 left, nos. 1–12`: what is cut for each ring, then pieces of the other hand and spares. */
function contents({ cuts }: StripListEntry, nameOf: (owner: Owner) => string): string {
  const rings = cuts.flatMap(({ owner, count, hand, numbers }) =>
    owner === null ? [] : [`${nameOf(owner)}: ${count}${hand ? ` ${hand}` : ''}${numbered(numbers)}`],
  );
  const sum = (purpose: 'spare' | 'other-hand') =>
    cuts.filter((cut) => cut.purpose === purpose).reduce((total, { count }) => total + count, 0);
  const [spares, others] = [sum('spare'), sum('other-hand')];
  return [...rings, others > 0 ? `other hand: ${others}` : '', spares > 0 ? `spare: ${spares}` : '']
    .filter(Boolean)
    .join(', ');
}

/** Piece numbers along the strip, a run of them short. */
function numbered(numbers: readonly number[] | undefined): string {
  if (!numbers || numbers.length === 0) return '';
  const [first, last] = [numbers[0]!, numbers.at(-1)!];
  const run = last - first === numbers.length - 1;
  return `, nos. ${run ? `${first}–${last}` : numbers.join(' ')}`;
}
