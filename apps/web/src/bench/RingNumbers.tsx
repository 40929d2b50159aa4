import type { PreparedRing } from '@fellside/core';
import { selectedRingsOf } from '../store/selection.js';
import { useApp } from '../store/store.js';

/** Lowest ring that still has room for its number (px). */
const ROOM = 11;

/** Ring numbers down the left of a pane. */
export function RingNumbers({ rings, y }: { rings: readonly PreparedRing[]; y: (height: number) => number }) {
  const selected = useApp(selectedRingsOf);
  return (
    <g fontSize="12" aria-hidden>
      {rings
        .filter(({ stands: course }) => y(course.bottomMm) - y(course.topMm) >= ROOM)
        .map(({ stands: course, ring }) => {
          const lit = selected.includes(course.index);
          return (
            <text
              key={ring.id}
              x={6}
              y={(y(course.bottomMm) + y(course.topMm)) / 2 + 4}
              fill={lit ? 'var(--color-teal)' : 'var(--color-quiet)'}
              fontWeight={lit ? 700 : 400}
            >
              {course.index + 1}
            </text>
          );
        })}
    </g>
  );
}
