import { formatLength, landmarksOf, mm, type Vessel, wallAt } from '@fellside/core';
import { useMemo } from 'react';
import { unitsOf } from '../store/house.js';
import { useApp } from '../store/store.js';
import type { Place } from '../ui/path.js';
import { spread } from './labels.js';

/** Labels nearer than this would be read as one (px). */
const APART = 26;
/** The topmost label's place (px): its name stands above it. */
const TOP = 17;

/** Diameters at foot, waist, widest, neck and lip, beside the place each speaks of; the wall where the pointer is. */
export function Readouts({ vessel, at }: { vessel: Vessel; at: Place }) {
  const units = useApp(unitsOf);
  const marks = useMemo(() => marksOf(vessel), [vessel]);
  const ys = spread(
    marks.map(({ heightMm }) => Math.min(at.y(heightMm) + 4, at.y(0) - 8)),
    APART,
    TOP,
  );
  const labels = marks.map((mark, i) => ({ ...mark, y: ys[i]! }));
  return (
    <g className="text-[11px]" pointerEvents="none">
      {labels.map(({ name, radiusMm, heightMm, y }) => {
        const x = Math.max(40, at.x(radiusMm) - 16);
        return (
          <g key={name}>
            <line
              x1={x + 2}
              x2={at.x(radiusMm) - 6}
              y1={y - 4}
              y2={at.y(heightMm)}
              stroke="var(--color-teal)"
              strokeWidth="0.75"
            />
            <text x={x} y={y - 7} textAnchor="end" className="halo" fill="var(--color-quiet)">
              {name}
            </text>
            <text x={x} y={y + 5} textAnchor="end" className="halo" fontWeight="650">
              {formatLength(mm(2 * radiusMm), units)}
            </text>
          </g>
        );
      })}
      <WallHere vessel={vessel} at={at} />
    </g>
  );
}

/** Landmarks from the bottom up; two at one height are one. */
function marksOf(vessel: Vessel) {
  const marks: { name: string; radiusMm: number; heightMm: number }[] = [];
  for (const { name, radiusMm, heightMm } of landmarksOf(vessel.outside)) {
    const same = marks.find((mark) => mark.heightMm === heightMm);
    if (same) same.name = `${same.name}, ${name}`;
    else marks.push({ name, radiusMm, heightMm });
  }
  return marks.sort((a, b) => a.heightMm - b.heightMm);
}

function WallHere({ vessel, at }: { vessel: Vessel; at: Place }) {
  const units = useApp(unitsOf);
  const z = useApp((state) => state.session.pointerMm);
  if (z === null || z < 0 || z > vessel.heightMm) return null;
  const wall = wallAt(vessel, z);
  const says = wall === null ? 'solid' : `wall ${formatLength(mm(wall), units)}`;
  return (
    <g>
      <line
        x1={at.x(0) - 34}
        x2={at.x(0)}
        y1={at.y(z)}
        y2={at.y(z)}
        stroke="var(--color-teal)"
        strokeWidth="0.75"
      />
      <text x={at.x(0) - 5} y={at.y(z) - 4} textAnchor="end" className="halo">
        {says} at {formatLength(mm(z), units)}
      </text>
    </g>
  );
}
