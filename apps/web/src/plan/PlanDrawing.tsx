import {
  formatAngle,
  formatLength,
  layOut,
  type Made,
  mm,
  type Point,
  type PreparedRing,
  type RingPlan,
  rad,
  type Species,
  type UnitSystem,
} from '@fellside/core';
import { WoodPatterns, woodFill } from '../ui/WoodPatterns.js';
import { AngleMark, Dimension } from './Dimension.js';
import { outlinePath, turned } from './outline.js';

interface PlanDrawingProps {
  readonly made: Made;
  readonly ring: PreparedRing;
  readonly below: PreparedRing | undefined;
  readonly figures: RingPlan;
  readonly palette: ReadonlyMap<string, Species>;
  readonly units: UnitSystem;
}

/** Room for the dimensions round the ring, as a share of its corner radius. */
const ROOM = 1.24;

/** A ring seen from above, to scale, x to the right and y away from the eye; the index mark is at three o'clock. */
export function PlanDrawing({ made, ring, below, figures, palette, units }: PlanDrawingProps) {
  const reach = Math.max(made.cornerMm, below?.made.ok ? below.made.value.cornerMm : 0);
  const half = reach * ROOM;
  const text = half / 19;
  const pieces = layOut(made).map((piece) => ({ ...piece, outline: turned(piece.bottom, ring.turn) }));
  const under = below?.made.ok ? below.made.value : null;
  return (
    <svg
      viewBox={`${-half} ${-half} ${2 * half} ${2 * half}`}
      className="wood-ground max-h-[56vh] w-full rounded border border-line bg-pane"
      role="img"
      aria-label={`Ring ${figures.index + 1} from above: ${figures.pieces.map(({ count, kind }) => `${count} × ${kind.name}`).join(', ')}.`}
    >
      <WoodPatterns woods={palette.values()} hatched={false} prefix="plan" />
      <g transform="scale(1 -1)" strokeWidth={half / 500}>
        {pieces.map(({ place, outline }) => (
          <path
            key={place}
            d={outlinePath(outline)}
            fill={woodFill(palette.get(ring.ring.woods[place]!), 'plan')}
            stroke="#1d2527"
          />
        ))}
        {under && <Overlap here={made} under={under} />}
        {under && below && (
          <g fill="none" stroke="#1d2527" strokeOpacity="0.55" strokeDasharray={`${half / 90} ${half / 120}`}>
            {layOut(under).map(({ place, bottom }) => (
              <path key={place} d={outlinePath(turned(bottom, below.turn))} />
            ))}
          </g>
        )}
        <g
          fill="none"
          stroke="var(--color-teal)"
          strokeWidth={half / 330}
          strokeDasharray={`${half / 60} ${half / 90}`}
        >
          <circle r={figures.wall.outerMm} />
          {figures.wall.innerMm > 0 && <circle r={figures.wall.innerMm} />}
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
        {made.kinds.map(({ places, stock }) => {
          const piece = pieces.find(({ place }) => place === dimensioned(places, pieces))!;
          if (stock.from !== 'strip')
            return (
              <Dimension
                key="disc"
                from={{ x: -stock.widthMm / 2, y: 0 }}
                to={{ x: stock.widthMm / 2, y: 0 }}
                away={-reach * 1.12}
                text={text}
                label={`${formatLength(stock.widthMm, units)} across`}
              />
            );
          return (
            <g key={piece.place}>
              <Sizes outline={piece.outline} stock={stock} text={text} units={units} />
            </g>
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

/** The piece of a kind that its sizes are written at: the one that lies farthest down, where there is most room. */
function dimensioned(
  places: readonly number[],
  pieces: readonly { readonly place: number; readonly outline: readonly Point[] }[],
): number {
  const low = (place: number) => {
    const { outline } = pieces.find((piece) => piece.place === place)!;
    return (outline[0]!.y + outline[1]!.y) / 2;
  };
  return places.reduce((best, place) => (low(place) < low(best) ? place : best), places[0]!);
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

/** The radii that both rings have, all round: the least that is glued. */
function Overlap({ here, under }: { here: Made; under: Made }) {
  const outer = Math.min(here.gives.outerMm, under.gives.outerMm);
  const inner = Math.max(here.gives.innerMm, under.gives.innerMm);
  if (outer <= inner) return null;
  const circle = (r: number) => `M${r} 0A${r} ${r} 0 1 0 ${-r} 0A${r} ${r} 0 1 0 ${r} 0Z`;
  return (
    <path
      d={`${circle(outer)}${inner > 0 ? circle(inner) : ''}`}
      fillRule="evenodd"
      fill="var(--color-teal)"
      fillOpacity="0.3"
      data-overlap
    />
  );
}

interface SizesProps {
  readonly outline: readonly Point[];
  readonly stock: {
    readonly longEdgeMm: number;
    readonly shortEdgeMm: number;
    readonly widthMm: number;
    readonly cutAngle: number;
  };
  readonly text: number;
  readonly units: UnitSystem;
}

/** Long edge, short edge, width and included angle, written at one segment. */
function Sizes({ outline, stock, text, units }: SizesProps) {
  const [a, b, c, d] = outline as [Point, Point, Point, Point | undefined];
  const middle = (p: Point, q: Point) => ({ x: (p.x + q.x) / 2, y: (p.y + q.y) / 2 });
  const length = (value: number) => formatLength(mm(value), units);
  const hole = d ? middle(c, d) : c;
  return (
    <>
      <Dimension from={a} to={b} away={text * 1.9} text={text} label={length(stock.longEdgeMm)} />
      {d && <Dimension from={d} to={c} away={-text * 1.5} text={text} label={length(stock.shortEdgeMm)} />}
      <Dimension from={hole} to={middle(a, b)} away={0} text={text} label={length(stock.widthMm)} />
      <AngleMark from={a} to={b} text={text} label={formatAngle(rad(2 * stock.cutAngle))} />
    </>
  );
}

function Corner({
  reach,
  angle,
  text,
  units,
}: {
  reach: number;
  angle: number;
  text: number;
  units: UnitSystem;
}) {
  const [x, y] = [reach * Math.cos(angle), -reach * Math.sin(angle)];
  const [dx, dy] = [x / reach, y / reach];
  return (
    <g fill="#1d2527" stroke="none">
      <line x1={0} y1={0} x2={x} y2={y} stroke="#9f3f12" strokeDasharray={`${text / 3} ${text / 4}`} />
      <text
        className="halo"
        x={x + dx * text}
        y={y + dy * text + text / 3}
        textAnchor={dx < -0.2 ? 'end' : dx > 0.2 ? 'start' : 'middle'}
        fill="#9f3f12"
      >
        corner {formatLength(mm(reach), units)}
      </text>
    </g>
  );
}
