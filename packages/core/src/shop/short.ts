import type { StripEntry } from '../lumber/lumber.js';
import type { RingPlan } from '../lumber/ringPlan.js';
import { type Said, say, sayMm, sayRad } from '../measure/said.js';
import { SAME_ANGLE, SAME_LENGTH } from '../measure/tolerance.js';
import { type Owner, ringOwner, sameOwner } from '../ring/owner.js';
import { meantRing } from './meant.js';

/** A way to close a ring that one piece is missing from, with what it costs. */
export interface Help {
  readonly id: 'spare' | 'shorter' | 'one-less' | 'triangles';
  readonly name: string;
  readonly does: Said;
  readonly price: Said;
}

type Ring = Pick<RingPlan, 'id' | 'index' | 'pieces' | 'closed' | 'wall' | 'figures'>;

/**
 * What the offcuts still give when a ring is one piece short: a spare of other stops recut, all pieces trimmed to what the rest of a strip
 * gives, one count less; the two end triangles of a board that was sliced. `titleOf` names the owners.
 */
export function shortOfOne(
  ring: Ring,
  strips: readonly StripEntry[],
  titleOf: (owner: Owner) => string,
): Help[] {
  const meant = meantRing(ring);
  const helps: Help[] = [];
  const spare = spareFor(ring, strips);
  if (spare)
    helps.push({
      id: 'spare',
      name: 'Recut a spare of a longer stop',
      does: say`A spare${spare.of ? say` of ${titleOf(spare.of)}` : ''} has a long edge of ${sayMm(spare.longEdgeMm)}: trim it to ${sayMm(spare.wantedMm, 'stop')}, the same off both ends.`,
      price: 'Nothing but the spare.',
    });
  if (meant.ok) {
    const { count, longEdgeMm, widthMm } = meant.value;
    const { outerRadiusMm, innerRadiusMm } = ring.wall;
    const least = 2 * outerRadiusMm * Math.tan(Math.PI / count);
    if (least < longEdgeMm - SAME_LENGTH)
      helps.push({
        id: 'shorter',
        name: 'Trim all to a shorter stop',
        does: say`A rest of the strip whose long edge is at least ${sayMm(least)} will do: trim all ${count} pieces to it, the same off both ends.`,
        price: say`At the least the ring just holds the wall: up to ${sayMm((longEdgeMm - least) / (2 * Math.tan(Math.PI / count)))} of its outside allowance goes.`,
      });
    if (count > 3) {
      const angle = Math.PI / (count - 1);
      const outer = longEdgeMm / (2 * Math.tan(angle));
      const short = Math.max(outerRadiusMm - outer, outer - widthMm - innerRadiusMm);
      helps.push({
        id: 'one-less',
        name: 'One piece less',
        does: say`Recut the ${count - 1} that there are at ${sayRad(angle, 'cut-angle')} against the same stop.`,
        price:
          short > SAME_LENGTH
            ? say`Its outer flat comes to ${sayMm(outer)} radius: it fails to hold the wall by ${sayMm(short)}, and the form has to follow. The pattern goes round once less.`
            : say`Its outer flat comes to ${sayMm(outer)} radius and still holds the wall. The pattern goes round once less.`,
      });
    }
  }
  if (ring.figures.some(({ key, value }) => key === 'slices-from-the-ends' && value > 0))
    helps.push({
      id: 'triangles',
      name: 'Glue the two end triangles',
      does: 'The ends of a board that was sliced at an angle are two triangles: cut square and glued together by their square faces, layers in line, they are one slice more.',
      price: 'An upright glue line in the face of that slice; put it where the foot or a joint hides it.',
    });
  return helps;
}

/** A spare with a longer stop at the same setting of the saw, wide and thick enough, of a wood of the ring; the shortest that will do. */
function spareFor(ring: Ring, strips: readonly StripEntry[]) {
  const owner = ringOwner(ring.id);
  const own = strips.flatMap((list) =>
    list.cuts.flatMap((cut) =>
      cut.owner && sameOwner(cut.owner, owner) && cut.purpose === 'piece' ? [{ list, cut }] : [],
    ),
  );
  const found = own.flatMap(({ list, cut }) =>
    strips.flatMap((other) =>
      other.wood === list.wood &&
      Math.abs(other.cutAngle - list.cutAngle) < SAME_ANGLE &&
      Math.abs(other.bladeTilt - list.bladeTilt) < SAME_ANGLE &&
      other.widthMm > list.widthMm - SAME_LENGTH &&
      other.thicknessMm > list.thicknessMm - SAME_LENGTH
        ? other.cuts.flatMap((spare) =>
            spare.purpose === 'spare' && spare.longEdgeMm > cut.longEdgeMm + SAME_LENGTH
              ? [{ of: spare.owner, longEdgeMm: spare.longEdgeMm, wantedMm: cut.longEdgeMm }]
              : [],
          )
        : [],
    ),
  );
  return found.sort((a, b) => a.longEdgeMm - b.longEdgeMm)[0] ?? null;
}
