import { drawnOwner, type Plan, type Prepared } from '@fellside/core';
import { type MouseEvent, type ReactNode, useMemo } from 'react';
import { type SectionRef, useDrawnSection } from '../pictures/drawnSection.js';
import { projectOf } from '../store/house.js';
import { clickOwner, clickRing, type Keys } from '../store/selection.js';
import { paletteOf } from '../store/selectors.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { HELD } from '../ui/held.js';
import { WoodPatterns } from '../ui/WoodPatterns.js';
import { CurveHandles } from './CurveHandles.js';
import { CutThrough } from './CutThrough.js';
import { LatheFrame } from './LatheFrame.js';
import { LevelHandles } from './LevelHandles.js';
import { HEAD, LABELS, MARGIN } from './layout.js';
import { Outside } from './Outside.js';
import { OutsideCanvas } from './OutsideCanvas.js';
import { PaneTitle } from './PaneTitle.js';
import { Readouts } from './Readouts.js';
import { RingEdges } from './RingEdges.js';
import { RingNumbers } from './RingNumbers.js';
import { HoveredBand, SelectedBands } from './SelectedBands.js';
import { TurnByDragging } from './TurnByDragging.js';
import { UnderlayPicture } from './UnderlayPicture.js';
import type { Grab, Upright } from './upright.js';
import { WallHandles } from './WallHandles.js';

interface SectionPaneProps {
  readonly prepared: Prepared;
  readonly plan: Plan;
  readonly upright: Upright;
  readonly reachMm: number;
  readonly grab: Grab;
  /** What a click on a segment of the outside does besides selecting its ring. */
  readonly onPlace?: ((ring: number, place: number) => void) | undefined;
  /** Whether the wall stands unrolled beside it. */
  readonly unrolled: boolean;
  readonly children?: ReactNode;
  /** Where the drawing is put for export. */
  readonly section: SectionRef;
  readonly box: { readonly ref: React.RefObject<HTMLDivElement | null>; readonly width: number };
}

/** A piece so much wider than tall gets more of the bench's width. */
const WIDE_PIECE = 1.3;

/** Half-section left of the axis, outside right of it. */
export function SectionPane({
  prepared,
  plan,
  upright,
  reachMm,
  grab,
  onPlace,
  unrolled,
  box,
  children,
  section,
}: SectionPaneProps) {
  const dispatch = useActions();
  const palette = useApp(paletteOf);
  const hatched = useApp((state) => state.session.hatched);
  const view = useApp((state) => state.session.view);
  const picture = useApp((state) => projectOf(state).underlay);
  const underlay = grab === 'curve' ? picture : null;
  const { scale, y, height } = upright;
  const { rings, vessel } = prepared;
  const half = Math.max(reachMm * scale + MARGIN + (grab === 'curve' ? LABELS : 0), box.width / 2);
  const svg = useDrawnSection(section, half, y(0), scale);
  const left = useMemo(() => ({ x: (r: number) => half - r * scale, y }), [half, scale, y]);
  const right = useMemo(() => ({ x: (r: number) => half + r * scale, y }), [half, scale, y]);
  const { bands } = prepared;
  const drawn = useMemo(() => ({ rings, bands }), [rings, bands]);
  const actions = useMemo(
    () => ({
      onEnter: (ring: number, place: number) => dispatch(session.hovered({ ring, place })),
      onPick: (ring: number, place: number | null, keys: Keys) => {
        if (place !== null && !keys.ctrlKey && !keys.metaKey) onPlace?.(ring, place);
        const owner = drawnOwner(drawn, ring);
        if (owner) dispatch(clickOwner(owner, keys));
      },
    }),
    [dispatch, onPlace, drawn],
  );
  /** The height under the pointer, over the cut-through; null over the outside. */
  const heightUnder = (event: MouseEvent<SVGSVGElement>): number | null => {
    const box = event.currentTarget.getBoundingClientRect();
    return event.clientX - box.left < half ? (y(0) - (event.clientY - box.top)) / scale : null;
  };
  const ringAt = (z: number | null) =>
    z === null
      ? undefined
      : rings.find(({ stands }) => stands.bottomMm <= z && z < stands.topMm)?.stands.index;
  const pointed = (event: MouseEvent<SVGSVGElement>) => {
    const z = heightUnder(event);
    dispatch(session.pointedAt(z));
    const ring = ringAt(z);
    if (ring !== undefined) dispatch(session.hovered({ ring, place: null }));
  };
  const picked = (event: MouseEvent<SVGSVGElement>) => {
    if (event.target instanceof Element && event.target.closest('[role=slider]')) return;
    const ring = ringAt(heightUnder(event));
    if (ring !== undefined) dispatch(clickRing(ring, event));
  };
  return (
    <section
      style={{ flex: WIDE_PIECE < (2 * reachMm * scale) / height ? 7 : 5 }}
      aria-label="Cut through and outside"
      className="relative flex min-h-fit min-w-80 flex-col max-wide:min-w-60 rounded border border-line bg-pane"
    >
      <div
        className="sticky top-0 z-10 grid shrink-0 grid-cols-2 rounded-t bg-pane px-2 pt-1.5"
        style={{ height: HEAD }}
      >
        <PaneTitle title="Cut through" says={SAYS[grab]} />
        <PaneTitle title="Outside" says="drag sideways to turn it" />
      </div>
      <div ref={box.ref} className="wood-ground shrink-0 grow overflow-x-auto overflow-y-hidden rounded-b">
        <div className="relative" style={{ width: 2 * half, height }}>
          <svg aria-hidden width={2 * half} height={height} className="absolute top-0 left-0">
            <SelectedBands rings={rings} y={y} />
          </svg>
          <OutsideCanvas {...{ prepared, upright, half }} alone={!unrolled} />
          {/* biome-ignore lint/a11y/useSemanticElements: a drawing with handles in it is a group, and no fieldset */}
          {/* biome-ignore lint/a11y/useKeyWithClickEvents: the ledger's ring numbers do the same by the keyboard */}
          <svg
            width={2 * half}
            height={height}
            role="group"
            ref={svg}
            aria-label={`Half-section and outside of the piece: ${rings.length} rings, ${plan.pieces} pieces.`}
            className="relative block"
            {...HELD}
            onPointerMove={pointed}
            onClick={picked}
            onPointerLeave={() => dispatch(session.pointedAt(null))}
          >
            <WoodPatterns woods={palette.values()} hatched={hatched} prefix="bench" />
            {underlay && <UnderlayPicture underlay={underlay} at={left} scale={scale} />}
            <CutThrough {...{ prepared, palette, view }} at={left} faint={underlay !== null} />
            <TurnByDragging radius={reachMm * scale}>
              <Outside {...{ prepared, view }} at={right} {...actions} />
            </TurnByDragging>
            <line
              x1={half}
              x2={half}
              y1={0}
              y2={height}
              stroke="var(--color-ink)"
              strokeDasharray="9 3 2 3"
            />
            <HoveredBand rings={rings} y={y} />
            <RingNumbers rings={rings} y={y} />
            {grab === 'curve' && (
              <>
                <LatheFrame vessel={vessel} at={left} top={MARGIN / 2} />
                <Readouts vessel={vessel} at={left} />
                <LevelHandles vessel={vessel} at={left} scale={scale} />
                <WallHandles vessel={vessel} at={left} scale={scale} />
                <CurveHandles vessel={vessel} at={left} scale={scale} />
              </>
            )}
            {grab === 'edges' && <RingEdges rings={rings} y={y} scale={scale} width={half} />}
          </svg>
        </div>
      </div>
      {children}
    </section>
  );
}

const SAYS: Record<Grab, string> = {
  curve: 'drag points, floor, lid; double-click adds a point',
  edges: 'drag the edges of rings',
  nothing: 'the blank sawn through',
};
