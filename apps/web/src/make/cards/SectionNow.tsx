import {
  insideLine,
  type Job,
  outsideLine,
  type Prepared,
  type SectionPoint,
  type StageView,
} from '@fellside/core';
import { HoldDrawn } from './HoldDrawn.js';

interface SectionNowProps {
  readonly prepared: Prepared;
  readonly view: StageView;
  readonly job: Job;
}

/** How far what holds the work is drawn beyond it, as a share of its height. */
const BLOCK = 0.12;

/** Half-section of the work as it stands at a stage: rings that are on, those still to come dashed, what of the inside is not got at shaded. */
export function SectionNow({ prepared: { turned, rings }, view, job }: SectionNowProps) {
  const reach = Math.max(
    ...rings.map(({ made, need }) => (made.ok ? made.value.gives.outerRadiusMm : need.outerRadiusMm)),
  );
  const { heightMm } = turned;
  const block = BLOCK * heightMm;
  const room = 0.06 * Math.max(reach, heightMm);
  const on = new Set(view.rings);
  const own = new Set<string>(job.owners.map(({ id }) => id));
  const path = (points: readonly SectionPoint[], side: 1 | -1) =>
    points.map(({ r, z }, i) => `${i === 0 ? 'M' : 'L'}${side * r} ${z}`).join('');
  const [outside, inside] = [outsideLine(turned), insideLine(turned)];
  const got = turned.inside === null ? 'nothing of the inside is worked at' : 'all of the inside is got at';
  const says = view.hidden.length === 0 ? got : 'shaded: what is not got at from this mouth';
  return (
    <figure className="w-32 shrink-0 sm:w-56">
      <svg
        viewBox={`${-reach - room} ${-heightMm - block - room} ${2 * (reach + room)} ${heightMm + 2 * (block + room)}`}
        className="max-h-64 w-full"
        role="img"
        aria-label={`The work cut through, ${view.rings.length} of ${rings.length} rings on; ${says}.`}
      >
        <g
          transform={view.hold.face === 'rim' ? `translate(0 ${-heightMm}) scale(1 1)` : 'scale(1 -1)'}
          strokeWidth={reach / 160}
        >
          {rings.map(({ ring, made, need, course }, i) => {
            const { outerRadiusMm: outer, innerRadiusMm: inner } = made.ok ? made.value.gives : need;
            const common = {
              y: course.bottomMm,
              height: course.topMm - course.bottomMm,
              width: outer - inner,
              fill: on.has(i)
                ? own.has(ring.id)
                  ? 'var(--color-teal-wash)'
                  : 'var(--color-raised)'
                : 'none',
              stroke: on.has(i) ? 'var(--color-ink)' : 'var(--color-quiet)',
              ...(!on.has(i) && { strokeDasharray: `${reach / 30} ${reach / 40}` }),
            };
            return (
              <g key={ring.id}>
                <rect x={inner} {...common} />
                <rect x={-outer} {...common} />
              </g>
            );
          })}
          {view.hidden.map(({ from, fromMm, toMm }) => (
            <rect
              key={`${from} ${fromMm}`}
              x={from === 'tools' ? -reach : 0}
              y={fromMm}
              width={reach}
              height={Math.max(1, toMm - fromMm)}
              fill="var(--color-rust)"
              fillOpacity={0.3}
            />
          ))}
          <g fill="none" stroke="var(--color-teal)" strokeWidth={reach / 90}>
            {([1, -1] as const).map((side) => (
              <g key={side}>
                <path d={path(outside, side)} />
                <path d={path(inside, side)} />
              </g>
            ))}
          </g>
          <HoldDrawn hold={view.hold} vessel={turned} depthMm={block} />
        </g>
      </svg>
      <figcaption className="text-center text-sm text-quiet">
        {view.rings.length} of {rings.length} rings on
        {view.hidden.length > 0 && '; shaded left: no tool, right: no hand gets there'}
      </figcaption>
    </figure>
  );
}
