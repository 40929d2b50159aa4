import {
  edit,
  JOINING_IDS,
  JOININGS,
  SAWING_IDS,
  SAWINGS,
  type Schools,
  SEAT_IDS,
  SEATS,
  STACKING_IDS,
  STACKINGS,
  sentenceIn,
  USUAL_BATCH,
} from '@fellside/core';
import { useMemo } from 'react';
import { editPiece } from '../../store/edits.js';
import { projectOf, shopOf, unitsOf } from '../../store/house.js';
import { latheOf, ticksOf, workOf } from '../../store/progress/work.js';
import { planOf, preparedOf } from '../../store/selectors.js';
import { useActions, useApp } from '../../store/store.js';
import { Choice } from '../../ui/Choice.js';
import { Heads } from '../../ui/Heads.js';
import { NumberField } from '../../ui/NumberField.js';
import { tableClass } from '../../ui/tables.js';
import { minutesAfter, timeOf } from '../clock.js';
import { compared } from './compared.js';
import type { PlannedDay } from './useDayPlan.js';

const optionsOf = <T extends string>(ids: readonly T[], names: Readonly<Record<T, string>>) =>
  [['', 'as proposed'], ...ids.map((id) => [id, names[id]] as const)] as const;

/** How the piece is built: proposed, or as chosen; what each way of stacking comes to in the hours that there are. */
export function Ways({ day }: { day: PlannedDay }) {
  const dispatch = useActions();
  const units = useApp(unitsOf);
  const order = useApp(workOf);
  const schools = useApp((state) => projectOf(state).schools) ?? {};
  if (!order) return null;
  const set = (change: { [K in keyof Schools]: Schools[K] | undefined }) =>
    dispatch(editPiece(edit.setSchools(change)));
  const { assembly } = order;
  return (
    <>
      <h2 className="font-semibold">How it is built</h2>
      <p>
        {STACKINGS[assembly.stacking]}. {assembly.because.map((said) => sentenceIn(said, units)).join(' ')}
      </p>
      <div className="my-3 grid gap-3 sm:grid-cols-2">
        <Choice
          label="The stack"
          className="w-full"
          value={schools.stacking ?? ''}
          options={optionsOf(STACKING_IDS, STACKINGS)}
          onChange={(stacking) => set({ stacking: stacking || undefined })}
        />
        {assembly.stacking === 'batches' && (
          <NumberField
            label="Rings of a batch"
            value={schools.batch ?? USUAL_BATCH}
            onChange={(batch) => set({ batch })}
          />
        )}
        <Choice
          label="Joints of a ring"
          className="w-full"
          value={schools.joining ?? ''}
          options={optionsOf(JOINING_IDS, JOININGS)}
          onChange={(joining) => set({ joining: joining || undefined })}
        />
        <Choice
          label="Held by"
          className="w-full"
          value={schools.seat ?? ''}
          options={optionsOf(SEAT_IDS, SEATS)}
          onChange={(seat) => set({ seat: seat || undefined })}
        />
        <Choice
          label="Spare foot"
          className="w-full"
          value={schools.spareFoot ? 'yes' : ''}
          options={[
            ['', 'none'],
            ['yes', 'glued on at the start'],
          ]}
          onChange={(spare) => set({ spareFoot: spare === 'yes' || undefined })}
        />
        <Choice
          label="Order of cutting"
          className="w-full"
          value={schools.sawing ?? ''}
          options={optionsOf(SAWING_IDS, SAWINGS)}
          onChange={(sawing) => set({ sawing: sawing || undefined })}
        />
      </div>
      <Compared day={day} />
    </>
  );
}

/** Every way of stacking with when it would be done. */
function Compared({ day }: { day: PlannedDay }) {
  const units = useApp(unitsOf);
  const prepared = useApp(preparedOf);
  const plan = useApp(planOf);
  const lathe = useApp(latheOf);
  const shop = useApp(shopOf);
  const ticks = useApp(ticksOf);
  const order = useApp(workOf);
  const project = useApp(projectOf);
  const rows = useMemo(
    () =>
      prepared.ok && plan.ok && lathe
        ? compared({ prepared: prepared.value, plan: plan.value, lathe, shop, project, ticks, day })
        : [],
    [prepared, plan, lathe, shop, project, ticks, day],
  );
  return (
    <table className={`${tableClass} [&_*]:whitespace-normal`}>
      <Heads of={['The stack', 'Times hollowed', 'Done by']} />
      <tbody>
        {rows.map(({ stacking, wrong, stages, doneAt }) => (
          <tr key={stacking} className="border-t border-line">
            <th scope="row" className={order?.assembly.stacking === stacking ? '' : 'font-normal'}>
              {STACKINGS[stacking]}
            </th>
            {wrong ? (
              <td colSpan={2} className="text-quiet">
                {sentenceIn(wrong, units)}
              </td>
            ) : (
              <>
                <td>{stages}</td>
                <td>{doneAt === null ? '' : timeOf(minutesAfter(day.from, doneAt), day.from)}</td>
              </>
            )}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
