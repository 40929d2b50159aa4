import {
  type AtTheLathe,
  type Balance,
  calmUpTo,
  formatLength,
  GRAVITY,
  mm,
  POUND,
  shakeAt,
  speedsFor,
  type TurningStage,
  type UnitSystem,
} from '@fellside/core';
import { turnedBalanceOf } from '../../store/progress/work.js';
import { useApp } from '../../store/store.js';

/** Off by less than this (mm) nobody feels it at any speed that is set. */
const IN_BALANCE = 0.05;

interface BalanceSaidProps {
  readonly lathe: AtTheLathe;
  readonly turnedMm: number;
  readonly units: UnitSystem;
}

const mostRpm = (diameterMm: number, stage: TurningStage): number =>
  speedsFor(diameterMm).find((speeds) => speeds.stage === stage)!.mostRpm;

/** How it runs as it is glued up, and when it has been turned. */
export function BalanceSaid({ lathe, turnedMm, units }: BalanceSaidProps) {
  const turned = useApp(turnedBalanceOf);
  return (
    <>
      <h2 className="mt-3 font-semibold">How it runs</h2>
      <BalanceOf
        name="The glue-up"
        balance={lathe.balance}
        rpm={mostRpm(lathe.blankMm, 'fresh')}
        units={units}
      />
      {turned && (
        <BalanceOf
          name="The turned piece"
          balance={turned}
          rpm={mostRpm(turnedMm, 'sanding')}
          units={units}
        />
      )}
    </>
  );
}

interface BalanceOfProps {
  readonly name: string;
  readonly balance: Balance;
  /** A speed that is set. */
  readonly rpm: number;
  readonly units: UnitSystem;
}

function BalanceOf({ name, balance, rpm, units }: BalanceOfProps) {
  const calm = calmUpTo(balance);
  const share = Math.round((100 * shakeAt(balance, rpm)) / (balance.kg * GRAVITY));
  const weight = units === 'mm' ? `${balance.kg.toFixed(2)} kg` : `${(balance.kg / POUND).toFixed(1)} lb`;
  return (
    <p>
      {name} weighs {weight}.{' '}
      {balance.offMm < IN_BALANCE
        ? 'Its woods are in balance: what shakes comes from how true it is mounted.'
        : `Its centre of gravity lies ${formatLength(mm(balance.offMm), units === 'mm' ? 'mm' : 'inch-decimal')} off the axis, heavier woods on one side: above ${calm} turns a minute it pulls with more than a tenth of its weight. At ${rpm} it pulls with ${share} per cent of its weight.`}
    </p>
  );
}
