import type { PreparedRing } from '@fellside/core';

/** The whole line of every selected ring, lit across a pane. */
export function SelectedBands({
  rings,
  selected,
  y,
}: {
  rings: readonly PreparedRing[];
  selected: readonly number[];
  y: (height: number) => number;
}) {
  return (
    <g pointerEvents="none">
      {rings
        .filter(({ course }) => selected.includes(course.index))
        .map(({ course, ring }) => (
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
