import { type JournalDay, journalOf, journalText } from '@fellside/core';
import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { WorkClock } from '../../make/cards/WorkClock.js';
import { projectOf, unitsOf, woodsOf } from '../../store/house.js';
import { ticksOf, workOf } from '../../store/progress/work.js';
import { useApp } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { Pane } from '../../ui/Pane.js';
import { saveFile } from '../../ui/saveFile.js';
import { clockOf, dayOf } from './clockOf.js';
import { HoursTable } from './HoursTable.js';
import { JournalLineView } from './JournalLineView.js';
import { useEntries } from './useEntries.js';
import { WriteDown } from './WriteDown.js';

const NO_WORK = { jobs: [] };

/** The journal: what was done and measured as the cards counted it, what was written, hours and photographs. */
export function JournalView() {
  const { id = '' } = useParams();
  const { entries, known } = useEntries(id);
  const order = useApp(workOf) ?? NO_WORK;
  const ticks = useApp(ticksOf);
  const woods = useApp(woodsOf);
  const days = useMemo(() => {
    const nameOf = (wood: string) => woods.find((each) => each.id === wood)?.name ?? wood;
    return journalOf(order, ticks, entries, dayOf, nameOf);
  }, [order, ticks, entries, woods]);
  return (
    <div className="grid min-h-0 flex-1 auto-rows-max gap-2 overflow-auto p-2 lg:auto-rows-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_300px]">
      <Pane name="Journal">
        <div className="flex flex-wrap items-center gap-3">
          <h2 className="flex-1 text-lg font-semibold">Journal</h2>
          {days.length > 0 && <AsText days={days} />}
        </div>
        {days.length === 0 ? (
          <p className="mt-2 max-w-prose text-quiet">
            {known ? (
              <>
                Nothing yet. What you count off in{' '}
                <Link className="text-teal underline" to={`/piece/${id}/make`}>
                  Work
                </Link>{' '}
                and measure there writes itself here; notes, hours and photographs are added on this page.
              </>
            ) : (
              'The server is asked…'
            )}
          </p>
        ) : (
          <Days days={days} />
        )}
      </Pane>
      {/* On a phone or tablet in the shop it is for writing first. */}
      <div className="max-lg:order-first lg:contents">
        <Pane name="To write down">
          <WriteDown />
          <h2 className="mt-5 mb-1 text-lg font-semibold">Hours</h2>
          <HoursTable entries={entries} />
          <div className="mt-3">
            <WorkClock work="turning" />
          </div>
        </Pane>
      </div>
    </div>
  );
}

const Days = ({ days }: { days: readonly JournalDay[] }) => (
  <ol aria-label="Days">
    {days.map(({ day, lines }) => (
      <li key={day} className="mt-3">
        <h3 className="font-semibold">{day}</h3>
        <ol>
          {lines.map((line, i) => (
            <JournalLineView key={line.entry?.id ?? `${line.at} ${i}`} line={line} />
          ))}
        </ol>
      </li>
    ))}
  </ol>
);

function AsText({ days }: { days: readonly JournalDay[] }) {
  const { name } = useApp(projectOf);
  const units = useApp(unitsOf);
  return (
    <Button
      onClick={() =>
        void saveFile(`${name}, journal.txt`, 'text/plain', journalText(name, days, clockOf, units))
      }
    >
      As text
    </Button>
  );
}
