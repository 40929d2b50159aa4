import { formatAngle, formatLength, mm, type Point, rad, type UnitSystem } from '@fellside/core';
import { AngleMark, Dimension } from './Dimension.js';

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
export function Sizes({ outline, stock, text, units }: SizesProps) {
  const [a, b, c, d] = outline as [Point, Point, Point, Point | undefined];
  /** A piece with a drilled rim has more corners, and its short edge is gone. */
  const whole = d && outline.length === 4;
  const length = (value: number) => formatLength(mm(value), units);
  const out = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
  const edge = Math.hypot(b.x - a.x, b.y - a.y);
  const inward = { x: -(b.y - a.y) / edge, y: (b.x - a.x) / edge };
  const hole = { x: out.x + inward.x * stock.widthMm, y: out.y + inward.y * stock.widthMm };
  return (
    <>
      <Dimension from={a} to={b} away={text * 1.9} text={text} label={length(stock.longEdgeMm)} />
      {whole && (
        <Dimension from={d} to={c} away={-text * 1.5} text={text} label={length(stock.shortEdgeMm)} />
      )}
      <Dimension from={hole} to={out} away={0} text={text} label={length(stock.widthMm)} />
      <AngleMark from={a} to={b} text={text} label={formatAngle(rad(2 * stock.cutAngle))} />
    </>
  );
}

/** The blank's corner radius, from the axis to a corner. */
export function Corner({
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
