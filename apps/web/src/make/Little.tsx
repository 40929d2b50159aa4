import { formatAngle, formatLength, gapUnits, type MeantRing, whatItDoes } from '@fellside/core';
import { unitsOf } from '../store/house.js';
import { useApp } from '../store/store.js';
import { Heads } from '../ui/Heads.js';
import { tableClass } from '../ui/tables.js';

/** What a little too much or too little does on this very ring. */
export function Little({ ring, name = 'this ring' }: { ring: MeantRing; name?: string }) {
  const units = gapUnits(useApp(unitsOf));
  return (
    <>
      <h3 className="mt-4 mb-1 font-semibold">What a little does on {name}</h3>
      <table className={tableClass}>
        <Heads
          of={[
            'Every mitre out by',
            'Last joint, all others tight',
            'Each joint, when it is spread',
            'Out of round as two halves',
          ]}
        />
        <tbody>
          {whatItDoes(ring).map(({ error, lastMm, eachMm, outOfRoundMm }) => (
            <tr key={error} className="border-t border-line">
              <th scope="row">{formatAngle(error)}</th>
              <td>{formatLength(lastMm, units)}</td>
              <td>{formatLength(eachMm, units)}</td>
              <td>{outOfRoundMm === null ? '' : formatLength(outOfRoundMm, units)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
