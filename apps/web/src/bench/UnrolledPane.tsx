import { groupsOf, type Prepared, placeName, type Species } from '@fellside/core';
import { paletteOf } from '../store/selectors.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { clickRing } from './keys.js';
import { HEAD } from './layout.js';
import { SelectedBands } from './SelectedBands.js';
import { Unrolled } from './Unrolled.js';
import type { Upright } from './upright.js';
import { useBox } from './useScale.js';
import { useWalk } from './useWalk.js';

interface UnrolledPaneProps {
  readonly prepared: Prepared;
  readonly upright: Upright;
  readonly onPlace?: ((ring: number, place: number) => void) | undefined;
}

/** Left and right of the drawing together (px). */
const PADDING = 14;

/** The unrolled wall as wide as its pane, with degrees from the index mark above. */
export function UnrolledPane({ prepared, upright: { y, height }, onPlace }: UnrolledPaneProps) {
  const dispatch = useActions();
  const { ref, width } = useBox<HTMLDivElement>();
  const palette = useApp(paletteOf);
  const hover = useApp((state) => state.session.hover);
  const walk = useWalk(prepared.rings, onPlace);
  return (
    <section
      aria-label="Wall, unrolled"
      className="flex min-h-fit min-w-64 flex-[4] flex-col rounded border border-line bg-pane"
    >
      <div className="sticky top-0 z-10 shrink-0 rounded-t bg-pane px-2 pt-1.5" style={{ height: HEAD }}>
        <h2 className="truncate font-semibold">
          Wall, unrolled{' '}
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
        className="wood-ground shrink-0 grow overflow-hidden rounded-b px-2 focus-visible:outline-offset-[-2px]"
      >
        <svg
          width={width - PADDING}
          height={height}
          role="img"
          aria-label="The outside laid flat, every segment in its wood"
          className="block"
        >
          <SelectedBands rings={prepared.rings} y={y} />
          <Unrolled
            rings={prepared.rings}
            vessel={prepared.vessel}
            palette={palette}
            width={width - PADDING}
            y={y}
            onEnter={(ring, place) => dispatch(session.hovered({ ring, place }))}
            onPick={(ring, place, keys) => {
              onPlace?.(ring, place);
              dispatch(clickRing(ring, keys));
            }}
          />
        </svg>
      </div>
    </section>
  );
}

/** The place under the pointer in words. */
function nameOf(
  { ring, place }: { ring: number; place: number | null },
  { rings }: Prepared,
  palette: ReadonlyMap<string, Species>,
): string {
  const here = rings[ring]?.ring;
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
