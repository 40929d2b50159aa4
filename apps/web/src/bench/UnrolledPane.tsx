import type { Prepared } from '@fellside/core';
import { type ReactNode, useLayoutEffect, useRef, useState } from 'react';
import { paletteOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';
import { HEAD } from './layout.js';
import { Unrolled } from './Unrolled.js';

interface UnrolledPaneProps {
  readonly prepared: Prepared;
  readonly y: (height: number) => number;
  readonly svgHeight: number;
  readonly bands: ReactNode;
  readonly enter: (ring: number, place: number) => void;
  readonly click: (ring: number, event: { shiftKey: boolean; ctrlKey: boolean; metaKey: boolean }) => void;
  readonly onPlace?: ((ring: number, place: number) => void) | undefined;
}

/** The unrolled wall as wide as its pane, with degrees from the index mark above. */
export function UnrolledPane({ prepared, y, svgHeight, bands, enter, click, onPlace }: UnrolledPaneProps) {
  const box = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(320);
  const palette = useApp(paletteOf);
  const hover = useApp((state) => state.session.hover);
  useLayoutEffect(() => {
    const element = box.current;
    if (!element) return;
    const observer = new ResizeObserver(() => setWidth(element.clientWidth));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return (
    <section
      aria-label="Wall, unrolled"
      className="flex min-w-64 flex-[4] flex-col self-stretch rounded border border-line bg-pane"
      style={{ minHeight: 'fit-content' }}
    >
      <div className="shrink-0 px-2 pt-1.5" style={{ height: HEAD }}>
        <h2 className="font-semibold">
          Wall, unrolled <span className="font-normal text-quiet">0° at the index mark</span>
        </h2>
        <div aria-hidden className="flex justify-between text-xs text-quiet">
          {[0, 90, 180, 270, 360].map((degree) => (
            <span key={degree}>{degree}°</span>
          ))}
        </div>
      </div>
      <div ref={box} className="mx-2">
        <svg
          width={width}
          height={svgHeight}
          role="img"
          aria-label="The outside laid flat, every segment in its wood"
          className="block"
        >
          {bands}
          <Unrolled
            rings={prepared.rings}
            vessel={prepared.vessel}
            palette={palette}
            width={width}
            y={y}
            hover={hover}
            onEnter={enter}
            onPick={(ring, place, event) => {
              if (onPlace) onPlace(ring, place);
              click(ring, event);
            }}
          />
        </svg>
      </div>
    </section>
  );
}
