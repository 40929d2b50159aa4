import {
  type OutsidePatch,
  outsideLine,
  outsidePatches,
  type Prepared,
  type PreparedRing,
  placeToward,
  radiusAt,
  type Species,
  type Vessel,
} from '@fellside/core';
import { memo, type PointerEvent, useMemo } from 'react';
import { useApp } from '../store/store.js';
import { Shade } from '../ui/Shade.js';
import { woodFill } from '../ui/WoodPatterns.js';
import type { Keys } from './keys.js';
import { frontPath, linePath, type Place } from './path.js';
import { woodPaths } from './woodPaths.js';

/** Right of the axis: the turned piece as it looks from the front, every segment in its wood. */
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
  readonly palette: ReadonlyMap<string, Species>;
  readonly at: Place;
  readonly view: number;
  readonly onEnter: (ring: number, place: number) => void;
  readonly onPick: (ring: number, keys: Keys) => void;
}
interface OutsideProps extends Pointing {
  readonly prepared: Prepared;
}

/** One ring: a path for each wood and one for the joints. */
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
  const shown = useMemo(() => {
    if (!made.ok) return null;
    const line = outsideLine(vessel, course.bottomMm, top);
    const ring = { made: made.value, turn, bottomMm: course.bottomMm };
    return { line, patches: outsidePatches(ring, vessel.outside, line, view) };
  }, [made, turn, course, vessel, top, view]);
  if (!shown || !made.ok) return null;
  const { line, patches } = shown;
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
  return (
    <g
      data-outside={index + 1}
      onPointerMove={(event) => {
        const place = under(event);
        if (place !== null) onEnter(index, place);
      }}
      onClick={(event) => onPick(index, event)}
    >
      {woodPaths(patches, ring.ring.woods, ({ outline }) => frontPath(outline, at, 'Z')).map(([key, d]) => (
        <path key={key} d={d} fill={woodFill(palette.get(key), 'bench')} />
      ))}
      <path
        d={patches.map(({ joint }) => frontPath(joint, at)).join('')}
        fill="none"
        stroke="#1d2527"
        strokeOpacity="0.35"
        strokeWidth="0.7"
      />
      <path
        d={`M${at.x(0)} ${at.y(course.bottomMm)}H${at.x(line[0]!.r)}`}
        stroke="#1d2527"
        strokeOpacity="0.35"
        strokeWidth="0.7"
      />
      <Hovered {...{ patches, at, index }} />
    </g>
  );
});

interface HoveredProps {
  readonly patches: readonly OutsidePatch[];
  readonly at: Place;
  readonly index: number;
}

function Hovered({ patches, at, index }: HoveredProps) {
  const place = useApp(({ session: { hover } }) => (hover?.ring === index ? hover.place : null));
  if (place === null) return null;
  return patches
    .filter((patch) => patch.place === place)
    .map(({ outline }) => {
      const d = frontPath(outline, at, 'Z');
      return <path key={d} d={d} className="hovered" />;
    });
}
