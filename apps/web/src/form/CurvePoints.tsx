import { edit, type FormPoint, mm, radiusAt } from '@fellside/core';
import { Plus, Trash2 } from 'lucide-react';
import { editPiece } from '../store/edits.js';
import { preparedOf, projectOf } from '../store/selectors.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { LengthField } from '../ui/LengthField.js';

/** The points that the outside passes through, lip first, each to be typed. */
export function CurvePoints() {
  const { points } = useApp(projectOf).form;
  const last = points.length - 1;
  return (
    <section>
      <h2 className="mb-1 font-semibold">Curve, from the lip down</h2>
      <ol className="flex flex-col gap-2">
        {points
          .map((point, index) => ({ point, index }))
          .reverse()
          .map(({ point, index }) => (
            <PointRow
              key={index}
              {...{ point, index }}
              name={index === last ? 'lip' : index === 0 ? 'foot' : `${index + 1}`}
            />
          ))}
      </ol>
    </section>
  );
}

function PointRow({ point, index, name }: { point: FormPoint; index: number; name: string }) {
  const dispatch = useActions();
  const { points } = useApp(projectOf).form;
  const prepared = useApp(preparedOf);
  const ends = name === 'lip' || name === 'foot';
  const change = (value: Partial<FormPoint>) => dispatch(editPiece(edit.setPoint(index, value)));
  /** A point on the curve halfway to the one below, where it changes nothing yet. */
  const addBelow = () => {
    const heightMm = mm((point.heightMm + points[index - 1]!.heightMm) / 2);
    const radius = prepared.ok ? radiusAt(prepared.value.vessel.outside, heightMm) : point.radiusMm;
    dispatch(editPiece(edit.addPoint({ heightMm, radiusMm: mm(radius), kind: 'smooth' })));
  };
  return (
    <li className="grid grid-cols-[1fr_1fr_auto] items-end gap-x-2 border-b border-line pb-2">
      <LengthField
        label={`Radius, ${name}`}
        value={point.radiusMm}
        onChange={(radiusMm) => change({ radiusMm })}
      />
      <LengthField
        label={`Height, ${name}`}
        value={point.heightMm}
        onChange={(heightMm) => change({ heightMm })}
      />
      <Button
        className="px-2!"
        aria-label={`Remove curve point ${name}`}
        title="Remove this point"
        disabled={ends}
        onClick={() => dispatch(editPiece(edit.removePoint(index)))}
      >
        <Trash2 aria-hidden size={14} />
      </Button>
      <label className="col-span-2 mt-1 flex items-center gap-1.5 text-xs text-quiet">
        <input
          type="checkbox"
          className="accent-teal"
          checked={point.kind === 'corner'}
          onChange={(event) => change({ kind: event.target.checked ? 'corner' : 'smooth' })}
        />
        corner at {name}
      </label>
      {index > 0 && (
        <Button
          className="mt-1 h-6! px-2!"
          aria-label={`Add a curve point below ${name}`}
          title="Add a point below"
          onClick={addBelow}
        >
          <Plus aria-hidden size={14} />
        </Button>
      )}
    </li>
  );
}
