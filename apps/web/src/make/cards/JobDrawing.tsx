import {
  formatStop,
  type Job,
  layOut,
  type Made,
  mm,
  type Point,
  type Prepared,
  type StageView,
  turned,
} from '@fellside/core';
import { outlinePath } from '../../plan/outline.js';
import { unitsOf } from '../../store/house.js';
import { paletteOf, preparedOf } from '../../store/selectors.js';
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

/** A ring from above; a shell of panels as they are laid flat, about the middle of its pattern. */
function seenOf(made: Made, turn: number): Seen {
  const flat = made.ball === null ? undefined : made.pictures?.()[0]?.parts;
  if (!flat) {
    const top = layOut(made).filter(({ toMm }) => toMm >= made.heightMm - 1e-6);
    return {
      parts: top.map(({ place, top: outline }) => ({ place, outline: turned(outline, turn) })),
      reach: made.cornerMm * 1.04,
      says: 'The ring from above',
    };
  }
  const points = flat.flatMap(({ outline }) => outline);
  const span = (of: readonly number[]) => [Math.min(...of), Math.max(...of)] as const;
  const [xs, ys] = [span(points.map(({ x }) => x)), span(points.map(({ y }) => y))];
  const middle = { x: (xs[0] + xs[1]) / 2, y: (ys[0] + ys[1]) / 2 };
  return {
    parts: flat.map(({ place, outline }) => ({
      place,
      outline: outline.map(({ x, y }) => ({ x: x - middle.x, y: y - middle.y })),
    })),
    reach: (Math.max(xs[1] - xs[0], ys[1] - ys[0]) / 2) * 1.04,
    says: 'The panels laid flat',
  };
}

interface Seen {
  readonly parts: readonly { readonly place: number | null; readonly outline: readonly Point[] }[];
  readonly reach: number;
  readonly says: string;
}

/** What the job is done to: a ring from above, or the work as it stands on the lathe. */
export function JobDrawing({ job }: { job: Job }) {
  const view = useStage(job);
  const prepared = useApp(preparedOf);
  const palette = useApp(paletteOf);
  const units = useApp(unitsOf);
  if (!prepared.ok) return null;
  const { rings } = prepared.value;
  if (view) return <SectionNow prepared={prepared.value} view={asFarAs(job, view, rings)} job={job} />;
  const [owner] = job.owners;
  const ring = owner && job.owners.length === 1 ? rings.find((each) => each.ring.id === owner.id) : undefined;
  if (!ring?.made.ok) return null;
  const { value: made } = ring.made;
  const { parts, reach, says } = seenOf(made, ring.turn);
  return (
    <figure className="w-28 shrink-0 sm:w-44">
      <svg
        viewBox={`${-reach} ${-reach} ${2 * reach} ${2 * reach}`}
        role="img"
        aria-label={says}
        className="wood-ground w-full rounded"
      >
        <WoodPatterns woods={palette.values()} hatched={false} prefix="card" />
        <g transform="scale(1 -1)" strokeWidth={reach / 250} stroke="#1d2527">
          {parts.map(({ place, outline }, i) => (
            <path
              key={i}
              d={outlinePath(outline)}
              fill={woodFill(place === null ? undefined : palette.get(ring.ring.woods[place]!), 'card')}
            />
          ))}
        </g>
      </svg>
      <figcaption className="text-center text-sm text-quiet">
        {formatStop(mm(2 * made.gives.outerRadiusMm), units)}{' '}
        {made.ball === null ? 'across the flats' : 'across, over its flats'}
      </figcaption>
    </figure>
  );
}
