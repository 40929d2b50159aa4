import { extremes, type PreparedRing, type Species, unrolledParts, type Vessel } from '@fellside/core';
import { memo } from 'react';
import { woodFill } from '../ui/WoodPatterns.js';
import type { Keys } from './keys.js';

/** The wall laid flat, 0° at the index mark; every ring as wide as the pane. */
export function Unrolled({ rings, vessel, palette, width, y, hover, onEnter, onPick }: UnrolledProps) {
  return (
    <g>
      {rings.map((ring, index) => (
        <Row
          key={ring.ring.id}
          {...{ ring, index, vessel, palette, width, y, onEnter, onPick }}
          hovered={hover?.ring === index ? hover.place : null}
        />
      ))}
    </g>
  );
}

interface Common {
  readonly vessel: Vessel;
  readonly palette: ReadonlyMap<string, Species>;
  readonly width: number;
  readonly y: (height: number) => number;
  readonly onEnter: (ring: number, place: number) => void;
  readonly onPick: (ring: number, place: number, keys: Keys) => void;
}
interface UnrolledProps extends Common {
  readonly rings: readonly PreparedRing[];
  readonly hover: { readonly ring: number; readonly place: number } | null;
}

const Row = memo(function Row({
  ring,
  index,
  vessel,
  palette,
  width,
  y,
  hovered,
  onEnter,
  onPick,
}: Common & { ring: PreparedRing; index: number; hovered: number | null }) {
  const { made, turn, course } = ring;
  if (!made.ok) return null;
  const radius = extremes(vessel.outside, course.bottomMm, Math.min(course.topMm, vessel.heightMm)).most;
  return (
    <g data-ring={index + 1}>
      {unrolledParts(made.value, turn, radius).map(({ place, from, to }) => (
        <rect
          key={`${place} ${from}`}
          data-place={place}
          x={from * width}
          width={Math.max(0, (to - from) * width)}
          y={y(course.topMm)}
          height={y(course.bottomMm) - y(course.topMm)}
          fill={woodFill(palette.get(ring.ring.woods[place]!), 'bench')}
          stroke={hovered === place ? 'var(--color-teal)' : '#1d2527'}
          strokeOpacity={hovered === place ? 1 : 0.3}
          strokeWidth={hovered === place ? 2.5 : 0.6}
          onPointerEnter={() => onEnter(index, place)}
          onClick={(event) => onPick(index, place, event)}
        />
      ))}
    </g>
  );
});
