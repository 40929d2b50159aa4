import {
  extremes,
  type PreparedRing,
  type Species,
  type UnrolledPart,
  unrolledParts,
  type Vessel,
} from '@fellside/core';
import { memo, type PointerEvent, useMemo } from 'react';
import { useApp } from '../store/store.js';
import { woodFill } from '../ui/WoodPatterns.js';
import type { Keys } from './keys.js';
import { woodPaths } from './woodPaths.js';

interface Common {
  readonly vessel: Vessel;
  readonly palette: ReadonlyMap<string, Species>;
  readonly width: number;
  readonly onEnter: (ring: number, place: number) => void;
  readonly onPick: (ring: number, place: number, keys: Keys) => void;
}
interface UnrolledProps extends Common {
  readonly rings: readonly PreparedRing[];
  readonly y: (height: number) => number;
}

/** The wall laid flat, 0° at the index mark; every ring as wide as the pane. */
export function Unrolled({ rings, y, ...common }: UnrolledProps) {
  return (
    <g>
      {rings.map((ring, index) => (
        <Row
          key={ring.ring.id}
          {...{ ring, index }}
          {...common}
          top={y(ring.course.topMm)}
          bottom={y(ring.course.bottomMm)}
        />
      ))}
    </g>
  );
}

/** One ring: a path for each wood, however many segments there are, and one for the joints. */
const Row = memo(function Row({
  ring,
  index,
  vessel,
  palette,
  width,
  top,
  bottom,
  onEnter,
  onPick,
}: Common & { ring: PreparedRing; index: number; top: number; bottom: number }) {
  const { made, turn, course } = ring;
  const parts = useMemo(() => {
    if (!made.ok) return [];
    const { most } = extremes(vessel.outside, course.bottomMm, Math.min(course.topMm, vessel.heightMm));
    return unrolledParts(made.value, turn, most);
  }, [made, turn, course, vessel]);
  const figure = (px: number) => Math.round(px * 50) / 50;
  const x = (share: number) => figure(share * width);
  const [from, height] = [figure(top), figure(bottom - top)];
  const outline = (part: UnrolledPart) => `M${x(part.from)} ${from}H${x(part.to)}v${height}H${x(part.from)}z`;
  const under = (event: PointerEvent<SVGGElement>): number | null => {
    const box = event.currentTarget.getBoundingClientRect();
    const share = (event.clientX - box.left) / Math.max(1, box.width);
    return parts.find((part) => part.from <= share && share <= part.to)?.place ?? null;
  };
  return (
    <g
      data-ring={index + 1}
      onPointerMove={(event) => {
        const place = under(event);
        if (place !== null) onEnter(index, place);
      }}
      onClick={(event) => {
        const place = under(event as unknown as PointerEvent<SVGGElement>);
        if (place !== null) onPick(index, place, event);
      }}
    >
      {woodPaths(parts, ring.ring.woods, outline).map(([key, d]) => (
        <path key={key} data-wood={key} d={d} fill={woodFill(palette.get(key), 'bench')} />
      ))}
      <path
        d={parts.map((part) => `M${x(part.from)} ${from}v${height}`).join('')}
        stroke="#1d2527"
        strokeOpacity={0.35}
        strokeWidth={0.7}
      />
      <rect
        x={0}
        y={top}
        width={width}
        height={bottom - top}
        fill="none"
        stroke="#1d2527"
        strokeOpacity={0.3}
        strokeWidth={0.7}
      />
      <Hovered {...{ parts, index, top, bottom, width }} />
    </g>
  );
});

interface HoveredProps {
  readonly parts: readonly UnrolledPart[];
  readonly index: number;
  readonly top: number;
  readonly bottom: number;
  readonly width: number;
}

/** The segment that is pointed at, wherever. */
function Hovered({ parts, index, top, bottom, width }: HoveredProps) {
  const place = useApp(({ session: { hover } }) => (hover?.ring === index ? hover.place : null));
  if (place === null) return null;
  return parts
    .filter((part) => part.place === place)
    .map(({ from, to }) => (
      <rect
        key={from}
        x={from * width + 1}
        y={top + 1}
        width={Math.max(0, (to - from) * width - 2)}
        height={Math.max(0, bottom - top - 2)}
        className="hovered"
      />
    ));
}
