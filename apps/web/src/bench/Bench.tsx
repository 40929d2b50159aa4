import { type Plan, type Prepared, sentenceIn } from '@fellside/core';
import { planOf, preparedOf, unitsOf } from '../store/selectors.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { BenchTools } from './BenchTools.js';
import { Ledger } from './Ledger.js';
import { HEAD, HEADINGS, MARGIN } from './layout.js';
import { PaneTitle, SectionPane, type Upright } from './SectionPane.js';
import { UnrolledPane } from './UnrolledPane.js';
import { scaleFor, useBox } from './useScale.js';

interface BenchProps {
  /** Whether the unrolled wall stands between outside and ledger. */
  readonly unrolled: boolean;
  readonly shortLedger: boolean;
  /** What a click on a segment of the unrolled wall does besides selecting its ring. */
  readonly onPlace?: (ring: number, place: number) => void;
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
  unrolled,
  shortLedger,
  onPlace,
  prepared,
  plan,
}: BenchProps & { prepared: Prepared; plan: Plan }) {
  const dispatch = useActions();
  const units = useApp(unitsOf);
  const fit = useApp((state) => state.session.fit);
  const bench = useBox<HTMLDivElement>();
  const pane = useBox<HTMLDivElement>();
  const { vessel, rings } = prepared;
  const heightMm = Math.max(vessel.heightMm, rings.at(-1)!.course.topMm);
  const reachMm = Math.max(...plan.rings.map(({ cornerMm }) => cornerMm));
  const thinnestMm = Math.min(...rings.map(({ ring }) => ring.heightMm));
  const scale = scaleFor({ heightMm, reachMm, thinnestMm }, bench, pane, fit);
  const upright: Upright = {
    scale,
    y: (height) => MARGIN / 2 + (heightMm - height) * scale,
    height: heightMm * scale + MARGIN,
  };
  const flagged = new Set(plan.checks.flatMap(({ ring }) => (ring === null ? [] : [ring])));
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <BenchTools />
      <div
        ref={bench.ref}
        className="flex min-h-0 flex-1 gap-2 overflow-auto px-2 pb-2"
        onPointerLeave={() => dispatch(session.hovered(null))}
      >
        <SectionPane {...{ prepared, plan, upright, reachMm }} box={pane} />
        {unrolled && <UnrolledPane {...{ prepared, upright }} onPlace={onPlace} />}
        <section
          aria-label="Ring ledger"
          className={`${shortLedger ? 'w-[330px]' : 'w-[440px]'} min-h-fit shrink-0 rounded border border-line bg-pane`}
        >
          <div className="px-2 pt-1.5" style={{ height: HEAD - HEADINGS + MARGIN / 2 }}>
            <PaneTitle title="Ring ledger" says="type in a cell; Enter to set" />
          </div>
          <Ledger
            plans={plan.rings}
            prepared={rings}
            {...{ units, flagged }}
            scale={fit ? null : scale}
            short={shortLedger}
          />
        </section>
      </div>
    </div>
  );
}
