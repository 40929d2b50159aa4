import { isDone, type Job, sentenceIn } from '@fellside/core';
import { useEffect, useRef, useState } from 'react';
import { unitsOf } from '../../store/house.js';
import { doneOf, lastOf, workOf } from '../../store/progress/work.js';
import { useApp } from '../../store/store.js';
import { longSaid, timeOf } from '../clock.js';
import { ring } from './ring.js';

/** A clamp that came off so short a while ago is still told (ms). */
const TOLD = 30 * 60_000;
const MINUTE = 60_000;

interface Wait {
  readonly job: Job;
  readonly clampsOff: number;
  readonly cured: number;
}

/** What is in clamps and what cures, with the time that is left; it rings when clamps come off. */
export function Drying() {
  const now = useNow();
  const units = useApp(unitsOf);
  const order = useApp(workOf);
  const done = useApp(doneOf);
  const last = useApp(lastOf);
  const waits = (order?.jobs ?? []).flatMap((job): Wait[] => {
    const at = last.get(job.id)?.at;
    if (at === undefined || !isDone(job, done) || job.takes.clamp + job.takes.cure === 0) return [];
    const clampsOff = at + job.takes.clamp * MINUTE;
    return [{ job, clampsOff, cured: clampsOff + job.takes.cure * MINUTE }];
  });
  const clamped = waits.filter(({ clampsOff }) => clampsOff > now - TOLD);
  const curing = waits.filter(({ clampsOff, cured }) => clampsOff <= now - TOLD && cured > now);
  const off = clamped.filter(({ clampsOff, job }) => clampsOff <= now && job.takes.clamp > 0);
  const rung = useRef(new Set<string>());
  useEffect(() => {
    const fresh = off.filter(({ job, clampsOff }) => !rung.current.has(`${job.id} ${clampsOff}`));
    for (const { job, clampsOff } of fresh) {
      rung.current.add(`${job.id} ${clampsOff}`);
      if (now - clampsOff < 5000) ring();
    }
  });
  return (
    <>
      <h2 className="font-semibold">Drying</h2>
      {waits.every(({ cured }) => cured <= now) && <p className="text-quiet">Nothing is in clamps.</p>}
      <div aria-live="polite" className="sr-only">
        {off.map(({ job }) => `${sentenceIn(job.title, units)}: the clamps come off.`).join(' ')}
      </div>
      <ul>
        {clamped.map(({ job, clampsOff }) => {
          const out = clampsOff <= now;
          return (
            <li
              key={job.id}
              className={`flex items-center gap-2 border-t border-line py-2 ${out ? 'bg-teal-wash font-semibold' : ''}`}
            >
              <span className="min-w-0 flex-1">
                {sentenceIn(job.title, units)}
                <span className="block text-sm text-quiet">
                  {out ? `out since ${timeOf(clampsOff, now)}` : `out at ${timeOf(clampsOff, now)}`}
                </span>
              </span>
              <span role="timer" className="text-xl font-bold tabular-nums">
                {out ? 'out' : longSaid((clampsOff - now) / MINUTE)}
              </span>
            </li>
          );
        })}
      </ul>
      {curing.length > 0 && (
        <p className="border-t border-line py-2 text-sm text-quiet">
          {curing.length === 1 ? 'One glue-up cures' : `${curing.length} glue-ups cure`} before turning, the
          last until {timeOf(Math.max(...curing.map(({ cured }) => cured)), now)}.
        </p>
      )}
    </>
  );
}

/** The time, every second while something may be waiting for it. */
function useNow(): number {
  const [now, setNow] = useState(Date.now);
  useEffect(() => {
    const ticking = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(ticking);
  }, []);
  return now;
}
