import type { Point } from '../ring/plane.js';
import { about, cross, dot, movedQuad, type Quad } from './quad.js';

const middleOf = ({ outerFrom, outerTo }: Quad): Point => ({
  x: (outerFrom.x + outerTo.x) / 2,
  y: (outerFrom.y + outerTo.y) / 2,
});

/** A glued ring set on the work by its outside: the middles of its outer edges lie round those that are drawn as well as they can (least squares). */
export function centred(drawn: readonly Quad[], glued: readonly Quad[]): Quad[] {
  const mean = (quads: readonly Quad[]) => {
    const sum = quads.map(middleOf).reduce((a, b) => ({ x: a.x + b.x, y: a.y + b.y }));
    return { x: sum.x / quads.length, y: sum.y / quads.length };
  };
  const [meant, is] = [mean(drawn), mean(glued)];
  let [sin, cos] = [0, 0];
  glued.forEach((quad, i) => {
    const [p, q] = [middleOf(quad), middleOf(drawn[i]!)];
    const [own, its] = [
      { x: p.x - is.x, y: p.y - is.y },
      { x: q.x - meant.x, y: q.y - meant.y },
    ];
    sin += cross(own, its);
    cos += dot(own, its);
  });
  const turn = about(is, Math.atan2(sin, cos));
  const move = { ...turn, x: turn.x + meant.x - is.x, y: turn.y + meant.y - is.y };
  return glued.map((quad) => movedQuad(move, quad));
}
