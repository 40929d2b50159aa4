import {
  layOut,
  type Made,
  type Point,
  type PreparedRing,
  plain,
  type RingPlan,
  type Species,
  turned,
  type UnitSystem,
} from '@fellside/core';
import { WoodPatterns, woodFill } from '../ui/WoodPatterns.js';
import { Dimensioned } from './Dimensioned.js';
import { Glued } from './Glued.js';
import { outlinePath } from './outline.js';
import { Corner } from './PlanSizes.js';

interface PlanDrawingProps {
  readonly made: Made;
  readonly ring: PreparedRing;
  readonly below: PreparedRing | undefined;
  readonly figures: RingPlan;
  readonly palette: ReadonlyMap<string, Species>;
  readonly units: UnitSystem;
}

/** The pieces, or parts of them, that are seen from above. */
const fromAbove = (made: Made) => layOut(made).filter(({ toMm }) => toMm >= made.heightMm - 1e-6);

/** Room for the dimensions round the ring, as a share of its corner radius. */
const ROOM = 1.24;

/** A ring seen from above, to scale, x to the right and y away from the eye; the index mark is at three o'clock. */
export function PlanDrawing({ made, ring, below, figures, palette, units }: PlanDrawingProps) {
  const reach = Math.max(made.cornerMm, below?.made.ok ? below.made.value.cornerMm : 0);
  const half = reach * ROOM;
  const text = half / 19;
  const pieces = fromAbove(made).map(({ place, bottom, top }, number) => ({
    place,
    number,
    outline: turned(top, ring.turn),
    bottom: top === bottom ? null : turned(bottom, ring.turn),
  }));
  const under = below?.made.ok ? below.made.value : null;
  const sized = made.kinds.map((kind, i) => dimensioned(kind.places, pieces, i));
  return (
    <svg
      viewBox={`${-half} ${-half} ${2 * half} ${2 * half}`}
      className="wood-ground max-h-[56vh] w-full rounded border border-line bg-pane"
      role="img"
      aria-label={`Ring ${figures.index + 1} from above: ${figures.pieces.map(({ count, kind }) => `${count} × ${plain(kind.name)}`).join(', ')}.`}
    >
      <WoodPatterns woods={palette.values()} hatched={false} prefix="plan" />
      <g transform="scale(1 -1)" strokeWidth={half / 500}>
        {pieces.map(({ place, number, outline }) => (
          <path
            key={number}
            d={outlinePath(outline)}
            fill={woodFill(palette.get(ring.ring.woods[place]!), 'plan')}
            stroke="#1d2527"
          />
        ))}
        {pieces.map(
          ({ number, bottom }) =>
            bottom && (
              <path
                key={number}
                d={outlinePath(bottom)}
                fill="none"
                stroke="#1d2527"
                strokeOpacity="0.5"
                strokeDasharray={`${half / 120} ${half / 160}`}
                data-underside
              />
            ),
        )}
        {under && below && (
          <Glued
            here={{ made, outlines: pieces.map(({ outline, bottom }) => bottom ?? outline) }}
            under={{ made: under, outlines: layOut(under).map(({ top }) => turned(top, below.turn)) }}
          />
        )}
        {under && below && (
          <g fill="none" stroke="#1d2527" strokeOpacity="0.55" strokeDasharray={`${half / 90} ${half / 120}`}>
            {layOut(under).map(({ place, fromMm, bottom }) => (
              <path
                key={`${place} ${fromMm} ${bottom[0]!.x} ${bottom[0]!.y}`}
                d={outlinePath(turned(bottom, below.turn))}
              />
            ))}
          </g>
        )}
        <g
          fill="none"
          stroke="var(--color-teal)"
          strokeWidth={half / 330}
          strokeDasharray={`${half / 60} ${half / 90}`}
        >
          <circle r={figures.wall.outerRadiusMm} />
          {figures.wall.innerRadiusMm > 0 && <circle r={figures.wall.innerRadiusMm} />}
        </g>
        <path
          d={`M${-half / 40} 0H${half / 40}M0 ${-half / 40}V${half / 40}M${reach * 1.02} 0h${half / 22}`}
          stroke="#1d2527"
        />
      </g>
      <g fontSize={text} strokeWidth={half / 420}>
        <text x={reach * 1.02 + half / 20} y={text / 3} fill="#566163">
          0°
        </text>
        {pieces.map(({ place, number, outline }) => (
          <Mark
            key={number}
            mark={made.mark(place)}
            outline={outline}
            text={text}
            aside={sized.includes(place)}
          />
        ))}
        {made.kinds.slice(0, AT.length).map((kind, i) => {
          const piece = pieces.find(({ place }) => place === sized[i]);
          return (
            piece && (
              <Dimensioned key={plain(kind.name)} {...{ kind, outline: piece.outline, reach, text, units }} />
            )
          );
        })}
        <Corner
          reach={made.cornerMm}
          angle={cornerAngle(pieces.map(({ outline }) => outline))}
          text={text}
          units={units}
        />
      </g>
    </svg>
  );
}

interface MarkProps {
  readonly mark: string | null;
  readonly outline: readonly Point[];
  readonly text: number;
  /** Out of the way of the dimensions in the middle. */
  readonly aside: boolean;
}

/** What is written on a piece: its number along the strip. */
function Mark({ mark, outline, text, aside }: MarkProps) {
  if (mark === null) return null;
  const middle = (of: (p: Point) => number) => outline.reduce((sum, p) => sum + of(p), 0) / outline.length;
  const [from, to] = [outline[0]!, outline[1]!];
  const share = aside ? 0.3 : 0;
  return (
    <text
      className="halo"
      x={middle(({ x }) => x) + share * (to.x - from.x)}
      y={-middle(({ y }) => y) - share * (to.y - from.y) + text / 3}
      textAnchor="middle"
      fontSize={text * 0.85}
      fontWeight="650"
      fill="#1d2527"
    >
      {mark}
    </text>
  );
}

/** Where the sizes of a ring's kinds of piece are written, one after another: below first, then out of each other's way. */
const AT = [-1.57, -0.55, 3.7, 2.6, 0.6].map((angle) => ({ x: Math.cos(angle), y: Math.sin(angle) }));

/** The piece of the `i`th kind that its sizes are written at; none where none of them is seen. */
function dimensioned(
  places: readonly number[],
  pieces: readonly { readonly place: number; readonly outline: readonly Point[] }[],
  i: number,
): number | undefined {
  const toward = AT[i % AT.length]!;
  const known = new Map(pieces.map(({ place, outline }) => [place, outline]));
  const far = (place: number) => {
    const [a, b] = known.get(place)!;
    return (a!.x + b!.x) * toward.x + (a!.y + b!.y) * toward.y;
  };
  const seen = places.filter((place) => known.has(place));
  return seen.reduce((best, place) => (far(place) > far(best) ? place : best), seen[0]!);
}

/** Where there is room for the corner's radius: at the upper right. */
const CORNER_AT = 1.15;

/** Direction of a farthest corner of the ring near the upper right. */
function cornerAngle(outlines: readonly (readonly Point[])[]): number {
  const points = outlines.flat();
  const reach = Math.max(...points.map(({ x, y }) => Math.hypot(x, y)));
  const angles = points
    .filter(({ x, y }) => Math.hypot(x, y) > reach * (1 - 1e-6))
    .map(({ x, y }) => Math.atan2(y, x));
  return angles.reduce((a, b) => (Math.abs(b - CORNER_AT) < Math.abs(a - CORNER_AT) ? b : a));
}
