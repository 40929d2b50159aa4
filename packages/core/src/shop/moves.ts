import type { RingPlan } from '../lumber/ringPlan.js';
import { changeCoefficient } from '../wood/movement.js';
import type { Species } from '../wood/species.js';

/** A piece of wood, or a ring of them, as it moves in its own plane for each % of moisture: across a direction, or all round. */
interface Strain {
  /** As a share of its size, for each %. */
  readonly share: number;
  /** Direction across which it moves, radians; null where it moves alike all round. */
  readonly across: number | null;
  readonly wood: string;
}

/** Two things that are glued to each other and do not move alike. */
export interface Moving {
  /** What of the ring moves. */
  readonly what: 'disc' | 'plug' | 'staves' | 'wedges';
  /** By the places of the rings: a plug against its own ring names it twice. */
  readonly ring: number;
  readonly against: number;
  readonly wood: string;
  /** Radius up to which they are glued, mm. */
  readonly radiusMm: number;
  /** By how much one moves against the other on each side of the axis, over the change of moisture that was asked, mm. */
  readonly sideMm: number;
}

/** More than this on a side, a joint opens or wood cracks sooner or later (mm; a working value of this project). */
export const MOST_SIDE = 0.25;

/**
 * How much glued things move against each other as wood goes from one moisture to another, `percent` of it: a disc moves
 * `D·CT·ΔM` across its grain and nothing along it; a ring of segments with the grain round it keeps its diameter; staves and
 * wedges with the grain outwards move all round. For two things the difference of their strains counts, in the direction
 * in which it is largest. `C` is the tangential coefficient of the Wood Handbook: the worst that a board can do.
 */
export function movingOf(
  rings: readonly RingPlan[],
  woods: ReadonlyMap<string, Species>,
  percent: number,
): Moving[] {
  const all = rings.map((ring) => strainOf(ring, woods));
  const moving: Moving[] = [];
  rings.forEach((ring, i) => {
    const plug = plugOf(ring, woods);
    if (plug)
      moving.push({
        what: 'plug',
        ring: i,
        against: i,
        ...plug,
        sideMm: plug.radiusMm * plug.share * percent,
      });
    const above = rings[i + 1];
    if (!above) return;
    const [low, high] = [all[i]!, all[i + 1]!];
    const radiusMm = Math.min(ring.wall.outerRadiusMm, above.wall.outerRadiusMm);
    const share = differ(low, high);
    if (share <= 0 || radiusMm <= 0) return;
    const [own, other, worse] = low.share >= high.share ? [i, i + 1, low] : [i + 1, i, high];
    moving.push({
      what: whatOf(rings[own]!),
      ring: own,
      against: other,
      wood: worse.wood,
      radiusMm,
      sideMm: radiusMm * share * percent,
    });
  });
  return moving.sort((a, b) => b.sideMm - a.sideMm);
}

const coefficient = (wood: string, woods: ReadonlyMap<string, Species>): number =>
  changeCoefficient(woods.get(wood)?.shrinkage?.tangential ?? 0);

const isPanel = (ring: RingPlan, shape: 'disc' | 'plug') =>
  ring.pieces.find(({ kind: { stock } }) => stock.from === 'panel' && stock.shape === shape);

function strainOf(ring: RingPlan, woods: ReadonlyMap<string, Species>): Strain {
  const disc = isPanel(ring, 'disc');
  if (disc)
    return { share: coefficient(disc.wood, woods), across: ring.turn.angle + Math.PI / 2, wood: disc.wood };
  // A joint of the ring stretches by what lies in it: each piece by its share of the way round.
  let [whole, stretched, most] = [0, 0, 0];
  let wood = ring.pieces[0]?.wood ?? '';
  for (const piece of ring.pieces) {
    const volume = piece.count * piece.volumeMm3;
    whole += volume;
    if (piece.kind.grain !== 'upright' && piece.kind.grain !== 'outwards') continue;
    const part = volume * coefficient(piece.wood, woods);
    stretched += part;
    if (part > most) [most, wood] = [part, piece.wood];
  }
  return { share: whole > 0 ? stretched / whole : 0, across: null, wood };
}

function plugOf(ring: RingPlan, woods: ReadonlyMap<string, Species>) {
  const plug = isPanel(ring, 'plug');
  if (plug?.kind.stock.from !== 'panel' || isPanel(ring, 'disc')) return null;
  const share = coefficient(plug.wood, woods);
  return share > 0 ? { wood: plug.wood, radiusMm: plug.kind.stock.widthMm / 2, share } : null;
}

const whatOf = (ring: RingPlan): Moving['what'] =>
  isPanel(ring, 'disc')
    ? 'disc'
    : ring.pieces.some(({ kind }) => kind.grain === 'upright')
      ? 'staves'
      : 'wedges';

/** The largest stretch that one strain has and the other has not: the greater eigenvalue of their difference, by size. */
function differ(a: Strain, b: Strain): number {
  const [xx, xy, yy] = [tensor(a), tensor(b)].reduce((p, q) => [p[0] - q[0], p[1] - q[1], p[2] - q[2]]);
  const middle = (xx + yy) / 2;
  const radius = Math.hypot((xx - yy) / 2, xy);
  return Math.max(Math.abs(middle + radius), Math.abs(middle - radius));
}

function tensor({ share, across }: Strain): [number, number, number] {
  if (across === null) return [share, 0, share];
  const [cos, sin] = [Math.cos(across), Math.sin(across)];
  return [share * cos * cos, share * cos * sin, share * sin * sin];
}
