import { calendarFile, sentenceIn, sessionsOf } from '@fellside/core';
import { CalendarDays } from 'lucide-react';
import { Link } from 'react-router';
import { projectOf, unitsOf } from '../../store/house.js';
import { workOf } from '../../store/progress/work.js';
import { useApp } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { Pane } from '../../ui/Pane.js';
import { saveFile } from '../../ui/saveFile.js';
import { minutesAfter, timeOf } from '../clock.js';
import { doneSaid, handsSaid, heldUpSaid, oneMoreSaid } from './said.js';
import { Timeline } from './Timeline.js';
import { Together } from './Together.js';
import { type PlannedDay, useDayPlan } from './useDayPlan.js';
import { Ways } from './Ways.js';

/** The work that is left in the hours and with the clamps of the shop: when what is done, and what would make it sooner. */
export function DayView() {
  const day = useDayPlan();
  const units = useApp(unitsOf);
  const order = useApp(workOf);
  if (!day || !order) return <p className="p-6 text-quiet">There is nothing to be made yet.</p>;
  const titleOf = (id: string) => {
    const task = day.ask.tasks.find((each) => each.id === id);
    return task ? sentenceIn(task.title, units) : id;
  };
  return (
    <div className="grid min-h-0 flex-1 auto-rows-max gap-2 overflow-auto p-2 lg:auto-rows-[minmax(0,1fr)] lg:grid-cols-[minmax(0,5fr)_minmax(0,3fr)]">
      <Pane name="Day plan">
        {day.plan.ok ? (
          <Planned day={day} titleOf={titleOf} />
        ) : (
          <p role="alert" className="text-lg text-rust">
            {sentenceIn(day.plan.reasons[0]!.message, units)}{' '}
            <Link className="underline" to="/shop">
              To the shop’s figures
            </Link>
          </p>
        )}
      </Pane>
      <Pane name="How it is built">
        <Ways day={day} />
        <Together />
      </Pane>
    </div>
  );
}

function Planned({ day, titleOf }: { day: PlannedDay; titleOf: (id: string) => string }) {
  const name = useApp((state) => projectOf(state).name);
  if (!day.plan.ok) return null;
  const { value: plan } = day.plan;
  const sessions = sessionsOf(plan);
  const at = (minute: number) => timeOf(minutesAfter(day.from, minute), day.from);
  const left = day.ask.tasks.reduce((sum, { hands }) => sum + hands, 0);
  const save = () => {
    const events = sessions.map(({ from, to, jobs }, i) => ({
      uid: `${i + 1}-${Math.round(day.from)}@fellside`,
      title: `${name}: ${[...new Set(jobs.map(({ id }) => id))].length} jobs`,
      note: jobs.map(({ id, from }) => `${at(from)} ${titleOf(id)}`).join('\n'),
      from: minutesAfter(day.from, from),
      to: minutesAfter(day.from, to),
    }));
    return saveFile(`${name}.ics`, 'text/calendar', calendarFile(events, Date.now()));
  };
  return (
    <>
      <div className="flex flex-wrap items-start justify-between gap-3">
        <div>
          <p className="text-lg font-semibold">{doneSaid(plan, day.from)}</p>
          <p>
            {handsSaid(left)} of hands for {day.ask.tasks.length} jobs
            {day.looking && '; a better order is being looked for'}.
          </p>
          <p>{heldUpSaid(plan)}</p>
          {day.without.length > 0 && (
            <p role="alert" className="text-rust">
              Left out, for they have no plan: {day.without.join(', ')}.
            </p>
          )}
          {day.more.map((each) => (
            <p key={each.of}>{oneMoreSaid(each)}</p>
          ))}
        </div>
        <Button onClick={save}>
          <CalendarDays aria-hidden size={14} /> Calendar file
        </Button>
      </div>
      <div className="my-3">
        <Timeline plan={plan} from={day.from} titleOf={titleOf} />
      </div>
      <h2 className="font-semibold">Hour by hour</h2>
      {sessions.map(({ from, to, jobs }) => (
        <section key={from} className="border-t border-line py-2">
          <h3 className="font-semibold">
            {at(from)} to {at(to)}
          </h3>
          <ol>
            {jobs.map(({ id, from, to }) => (
              <li key={`${id} ${from}`} className="flex gap-3">
                <span className="w-14 shrink-0 text-quiet tabular-nums">{at(from).slice(-5)}</span>
                <span className="min-w-0 flex-1">{titleOf(id)}</span>
                <span className="text-quiet">{Math.max(1, Math.round(to - from))} min</span>
              </li>
            ))}
          </ol>
        </section>
      ))}
    </>
  );
}
