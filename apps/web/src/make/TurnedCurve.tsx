import { done, edit, formatLength, type Mm, mm, radiusAt } from '@fellside/core';
import { X } from 'lucide-react';
import { useState } from 'react';
import { editPiece } from '../store/edits.js';
import { unitsOf } from '../store/house.js';
import { preparedOf } from '../store/selectors.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { LengthField } from '../ui/LengthField.js';

interface Measured {
  readonly heightMm: Mm;
  readonly radiusMm: Mm;
}

/** Diameters as they were measured at heights: the curve goes through them, with the plan's beside. */
export function TurnedCurve() {
  const dispatch = useActions();
  const units = useApp(unitsOf);
  const prepared = useApp(preparedOf);
  const [rows, setRows] = useState<readonly Measured[]>([]);
  if (!prepared.ok) return null;
  const { vessel } = prepared.value;
  const planned = (z: number) => radiusAt(vessel.outside, Math.min(Math.max(0, z), vessel.heightMm));
  const set = (at: number, part: Partial<Measured>) => {
    setRows(rows.map((row, i) => (i === at ? { ...row, ...part } : row)));
    return done(part);
  };
  const add = () => {
    const heightMm = mm(Math.min(vessel.heightMm, (rows.at(-1)?.heightMm ?? 0) + vessel.heightMm / 5));
    setRows([...rows, { heightMm, radiusMm: mm(planned(heightMm)) }]);
  };
  const apply = () => {
    const answer = dispatch(editPiece(edit.curveAsTurned(rows)));
    if (answer.ok) setRows([]);
  };
  return (
    <section className="mb-5">
      <h2 className="mb-1 text-lg font-semibold">The curve as it was turned</h2>
      <p className="mb-2 text-quiet">
        Diameters measured at heights above the bench; the outside goes through them, foot and lip stay where
        none is measured.
      </p>
      <ul className="flex flex-col gap-1">
        {rows.map(({ heightMm, radiusMm }, at) => (
          <li key={at} className="flex flex-wrap items-end gap-3">
            <LengthField
              label={`Height ${at + 1}`}
              className="w-28"
              value={heightMm}
              onChange={(next) => set(at, { heightMm: next })}
            />
            <LengthField
              label={`Diameter ${at + 1}`}
              className="w-28"
              value={mm(2 * radiusMm)}
              onChange={(next) => set(at, { radiusMm: mm(next / 2) })}
            />
            <span className="pb-2 text-quiet">planned {formatLength(mm(2 * planned(heightMm)), units)}</span>
            <Button
              aria-label={`Without height ${at + 1}`}
              onClick={() => setRows(rows.filter((_, i) => i !== at))}
            >
              <X aria-hidden size={14} />
            </Button>
          </li>
        ))}
      </ul>
      <div className="mt-2 flex gap-3">
        <Button className="h-11!" onClick={add}>
          Measured at a height
        </Button>
        {rows.length > 0 && (
          <Button kind="main" className="h-11!" onClick={apply}>
            Make it the curve
          </Button>
        )}
      </div>
    </section>
  );
}
