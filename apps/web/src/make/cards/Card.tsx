import {
  cutsFor,
  type Job,
  ringOwner,
  type Species,
  sentenceIn,
  TOOLS,
  upTo,
  workKindOf,
} from '@fellside/core';
import { ArrowLeft, ArrowRight } from 'lucide-react';
import { useEffect } from 'react';
import { projectOf, unitsOf, woodsOf } from '../../store/house.js';
import { count, countAll } from '../../store/progress/counting.js';
import { progress } from '../../store/progress/progressSlice.js';
import { doneOf, lastOf, workOf } from '../../store/progress/work.js';
import { planOf } from '../../store/selectors.js';
import { useActions, useApp } from '../../store/store.js';
import { Cautions } from '../../ui/Cautions.js';
import { timeOf } from '../clock.js';
import { Counter } from './Counter.js';
import { HeldNow } from './HeldNow.js';
import { JobDrawing } from './JobDrawing.js';
import { Measured } from './Measured.js';
import { setFigures } from './setFigures.js';
import { useAwake } from './useAwake.js';
import { useCardClock } from './useCardClock.js';
import { useCardKeys } from './useCardKeys.js';
import { WorkClock } from './WorkClock.js';

const step =
  'inline-flex min-h-[48px] min-w-0 items-center justify-center gap-2 rounded-lg border-2 border-teal px-4 text-lg disabled:opacity-40';

/** One thing to be done: what it is, what is set, how many, what is measured, what can hurt, what comes next. */
export function Card({ job, go }: { job: Job; go: (job: string) => void }) {
  const dispatch = useActions();
  const order = useApp(workOf)!;
  const done = useApp(doneOf);
  const last = useApp(lastOf).get(job.id);
  const units = useApp(unitsOf);
  const refused = useApp((state) => state.progress.refused);
  const at = order.jobs.indexOf(job);
  const [before, after] = [order.jobs[at - 1], order.jobs[at + 1]];
  const counting = (more: number) => dispatch(count(job.id, more));
  useCardKeys({ count: counting, go: (by) => (by > 0 ? after && go(after.id) : before && go(before.id)) });
  useAwake();
  const work = workKindOf(job);
  useCardClock(job, work);
  useEffect(() => void dispatch(progress.refused(null)), [job.id, dispatch]);
  const missing = upTo(order, done, job.id).filter(({ id }) => id !== job.id);
  const figures = setFigures(job, units);
  return (
    <article aria-labelledby="card-title" className="flex min-h-full flex-col gap-4 p-2 sm:p-4">
      <div className="flex items-start justify-between gap-4">
        <div className="min-w-0 flex-1">
          <p className="text-quiet">
            {TOOLS[job.tool]} · {at + 1} of {order.jobs.length}
          </p>
          <h2 id="card-title" className="text-2xl font-semibold sm:text-3xl">
            {sentenceIn(job.title, units)}
          </h2>
          <CutOf job={job} />
          {job.because && <p className="mt-1 text-quiet">{sentenceIn(job.because, units)}</p>}
        </div>
        <JobDrawing job={job} />
      </div>
      {figures.length > 0 && (
        <dl className="flex flex-wrap gap-x-10 gap-y-3" aria-label="To set">
          {figures.map(({ purpose, label, says, also }) => (
            <div key={`${purpose} ${says}`}>
              <dt className="text-quiet">{label}</dt>
              <dd className="text-5xl leading-tight font-bold whitespace-nowrap tabular-nums">{says}</dd>
              {also && <dd className="text-quiet">{also}</dd>}
            </div>
          ))}
        </dl>
      )}
      <Counter job={job} done={done.get(job.id) ?? 0} count={counting} />
      {refused && (
        <p role="alert" className="text-lg text-rust">
          {refused}
        </p>
      )}
      <Unsent />
      {missing.length > 0 && (
        <p className="text-quiet">
          {missing.length === 1 ? 'One job comes' : `${missing.length} jobs come`} before it.{' '}
          <button
            type="button"
            className="min-h-[44px] text-teal underline"
            onClick={() => dispatch(countAll(missing))}
          >
            {missing.length === 1 ? 'It is' : 'They are'} done already
          </button>
        </p>
      )}
      {last && (done.get(job.id) ?? 0) > 0 && (
        <p className="text-quiet">
          Last counted {timeOf(last.at)} on the {last.device}.
        </p>
      )}
      <div className="max-w-prose text-lg">
        {job.says.map((said) => {
          const text = sentenceIn(said, units);
          return <p key={text}>{text}</p>;
        })}
      </div>
      <HeldNow job={job} />
      <Measured job={job} />
      <CardCautions job={job} />
      <WorkClock work={work} />
      <nav
        aria-label="Cards"
        className="sticky -bottom-2 mt-auto grid grid-cols-2 gap-3 bg-pane pt-2 pb-4 sm:pb-6"
      >
        <button type="button" className={step} disabled={!before} onClick={() => before && go(before.id)}>
          <ArrowLeft aria-hidden size={20} className="shrink-0" />
          <span className="truncate">{before ? sentenceIn(before.title, units) : 'The first'}</span>
        </button>
        <button
          type="button"
          className={`${step} bg-teal text-on-teal`}
          disabled={!after}
          onClick={() => after && go(after.id)}
        >
          <span className="truncate">{after ? sentenceIn(after.title, units) : 'The last'}</span>
          <ArrowRight aria-hidden size={20} className="shrink-0" />
        </button>
      </nav>
    </article>
  );
}

/** Counts that are not on disk on the server yet. */
function Unsent() {
  const pending = useApp((state) => state.progress.pending.length);
  const away = useApp((state) => state.progress.link === 'away');
  const kept = useApp((state) => state.progress.kept);
  if (pending === 0 || !away) return null;
  return (
    <p role="status" className="text-rust">
      The server does not answer: {pending} {pending === 1 ? 'count is' : 'counts are'} kept{' '}
      {kept ? 'on this device' : 'in this page only, leave it open,'} and sent when it does. Other devices do
      not see {pending === 1 ? 'it' : 'them'} yet.
    </p>
  );
}

/** What a ring is cut from, by wood. */
function CutOf({ job }: { job: Job }) {
  const plan = useApp(planOf);
  const woods = useApp(woodsOf);
  const [owner] = job.owners;
  if (job.tool !== 'saw' || job.times === 1 || !owner || !plan.ok) return null;
  const cuts = cutsFor(owner, plan.value.lumber.strips);
  if (cuts.length === 0) return null;
  const named = (id: string) => woods.find((wood) => wood.id === id)?.name ?? id;
  return (
    <p className="text-lg">
      {cuts
        .map(
          ({ wood, pieces, spares }) =>
            `${named(wood)} ${pieces}${spares > 0 ? ` (${spares} to spare)` : ''}`,
        )
        .join(' · ')}
    </p>
  );
}

/** What can hurt at this very job, with the dust of the woods that are in hand. */
function CardCautions({ job }: { job: Job }) {
  const woods = useApp(woodsOf);
  const project = useApp(projectOf);
  if (job.cautions.length === 0) return null;
  const inHand = new Set(
    project.rings
      .filter(
        ({ id }) => job.owners.length === 0 || job.owners.some((owner) => owner.id === ringOwner(id).id),
      )
      .flatMap(({ woods: keys }) => keys),
  );
  const species = project.palette.flatMap(({ key, wood }): Species[] =>
    inHand.has(key) ? woods.filter(({ id }) => id === wood) : [],
  );
  return <Cautions ids={job.cautions} woods={job.cautions.includes('dust') ? species : []} />;
}
