import { drawnOf, type Prepared, placeOnWall, type UnrolledPart, unrolledParts } from '@fellside/core';
import { memo, type PointerEvent, useMemo } from 'react';
import type { Keys } from '../store/selection.js';
import { useApp } from '../store/store.js';
import { figure } from '../ui/path.js';
import type { WallSide } from './wallSide.js';

interface UnrolledProps {
  readonly prepared: Prepared;
  readonly side: WallSide;
  readonly width: number;
  readonly y: (height: number) => number;
  readonly onEnter: (ring: number, place: number) => void;
  readonly onPress?: ((ring: number, place: number) => void) | undefined;
  readonly onHold?: ((ring: number, place: number) => void) | undefined;
  readonly onPick: (ring: number, place: number, keys: Keys) => void;
}

/**
 * The wall laid flat, 0° at the index mark; every ring as wide as the pane. It takes the pointer, row by row, and shows
 * the segment that is pointed at; its woods are on the canvas behind.
 */
export function Unrolled({ prepared, side, width, y, onEnter, onPress, onHold, onPick }: UnrolledProps) {
  const { rings, vessel } = prepared;
  /** Up to the ring above: where a slanted band crosses the axis there is a gap between two rings. */
  const topOf = (index: number) => rings[index + 1]?.stands.bottomMm ?? rings[index]!.stands.topMm;
  const met = (index: number, of: unknown, tell: (ring: number, place: number) => void) => {
    const event = of as PointerEvent<SVGGElement>;
    const box = event.currentTarget.ownerSVGElement!.getBoundingClientRect();
    const share = Math.min(0.9999, Math.max(0.0001, (event.clientX - box.left) / Math.max(1, width)));
    const z = (y(0) - (event.clientY - box.top)) / (y(0) - y(1));
    // A press on the very edge of a row is meant for this row.
    const low = rings[index]!.stands.bottomMm + 1e-3;
    const inside = Math.min(vessel.heightMm - 1e-3, topOf(index) - 1e-3, Math.max(low, z));
    const place = placeOnWall(prepared, side.side, share * 2 * Math.PI, inside);
    if (place) tell(place.ring, place.place);
  };
  return (
    <g aria-hidden>
      {rings.map(({ ring, stands }, index) => (
        <g
          key={ring.id}
          data-ring={index + 1}
          data-woods={countsOf(ring.woods)}
          onPointerDown={(event) => {
            if (event.button !== 0) return;
            letGo(event);
            met(index, event, (at, place) => onPress?.(at, place));
          }}
          onPointerMove={(event) => met(index, event, onEnter)}
          onContextMenu={(event) => {
            if (!onHold) return;
            event.preventDefault();
            met(index, event, onHold);
          }}
          onClick={(event) => met(index, event, (at, place) => onPick(at, place, event))}
        >
          <rect
            x={0}
            y={figure(y(topOf(index)))}
            width={width}
            height={figure(y(stands.bottomMm) - y(topOf(index)))}
            fill="transparent"
            stroke="#1d2527"
            strokeOpacity={prepared.cuts.length > 0 ? 0 : 0.3}
            strokeWidth={0.7}
          />
        </g>
      ))}
      <Hovered {...{ prepared, side, width, y }} />
    </g>
  );
}

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

/** The segment, or the band, that is pointed at, wherever. */
const Hovered = memo(function Hovered({
  prepared,
  side,
  width,
  y,
}: Pick<UnrolledProps, 'prepared' | 'side' | 'width' | 'y'>) {
  const hover = useApp((state) => state.session.hover);
  const drawn = useMemo(() => drawnOf(prepared), [prepared]);
  const here = drawn.find(({ index }) => index === hover?.ring);
  if (!here || hover?.place == null) return null;
  const x = (share: number) => figure(Math.min(1, Math.max(0, share)) * width);
  const up = (z: number) => figure(y(z));
  const outline = ({ low, high }: UnrolledPart) =>
    `M${x(low.from)} ${up(low.z)}L${x(high.from)} ${up(high.z)}L${x(high.to)} ${up(high.z)}L${x(low.to)} ${up(low.z)}z`;
  return unrolledParts(here, side.curve, here.fromMm, here.toMm)
    .filter((part) => part.place === hover.place)
    .map((part) => {
      const d = outline(part);
      return <path key={d} d={d} className={here.cuts ? 'hovered-part' : 'hovered'} />;
    });
});
