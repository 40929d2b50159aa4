import {
  formatAngle,
  formatLength,
  formatStop,
  meantRing,
  type RingPlan,
  rad,
  ringOwner,
  rollOf,
  sentenceIn,
  shortOfOne,
} from '@fellside/core';
import { unitsOf } from '../store/house.js';
import { lastRingOf } from '../store/selection.js';
import { planOf } from '../store/selectors.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { Cautions } from '../ui/Cautions.js';
import { Choice } from '../ui/Choice.js';
import { Pane } from '../ui/Pane.js';
import { DryFit } from './DryFit.js';
import { Little } from './Little.js';

/** At the saw and before the glue: what a setting does to a ring, and what a gap says of the saw. */
export function DryFitView() {
  const dispatch = useActions();
  const plan = useApp(planOf);
  const units = useApp(unitsOf);
  const last = useApp(lastRingOf);
  if (!plan.ok) return null;
  const { rings } = plan.value;
  const mitred = rings.filter((each) => meantRing(each).ok);
  const ring = rings[last ?? -1] ?? mitred[0] ?? rings[0];
  if (!ring) return <p className="p-6 text-quiet">There are no rings yet.</p>;
  const meant = meantRing(ring);
  return (
    <div className="grid min-h-0 flex-1 auto-rows-max gap-2 overflow-auto p-2 lg:auto-rows-[minmax(0,1fr)] lg:grid-cols-[minmax(0,7fr)_minmax(0,16fr)_220px]">
      <Pane name="Rings to fit">
        <h2 className="mb-1 font-semibold">Which ring lies on the bench</h2>
        <div className="lg:hidden">
          <Choice
            label="Ring"
            value={mitred.includes(ring) ? ring.id : null}
            options={mitred.map((each) => [each.id, `Ring ${each.index + 1}`])}
            onChange={(id) => dispatch(session.selected([ringOwner(id)]))}
          />
        </div>
        <ul className="hidden lg:block">
          {[...mitred].reverse().map((each) => {
            const own = meantRing(each);
            return (
              <li key={each.id} className="border-t border-line">
                <button
                  type="button"
                  aria-pressed={each === ring}
                  className="flex min-h-[44px] w-full items-center gap-3 px-2 text-left aria-pressed:bg-teal-wash aria-pressed:font-semibold"
                  onClick={() => dispatch(session.selected([ringOwner(each.id)]))}
                >
                  <span className="w-16">Ring {each.index + 1} </span>
                  <span className="text-quiet">
                    {own.ok && `${own.value.count} at ${formatAngle(rad(Math.PI / own.value.count))}`}
                  </span>
                </button>
              </li>
            );
          })}
        </ul>
        {mitred.length < rings.length && (
          <p className="mt-2 text-sm text-quiet">
            Rings that are not cut with one upright mitre are left out: a gap says nothing of their saw.
          </p>
        )}
      </Pane>
      <Pane name="Dry fit">
        <h2 className="mb-2 text-lg font-semibold">Ring {ring.index + 1}: dry fit</h2>
        {meant.ok ? (
          <>
            <p className="mb-3">
              {meant.value.count} segments, both mitres at{' '}
              <b>{formatAngle(rad(Math.PI / meant.value.count))}</b>, wedge{' '}
              {formatAngle(rad((2 * Math.PI) / meant.value.count))}, stop{' '}
              <b>{formatStop(meant.value.longEdgeMm, units)}</b>, strip{' '}
              {formatLength(meant.value.widthMm, units)}.
            </p>
            <DryFit key={ring.id} ring={meant.value} />
            <Little ring={meant.value} />
          </>
        ) : (
          <p>{sentenceIn(meant.reasons[0]!.message, units)}</p>
        )}
        <Short ring={ring} />
      </Pane>
      <Pane name="Take care">
        <Cautions ids={['short-pieces', 'trapped-offcut', 'tapers', 'dust']} />
      </Pane>
    </div>
  );
}

/** What the offcuts still give when one piece is missing. */
function Short({ ring }: { ring: RingPlan }) {
  const units = useApp(unitsOf);
  const plan = useApp(planOf);
  if (!plan.ok) return null;
  const helps = shortOfOne(ring, plan.value.lumber.strips, rollOf(plan.value).nameOf);
  if (helps.length === 0) return null;
  return (
    <>
      <h3 className="mt-4 font-semibold">One piece short</h3>
      <ul aria-label="One piece short">
        {helps.map(({ id, name, does, price }) => (
          <li key={id} className="border-t border-line py-2">
            <h4 className="font-semibold">{name}</h4>
            <p>{sentenceIn(does, units)}</p>
            <p className="text-quiet">{sentenceIn(price, units)}</p>
          </li>
        ))}
      </ul>
    </>
  );
}
