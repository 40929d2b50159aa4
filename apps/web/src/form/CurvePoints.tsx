import { type CurvePoint, edit, mm, radiusAt } from '@fellside/core';
import { Plus, Trash2 } from 'lucide-react';
import { editPiece } from '../store/edits.js';
import { preparedOf } from '../store/selectors.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { LengthField } from '../ui/LengthField.js';

type Side = 'outside' | 'inside';

interface CurvePointsProps {
  readonly side: Side;
  readonly points: readonly CurvePoint[];
}

/** The points of a curve, the highest first, each to be typed. */
export function CurvePoints({ side, points }: CurvePointsProps) {
  const last = points.length - 1;
  const lowest = side === 'outside' ? 'foot' : 'floor';
  return (
    <ol className="flex flex-col gap-2">
      {points
        .map((point, index) => ({ point, index }))
        .reverse()
        .map(({ point, index }) => (
          <PointRow
            key={index}
            {...{ side, points, point, index }}
            name={`${side === 'inside' ? 'inside ' : ''}${index === last ? 'lip' : index === 0 ? lowest : index + 1}`}
          />
        ))}
    </ol>
  );
}

function PointRow({
  side,
  points,
  point,
  index,
  name,
}: CurvePointsProps & { point: CurvePoint; index: number; name: string }) {
  const dispatch = useActions();
  const prepared = useApp(preparedOf);
  const ends = index === 0 || index === points.length - 1;
  const change = (value: Partial<CurvePoint>) => dispatch(editPiece(edit.setPoint(index, value, side)));
  /** A point on the curve halfway to the one below, where it changes nothing yet. */
  const addBelow = () => {
    const heightMm = mm((point.heightMm + points[index - 1]!.heightMm) / 2);
    const vessel = prepared.ok ? prepared.value.vessel : null;
    const curve = side === 'outside' ? vessel?.outside : vessel?.inside;
    const radiusMm = mm(curve ? radiusAt(curve, heightMm) : point.radiusMm);
    dispatch(editPiece(edit.addPoint({ heightMm, radiusMm, kind: 'smooth' }, side)));
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
        onClick={() => dispatch(editPiece(edit.removePoint(index, side)))}
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
