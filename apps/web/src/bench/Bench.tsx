import { type Plan, type Prepared, sentenceIn } from '@fellside/core';
import type { ReactNode, Ref } from 'react';
import { paletteOf, planOf, preparedOf, unitsOf } from '../store/selectors.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { WoodPatterns } from '../ui/WoodPatterns.js';
import { BenchTools } from './BenchTools.js';
import { CutThrough } from './CutThrough.js';
import { Ledger } from './Ledger.js';
import { HEAD, MARGIN } from './layout.js';
import { Outside, Roundness } from './Outside.js';
import { SelectedBands } from './SelectedBands.js';
import { TurnByDragging } from './TurnByDragging.js';
import { UnrolledPane } from './UnrolledPane.js';
import { useScale } from './useScale.js';

interface BenchProps {
  /** What stands between outside and ledger, if anything. */
  readonly unrolled: boolean;
  readonly shortLedger: boolean;
  /** What a click on a segment does besides selecting its ring. */
  readonly onPlace?: (ring: number, place: number) => void;
}

/** The panes side by side on one vertical scale; or the sentence that says why nothing can be drawn. */
export function Bench(props: BenchProps) {
  const prepared = useApp(preparedOf);
  const plan = useApp(planOf);
  const units = useApp(unitsOf);
  const wrong = !prepared.ok ? prepared.reasons : !plan.ok ? plan.reasons : [];
  if (!prepared.ok || !plan.ok)
    return (
      <p className="p-6 text-rust">{wrong.map(({ message }) => sentenceIn(message, units)).join(' ')}</p>
    );
  return <Panes {...props} prepared={prepared.value} plan={plan.value} />;
}

function Panes({
  unrolled,
  shortLedger,
  onPlace,
  prepared,
  plan,
}: BenchProps & { prepared: Prepared; plan: Plan }) {
  const dispatch = useActions();
  const palette = useApp(paletteOf);
  const units = useApp(unitsOf);
  const { fit, hatched, hover, view, selected } = useApp((state) => state.session);
  const { vessel, rings } = prepared;
  const stackMm = Math.max(vessel.heightMm, rings.at(-1)!.course.topMm);
  const reachMm = Math.max(...plan.rings.map(({ cornerMm }) => cornerMm));
  const thinnestMm = Math.min(...rings.map(({ ring }) => ring.heightMm));
  const { ref, scale, box } = useScale({ heightMm: stackMm, reachMm, thinnestMm }, fit, 2);
  const drawnHeight = stackMm * scale;
  const half = Math.max(reachMm * scale, box.width / 2);
  const y = (height: number) => MARGIN / 2 + (stackMm - height) * scale;
  const enter = (ring: number, place: number) => dispatch(session.hovered({ ring, place }));
  const click = (ring: number, { shiftKey, ctrlKey, metaKey }: Keys) =>
    dispatch(session.clicked({ ring, extend: shiftKey, toggle: ctrlKey || metaKey }));
  const svgHeight = drawnHeight + MARGIN;
  const bands = <SelectedBands rings={rings} selected={selected} y={y} />;
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <BenchTools />
      <div
        className={`flex min-h-0 flex-1 gap-2 px-2 pb-2 ${fit ? 'overflow-hidden' : 'overflow-auto'}`}
        onPointerLeave={() => dispatch(session.hovered(null))}
      >
        <Pane className="min-w-80 flex-[5]" title="Cut through" second="Outside" measure={ref}>
          <svg
            width={2 * half}
            height={svgHeight}
            role="img"
            aria-label={`Half-section and outside of the piece: ${rings.length} rings, ${plan.pieces} pieces.`}
            className="block"
          >
            <WoodPatterns woods={palette.values()} hatched={hatched} prefix="bench" />
            <Roundness />
            {bands}
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
                onEnter={enter}
                onPick={click}
              />
            </TurnByDragging>
            <line
              x1={half}
              x2={half}
              y1={0}
              y2={svgHeight}
              stroke="var(--color-ink)"
              strokeDasharray="9 3 2 3"
              strokeWidth="1"
            />
            {rings.map(({ course, ring }) => (
              <text
                key={ring.id}
                x={4}
                y={(y(course.bottomMm) + y(course.topMm)) / 2 + 4}
                fontSize="12"
                fill={selected.includes(course.index) ? 'var(--color-teal)' : 'var(--color-quiet)'}
                fontWeight={selected.includes(course.index) ? 700 : 400}
              >
                {y(course.bottomMm) - y(course.topMm) >= 11 ? course.index + 1 : ''}
              </text>
            ))}
          </svg>
        </Pane>
        {unrolled && <UnrolledPane {...{ prepared, y, svgHeight, bands, enter, click }} onPlace={onPlace} />}
        <section
          aria-label="Ring ledger"
          className={`${shortLedger ? 'w-72' : 'w-[420px]'} shrink-0 ${fit ? 'overflow-auto' : 'self-start'} rounded border border-line bg-pane`}
          tabIndex={fit ? 0 : undefined}
        >
          <h2 className="px-2 pt-1.5 font-semibold" style={{ height: HEAD - 24 - 7 + MARGIN / 2 }}>
            Ring ledger
          </h2>
          <Ledger
            plans={plan.rings}
            prepared={rings}
            units={units}
            scale={fit ? null : scale}
            short={shortLedger}
            flagged={new Set(plan.checks.flatMap(({ ring }) => (ring === null ? [] : [ring])))}
          />
        </section>
      </div>
    </div>
  );
}

interface Keys {
  readonly shiftKey: boolean;
  readonly ctrlKey: boolean;
  readonly metaKey: boolean;
}

function Pane({
  title,
  second,
  className = '',
  measure,
  children,
}: {
  title: string;
  second?: string;
  className?: string;
  measure: Ref<HTMLDivElement>;
  children: ReactNode;
}) {
  return (
    <section
      aria-label={second ? `${title} and ${second.toLowerCase()}` : title}
      className={`flex flex-col self-stretch rounded border border-line bg-pane ${className}`}
      style={{ minHeight: 'fit-content' }}
    >
      <div className="grid shrink-0 grid-cols-2 px-2 pt-1.5" style={{ height: HEAD }}>
        <h2 className="font-semibold">{title}</h2>
        {second && <h2 className="pl-2 font-semibold">{second}</h2>}
      </div>
      <div ref={measure} className="min-h-0 flex-1 overflow-x-auto" style={{ paddingBottom: MARGIN }}>
        {children}
      </div>
    </section>
  );
}
