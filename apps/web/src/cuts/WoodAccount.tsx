import { boardFeet, type WoodLedger, type WoodTotal } from '@fellside/core';
import { woodsOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';
import { Swatch } from '../ui/Swatch.js';
import { tableClass } from './tables.js';

/** From the finished piece to the board, in order; totals stand out from what is lost between them. */
const STEPS: readonly (readonly [keyof WoodLedger, string, 'total' | 'waste'])[] = [
  ['finished', 'In the finished piece', 'total'],
  ['shavings', 'turned to shavings', 'waste'],
  ['segments', 'In the segments', 'total'],
  ['stash', 'of these, from the stash', 'waste'],
  ['faceSanding', 'sanded off the faces', 'waste'],
  ['spares', 'spare pieces', 'waste'],
  ['otherHand', 'pieces of the other hand', 'waste'],
  ['resawing', 'resawing and clean-up', 'waste'],
  ['kerf', 'mitre kerfs', 'waste'],
  ['wedges', 'slanted ends', 'waste'],
  ['corners', 'corners of blocks', 'waste'],
  ['endTrim', 'end trim', 'waste'],
  ['tails', 'hold-back tails', 'waste'],
  ['strips', 'In the strips', 'total'],
  ['planing', 'rip kerfs and planing', 'waste'],
  ['allowance', 'waste allowance', 'waste'],
  ['bought', 'To buy', 'total'],
];

export function WoodAccount({ total }: { total: WoodTotal }) {
  const species = useApp(woodsOf).find(({ id }) => id === total.wood);
  const steps = STEPS.filter(([key, , kind]) => kind === 'total' || total.ledger[key] > 0.5);
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
          {steps.map(([key, name, kind]) => (
            <tr key={key} className={kind === 'total' ? 'border-t border-line' : 'text-quiet'}>
              <th scope="row" className={kind === 'total' ? '' : 'pl-4! font-normal'}>
                {name}
              </th>
              <td className="text-right!">{boardFeet(total.ledger[key]).toFixed(3)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
