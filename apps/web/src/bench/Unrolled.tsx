import {
  type PreparedRing,
  placeToward,
  radiusAt,
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
  const reach = Math.min(course.topMm, vessel.heightMm);
  const parts = useMemo(() => {
    if (!made.ok || course.bottomMm >= reach) return [];
    const ring = { made: made.value, turn, bottomMm: course.bottomMm };
    return unrolledParts(ring, vessel.outside, course.bottomMm, reach);
  }, [made, turn, course, vessel, reach]);
  const figure = (px: number) => Math.round(px * 50) / 50;
  const x = (share: number) => figure(Math.min(1, Math.max(0, share)) * width);
  const [from, height] = [figure(top), figure(bottom - top)];
  /** A part that is cut off above the lip is drawn to the top of its ring all the same. */
  const y = (z: number) =>
    figure(bottom - ((z - course.bottomMm) / Math.max(1e-9, reach - course.bottomMm)) * (bottom - top));
  const joint = ({ low, high }: UnrolledPart) => `M${x(low.from)} ${y(low.z)}L${x(high.from)} ${y(high.z)}`;
  const outline = (part: UnrolledPart) =>
    `${joint(part)}L${x(part.high.to)} ${y(part.high.z)}L${x(part.low.to)} ${y(part.low.z)}z`;
  const under = (event: PointerEvent<SVGGElement>): number | null => {
    if (!made.ok) return null;
    const box = event.currentTarget.ownerSVGElement!.getBoundingClientRect();
    const share = Math.min(0.9999, Math.max(0.0001, (event.clientX - box.left) / Math.max(1, width)));
    const up = (bottom - (event.clientY - box.top)) / Math.max(1, bottom - top);
    const z = course.bottomMm + Math.min(0.999, Math.max(0.001, up)) * (reach - course.bottomMm);
    const direction = share * 2 * Math.PI;
    return placeToward(made.value, turn, radiusAt(vessel.outside, z), direction, z - course.bottomMm);
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
      <path d={parts.map(joint).join('')} stroke="#1d2527" strokeOpacity={0.35} strokeWidth={0.7} />
      <rect
        x={0}
        y={from}
        width={width}
        height={height}
        fill="none"
        stroke="#1d2527"
        strokeOpacity={0.3}
        strokeWidth={0.7}
      />
      <Hovered {...{ parts, index, outline }} />
    </g>
  );
});

interface HoveredProps {
  readonly parts: readonly UnrolledPart[];
  readonly index: number;
  readonly outline: (part: UnrolledPart) => string;
}

/** The segment that is pointed at, wherever. */
function Hovered({ parts, index, outline }: HoveredProps) {
  const place = useApp(({ session: { hover } }) => (hover?.ring === index ? hover.place : null));
  if (place === null) return null;
  return parts
    .filter((part) => part.place === place)
    .map((part) => {
      const d = outline(part);
      return <path key={d} d={d} className="hovered" />;
    });
}
