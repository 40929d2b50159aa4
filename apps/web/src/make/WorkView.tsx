import { nextJob } from '@fellside/core';
import { useEffect, useState } from 'react';
import { useSearchParams } from 'react-router';
import { doneOf, workOf } from '../store/progress/work.js';
import { useApp } from '../store/store.js';
import { Pane } from '../ui/Pane.js';
import { Card } from './cards/Card.js';
import { Drying } from './cards/Drying.js';
import { OrderList } from './cards/OrderList.js';
import { Today } from './day/Today.js';

const PARTS = [
  ['card', 'Card'],
  ['order', 'Order'],
  ['day', 'Drying, today'],
] as const;

/** One card at a time, the order of work beside it, and what dries. */
export function WorkView() {
  const order = useApp(workOf);
  const done = useApp(doneOf);
  const [search, setSearch] = useSearchParams();
  const [part, setPart] = useState<(typeof PARTS)[number][0]>('card');
  const asked = search.get('job');
  // Before the server was heard nobody knows where the work goes on.
  const known = useApp((state) => state.progress.link !== 'asking');
  const job =
    order?.jobs.find(({ id }) => id === asked) ??
    (order && (nextJob(order, done) ?? order.jobs.at(-1))) ??
    null;
  // The card stays the same when its job is done: what comes next is turned over to.
  useEffect(() => {
    if (known && job && job.id !== asked) setSearch({ job: job.id }, { replace: true });
  }, [known, job, asked, setSearch]);
  if (!order || !job)
    return <p className="p-6 text-quiet">There is nothing to be made yet: give the piece rings first.</p>;
  const go = (id: string) => {
    setSearch({ job: id }, { replace: true });
    setPart('card');
  };
  const shown = (name: string) =>
    part === name
      ? 'flex min-h-0 flex-1 flex-col [&>section]:flex-1'
      : 'hidden lg:flex lg:min-h-0 lg:flex-col lg:[&>section]:flex-1';
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <fieldset className="flex gap-2 p-2 pb-0 lg:hidden">
        <legend className="sr-only">Parts</legend>
        {PARTS.map(([id, name]) => (
          <button
            key={id}
            type="button"
            aria-pressed={part === id}
            className="min-h-[48px] flex-1 rounded border border-line bg-raised aria-pressed:border-teal aria-pressed:font-semibold"
            onClick={() => setPart(id)}
          >
            {name}
          </button>
        ))}
      </fieldset>
      <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-auto p-2 lg:grid lg:grid-cols-[minmax(0,5fr)_minmax(0,12fr)_minmax(0,5fr)] lg:overflow-hidden">
        <div className={shown('order')}>
          <Pane name="Order of work">
            <h2 className="font-semibold">Order of work</h2>
            <OrderList at={job.id} go={go} />
          </Pane>
        </div>
        <div className={shown('card')}>
          <Pane name="Card">
            <Card key={job.id} job={job} go={go} />
          </Pane>
        </div>
        <div className={shown('day')}>
          <Pane name="Drying and today">
            <Drying />
            <Today go={go} />
          </Pane>
        </div>
      </div>
    </div>
  );
}
