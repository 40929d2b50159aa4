import { type AtTheLathe, formatStop, LIGHT_CUT, mm, type UnitSystem } from '@fellside/core';
import { Heads } from '../../ui/Heads.js';
import { tableClass } from '../../ui/tables.js';
import { giveShown } from '../giveShown.js';

const STEADY_SAID: Readonly<Record<AtTheLathe['flex'][number]['steady'], string>> = {
  none: '',
  hollowed: 'once hollow',
  always: 'from the start',
};

/** How far the finished form gives at the top of each ring. */
export function FlexTable({ lathe: { flex }, units }: { lathe: AtTheLathe; units: UnitSystem }) {
  const first = flex.findIndex(({ steady }) => steady !== 'none');
  return (
    <>
      <h2 className="mb-1 font-semibold">How far it gives under the tool</h2>
      <p className="mb-2 text-sm text-quiet">
        Held by its foot, the finished form pressed sideways with {LIGHT_CUT} N (a light cut) at the top of
        each ring.{' '}
        {first < 0
          ? 'It stands up to the tool all the way.'
          : `From ring ${first + 1} up a steady is wanted once it is hollow, or the wall left thicker below until the top is done.`}
      </p>
      <table className={tableClass}>
        <Heads of={['Ring', 'Out at', 'Solid', 'Hollowed', 'Steady']} />
        <tbody>
          {flex
            .map(({ atMm, solid, hollowed, steady }, index) => (
              <tr key={atMm} className="border-t border-line">
                <th scope="row">{index + 1}</th>
                <td>{formatStop(mm(atMm), units)}</td>
                <td className="text-quiet">{giveShown(solid, units)}</td>
                <td className="font-semibold">{giveShown(hollowed, units)}</td>
                <td className="text-rust">{STEADY_SAID[steady]}</td>
              </tr>
            ))
            .reverse()}
        </tbody>
      </table>
    </>
  );
}
