import {
  done,
  feetPerMinute,
  formatStop,
  type Mm,
  mm,
  RPM_STEP,
  refuse,
  rimSpeed,
  sameRim,
  say,
  speedsFor,
  type UnitSystem,
} from '@fellside/core';
import { useState } from 'react';
import { LengthField } from '../../ui/LengthField.js';
import { NumberField } from '../../ui/NumberField.js';

/** Faster than any lathe turns. */
const MOST_RPM = 10_000;

/** How fast the rim goes at a speed, and how fast another diameter turns with the same rim speed. */
export function SameRim({ blankMm, units }: { blankMm: Mm; units: UnitSystem }) {
  const turning = speedsFor(blankMm).find(({ stage }) => stage === 'turning')!;
  const [rpm, setRpm] = useState(turning.leastRpm);
  const [across, setAcross] = useState(blankMm);
  const [other, setOther] = useState(mm(blankMm / 2));
  const length = (set: (value: Mm) => void, label: string) => (value: Mm) => {
    if (value <= 0) return refuse('web:no-diameter', label, say`${label} has to be more than 0.`);
    set(value);
    return done(value);
  };
  const speed = rimSpeed(across, rpm);
  const same = Math.round(sameRim(rpm, across, other) / RPM_STEP) * RPM_STEP;
  return (
    <section aria-label="Rim speed" className="mt-3">
      <h2 className="mb-1 font-semibold">Rim speed, and the same at another diameter</h2>
      <div className="flex flex-wrap gap-3">
        <NumberField
          label="Turns a minute"
          className="w-28"
          value={rpm}
          onChange={(value) => {
            if (value < 1 || value > MOST_RPM)
              return refuse('web:rpm', 'rpm', say`Turns a minute are between 1 and ${MOST_RPM}.`);
            setRpm(value);
            return done(value);
          }}
        />
        <LengthField
          label="Diameter"
          className="w-28"
          value={across}
          onChange={length(setAcross, 'Diameter')}
        />
        <LengthField
          label="Another diameter"
          className="w-32"
          value={other}
          onChange={length(setOther, 'Another diameter')}
        />
      </div>
      <p role="status" className="mt-1">
        The rim goes {speed.toFixed(1)} m/s, {Math.round(feetPerMinute(speed) / RPM_STEP) * RPM_STEP} ft/min;{' '}
        {formatStop(other, units)} across goes as fast at <b>{same}</b> turns a minute.
      </p>
    </section>
  );
}
