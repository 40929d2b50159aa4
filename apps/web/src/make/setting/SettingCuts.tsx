import {
  cutsFor,
  formatLength,
  formatStop,
  isDone,
  mm,
  type OwnCut,
  rollOf,
  type Setting,
} from '@fellside/core';
import { doneOf } from '../../store/progress/work.js';
import { planOf, unitsOf, woodsOf } from '../../store/selectors.js';
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
  const rows = setting.cuts.flatMap(({ job, stopMm }) => {
    const [owner] = job.owners;
    const cuts = owner ? cutsFor(owner, plan.value.lumber.strips) : [];
    const common = { job, stopMm, of: owner ? roll.titleOf(owner) : '' };
    const kinds: (OwnCut | null)[] = cuts.length > 0 ? cuts : [null];
    return kinds.map((cut) => ({ ...common, cut }));
  });
  const count = (cut: OwnCut) =>
    [`${cut.pieces}`, cut.spares > 0 && `${cut.spares} to spare`, cut.tests > 0 && `${cut.tests} to test`]
      .filter(Boolean)
      .join(', ');
  return (
    <div className="overflow-x-auto">
      <table className={tableClass} aria-label="Cuts at this setting">
        <Heads of={['Stop, long edge', 'Of', 'Wood', 'Strip', 'Pieces', '']} />
        <tbody>
          {rows.map(({ job, stopMm, of, cut }, i) => (
            <tr key={`${job.id} ${cut?.wood} ${cut?.widthMm}`} className="border-t border-line">
              <th scope="row" className="text-lg">
                {stopMm !== null && rows[i - 1]?.job !== job ? formatStop(mm(stopMm), units) : ''}
              </th>
              <td>{of}</td>
              <td>{cut ? named(cut.wood) : ''}</td>
              <td>
                {cut
                  ? `${formatLength(cut.widthMm, units)} wide, ${formatLength(cut.thicknessMm, units)} thick`
                  : ''}
              </td>
              <td>{cut ? count(cut) : job.times}</td>
              <td className="text-quiet">{isDone(job, done) ? 'sawn' : ''}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
