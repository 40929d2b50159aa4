import type { Job } from '@fellside/core';
import { Check, Minus, Plus } from 'lucide-react';

interface CounterProps {
  readonly job: Job;
  readonly done: number;
  readonly count: (more: number) => void;
}

const big = 'flex min-h-16 min-w-16 items-center justify-center rounded-lg border-2 border-teal';

/** How many are done, with keys large enough for dusty fingers; one tap for a job that is done once. */
export function Counter({ job: { times }, done, count }: CounterProps) {
  if (times === 1)
    return (
      <div className="flex flex-wrap items-stretch gap-3">
        <button
          type="button"
          className={`${big} flex-1 gap-3 px-6 text-2xl font-semibold ${done >= 1 ? 'bg-raised text-teal' : 'bg-teal text-on-teal'}`}
          onClick={() => count(done >= 1 ? -1 : 1)}
        >
          <Check aria-hidden size={28} />
          {done >= 1 ? 'Done · take back' : 'Done'}
        </button>
      </div>
    );
  return (
    <div className="flex flex-wrap items-center gap-3">
      <button type="button" aria-label="One less" className={`${big} bg-raised`} onClick={() => count(-1)}>
        <Minus aria-hidden size={28} />
      </button>
      <button
        type="button"
        aria-label={`${done} of ${times}: count one more`}
        className="min-h-20 min-w-36 flex-1 rounded-lg text-center"
        onClick={() => count(1)}
      >
        <span className="block text-7xl leading-none font-bold tabular-nums">{done}</span>
        <span className="text-lg text-quiet">
          of {times}
          {done > times && ` and ${done - times} to spare`}
        </span>
      </button>
      <button type="button" aria-label="One more" className={`${big} bg-raised`} onClick={() => count(1)}>
        <Plus aria-hidden size={28} />
      </button>
      {done < times && (
        <button
          type="button"
          className={`${big} flex-1 bg-teal px-4 text-xl font-semibold text-on-teal`}
          onClick={() => count(times - done)}
        >
          All {times} done
        </button>
      )}
    </div>
  );
}
