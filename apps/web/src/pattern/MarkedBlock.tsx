import type { Prepared } from '@fellside/core';
import { useApp } from '../store/store.js';

interface MarkedBlockProps {
  readonly rings: Prepared['rings'];
  readonly width: number;
  readonly y: (height: number) => number;
}

/** The part of the wall that is marked to be copied, or to paste at; across 0° it comes in two parts. */
export function MarkedBlock({ rings, width, y }: MarkedBlockProps) {
  const marked = useApp((state) => (state.session.tool === 'block' ? state.session.marked : null));
  const [low, high] = [rings[marked?.low ?? -1], rings[marked?.high ?? -1]];
  if (!marked || !low || !high) return null;
  const top = y(high.stands.topMm);
  const height = y(low.stands.bottomMm) - top;
  return (
    <g pointerEvents="none">
      {[0, -1].map((lap) => (
        <rect
          key={lap}
          x={(marked.from + lap) * width}
          y={top}
          width={marked.widthTurns * width}
          height={height}
          fill="var(--color-teal)"
          fillOpacity="0.18"
          stroke="var(--color-teal)"
          strokeWidth="2"
          strokeDasharray="6 4"
        />
      ))}
    </g>
  );
}
