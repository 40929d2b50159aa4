import { calledOf, formatLength, mm, segmentsOf } from '@fellside/core';
import type { ReactNode } from 'react';
import type { ListedRing } from '../store/api.js';
import { unitsOf, woodsOf } from '../store/house.js';
import { useApp } from '../store/store.js';
import { Swatch } from '../ui/Swatch.js';
import { headClass, tableClass } from '../ui/tables.js';

interface StashTableProps {
  readonly rings: readonly ListedRing[];
  /** What can be done with a ring, at the end of its row. */
  readonly act: (ring: ListedRing) => ReactNode;
}

/** The rings of the stash with their real sizes and woods. */
export function StashTable({ rings, act }: StashTableProps) {
  const units = useApp(unitsOf);
  const woods = useApp(woodsOf);
  if (rings.length === 0)
    return (
      <p className="text-quiet">
        The stash is empty. Select a ring of a piece and choose “Put one like it in the stash”, or add one on
        the Woods page.
      </p>
    );
  return (
    <table className={tableClass} aria-label="Rings in the stash">
      <thead>
        <tr className={headClass}>
          {['Ring', 'Made as', 'Segments', 'Outside ø', 'Hole ø', 'Height', 'Woods', ''].map((head) => (
            <th key={head} scope="col">
              {head || <span className="sr-only">What to do</span>}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rings.map((ring) => (
          <tr key={ring.item} className="border-t border-line">
            <th scope="row" className="whitespace-normal">
              {ring.name}
            </th>
            <td>{calledOf(ring.of)}</td>
            <td>{segmentsOf(ring.of) ?? '–'}</td>
            <td>{formatLength(mm(2 * ring.outerRadiusMm), units)}</td>
            <td>{formatLength(mm(2 * ring.innerRadiusMm), units)}</td>
            <td>{formatLength(ring.heightMm, units)}</td>
            <td>
              <span className="flex flex-wrap items-center gap-x-2 gap-y-1">
                {[...new Set(ring.species)].map((id) => {
                  const species = woods.find((wood) => wood.id === id);
                  return (
                    <span key={id} className="flex items-center gap-1">
                      <Swatch wood={species} size={16} /> {species?.name ?? id}
                    </span>
                  );
                })}
              </span>
            </td>
            <td>{act(ring)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
