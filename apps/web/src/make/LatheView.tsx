import {
  type AtTheLathe,
  calmUpTo,
  feetPerMinute,
  formatLength,
  formatStop,
  LIGHT_CUT,
  mm,
  POUND,
  rimSpeed,
  speedsFor,
  type TurningStage,
  type UnitSystem,
} from '@fellside/core';
import { latheOf } from '../store/progress/work.js';
import { planOf, unitsOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';
import { Cautions } from '../ui/Cautions.js';
import { Heads } from '../ui/Heads.js';
import { Pane } from '../ui/Pane.js';
import { tableClass } from '../ui/tables.js';
import { giveShown } from './giveShown.js';

/** What the lathe has to do with the piece: how fast, how well it runs, and how far out it still stands up to the tool. */
export function LatheView() {
  const plan = useApp(planOf);
  const units = useApp(unitsOf);
  const lathe = useApp(latheOf);
  if (!plan.ok || !lathe || lathe.flex.length === 0)
    return <p className="p-6 text-quiet">There is nothing to turn yet.</p>;
  return (
    <div className="grid min-h-0 flex-1 auto-rows-max gap-2 overflow-auto p-2 lg:auto-rows-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_220px]">
      <Pane name="Speeds">
        <SpeedTable
          title="As it is glued up"
          stages={['fresh', 'turning']}
          diameterMm={lathe.blankMm}
          units={units}
        />
        <SpeedTable
          title="Turned to its form"
          stages={['turning', 'sanding', 'polishing']}
          diameterMm={plan.value.diameterMm}
          units={units}
        />
        <BalanceSaid lathe={lathe} units={units} />
        <ReachList lathe={lathe} units={units} />
      </Pane>
      <Pane name="How far it gives">
        <FlexTable lathe={lathe} units={units} />
      </Pane>
      <Pane name="Take care">
        <Cautions ids={['lathe', 'dust']} />
      </Pane>
    </div>
  );
}

const STAGE_SAID: Readonly<Record<TurningStage, string>> = {
  fresh: 'fresh glue-up, to true it',
  turning: 'sound, turning',
  sanding: 'sanding',
  polishing: 'polishing paste',
};

function SpeedTable({
  title,
  stages,
  diameterMm,
  units,
}: {
  title: string;
  stages: readonly TurningStage[];
  diameterMm: AtTheLathe['blankMm'];
  units: UnitSystem;
}) {
  const rim = (rpm: number) =>
    units === 'mm'
      ? `${rimSpeed(diameterMm, rpm).toFixed(1)} m/s`
      : `${(feetPerMinute(rimSpeed(diameterMm, rpm)) / 10).toFixed(0)}0 ft/min`;
  return (
    <>
      <h2 className="mt-2 mb-1 font-semibold">
        {title}, {formatStop(diameterMm, units)} across
      </h2>
      <table className={tableClass}>
        <Heads of={['Work', 'Turns a minute', 'Rim at the most']} />
        <tbody>
          {speedsFor(diameterMm)
            .filter(({ stage }) => stages.includes(stage))
            .map(({ stage, leastRpm, mostRpm }) => (
              <tr key={stage} className="border-t border-line">
                <th scope="row" className="whitespace-normal">
                  {STAGE_SAID[stage]}
                </th>
                <td className="text-lg font-semibold">
                  {leastRpm} to {mostRpm}
                </td>
                <td className="text-quiet">{rim(mostRpm)}</td>
              </tr>
            ))}
        </tbody>
      </table>
    </>
  );
}

/** Off by less than this (mm) nobody feels it at any speed that is set. */
const IN_BALANCE = 0.05;

function BalanceSaid({ lathe: { balance }, units }: { lathe: AtTheLathe; units: UnitSystem }) {
  const calm = calmUpTo(balance);
  const weight = units === 'mm' ? `${balance.kg.toFixed(2)} kg` : `${(balance.kg / POUND).toFixed(1)} lb`;
  return (
    <p className="mt-3">
      The glue-up weighs {weight}.{' '}
      {balance.offMm < IN_BALANCE
        ? 'Its woods are in balance: what shakes comes from how true it is mounted.'
        : `Its centre of gravity lies ${formatLength(mm(balance.offMm), units === 'mm' ? 'mm' : 'inch-decimal')} off the axis, heavier woods on one side: above ${calm} turns a minute it pulls with more than a tenth of its weight.`}
    </p>
  );
}

const STEADY_SAID: Readonly<Record<AtTheLathe['flex'][number]['steady'], string>> = {
  none: '',
  hollowed: 'once hollow',
  always: 'from the start',
};

function FlexTable({ lathe: { flex }, units }: { lathe: AtTheLathe; units: UnitSystem }) {
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

const reachSaid = (by: AtTheLathe['reach'][number]['by'], units: UnitSystem): string =>
  ({
    straight: `A straight bar, ${units === 'mm' ? '12.7 mm' : 'half an inch'} thick,`,
    hooked: `A hook that sweeps ${units === 'mm' ? '50 mm' : 'two inches'} to the side`,
    hands: 'A hand or fingers with paper',
  })[by];

/** What of the inside is got at from the finished mouth, and what is not. */
function ReachList({ lathe: { reach }, units }: { lathe: AtTheLathe; units: UnitSystem }) {
  if (reach.length === 0) return null;
  const stretch = ({ fromMm, toMm }: AtTheLathe['reach'][number]['hidden'][number]) =>
    `${formatStop(mm(fromMm), units)} to ${formatStop(mm(toMm), units)}`;
  return (
    <>
      <h2 className="mt-3 mb-1 font-semibold">From the finished mouth, as far as your tools stand out</h2>
      <ul>
        {reach.map(({ by, hidden }) => (
          <li key={by} className="border-t border-line py-1">
            {reachSaid(by, units)}{' '}
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
