import {
  done,
  edit,
  formatLength,
  type Job,
  type Mm,
  type Result,
  say,
  sayMm,
  sentenceIn,
} from '@fellside/core';
import { useState } from 'react';
import { editPiece } from '../../store/edits.js';
import { projectOf, unitsOf } from '../../store/house.js';
import { planOf } from '../../store/selectors.js';
import { useActions, useApp } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { OptionalLength } from '../../ui/OptionalLength.js';

/** Farther off than this share of the plan's value it is asked whether it is meant. */
const FAR_OFF = 0.15;

type What = 'heightMm' | 'diameterMm';
interface Asked {
  readonly what: What;
  readonly value: Mm;
  readonly planned: number;
}
const NAMES: Readonly<Record<What, string>> = {
  heightMm: 'Measured thickness',
  diameterMm: 'Measured across the flats',
};

/** What is measured where a ring's state changes; the plan above it follows at once. */
export function Measured({ job }: { job: Job }) {
  const dispatch = useActions();
  const project = useApp(projectOf);
  const plan = useApp(planOf);
  const units = useApp(unitsOf);
  const [asked, setAsked] = useState<Asked | null>(null);
  const index = project.rings.findIndex(({ id }) => id === job.owners[0]?.id);
  const ring = project.rings[index];
  const one = job.owners.length === 1 && (job.makes === 'glued' || job.makes === 'flattened');
  if (!one || !ring || !plan.ok) return null;
  const figures = plan.value.rings[index];
  const planned = { heightMm: ring.heightMm, diameterMm: 2 * (figures?.gives?.outerRadiusMm ?? 0) };
  const set = (what: What, value: Mm | undefined): Result<unknown> =>
    dispatch(editPiece(edit.setMeasured([index], { [what]: value } as never)));
  const entered =
    (what: What) =>
    (value: Mm | undefined): Result<unknown> => {
      const plan = planned[what];
      if (value !== undefined && plan > 0 && Math.abs(value - plan) > FAR_OFF * plan) {
        setAsked({ what, value, planned: plan });
        return done(null);
      }
      setAsked(null);
      return set(what, value);
    };
  return (
    <div className="flex flex-col gap-2">
      <div className="grid max-w-md grid-cols-2 gap-3">
        {(['heightMm', 'diameterMm'] as const).map((what) => (
          <OptionalLength
            key={what}
            label={NAMES[what]}
            value={ring.measured?.[what]}
            onChange={entered(what)}
          />
        ))}
      </div>
      <p className="text-sm text-quiet">
        Planned {formatLength(planned.heightMm, units)}
        {planned.diameterMm > 0 && `, ${formatLength(planned.diameterMm as Mm, units)} across`}. What you
        enter is what all above is fitted to.
      </p>
      {asked && (
        <div
          role="alertdialog"
          aria-label="Far off"
          className="flex flex-wrap items-center gap-3 rounded bg-rust-wash p-3"
        >
          <p>
            {sentenceIn(
              say`${sayMm(asked.value)} is far from the plan’s ${sayMm(asked.planned)}. Is that what you measured?`,
              units,
            )}
          </p>
          <Button
            className="h-12!"
            onClick={() => {
              set(asked.what, asked.value);
              setAsked(null);
            }}
          >
            Yes, {formatLength(asked.value, units)}
          </Button>
          <Button className="h-12!" onClick={() => setAsked(null)}>
            No, leave it
          </Button>
        </div>
      )}
    </div>
  );
}
