import { bandWoods, drawnOwner, groupsOf, type Prepared, placeName, type Species } from '@fellside/core';
import { type ReactNode, useCallback, useMemo } from 'react';
import { clickOwner } from '../store/selection.js';
import { paletteOf } from '../store/selectors.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { type Canvas, drawUnrolled, standingAt } from '../surfaces/draw.js';
import { SurfaceCanvas } from '../surfaces/SurfaceCanvas.js';
import { useInks } from '../surfaces/useInks.js';
import { useSampledWall } from '../surfaces/useSampledWall.js';
import { HELD } from '../ui/held.js';
import { HEAD } from './layout.js';
import { SelectedOutlines } from './SelectedBands.js';
import { Unrolled } from './Unrolled.js';
import type { Upright } from './upright.js';
import { useBox } from './useScale.js';
import { useWalk } from './useWalk.js';
import { wallSide } from './wallSide.js';

interface UnrolledPaneProps {
  readonly prepared: Prepared;
  readonly upright: Upright;
  readonly onPlace?: ((ring: number, place: number) => void) | undefined;
  readonly brush?: Brush | undefined;
}

/** What pressing on a segment, moving on to others while pressed, and the second button do; and what is drawn over the wall. */
export interface Brush {
  press(ring: number, place: number): void;
  enter(ring: number, place: number): void;
  /** What the second button, or a finger held still, does there. */
  pick(ring: number, place: number): void;
  overlay?(width: number, y: (height: number) => number): ReactNode;
}

/** Left and right of the drawing together (px). */
const PADDING = 14;

/** The unrolled wall as wide as its pane, with degrees from the index mark above. */
export function UnrolledPane({ prepared, upright: { y, height, scale }, onPlace, brush }: UnrolledPaneProps) {
  const dispatch = useActions();
  const { ref, width } = useBox<HTMLDivElement>();
  const palette = useApp(paletteOf);
  const hover = useApp((state) => state.session.hover);
  const walk = useWalk(prepared.rings, onPlace);
  const hatched = useApp((state) => state.session.hatched);
  const side = useApp((state) => state.session.side);
  const shownSide = useMemo(() => wallSide(prepared.vessel, side), [prepared.vessel, side]);
  const { wall, current } = useSampledWall('unrolled', side, height);
  const inks = useInks(prepared, palette, current);
  const draw = useCallback(
    (canvas: Canvas, sharp: number) => {
      if (!wall) return;
      drawUnrolled(canvas, wall, inks, standingAt(y(0) * sharp, scale * sharp), hatched);
    },
    [wall, inks, hatched, scale, y],
  );
  return (
    <section
      aria-label="Wall, unrolled"
      className="flex min-h-fit min-w-64 flex-[4] max-wide:min-w-52 flex-col rounded border border-line bg-pane"
    >
      <div className="sticky top-0 z-10 shrink-0 rounded-t bg-pane px-2 pt-1.5" style={{ height: HEAD }}>
        <h2 className="truncate font-semibold">
          {side === 'outside' ? 'Wall, unrolled' : 'Inside of the wall, unrolled'}{' '}
          <span aria-live="polite" className="text-xs font-normal text-quiet">
            {hover ? nameOf(hover, prepared, palette) : '0° at the index mark'}
          </span>
        </h2>
        <div aria-hidden className="flex justify-between text-xs text-quiet">
          {[0, 90, 180, 270, 360].map((degree) => (
            <span key={degree}>{degree}°</span>
          ))}
        </div>
      </div>
      <div
        ref={ref}
        role="application"
        aria-label="Segments: arrow keys walk, Enter paints with the picked wood"
        tabIndex={0}
        onKeyDown={walk}
        className="wood-ground relative shrink-0 grow overflow-hidden rounded-b px-2 focus-visible:outline-offset-[-2px]"
      >
        <div className="relative" style={{ width: width - PADDING, height }}>
          <SurfaceCanvas width={width - PADDING} height={height} draw={draw} />
          <svg
            width={width - PADDING}
            height={height}
            role="img"
            aria-label="The outside laid flat, every segment in its wood"
            {...HELD}
            className={`relative block ${brush ? 'touch-none' : ''}`}
          >
            <Unrolled
              prepared={prepared}
              side={shownSide}
              width={width - PADDING}
              y={y}
              onPress={brush?.press}
              onHold={brush?.pick}
              onEnter={(ring, place) => {
                brush?.enter(ring, place);
                dispatch(session.hovered({ ring, place }));
              }}
              onPick={(ring, place, keys) => {
                if (!brush) onPlace?.(ring, place);
                const owner = drawnOwner(prepared, ring);
                if (owner) dispatch(clickOwner(owner, keys));
              }}
            />
            <SelectedOutlines rings={prepared.rings} y={y} />
            {brush?.overlay?.(width - PADDING, y)}
          </svg>
        </div>
      </div>
    </section>
  );
}

/** The place under the pointer in words. */
function nameOf(
  { ring, place }: { ring: number; place: number | null },
  { rings, bands }: Prepared,
  palette: ReadonlyMap<string, Species>,
): string {
  const here = rings[ring]?.ring;
  const band = bands[ring - rings.length];
  if (band)
    return `slanted band ${ring - rings.length + 1}: ${palette.get(bandWoods(band.slant)[place ?? 0] ?? '')?.name ?? ''}`;
  if (!here) return '';
  const { woods, making } = here;
  const groups = groupsOf(making);
  if (place === null && woods.length > 1)
    return `ring ${ring + 1}, ${groups.map(({ name, count }) => counted(count, name.toLowerCase())).join(', ')}`;
  const wood = palette.get(woods[place ?? 0] ?? '')?.name ?? '';
  return woods.length === 1
    ? `ring ${ring + 1}: ${wood}`
    : `ring ${ring + 1}, ${placeName(groups, place ?? 0)}: ${wood}`;
}

const counted = (count: number, name: string): string => `${count} ${name}${count === 1 ? '' : 's'}`;
