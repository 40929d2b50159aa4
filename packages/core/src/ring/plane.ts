/** A point in plan: mm from the axis. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

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

/** Area of a polygon, mm², positive when its corners run counter-clockwise (shoelace formula). */
export function area(outline: readonly Point[]): number {
  let twice = 0;
  outline.forEach((p, i) => {
    const q = outline[(i + 1) % outline.length]!;
    twice += p.x * q.y - q.x * p.y;
  });
  return twice / 2;
}
