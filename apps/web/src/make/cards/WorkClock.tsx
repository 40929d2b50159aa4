import { done, spanSaid, WORK_KINDS, type WorkKind } from '@fellside/core';
import { Play, Square } from 'lucide-react';
import { useEffect, useState } from 'react';
import { useParams } from 'react-router';
import { journal } from '../../store/journal/journalSlice.js';
import { answerStretch, startClock, stopClock } from '../../store/journal/writing.js';
import { useActions, useApp } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { NumberField } from '../../ui/NumberField.js';
import { Switch } from '../../ui/Switch.js';

/** How often the clock is looked at (ms). */
const LOOK = 5000;

/** The clock of the work: runs for one kind of work at a time, and writes what it ran into the journal. */
export function WorkClock({ work }: { work: WorkKind }) {
  const { id = '' } = useParams();
  const dispatch = useActions();
  const running = useApp((state) => state.journal.running);
  const byCards = useApp((state) => state.journal.byCards);
  const now = useNow(running !== null);
  const here = running?.piece === id;
  return (
    <section aria-label="Clock" className="flex flex-wrap items-center gap-x-4 gap-y-2 text-sm">
      {running ? (
        <>
          <span role="timer" className="text-base">
            {WORK_KINDS[running.work]}{' '}
            <b className="tabular-nums">{spanSaid((now - running.since) / 60_000)}</b>
            {!here && ' on another piece'}
          </span>
          <Button className="h-11!" onClick={() => dispatch(stopClock())}>
            <Square aria-hidden size={16} /> Stop the clock
          </Button>
        </>
      ) : (
        <Button className="h-11!" onClick={() => dispatch(startClock(id, work))}>
          <Play aria-hidden size={16} /> Start the clock
        </Button>
      )}
      <Switch
        label="Cards start it"
        on={byCards}
        onChange={(on) => {
          dispatch(journal.byCards(on));
          if (on) dispatch(startClock(id, work));
        }}
      />
      <LongStretch />
    </section>
  );
}

/** The clock ran so long that it was forgotten as likely as not: how much of it was work. */
function LongStretch() {
  const dispatch = useActions();
  const asked = useApp((state) => state.journal.asked);
  const [hours, setHours] = useState<number | null>(null);
  if (!asked) return null;
  const told = hours ?? Math.round(asked.minutes / 15) / 4;
  return (
    <div
      role="alertdialog"
      aria-label="A long time"
      className="flex flex-wrap items-end gap-3 rounded bg-rust-wash p-3"
    >
      <p className="max-w-prose">
        The clock ran {spanSaid(asked.minutes)} for “{WORK_KINDS[asked.work]}”. How much of it was work?
      </p>
      <NumberField label="Hours" className="w-20" value={told} onChange={(value) => done(setHours(value))} />
      <Button
        kind="main"
        className="h-11!"
        onClick={() => {
          dispatch(answerStretch(Math.min(24 * 60, Math.max(0, Math.round(told * 60)))));
          setHours(null);
        }}
      >
        Write it down
      </Button>
      <Button className="h-11!" onClick={() => dispatch(answerStretch(0))}>
        None of it
      </Button>
    </div>
  );
}

/** The time now, as long as somebody looks at a clock that runs. */
function useNow(runs: boolean): number {
  const [now, setNow] = useState(Date.now);
  useEffect(() => {
    if (!runs) return;
    setNow(Date.now());
    const beat = setInterval(() => setNow(Date.now()), LOOK);
    return () => clearInterval(beat);
  }, [runs]);
  return now;
}
