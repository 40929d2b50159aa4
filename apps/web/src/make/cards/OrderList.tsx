import { isDone, type Job, type JobStage, sentenceIn } from '@fellside/core';
import { Circle, CircleCheck, CircleDot } from 'lucide-react';
import { unitsOf } from '../../store/house.js';
import { doneOf, workOf } from '../../store/progress/work.js';
import { useApp } from '../../store/store.js';

interface OrderListProps {
  readonly at: string | null;
  readonly go: (job: string) => void;
}

/** The order of work: stages with how far each has come, the one that the card is of opened to its jobs. */
export function OrderList({ at, go }: OrderListProps) {
  const order = useApp(workOf);
  if (!order) return null;
  const here = order.jobs.find(({ id }) => id === at)?.stage;
  return (
    <ol aria-label="Order of work">
      {order.stages.map((stage) => (
        <StageItem
          key={stage.id}
          stage={stage}
          jobs={order.jobs.filter((job) => job.stage === stage.id)}
          open={stage.id === here}
          at={at}
          go={go}
        />
      ))}
    </ol>
  );
}

function StageItem({
  stage,
  jobs,
  open,
  at,
  go,
}: OrderListProps & { stage: JobStage; jobs: readonly Job[]; open: boolean }) {
  const done = useApp(doneOf);
  const units = useApp(unitsOf);
  const ready = jobs.filter((job) => isDone(job, done)).length;
  const all = ready === jobs.length;
  const first = jobs.find((job) => !isDone(job, done)) ?? jobs[0];
  const Sign = all ? CircleCheck : ready > 0 || open ? CircleDot : Circle;
  return (
    <li className="border-t border-line">
      <button
        type="button"
        aria-expanded={open}
        className={`flex min-h-[48px] w-full items-center gap-2 px-1 text-left ${open ? 'font-semibold' : ''} ${all ? 'text-quiet' : ''}`}
        onClick={() => first && go(first.id)}
      >
        <Sign aria-hidden size={18} className="shrink-0 text-teal" />
        <span className="min-w-0 flex-1">{sentenceIn(stage.title, units)}</span>
        <span className="text-quiet">
          {ready}/{jobs.length}
          <span className="sr-only"> done</span>
        </span>
      </button>
      {open && stage.because && (
        <p className="px-1 pb-2 text-sm text-quiet">{sentenceIn(stage.because, units)}</p>
      )}
      {open && (
        <ol className="mb-2 border-l-2 border-teal">
          {jobs.map((job) => (
            <li key={job.id}>
              <button
                type="button"
                aria-current={job.id === at ? 'step' : undefined}
                className="flex min-h-[44px] w-full items-center gap-2 py-1 pl-3 pr-1 text-left hover:bg-hover aria-[current=step]:bg-teal-wash aria-[current=step]:font-semibold"
                onClick={() => go(job.id)}
              >
                <span className={`min-w-0 flex-1 ${isDone(job, done) ? 'text-quiet line-through' : ''}`}>
                  {sentenceIn(job.title, units)}
                </span>
                <span className="text-quiet">{countSaid(job, done.get(job.id) ?? 0)}</span>
              </button>
            </li>
          ))}
        </ol>
      )}
    </li>
  );
}

const countSaid = ({ times }: Job, done: number): string =>
  times > 1 ? `${done}/${times}` : done >= 1 ? 'done' : '';
