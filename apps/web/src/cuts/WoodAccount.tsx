import { accountRows, boardFeet, type WoodTotal } from '@fellside/core';
import { woodsOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';
import { Swatch } from '../ui/Swatch.js';
import { tableClass } from './tables.js';

/** Less than this is not worth a line (mm³). */
const NOTHING = 0.5;

/** Where the wood of one species goes; totals stand out from what is lost between them. */
export function WoodAccount({ total }: { total: WoodTotal }) {
  const species = useApp(woodsOf).find(({ id }) => id === total.wood);
  const steps = accountRows(total.ledger).filter(({ is, mm3 }) => is === 'total' || mm3 > NOTHING);
  return (
    <section className="mb-4">
      <h3 className="flex items-center gap-1.5 font-semibold">
        <Swatch wood={species} /> {species?.name}
        <span className="ml-auto text-base" data-wood={total.wood}>
          {total.boardFeet.toFixed(2)} bd ft
        </span>
      </h3>
      <table className={tableClass} aria-label={`${species?.name ?? total.wood}, board feet step by step`}>
        <tbody>
          {steps.map(({ key, name, is, mm3 }) => (
            <tr key={key} className={is === 'total' ? 'border-t border-line' : 'text-quiet'}>
              <th scope="row" className={is === 'total' ? '' : 'pl-4! font-normal'}>
                {name}
              </th>
              <td className="text-right!">{boardFeet(mm3).toFixed(3)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
