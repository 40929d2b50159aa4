import { edit, insideAt, mm, radiusAt, type Vessel, type WallAt } from '@fellside/core';
import { editPiece } from '../store/edits.js';
import { projectOf, unitsOf } from '../store/house.js';
import { useActions, useApp } from '../store/store.js';
import type { Place } from '../ui/path.js';
import { Handle } from './Handle.js';
import { shopLength } from './steps.js';
import { useDrag } from './useDrag.js';

interface WallHandlesProps {
  readonly vessel: Vessel;
  readonly at: Place;
  readonly scale: number;
}

/** A handle on the inside for every wall thickness that is given: half way up where one holds everywhere. */
export function WallHandles({ vessel, at, scale }: WallHandlesProps) {
  const { inside } = useApp((state) => projectOf(state).form);
  if (inside.by !== 'wall' || !vessel.inside) return null;
  const { hollowFromMm: from, hollowToMm: to } = vessel;
  return inside.walls.map((wall, index) => {
    const z = inside.walls.length === 1 ? (from + to) / 2 : Math.min(to, Math.max(from, wall.heightMm));
    return <WallHandle key={index} {...{ vessel, at, scale, index, z }} walls={inside.walls} />;
  });
}

function WallHandle({
  vessel,
  at,
  scale,
  walls,
  index,
  z,
}: WallHandlesProps & { walls: readonly WallAt[]; index: number; z: number }) {
  const dispatch = useActions();
  const units = useApp(unitsOf);
  const { wallMm } = walls[index]!;
  const radius = insideAt(vessel, z) ?? 0;
  /** Square to the outside there is less wood than level, in this proportion. */
  const square = wallMm / Math.max(wallMm, radiusAt(vessel.outside, z) - radius);
  const set = (next: number) =>
    edit.setWalls(walls.map((wall, i) => (i === index ? { ...wall, wallMm: mm(next) } : wall)));
  const drag = useDrag(({ x }) => set(shopLength(wallMm + (x / scale) * square, units)));
  const [x, y] = [at.x(radius), at.y(z)];
  return (
    <Handle
      name={walls.length === 1 ? 'Wall thickness' : `Wall thickness ${index + 1}`}
      valueMm={wallMm}
      says=" square to the outside"
      drag={drag}
      onNudge={(out) => out !== 0 && dispatch(editPiece(set(wallMm - out)))}
      cursor="ew-resize"
    >
      <rect x={x - 12} y={y - 12} width="24" height="24" fill="transparent" />
      <path d={`M${x - 2} ${y - 6}l-6 6l6 6zM${x + 2} ${y - 6}l6 6l-6 6z`} className="handle" />
    </Handle>
  );
}
