import { type AtTheLathe, formatStop, mm, type UnitSystem, type Workshop } from '@fellside/core';
import { shopOf } from '../../store/house.js';
import { useApp } from '../../store/store.js';

const reachSaid = (
  by: AtTheLathe['reach'][number]['by'],
  { barMm, sweepMm }: Workshop['tools'],
  units: UnitSystem,
): string =>
  ({
    straight: `A straight bar, ${formatStop(barMm, units)} thick,`,
    hooked: `A hook that sweeps ${formatStop(sweepMm, units)} to the side`,
    hands: 'A hand or fingers with paper',
    callipers: 'A leg of your wall callipers',
  })[by];

/** What of the inside is got at from the finished mouth, and what is not. */
export function ReachList({ lathe: { reach }, units }: { lathe: AtTheLathe; units: UnitSystem }) {
  const { tools } = useApp(shopOf).workshop;
  if (reach.length === 0) return null;
  const stretch = ({ fromMm, toMm }: AtTheLathe['reach'][number]['hidden'][number]) =>
    `${formatStop(mm(fromMm), units)} to ${formatStop(mm(toMm), units)}`;
  return (
    <>
      <h2 className="mt-3 mb-1 font-semibold">From the finished mouth, as far as your tools stand out</h2>
      <ul>
        {reach.map(({ by, hidden }) => (
          <li key={by} className="border-t border-line py-1">
            {reachSaid(by, tools, units)}{' '}
            {hidden.length === 0 ? (
              <b>gets at all of the inside.</b>
            ) : (
              <>
                <b className="text-rust">does not get at {hidden.map(stretch).join(', ')}</b> of its height.
              </>
            )}
          </li>
        ))}
      </ul>
      <p className="text-sm text-quiet">
        What is hidden is turned, sanded and finished before the rings above it go on.
      </p>
    </>
  );
}
