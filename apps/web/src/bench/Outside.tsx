import {
  outsideLine,
  outsidePatches,
  type Prepared,
  type PreparedRing,
  placeToward,
  radiusAt,
  type SectionPoint,
  type Vessel,
} from '@fellside/core';
import { memo, type PointerEvent, useMemo } from 'react';
import { useApp } from '../store/store.js';
import { Shade } from '../ui/Shade.js';
import type { Keys } from './keys.js';
import { frontPath, linePath, type Place } from './path.js';

/** Right of the axis: what the turned piece is pointed at and shaded with; its woods are on the canvas behind. */
export function Outside({ prepared, at, ...pointing }: OutsideProps) {
  const { vessel, rings } = prepared;
  const top = Math.min(vessel.heightMm, rings.at(-1)!.course.topMm);
  const outline = useMemo(() => outsideLine(vessel, 0, top), [vessel, top]);
  return (
    <g>
      {rings.map((ring, index) => (
        <RingOutside key={ring.ring.id} {...{ ring, index, vessel, at }} {...pointing} />
      ))}
      <Shade line={outline} at={at} />
      <path d={linePath(outline, at)} fill="none" stroke="var(--color-ink)" strokeOpacity="0.6" />
    </g>
  );
}

interface Pointing {
  readonly at: Place;
  readonly view: number;
  readonly onEnter: (ring: number, place: number) => void;
  readonly onPick: (ring: number, place: number | null, keys: Keys) => void;
}
interface OutsideProps extends Pointing {
  readonly prepared: Prepared;
}

/** One ring's strip of the outside: it takes the pointer, and shows the segment that is pointed at. */
const RingOutside = memo(function RingOutside({
  ring,
  index,
  vessel,
  at,
  view,
  onEnter,
  onPick,
}: Pointing & { ring: PreparedRing; index: number; vessel: Vessel }) {
  const { made, turn, course } = ring;
  const top = Math.min(course.topMm, vessel.heightMm);
  const line = useMemo(
    () => (course.bottomMm < top ? outsideLine(vessel, course.bottomMm, top) : []),
    [vessel, course, top],
  );
  if (!made.ok || line.length === 0) return null;
  const under = (event: PointerEvent<SVGGElement>): number | null => {
    const box = event.currentTarget.ownerSVGElement!.getBoundingClientRect();
    const up = Math.min(1, Math.max(0, (at.y(0) - (event.clientY - box.top)) / (at.y(0) - at.y(1)) / top));
    const z = up * top;
    const radius = radiusAt(vessel.outside, z);
    const across = at.x(radius) - at.x(0);
    const sine = (event.clientX - box.left - at.x(0)) / Math.max(1, across);
    if (sine < 0 || sine > 1) return null;
    return placeToward(made.value, turn, radius, view + Math.asin(sine), z - course.bottomMm);
  };
  const area = `${linePath(line, at)}L${at.x(0)} ${at.y(line.at(-1)!.z)}L${at.x(0)} ${at.y(line[0]!.z)}z`;
  return (
    <g
      data-outside={index + 1}
      onPointerMove={(event) => {
        const place = under(event);
        if (place !== null) onEnter(index, place);
      }}
      onClick={(event) => onPick(index, under(event as unknown as PointerEvent<SVGGElement>), event)}
    >
      <path d={area} fill="transparent" />
      <Hovered {...{ ring, index, vessel, line, view, at }} />
    </g>
  );
});

interface HoveredProps extends Pick<Pointing, 'at' | 'view'> {
  readonly ring: PreparedRing;
  readonly index: number;
  readonly vessel: Vessel;
  readonly line: readonly SectionPoint[];
}

function Hovered({ ring: { made, turn, course }, index, vessel, line, view, at }: HoveredProps) {
  const place = useApp(({ session: { hover } }) => (hover?.ring === index ? hover.place : null));
  if (place === null || !made.ok) return null;
  const standing = { made: made.value, turn, bottomMm: course.bottomMm };
  return outsidePatches(standing, vessel.outside, line, view)
    .filter((patch) => patch.place === place)
    .map(({ outline }) => {
      const d = frontPath(outline, at, 'Z');
      return <path key={d} d={d} className="hovered" />;
    });
}
