import {
  type PreparedRing,
  placeToward,
  type UnrolledPart,
  unrolledParts,
  type Vessel,
} from '@fellside/core';
import { memo, type PointerEvent } from 'react';
import { useApp } from '../store/store.js';
import type { Keys } from './keys.js';
import type { WallSide } from './wallSide.js';

interface Common {
  readonly side: WallSide;
  readonly width: number;
  readonly onEnter: (ring: number, place: number) => void;
  readonly onPress?: ((ring: number, place: number) => void) | undefined;
  readonly onPick: (ring: number, place: number, keys: Keys) => void;
}
interface UnrolledProps extends Common {
  readonly rings: readonly PreparedRing[];
  readonly vessel: Vessel;
  readonly y: (height: number) => number;
}

/** The wall laid flat, 0° at the index mark; every ring as wide as the pane. Its woods are on the canvas behind. */
export function Unrolled({ rings, vessel, y, ...common }: UnrolledProps) {
  return (
    <g>
      {rings.map((ring, index) => (
        <Row
          key={ring.ring.id}
          {...{ ring, index }}
          {...common}
          reach={Math.min(ring.course.topMm, vessel.heightMm)}
          top={y(ring.course.topMm)}
          bottom={y(ring.course.bottomMm)}
        />
      ))}
    </g>
  );
}

interface RowProps extends Common {
  readonly ring: PreparedRing;
  readonly index: number;
  /** Height up to which the ring is turned, mm. */
  readonly reach: number;
  readonly top: number;
  readonly bottom: number;
}

const tallOf = ({ course }: PreparedRing) => Math.max(1e-9, course.topMm - course.bottomMm);

const figure = (px: number) => Math.round(px * 50) / 50;

/** One ring: it takes the pointer, and shows the segment that is pointed at. */
const Row = memo(function Row(props: RowProps) {
  const { ring, index, side, width, top, bottom, reach, onEnter, onPress, onPick } = props;
  const { made, turn, course } = ring;
  const under = (event: PointerEvent<SVGGElement>): number | null => {
    if (!made.ok) return null;
    const box = event.currentTarget.ownerSVGElement!.getBoundingClientRect();
    const share = Math.min(0.9999, Math.max(0.0001, (event.clientX - box.left) / Math.max(1, width)));
    const up = (bottom - (event.clientY - box.top)) / Math.max(1, bottom - top);
    const z = Math.min(reach - 1e-3, course.bottomMm + Math.min(0.999, Math.max(0.001, up)) * tallOf(ring));
    return placeToward(made.value, turn, side.radiusAt(z), share * 2 * Math.PI, z - course.bottomMm);
  };
  const met = (event: unknown, tell: (place: number) => void) => {
    const place = under(event as PointerEvent<SVGGElement>);
    if (place !== null) tell(place);
  };
  return (
    <g
      data-ring={index + 1}
      data-woods={countsOf(ring.ring.woods)}
      onPointerDown={(event) => {
        if (event.button !== 0) return;
        letGo(event);
        met(event, (place) => onPress?.(index, place));
      }}
      onPointerMove={(event) => met(event, (place) => onEnter(index, place))}
      onClick={(event) => met(event, (place) => onPick(index, place, event))}
    >
      <rect
        x={0}
        y={figure(top)}
        width={width}
        height={figure(bottom - top)}
        fill="transparent"
        stroke="#1d2527"
        strokeOpacity={0.3}
        strokeWidth={0.7}
      />
      <Hovered {...props} />
    </g>
  );
});

/** A finger holds on to what it pressed first; let go, it paints on whatever it comes over. */
function letGo({ target, pointerId }: PointerEvent<SVGGElement>): void {
  const pressed = target as Element;
  if (pressed.hasPointerCapture?.(pointerId)) pressed.releasePointerCapture(pointerId);
}

/** Woods of a ring by palette key and how many places each has: `light 12, dark 12`. */
function countsOf(woods: readonly string[]): string {
  const counts = new Map<string, number>();
  for (const key of woods) counts.set(key, (counts.get(key) ?? 0) + 1);
  return [...counts].map(([key, count]) => `${key} ${count}`).join(', ');
}

/** The segment that is pointed at, wherever. */
function Hovered({ ring, index, side, width, top, bottom, reach }: RowProps) {
  const place = useApp(({ session: { hover } }) => (hover?.ring === index ? hover.place : null));
  const { made, turn, course } = ring;
  if (place === null || !made.ok || course.bottomMm >= reach) return null;
  const standing = { made: made.value, turn, bottomMm: course.bottomMm };
  const x = (share: number) => figure(Math.min(1, Math.max(0, share)) * width);
  const y = (z: number) => figure(bottom - ((z - course.bottomMm) / tallOf(ring)) * (bottom - top));
  const outline = ({ low, high }: UnrolledPart) =>
    `M${x(low.from)} ${y(low.z)}L${x(high.from)} ${y(high.z)}L${x(high.to)} ${y(high.z)}L${x(low.to)} ${y(low.z)}z`;
  return unrolledParts(standing, side.curve, course.bottomMm, reach)
    .filter((part) => part.place === place)
    .map((part) => {
      const d = outline(part);
      return <path key={d} d={d} className="hovered" />;
    });
}
