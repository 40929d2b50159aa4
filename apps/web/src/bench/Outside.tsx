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
import { Shade } from '../ui/Shade.js';
import { woodFill } from '../ui/WoodPatterns.js';
import type { Keys } from './keys.js';
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
      <Shade line={outline} at={at} />
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
  readonly onPick: (ring: number, keys: Keys) => void;
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
