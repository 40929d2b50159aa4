import { edit, mm, type PreparedRing } from '@fellside/core';
import { editPiece } from '../store/edits.js';
import { unitsOf } from '../store/house.js';
import { lastRingOf } from '../store/selection.js';
import { useActions, useApp } from '../store/store.js';
import { Handle } from './Handle.js';
import { shopLength } from './steps.js';
import { useDrag } from './useDrag.js';

interface RingEdgesProps {
  readonly rings: readonly PreparedRing[];
  readonly y: (height: number) => number;
  readonly scale: number;
  /** From the left of the pane to the axis, px. */
  readonly width: number;
}

/** The upper edges of rings, to be dragged; the keyboard reaches that of the ring last selected. */
export function RingEdges({ rings, y, scale, width }: RingEdgesProps) {
  const selected = useApp(lastRingOf);
  return (
    <g>
      {rings.map((ring, index) => (
        <Edge key={ring.ring.id} {...{ ring, index, y, scale, width }} reached={index === selected} />
      ))}
    </g>
  );
}

function Edge({
  ring: { course, stands },
  index,
  y,
  scale,
  width,
  reached,
}: Omit<RingEdgesProps, 'rings'> & { ring: PreparedRing; index: number; reached: boolean }) {
  const dispatch = useActions();
  const units = useApp(unitsOf);
  const to = (up: number) => {
    const height = shopLength(course.topMm - course.bottomMm + up, units);
    return edit.moveEdge(index, course.bottomMm + height);
  };
  const drag = useDrag((travel) => to(-travel.y / scale));
  const top = y(stands.topMm);
  const grip = (
    <>
      <rect x={22} width={width - 22} y={top - 3.5} height={7} fill="transparent" />
      {reached && <rect x={24} width={26} y={top - 2.5} height={5} rx={2.5} className="handle" />}
    </>
  );
  if (!reached)
    return (
      <g className="touch-none" style={{ cursor: 'ns-resize' }} {...drag}>
        {grip}
      </g>
    );
  return (
    <Handle
      name={`Edge above ring ${index + 1}`}
      valueMm={stands.topMm}
      says=" above the bench"
      drag={drag}
      onNudge={(_, up) => up !== 0 && dispatch(editPiece(edit.moveEdge(index, mm(course.topMm + up))))}
      cursor="ns-resize"
    >
      {grip}
    </Handle>
  );
}
