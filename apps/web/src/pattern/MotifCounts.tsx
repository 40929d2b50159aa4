import { countsNear, dividesInto, edit, type MotifUse, repeatsNear, segmentsOf } from '@fellside/core';
import { editPiece } from '../store/edits.js';
import { projectOf } from '../store/house.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { ringsName } from './ringsName.js';

interface MotifCountsProps {
  readonly id: string;
  readonly use: MotifUse;
  readonly members: readonly number[];
}

/** Rings whose count a motif does not come out whole with, and what does: other counts, or other repeats. */
export function MotifCounts({ id, use, members }: MotifCountsProps) {
  const dispatch = useActions();
  const rings = useApp((state) => projectOf(state).rings);
  const unit = dividesInto(use);
  const odd = new Map<number, number[]>();
  for (const index of members) {
    const count = segmentsOf(rings[index]!.making);
    if (count !== null && count % unit !== 0) odd.set(count, [...(odd.get(count) ?? []), index]);
  }
  return (
    <div aria-live="polite">
      {[...odd].map(([count, which]) => (
        <div key={count} className="mt-2 rounded bg-rust-wash p-2 text-sm">
          <p>
            {count} segments in {ringsName(which)} do not divide by {unit}: the motif does not come out whole.
          </p>
          <div className="mt-1 flex flex-wrap gap-1.5">
            {countsNear(use, count).map((better) => (
              <Button key={better} onClick={() => dispatch(editPiece(edit.setCount(which, better)))}>
                {better} segments
              </Button>
            ))}
            {repeatsNear(use, count).map((repeats) => (
              <Button
                key={repeats}
                onClick={() =>
                  dispatch(editPiece(edit.changeMotif(id, { ...use, values: { ...use.values, repeats } })))
                }
              >
                {repeats} {repeats === 1 ? 'repeat' : 'repeats'}
              </Button>
            ))}
          </div>
        </div>
      ))}
    </div>
  );
}
