import { type CurvePoint, edit, formatLength, mm, type Project, radiusAt, type Vessel } from '@fellside/core';
import { editPiece } from '../store/edits.js';
import { projectOf, unitsOf } from '../store/house.js';
import { useActions, useApp } from '../store/store.js';
import type { Place } from '../ui/path.js';
import { Handle } from './Handle.js';
import { shopLength } from './steps.js';
import { useDrag } from './useDrag.js';

interface CurveHandlesProps {
  readonly vessel: Vessel;
  readonly at: Place;
  readonly scale: number;
}

/** Points of the outside, and of an inside of its own, to be dragged on the cut-through. */
export function CurveHandles({ vessel, at, scale }: CurveHandlesProps) {
  const form = useApp((state) => projectOf(state).form);
  return (
    <g>
      {form.inside.by === 'curve' && (
        <PointHandles side="inside" points={form.inside.points} {...{ vessel, at, scale }} />
      )}
      <PointHandles side="outside" points={form.points} {...{ vessel, at, scale }} />
    </g>
  );
}

type Side = 'outside' | 'inside';

/** Larger than this the list of points is a fitted or imported curve: handles would hide it. */
const MOST_HANDLES = 80;

function PointHandles({
  side,
  points,
  ...rest
}: CurveHandlesProps & { side: Side; points: readonly CurvePoint[] }) {
  if (points.length > MOST_HANDLES) return null;
  return points.map((point, index) => (
    <PointHandle key={index} {...{ side, points, point, index }} {...rest} />
  ));
}

const nameOf = (side: Side, index: number, last: number): string => {
  const end = index === 0 ? (side === 'outside' ? ', foot' : ', floor') : index === last ? ', lip' : '';
  return `${side === 'outside' ? 'Curve' : 'Inside'} point ${index + 1}${end}`;
};

function PointHandle({
  side,
  points,
  point,
  index,
  vessel,
  at,
  scale,
}: CurveHandlesProps & { side: Side; points: readonly CurvePoint[]; point: CurvePoint; index: number }) {
  const dispatch = useActions();
  const units = useApp(unitsOf);
  const last = points.length - 1;
  const moved = (out: number, up: number): Partial<Project['form']['points'][number]> => ({
    ...(out !== 0 && { radiusMm: shopLength(point.radiusMm + out, units) }),
    ...(up !== 0 &&
      !(side === 'outside' && index === 0) && { heightMm: shopLength(point.heightMm + up, units) }),
  });
  const drag = useDrag(({ x, y }) => edit.setPoint(index, moved(-x / scale, -y / scale), side));
  const nudge = (out: number, up: number) =>
    dispatch(
      editPiece(
        edit.setPoint(
          index,
          {
            ...(out !== 0 && { radiusMm: mm(point.radiusMm + out) }),
            ...(up !== 0 && { heightMm: mm(point.heightMm + up) }),
          },
          side,
        ),
      ),
    );
  const add = () => {
    const other = points[index === last ? index - 1 : index + 1]!;
    const heightMm = mm((point.heightMm + other.heightMm) / 2);
    const curve = side === 'outside' ? vessel.outside : vessel.inside;
    if (curve)
      dispatch(
        editPiece(edit.addPoint({ heightMm, radiusMm: mm(radiusAt(curve, heightMm)), kind: 'smooth' }, side)),
      );
  };
  const [x, y] = [at.x(point.radiusMm), at.y(point.heightMm)];
  return (
    <Handle
      name={nameOf(side, index, last)}
      valueMm={point.radiusMm}
      says={` from the axis at height ${formatLength(point.heightMm, units)}, ${point.kind}`}
      drag={drag}
      onNudge={nudge}
      onRemove={
        index > 0 && index < last ? () => dispatch(editPiece(edit.removePoint(index, side))) : undefined
      }
      onAdd={add}
      cursor="move"
    >
      <circle cx={x} cy={y} r="13" fill="transparent" />
      {point.kind === 'corner' ? (
        <rect x={x - 4.5} y={y - 4.5} width="9" height="9" className="handle" />
      ) : (
        <circle cx={x} cy={y} r={side === 'outside' ? 5 : 4.2} className="handle" />
      )}
    </Handle>
  );
}
