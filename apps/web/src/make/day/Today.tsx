import { sentenceIn, sessionsOf } from '@fellside/core';
import { unitsOf } from '../../store/house.js';
import { workOf } from '../../store/progress/work.js';
import { useApp } from '../../store/store.js';
import { OF_PIECE } from '../../workers/others.js';
import { minutesAfter, timeOf } from '../clock.js';
import { doneSaid, handsSaid, heldUpSaid, oneMoreSaid } from './said.js';
import { useDayPlan } from './useDayPlan.js';

/** So many jobs of the next hours are listed. */
const LISTED = 8;

/** What to do now while what dries, in the hours that there are, and when all of it is done. */
export function Today({ go }: { go: (job: string) => void }) {
  const day = useDayPlan();
  const units = useApp(unitsOf);
  const order = useApp(workOf);
  if (!day || !order) return null;
  if (!day.plan.ok)
    return (
      <p role="alert" className="mt-4 text-rust">
        {sentenceIn(day.plan.reasons[0]!.message, units)}
      </p>
    );
  const { value: plan } = day.plan;
  const [next] = sessionsOf(plan);
  const titles = new Map(day.ask.tasks.map(({ id, title }) => [id, title]));
  const left = day.ask.tasks.reduce((sum, { hands }) => sum + hands, 0);
  if (!next) return <p className="mt-4">All of it is done.</p>;
  return (
    <>
      <h2 className="mt-4 font-semibold">
        {next.from < 1 ? 'Now' : `From ${timeOf(minutesAfter(day.from, next.from), day.from)}`}
      </h2>
      <ol>
        {next.jobs.slice(0, LISTED).map(({ id, from }) => (
          <li key={`${id} ${from}`} className="border-t border-line">
            <button
              type="button"
              className="flex min-h-[44px] w-full items-center gap-2 text-left hover:bg-hover"
              disabled={id.includes(OF_PIECE)}
              onClick={() => go(id)}
            >
              <span className="w-12 shrink-0 text-quiet tabular-nums">
                {timeOf(minutesAfter(day.from, from), day.from).slice(-5)}
              </span>
              <span className="min-w-0 flex-1">{sentenceIn(titles.get(id)!, units)}</span>
            </button>
          </li>
        ))}
      </ol>
      {next.jobs.length > LISTED && (
        <p className="text-sm text-quiet">
          and {next.jobs.length - LISTED} more until {timeOf(minutesAfter(day.from, next.to), day.from)}
        </p>
      )}
      <p className="mt-2">
        {handsSaid(left)} of hands left. {doneSaid(plan, day.from)} {heldUpSaid(plan)}
      </p>
      {day.more.map((each) => (
        <p key={each.of} className="text-quiet">
          {oneMoreSaid(each)}
        </p>
      ))}
    </>
  );
}
