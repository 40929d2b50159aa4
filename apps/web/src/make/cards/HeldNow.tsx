import { formatStop, HOLDERS, type Job, mm, type StageView, sentenceIn } from '@fellside/core';
import { unitsOf } from '../../store/house.js';
import { useApp } from '../../store/store.js';
import { giveShown } from '../giveShown.js';
import { GiveGraph } from './GiveGraph.js';
import { useStage } from './useStage.js';

/** How the work is held at the stage of a job at the lathe, how it is let go, and how far it gives where it is hollowed. */
export function HeldNow({ job }: { job: Job }) {
  const view = useStage(job);
  if (!view || (job.tool !== 'lathe' && job.makes !== 'stacked')) return null;
  return (
    <>
      <Held view={view} />
      {job.makes === 'inside' && <Unmeasured view={view} />}
      {job.makes === 'inside' && view.flex.length > 0 && <Gives view={view} />}
    </>
  );
}

function Held({ view: { hold } }: { view: StageView }) {
  const units = useApp(unitsOf);
  const { jaws, acrossMm } = hold;
  const across = acrossMm > 0 ? `, ${formatStop(acrossMm, units)} across` : '';
  const grips = jaws
    ? ` (they hold ${jaws.leastMm > 0 ? `${formatStop(jaws.leastMm, units)} to` : 'up to'} ${formatStop(jaws.mostMm, units)})`
    : '';
  const rows = [
    ['Held at its', `${hold.face}: ${HOLDERS[hold.by].toLowerCase()}${across}${grips}.`],
    ['Tailstock', sentenceIn(hold.tailstock.because, units)],
    ['Let go', sentenceIn(hold.letGo, units)],
  ];
  return (
    <dl aria-label="Holding" className="grid max-w-prose grid-cols-[auto_1fr] gap-x-4 gap-y-1">
      {rows.map(([label, says]) => (
        <div key={label} className="contents">
          <dt className="text-quiet">{label}</dt>
          <dd>{says}</dd>
        </div>
      ))}
    </dl>
  );
}

/** Where the wall has to be measured otherwise. */
function Unmeasured({ view: { unmeasured } }: { view: StageView }) {
  const units = useApp(unitsOf);
  if (unmeasured.length === 0) return null;
  const stretches = unmeasured.map(
    ({ fromMm, toMm }) => `${formatStop(mm(fromMm), units)} to ${formatStop(mm(toMm), units)}`,
  );
  return (
    <p className="max-w-prose">
      From this mouth your callipers do not measure the wall {stretches.join(', ')} above the bench: measure
      it before the last rings of this stage go on, or by depth holes from outside that are turned away.
    </p>
  );
}

function Gives({ view: { flex } }: { view: StageView }) {
  const units = useApp(unitsOf);
  const top = flex.at(-1)!;
  return (
    <figure className="flex flex-wrap items-end gap-4">
      <GiveGraph flex={flex} />
      <figcaption className="max-w-sm">
        Under a light cut its top gives {giveShown(top.solid, units)} before it is hollowed and{' '}
        {giveShown(top.hollowed, units)} after; lower down less, as the lines have it.
      </figcaption>
    </figure>
  );
}
