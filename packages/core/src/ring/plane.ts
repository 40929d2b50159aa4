/** A point in plan: mm from the axis. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

export const NOWHERE: Point = { x: 0, y: 0 };

/** Distance from the axis. (`Math.hypot` guards against an overflow that no lathe meets, and takes ten times as long.) */
export const fromAxis = ({ x, y }: Point): number => Math.sqrt(x * x + y * y);

export const polar = (radius: number, angle: number): Point => ({
  x: radius * Math.cos(angle),
  y: radius * Math.sin(angle),
});

/** The angle brought into [0, 2π). */
export const wrapped = (angle: number): number => {
  const turn = 2 * Math.PI;
  const rest = angle % turn;
  const lifted = rest < 0 ? rest + turn : rest;
  return lifted < turn ? lifted : 0;
};

export const cross = (p: Point, q: Point): number => p.x * q.y - p.y * q.x;

const edges = (outline: readonly Point[]) =>
  outline.map((p, i): readonly [Point, Point] => [p, outline[(i + 1) % outline.length]!]);

/** Whether the axis lies inside a convex outline. */
export const aroundAxis = (outline: readonly Point[]): boolean =>
  edges(outline).every(([p, q]) => cross(p, q) > 0);

/** Radius of the greatest circle about the axis inside a convex outline round it. */
export const reachInside = (outline: readonly Point[]): number =>
  Math.min(...edges(outline).map(([p, q]) => cross(p, q) / Math.hypot(q.x - p.x, q.y - p.y)));

/** A point turned about the axis, radians counter-clockwise. */
export const turnedPoint = (p: Point, by: number): Point => turned([p], by)[0]!;

/** The outline turned about the axis, radians counter-clockwise. */
export function turned(outline: readonly Point[], by: number): Point[] {
  const [cos, sin] = [Math.cos(by), Math.sin(by)];
  return outline.map(({ x, y }) => ({ x: x * cos - y * sin, y: x * sin + y * cos }));
}

/** Area of a polygon, mm², positive when its corners run counter-clockwise (shoelace formula). */
export function area(outline: readonly Point[]): number {
  let twice = 0;
  outline.forEach((p, i) => {
    const q = outline[(i + 1) % outline.length]!;
    twice += p.x * q.y - q.x * p.y;
  });
  return twice / 2;
}

/** Centre of a polygon's area. */
export function centroid(outline: readonly Point[]): Point {
  let [x, y, twice] = [0, 0, 0];
  for (const [p, q] of edges(outline)) {
    const part = cross(p, q);
    x += (p.x + q.x) * part;
    y += (p.y + q.y) * part;
    twice += part;
  }
  return { x: x / (3 * twice), y: y / (3 * twice) };
}
