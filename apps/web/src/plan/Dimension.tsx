import type { Point } from '@fellside/core';

interface DimensionProps {
  readonly from: Point;
  readonly to: Point;
  /** How far from the edge the line stands, to the right of the way from one end to the other; 0: on it. */
  readonly away: number;
  /** Height of the text, in the drawing's unit. */
  readonly text: number;
  readonly label: string;
}

/** A dimension line in plan (y away from the eye): its arrows touch the ends that it measures. */
export function Dimension({ from, to, away, text, label }: DimensionProps) {
  const length = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  const along = { x: (to.x - from.x) / length, y: (to.y - from.y) / length };
  const aside = { x: along.y, y: -along.x };
  const moved = (p: Point) => ({ x: p.x + aside.x * away, y: -(p.y + aside.y * away) });
  const [a, b] = [moved(from), moved(to)];
  const tilt = (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI;
  const upright = tilt > 90 || tilt <= -90 ? tilt + 180 : tilt;
  const [x, y] = [(a.x + b.x) / 2, (a.y + b.y) / 2];
  const tick = text / 2.6;
  return (
    <g stroke="#1d2527" fill="none">
      {away !== 0 && (
        <path d={`M${from.x} ${-from.y}L${a.x} ${a.y}M${to.x} ${-to.y}L${b.x} ${b.y}`} strokeOpacity="0.4" />
      )}
      <path d={`M${a.x} ${a.y}L${b.x} ${b.y}`} />
      {[a, b].map((end, i) => {
        const turn = ((tilt + (i === 0 ? 0 : 180)) * Math.PI) / 180;
        const wing = (by: number) =>
          `${end.x + tick * Math.cos(turn + by)} ${end.y + tick * Math.sin(turn + by)}`;
        return <path key={i === 0 ? 'from' : 'to'} d={`M${wing(0.35)}L${end.x} ${end.y}L${wing(-0.35)}`} />;
      })}
      <text
        className="halo"
        stroke="none"
        fill="#1d2527"
        fontWeight="650"
        textAnchor="middle"
        transform={`translate(${x} ${y}) rotate(${upright})`}
        dy={-text / 4}
      >
        {label}
      </text>
    </g>
  );
}

/** The included angle of a segment, marked at the axis. */
export function AngleMark({ from, to, text, label }: Omit<DimensionProps, 'away'>) {
  const radius = 0.3 * Math.hypot(from.x, from.y);
  const at = (p: Point, r: number) => {
    const far = Math.hypot(p.x, p.y);
    return { x: (p.x / far) * r, y: (-p.y / far) * r };
  };
  const [a, b] = [at(from, radius), at(to, radius)];
  const middle = at({ x: from.x + to.x, y: from.y + to.y }, radius - text);
  return (
    <g stroke="#1d2527" fill="none">
      <path
        d={`M0 0L${at(from, radius * 1.15).x} ${at(from, radius * 1.15).y}M0 0L${at(to, radius * 1.15).x} ${at(to, radius * 1.15).y}`}
        strokeOpacity="0.4"
      />
      <path d={`M${a.x} ${a.y}A${radius} ${radius} 0 0 0 ${b.x} ${b.y}`} />
      <text
        className="halo"
        stroke="none"
        fill="#1d2527"
        textAnchor="middle"
        x={middle.x}
        y={middle.y + text / 3}
      >
        {label}
      </text>
    </g>
  );
}
