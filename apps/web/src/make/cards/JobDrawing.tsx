import {
  formatStop,
  type Job,
  layOut,
  type Made,
  mm,
  type Prepared,
  type Species,
  type StageView,
  turned,
} from '@fellside/core';
import { outlinePath } from '../../plan/outline.js';
import { PictureDrawing } from '../../plan/StepPictures.js';
import { projectOf, unitsOf } from '../../store/house.js';
import { paletteOf, planOf, preparedOf } from '../../store/selectors.js';
import { useApp } from '../../store/store.js';
import { WoodPatterns, woodFill } from '../../ui/WoodPatterns.js';
import { SectionNow } from './SectionNow.js';
import { useStage } from './useStage.js';

/** The work as it is when a ring has just gone on: those of the stage that come later are not on yet. */
function asFarAs({ makes, owners }: Job, view: StageView, rings: Prepared['rings']): StageView {
  if (makes !== 'stacked') return view;
  const own = new Set<string>(owners.map(({ id }) => id));
  const last = view.rings.findLastIndex((ring) => own.has(rings[ring]!.ring.id));
  return { ...view, rings: view.rings.slice(0, last + 1), hidden: [], unmeasured: [], flex: [] };
}

/** What the job is done to: a ring from above, or the work as it stands on the lathe. */
export function JobDrawing({ job }: { job: Job }) {
  const view = useStage(job);
  const prepared = useApp(preparedOf);
  const palette = useApp(paletteOf);
  const units = useApp(unitsOf);
  const plan = useApp(planOf);
  const project = useApp(projectOf);
  if (!prepared.ok) return null;
  const { rings } = prepared.value;
  if (view) return <SectionNow prepared={prepared.value} view={asFarAs(job, view, rings)} job={job} />;
  const [owner] = job.owners;
  const blank = plan.ok ? plan.value.blanks.find(({ id }) => id === owner?.id) : undefined;
  if (blank?.made.ok) {
    const { pictures = [] } = blank.made.value;
    const picture = pictures.find(({ step }) => job.id.endsWith(`/${step}`)) ?? pictures[0];
    const woods = project.blanks?.find(({ id }) => id === blank.id)?.woods;
    return picture && woods ? (
      <figure className="w-28 shrink-0 sm:w-56">
        <PictureDrawing prefix="card" {...{ picture, woods, palette, units }} />
        <figcaption className="text-center text-sm text-quiet">{picture.title}</figcaption>
      </figure>
    ) : null;
  }
  const ring = owner && job.owners.length === 1 ? rings.find((each) => each.ring.id === owner.id) : undefined;
  if (!ring?.made.ok) return null;
  const { value: made } = ring.made;
  // From above a shell shows only its top: its pattern laid flat shows all of it.
  const flat = made.ball === null ? undefined : made.pictures?.()[0];
  return (
    <figure className="w-28 shrink-0 sm:w-44">
      {flat ? (
        <PictureDrawing picture={flat} prefix="card" woods={ring.ring.woods} {...{ palette, units }} />
      ) : (
        <FromAbove made={made} turn={ring.turn} woods={ring.ring.woods} palette={palette} />
      )}
      <figcaption className="text-center text-sm text-quiet">
        {formatStop(mm(2 * made.gives.outerRadiusMm), units)}{' '}
        {made.ball === null ? 'across the flats' : 'across, over its flats'}
      </figcaption>
    </figure>
  );
}

interface FromAboveProps {
  readonly made: Made;
  readonly turn: number;
  readonly woods: readonly string[];
  readonly palette: ReadonlyMap<string, Species>;
}

/** A ring from above, as it lies in the piece. */
function FromAbove({ made, turn, woods, palette }: FromAboveProps) {
  const reach = made.cornerMm * 1.04;
  const top = layOut(made).filter(({ toMm }) => toMm >= made.heightMm - 1e-6);
  return (
    <svg
      viewBox={`${-reach} ${-reach} ${2 * reach} ${2 * reach}`}
      role="img"
      aria-label="The ring from above"
      className="wood-ground w-full rounded"
    >
      <WoodPatterns woods={palette.values()} hatched={false} prefix="card" />
      <g transform="scale(1 -1)" strokeWidth={reach / 250} stroke="#1d2527">
        {top.map(({ place, top: outline }, i) => (
          <path
            key={i}
            d={outlinePath(turned(outline, turn))}
            fill={woodFill(palette.get(woods[place]!), 'card')}
          />
        ))}
      </g>
    </svg>
  );
}
