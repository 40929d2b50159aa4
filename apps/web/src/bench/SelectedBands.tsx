import type { PreparedRing } from '@fellside/core';
import { selectedRingsOf } from '../store/selection.js';
import { useApp } from '../store/store.js';

interface BandsProps {
  readonly rings: readonly PreparedRing[];
  readonly y: (height: number) => number;
}

/** The selected rings that there are. */
function useSelected(rings: readonly PreparedRing[]): readonly PreparedRing[] {
  const selected = useApp(selectedRingsOf);
  return rings.filter(({ stands: course }) => selected.includes(course.index));
}

/** The whole line of every selected ring, lit across a pane. */
export function SelectedBands({ rings, y }: BandsProps) {
  return (
    <g pointerEvents="none">
      {useSelected(rings).map(({ stands: course, ring }) => (
        <rect
          key={ring.id}
          x={0}
          width="100%"
          y={y(course.topMm)}
          height={y(course.bottomMm) - y(course.topMm)}
          fill="var(--color-teal-wash)"
        />
      ))}
    </g>
  );
}

/** The same where woods cover the pane: lines above and below every selected ring. */
export function SelectedOutlines({ rings, y }: BandsProps) {
  return (
    <g pointerEvents="none" stroke="var(--color-teal)" strokeWidth="2">
      {useSelected(rings).map(({ stands: course, ring }) => (
        <path key={ring.id} d={`M0 ${y(course.topMm)}h9999M0 ${y(course.bottomMm)}h9999`} />
      ))}
    </g>
  );
}

/** The line of the ring that is pointed at in any pane. */
export function HoveredBand({ rings, y }: BandsProps) {
  const ring = useApp((state) => state.session.hover?.ring);
  const course = ring === undefined ? undefined : rings[ring]?.stands;
  if (!course) return null;
  return (
    <rect
      x={1}
      width="100%"
      y={y(course.topMm)}
      height={y(course.bottomMm) - y(course.topMm)}
      fill="none"
      stroke="var(--color-teal)"
      strokeOpacity="0.45"
      pointerEvents="none"
    />
  );
}
