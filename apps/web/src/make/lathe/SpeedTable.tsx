import {
  type AtTheLathe,
  feetPerMinute,
  formatStop,
  rimSpeed,
  speedsFor,
  type TurningStage,
  type UnitSystem,
} from '@fellside/core';
import { Heads } from '../../ui/Heads.js';
import { tableClass } from '../../ui/tables.js';

const STAGE_SAID: Readonly<Record<TurningStage, string>> = {
  fresh: 'fresh glue-up, to true it',
  turning: 'sound, turning',
  sanding: 'sanding',
  polishing: 'polishing paste',
};

/** Turns a minute for a diameter, by what is done, and how fast its rim goes then. */
export function SpeedTable({
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
