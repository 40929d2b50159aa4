import { type Command, edit, mm, type Vessel } from '@fellside/core';
import { editPiece } from '../store/edits.js';
import { projectOf, unitsOf } from '../store/house.js';
import { useActions, useApp } from '../store/store.js';
import type { Place } from '../ui/path.js';
import { Handle } from './Handle.js';
import { shopLength } from './steps.js';
import { useDrag } from './useDrag.js';

interface LevelsProps {
  readonly vessel: Vessel;
  readonly at: Place;
  readonly scale: number;
}

/** Floor and lid line, to be dragged up and down. */
export function LevelHandles({ vessel, at, scale }: LevelsProps) {
  const { inside, lid } = useApp((state) => projectOf(state).form);
  return (
    <g>
      {inside.by === 'wall' && vessel.inside && (
        <Level
          name="Floor"
          heightMm={inside.floorMm}
          set={(heightMm) => edit.setFloor(heightMm)}
          x={at.x(0) - 22}
          {...{ at, scale }}
        />
      )}
      {lid && (
        <>
          <line
            x1={at.x(0)}
            x2={at.x(vessel.outside.pieces.reduce((most, p) => Math.max(most, p.r0, p.r1), 0)) - 14}
            y1={at.y(lid.heightMm)}
            y2={at.y(lid.heightMm)}
            stroke="var(--color-teal)"
            strokeDasharray="2 3"
          />
          <Level
            name={lid.joined ? 'Joint of the halves' : 'Lid line'}
            heightMm={lid.heightMm}
            set={(heightMm) => edit.setLid({ ...lid, heightMm })}
            x={at.x(0) - 22}
            {...{ at, scale }}
          />
        </>
      )}
    </g>
  );
}

interface LevelProps {
  readonly name: string;
  readonly heightMm: number;
  readonly set: (heightMm: ReturnType<typeof mm>) => Command;
  readonly x: number;
  readonly at: Place;
  readonly scale: number;
}

function Level({ name, heightMm, set, x, at, scale }: LevelProps) {
  const dispatch = useActions();
  const units = useApp(unitsOf);
  const drag = useDrag(({ y }) => set(shopLength(heightMm - y / scale, units)));
  const y = at.y(heightMm);
  return (
    <Handle
      name={name}
      valueMm={heightMm}
      says=" above the bench"
      drag={drag}
      onNudge={(_, up) => up !== 0 && dispatch(editPiece(set(mm(heightMm + up))))}
      cursor="ns-resize"
    >
      <rect x={x - 14} y={y - 12} width="30" height="24" fill="transparent" />
      <path d={`M${x - 6} ${y - 2}l6 -6l6 6zM${x - 6} ${y + 2}l6 6l6 -6z`} className="handle" />
    </Handle>
  );
}
