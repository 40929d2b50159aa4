import {
  extremes,
  outsideLine,
  outsidePatches,
  type Prepared,
  type PreparedRing,
  type Species,
  type Vessel,
} from '@fellside/core';
import { memo, useMemo } from 'react';
import { woodFill } from '../ui/WoodPatterns.js';
import { linePath, type Place, stripPath } from './path.js';

/** Right of the axis: the turned piece as it looks from the front, every segment in its wood. */
export function Outside({ prepared, palette, at, view, onEnter, onPick }: OutsideProps) {
  const { vessel, rings } = prepared;
  const outline = useMemo(() => outsideLine(vessel), [vessel]);
  return (
    <g>
      {rings.map((ring, index) => (
        <RingOutside key={ring.ring.id} {...{ ring, index, vessel, palette, at, view, onEnter, onPick }} />
      ))}
      <path d={stripPath(outline, at, 0, 1)} fill="url(#roundness)" pointerEvents="none" />
      <path
        d={linePath(outline, at)}
        fill="none"
        stroke="var(--color-ink)"
        strokeOpacity="0.6"
        strokeWidth="1"
      />
    </g>
  );
}

interface Pointing {
  readonly palette: ReadonlyMap<string, Species>;
  readonly at: Place;
  readonly view: number;
  readonly onEnter: (ring: number, place: number) => void;
  readonly onPick: (ring: number, event: { shiftKey: boolean; ctrlKey: boolean; metaKey: boolean }) => void;
}
interface OutsideProps extends Pointing {
  readonly prepared: Prepared;
}

const RingOutside = memo(function RingOutside({
  ring,
  index,
  vessel,
  palette,
  at,
  view,
  onEnter,
  onPick,
}: Pointing & { ring: PreparedRing; index: number; vessel: Vessel }) {
  const { made, turn, course } = ring;
  const top = Math.min(course.topMm, vessel.heightMm);
  const line = useMemo(() => outsideLine(vessel, course.bottomMm, top), [vessel, course.bottomMm, top]);
  if (!made.ok) return null;
  const radius = extremes(vessel.outside, course.bottomMm, top).most;
  return (
    <g>
      {outsidePatches(made.value, turn, radius, view).map(({ place, near, far }) => (
        <path
          key={`${place} ${near}`}
          d={stripPath(line, at, near, far)}
          fill={woodFill(palette.get(ring.ring.woods[place]!), 'bench')}
          stroke="#1d2527"
          strokeOpacity="0.3"
          strokeWidth="0.6"
          onPointerEnter={() => onEnter(index, place)}
          onClick={(event) => onPick(index, event)}
        />
      ))}
    </g>
  );
});

/** Light falls off towards the silhouette. */
export function Roundness() {
  return (
    <linearGradient id="roundness" x1="0" x2="1">
      <stop offset="0" stopColor="#000" stopOpacity="0" />
      <stop offset="0.6" stopColor="#000" stopOpacity="0.06" />
      <stop offset="0.88" stopColor="#000" stopOpacity="0.22" />
      <stop offset="1" stopColor="#000" stopOpacity="0.42" />
    </linearGradient>
  );
}
