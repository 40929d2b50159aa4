import {
  type Fence,
  fencesFor,
  formatLength,
  mm,
  plan,
  type Roll,
  ripList,
  type Shop,
  type Species,
  sayLaid,
  sentenceIn,
  type WoodLayout,
} from '@fellside/core';
import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { isLarge } from '../../store/fitting.js';
import { projectOf, woodsOf } from '../../store/house.js';
import { planOf } from '../../store/selectors.js';
import { useApp } from '../../store/store.js';
import { Heads } from '../../ui/Heads.js';
import { Swatch } from '../../ui/Swatch.js';
import { tableClass } from '../../ui/tables.js';

interface RipListProps {
  readonly layouts: readonly WoodLayout[];
  readonly woods: readonly Species[];
  readonly roll: Roll;
  readonly shop: Shop;
}

/** Fence by fence, the widest first, all woods: what is ripped at it, how long, and from which board. */
export function RipList({ layouts, woods, roll, shop }: RipListProps) {
  const fences = useMemo(() => ripList(layouts), [layouts]);
  const { units } = shop;
  const saved = useSaved(shop);
  return (
    <>
      <h2 className="mb-1 font-semibold">
        Rip{' '}
        <span className="text-xs font-normal text-quiet">
          {fences.length} {fences.length === 1 ? 'fence' : 'fences'}, widest first
        </span>
      </h2>
      <table className={tableClass}>
        <Heads of={['Fence', 'Wood', 'Length', 'Planed', 'Board', 'For']} />
        {fences.map((fence) => (
          <FenceRows key={fence.widthMm} {...{ fence, woods, roll, units }} />
        ))}
      </table>
      {fences.length > 0 && shop.shareWidthMm > 0 && (
        <p className="mt-2 text-sm text-quiet">
          Widths within {formatLength(shop.shareWidthMm, units)} share a fence{saved}; the figure is in{' '}
          <Link to="/shop" className="text-teal underline">
            Shop
          </Link>
          .
        </p>
      )}
    </>
  );
}

function FenceRows({
  fence: { widthMm, rows },
  woods,
  roll,
  units,
}: { fence: Fence; units: Shop['units'] } & Pick<RipListProps, 'woods' | 'roll'>) {
  const { id } = useParams();
  return (
    <tbody className="border-t border-line">
      {rows.map((row, i) => {
        const { strip, board, wood, lengthMm, thicknessMm, leaves, contents, what, name } = row;
        return (
          <tr key={`${board} ${strip.xMm} ${strip.yMm}`} className="align-top">
            <th scope="row">
              {i === 0 ? (
                <span className="text-lg leading-5">{formatLength(widthMm, units)}</span>
              ) : (
                <span className="sr-only">{formatLength(widthMm, units)}</span>
              )}
            </th>
            <td>
              <Swatch wood={woods.find((species) => species.id === wood)} size={18} />
              <span className="sr-only">{woods.find((species) => species.id === wood)?.name}</span>
            </td>
            <td className="font-semibold">{formatLength(lengthMm, units)}</td>
            <td>
              {formatLength(thicknessMm, units)}
              {leaves > 1 && <span className="text-quiet"> × {leaves}, resawn</span>}
            </td>
            <td>
              <Link
                to={`/piece/${id}/cuts/boards/${board}`}
                aria-label={`Board ${board}`}
                className="text-teal underline"
              >
                {board}
              </Link>
            </td>
            <td className="whitespace-normal">
              {what === 'block' && `${sentenceIn(name, units)}, `}
              {sayLaid(contents, roll)}
            </td>
          </tr>
        );
      })}
    </tbody>
  );
}

/** What sharing saves, in words; nothing of pieces so large that they are planned beside the page. */
function useSaved(shop: Shop): string {
  const project = useApp(projectOf);
  const woods = useApp(woodsOf);
  const made = useApp(planOf);
  return useMemo(() => {
    if (!made.ok || isLarge(project)) return '';
    const apart = plan(project, { ...shop, shareWidthMm: mm(0) }, woods);
    if (!apart.ok) return '';
    const [before, now] = [fencesFor(apart.value.lumber), fencesFor(made.value.lumber)];
    return now < before ? `: ${now} for strips instead of ${before}` : '';
  }, [project, woods, made, shop]);
}
