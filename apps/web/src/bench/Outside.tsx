import {
  drawnOf,
  type MetPlace,
  outsideLine,
  outsidePatches,
  type Prepared,
  placeOnWall,
  radiusAt,
} from '@fellside/core';
import { memo, type PointerEvent, useMemo } from 'react';
import type { Keys } from '../store/selection.js';
import { useApp } from '../store/store.js';
import { frontPath, linePath, type Place } from '../ui/path.js';
import { Shade } from '../ui/Shade.js';

interface OutsideProps {
  readonly prepared: Prepared;
  readonly at: Place;
  readonly view: number;
  readonly onEnter: (ring: number, place: number) => void;
  readonly onPick: (ring: number, place: number | null, keys: Keys) => void;
}

/** Right of the axis: what the turned piece is pointed at and shaded with; its woods are on the canvas behind. */
export function Outside({ prepared, at, view, onEnter, onPick }: OutsideProps) {
  const { vessel, rings } = prepared;
  const top = Math.min(vessel.heightMm, rings.at(-1)!.stands.topMm);
  const outline = useMemo(() => outsideLine(vessel, 0, top), [vessel, top]);
  /** What is under the pointer; where there is air, the ring that stands there. */
  const under = (event: PointerEvent<SVGGElement>, index: number): Partial<MetPlace> & { ring: number } => {
    const box = event.currentTarget.ownerSVGElement!.getBoundingClientRect();
    const up = Math.min(1, Math.max(0, (at.y(0) - (event.clientY - box.top)) / (at.y(0) - at.y(1)) / top));
    const z = up * top;
    const across = at.x(radiusAt(vessel.outside, z)) - at.x(0);
    const sine = (event.clientX - box.left - at.x(0)) / Math.max(1, across);
    const met = sine < 0 || sine > 1 ? null : placeOnWall(prepared, 'outside', view + Math.asin(sine), z);
    return met ?? { ring: index };
  };
  return (
    <g aria-hidden>
      {rings.map(({ ring, stands }, index) => {
        // Up to the ring above: where a slanted band crosses the axis there is a gap between two rings.
        const end = rings[index + 1]?.stands.bottomMm ?? stands.topMm;
        const line = outsideLine(vessel, Math.min(top, stands.bottomMm), Math.min(top, end));
        if (stands.bottomMm >= top) return null;
        return (
          <g
            key={ring.id}
            data-outside={index + 1}
            onPointerMove={(event) => {
              const { ring, place } = under(event, index);
              if (place !== undefined) onEnter(ring, place);
            }}
            onClick={(event) => {
              const { ring, place } = under(event as unknown as PointerEvent<SVGGElement>, index);
              onPick(ring, place ?? null, event);
            }}
          >
            <path
              d={`${linePath(line, at)}L${at.x(0)} ${at.y(line.at(-1)!.z)}L${at.x(0)} ${at.y(line[0]!.z)}z`}
              fill="transparent"
            />
          </g>
        );
      })}
      <Hovered {...{ prepared, at, view }} />
      <Shade line={outline} at={at} />
      <path d={linePath(outline, at)} fill="none" stroke="var(--color-ink)" strokeOpacity="0.6" />
    </g>
  );
}

/** The segment, or the band, that is pointed at, wherever. */
const Hovered = memo(function Hovered({
  prepared,
  at,
  view,
}: Pick<OutsideProps, 'prepared' | 'at' | 'view'>) {
  const hover = useApp((state) => state.session.hover);
  const drawn = useMemo(() => drawnOf(prepared), [prepared]);
  const here = drawn.find(({ index }) => index === hover?.ring);
  if (!here || hover?.place == null) return null;
  const { vessel } = prepared;
  const line = outsideLine(vessel, here.fromMm, here.toMm);
  return outsidePatches(here, vessel.outside, line, view)
    .filter((patch) => patch.place === hover.place)
    .map(({ outline }) => {
      const d = frontPath(outline, at, 'Z');
      return <path key={d} d={d} className={here.cuts ? 'hovered-part' : 'hovered'} />;
    });
});
