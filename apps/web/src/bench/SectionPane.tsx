import type { Plan, Prepared } from '@fellside/core';
import type { RefObject } from 'react';
import { paletteOf } from '../store/selectors.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { WoodPatterns } from '../ui/WoodPatterns.js';
import { CutThrough } from './CutThrough.js';
import { clickRing } from './keys.js';
import { HEAD, MARGIN } from './layout.js';
import { Outside } from './Outside.js';
import { RingNumbers } from './RingNumbers.js';
import { SelectedBands } from './SelectedBands.js';
import { TurnByDragging } from './TurnByDragging.js';

/** The vertical scale that the panes share. */
export interface Upright {
  readonly scale: number;
  readonly y: (heightMm: number) => number;
  readonly height: number;
}

interface SectionPaneProps {
  readonly prepared: Prepared;
  readonly plan: Plan;
  readonly upright: Upright;
  readonly reachMm: number;
  readonly box: { readonly ref: RefObject<HTMLDivElement | null>; readonly width: number };
}

/** A piece so much wider than tall gets more of the bench's width. */
const WIDE_PIECE = 1.3;

/** Half-section left of the axis, outside right of it. */
export function SectionPane({
  prepared,
  plan,
  upright: { scale, y, height },
  reachMm,
  box,
}: SectionPaneProps) {
  const dispatch = useActions();
  const palette = useApp(paletteOf);
  const hatched = useApp((state) => state.session.hatched);
  const view = useApp((state) => state.session.view);
  const { rings } = prepared;
  const half = Math.max(reachMm * scale + MARGIN, box.width / 2);
  const size = `${rings.length} rings, ${plan.pieces} pieces`;
  return (
    <section
      style={{ flex: WIDE_PIECE < (2 * reachMm * scale) / height ? 7 : 5 }}
      aria-label="Cut through and outside"
      className="flex min-h-fit min-w-80 flex-col rounded border border-line bg-pane"
    >
      <div className="grid shrink-0 grid-cols-2 px-2 pt-1.5" style={{ height: HEAD }}>
        <PaneTitle title="Cut through" says="blank pale, turned wall in full colour" />
        <PaneTitle title="Outside" says="drag sideways to turn the piece" />
      </div>
      <div ref={box.ref} className="overflow-x-auto overflow-y-hidden">
        <svg
          width={2 * half}
          height={height}
          role="img"
          aria-label={`Half-section and outside of the piece: ${size}.`}
          className="block"
        >
          <WoodPatterns woods={palette.values()} hatched={hatched} prefix="bench" />
          <SelectedBands rings={rings} y={y} />
          <CutThrough
            prepared={prepared}
            palette={palette}
            view={view}
            at={{ x: (r) => half - r * scale, y }}
          />
          <TurnByDragging radius={reachMm * scale}>
            <Outside
              prepared={prepared}
              palette={palette}
              view={view}
              at={{ x: (r) => half + r * scale, y }}
              onEnter={(ring, place) => dispatch(session.hovered({ ring, place }))}
              onPick={(ring, keys) => dispatch(clickRing(ring, keys))}
            />
          </TurnByDragging>
          <line x1={half} x2={half} y1={0} y2={height} stroke="var(--color-ink)" strokeDasharray="9 3 2 3" />
          <RingNumbers rings={rings} y={y} />
        </svg>
      </div>
    </section>
  );
}

export function PaneTitle({ title, says }: { title: string; says: string }) {
  return (
    <div>
      <h2 className="font-semibold">{title}</h2>
      <p className="text-xs text-quiet">{says}</p>
    </div>
  );
}
