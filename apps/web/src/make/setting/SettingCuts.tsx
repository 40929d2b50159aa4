import {
  cutsFor,
  formatLength,
  formatStop,
  isDone,
  mm,
  type OwnCut,
  rollOf,
  type Setting,
  testsFor,
} from '@fellside/core';
import { unitsOf, woodsOf } from '../../store/house.js';
import { doneOf } from '../../store/progress/work.js';
import { planOf } from '../../store/selectors.js';
import { useApp } from '../../store/store.js';
import { Heads } from '../../ui/Heads.js';
import { tableClass } from '../../ui/tables.js';

/** What is cut at a setting, stop by stop: for which ring, from what strips, how many. */
export function SettingCuts({ setting }: { setting: Setting }) {
  const plan = useApp(planOf);
  const units = useApp(unitsOf);
  const woods = useApp(woodsOf);
  const done = useApp(doneOf);
  if (!plan.ok) return null;
  const roll = rollOf(plan.value);
  const named = (id: string) => woods.find((wood) => wood.id === id)?.name ?? id;
  const tests = testsFor(setting, plan.value.lumber.strips);
  const saidOf = ({ wood, widthMm, thicknessMm }: OwnCut) =>
    `${named(wood)}, ${formatLength(widthMm, units)} wide, ${formatLength(thicknessMm, units)} thick`;
  return (
    <>
      <table className={`${tableClass} [&_*]:whitespace-normal`} aria-label="Cuts at this setting">
        <Heads of={['Stop, long edge', 'Of', 'Strip', 'Pieces']} />
        {setting.cuts.map(({ job, stopMm }) => {
          const [owner] = job.owners;
          const cuts = owner ? cutsFor(owner, plan.value.lumber.strips) : [];
          const rows: (OwnCut | null)[] = cuts.length > 0 ? cuts : [null];
          return (
            <tbody key={job.id}>
              {rows.map((cut, i) => (
                <tr key={cut ? saidOf(cut) : job.id} className="border-t border-line">
                  {i === 0 && (
                    <>
                      <th scope="rowgroup" rowSpan={rows.length} className="align-top text-lg">
                        {stopMm === null ? 'none' : formatStop(mm(stopMm), units)}
                      </th>
                      <td rowSpan={rows.length} className="align-top">
                        {owner ? roll.titleOf(owner) : ''}
                        {isDone(job, done) && <span className="text-quiet">, sawn</span>}
                      </td>
                    </>
                  )}
                  <td>{cut ? saidOf(cut) : 'as its card has it'}</td>
                  <td>
                    {cut ? `${cut.pieces}${cut.spares > 0 ? `, ${cut.spares} to spare` : ''}` : job.times}
                  </td>
                </tr>
              ))}
            </tbody>
          );
        })}
      </table>
      {tests.map(({ wood, count }) => (
        <p key={wood}>
          And {count} of {named(wood)} to test the setting.
        </p>
      ))}
    </>
  );
}
