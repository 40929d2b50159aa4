import { type Plan, type Prepared, sentenceIn } from '@fellside/core';
import { type ReactNode, useMemo, useRef } from 'react';
import type { DrawnSection } from '../pictures/drawnSection.js';
import { unitsOf } from '../store/house.js';
import { planOf, preparedOf } from '../store/selectors.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { PaneBoundary } from '../ui/PaneBoundary.js';
import { NARROW, useMedia } from '../ui/useMedia.js';
import { BenchTools } from './BenchTools.js';
import { HEAD, HEADINGS, LABELS, MARGIN } from './layout.js';
import { Ledger } from './ledger/Ledger.js';
import { LedgerHead } from './ledger/LedgerHead.js';
import { ledgerWidth } from './ledger/looks.js';
import { SectionPane } from './SectionPane.js';
import { type Brush, UnrolledPane } from './UnrolledPane.js';
import type { Grab, Upright } from './upright.js';
import { scaleFor, useBox } from './useScale.js';
import { useInView, useStill } from './useStill.js';
import { useZoom } from './useZoom.js';

interface BenchProps {
  readonly grab: Grab;
  /** Whether the unrolled wall stands between outside and ledger. */
  readonly unrolled: boolean;
  readonly shortLedger: boolean;
  /** What a click on a segment of the unrolled wall does besides selecting its ring. */
  readonly onPlace?: (ring: number, place: number) => void;
  /** Strokes over the unrolled wall; where there are any a click paints nothing by itself. */
  readonly brush?: Brush;
  /** Left out where the station needs its room. */
  readonly ledger?: boolean;
  /** What lies in the corner of the first pane. */
  readonly inset?: ReactNode;
}

/** The panes side by side on one vertical scale; or the sentence that says why nothing can be drawn. */
export function Bench(props: BenchProps) {
  const prepared = useApp(preparedOf);
  const plan = useApp(planOf);
  const units = useApp(unitsOf);
  if (prepared.ok && plan.ok) return <Panes {...props} prepared={prepared.value} plan={plan.value} />;
  const wrong = !prepared.ok ? prepared.reasons : !plan.ok ? plan.reasons : [];
  return (
    <p role="alert" className="p-6 text-rust">
      {wrong.map(({ message }) => sentenceIn(message, units)).join(' ')}
    </p>
  );
}

function Panes({
  grab,
  unrolled,
  shortLedger,
  onPlace,
  brush,
  ledger = true,
  inset,
  prepared,
  plan,
}: BenchProps & { prepared: Prepared; plan: Plan }) {
  const dispatch = useActions();
  const fit = useApp((state) => state.session.fit);
  const zoom = useApp((state) => state.session.zoom);
  const chosen = useApp((state) => state.look.columns);
  const short = useMedia(NARROW) || shortLedger;
  const bench = useBox<HTMLDivElement>();
  const pane = useBox<HTMLDivElement>();
  const section = useRef<DrawnSection | null>(null);
  const { vessel, rings } = prepared;
  const reachMm = Math.max(...plan.rings.map(({ cornerMm }) => cornerMm));
  const topMm = Math.max(vessel.heightMm, rings.at(-1)!.stands.topMm);
  const thinnestMm = Math.min(...rings.map(({ stands: course }) => course.topMm - course.bottomMm));
  const room = grab === 'curve' ? LABELS : 0;
  const { scale, heightMm } = useStill({
    scale: zoom * scaleFor({ heightMm: topMm, reachMm, thinnestMm }, bench, pane, fit, room),
    heightMm: topMm,
  });
  useZoom(bench.ref, scale);
  useInView(bench.ref, rings, scale, heightMm);
  const upright = useMemo(
    (): Upright => ({
      scale,
      y: (height) => MARGIN / 2 + (heightMm - height) * scale,
      height: heightMm * scale + MARGIN,
    }),
    [scale, heightMm],
  );
  return (
    <div className="flex min-h-0 flex-1 flex-col max-wide:shrink-0 max-wide:grow max-wide:basis-[60dvh]">
      <BenchTools {...{ unrolled, section }} />
      <section
        ref={bench.ref}
        tabIndex={0}
        aria-label="Bench"
        className="flex min-h-0 flex-1 gap-2 overflow-auto px-2 pb-2 focus-visible:outline-offset-[-2px]"
        onPointerLeave={() => dispatch(session.hovered(null))}
      >
        <PaneBoundary name="The drawing">
          <SectionPane {...{ prepared, plan, upright, reachMm, grab, onPlace, unrolled, section }} box={pane}>
            {inset}
          </SectionPane>
        </PaneBoundary>
        {unrolled && (
          <PaneBoundary name="The unrolled wall">
            <UnrolledPane {...{ prepared, upright, onPlace, brush }} />
          </PaneBoundary>
        )}
        {ledger && (
          <section
            aria-label="Ring ledger"
            className={`${fit ? 'max-h-full overflow-y-auto' : 'min-h-fit'} shrink-0 rounded border border-line bg-pane`}
            style={{ width: ledgerWidth(short, chosen) }}
          >
            <div className="px-2 pt-1.5" style={{ height: HEAD - HEADINGS + MARGIN / 2 }}>
              <LedgerHead short={short} />
            </div>
            <PaneBoundary name="The ledger">
              <Ledger plan={plan} prepared={rings} scale={fit ? null : scale} short={short} />
            </PaneBoundary>
          </section>
        )}
      </section>
    </div>
  );
}
