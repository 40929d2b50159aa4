import { radiusAt } from '../form/curve.js';
import { LEAST_RIM } from '../form/recess.js';
import type { Vessel } from '../form/vessel.js';
import type { OwnedPieces } from '../lumber/owned.js';
import type { RingPlan } from '../lumber/ringPlan.js';
import { mm } from '../measure/quantity.js';
import type { Reason } from '../measure/reason.js';
import { type Said, say, sayMm } from '../measure/said.js';
import { ringOwner } from '../ring/owner.js';
import type { Project } from './schema.js';

/** A disc let into the bottom: it hides where the work was gripped, and carries name and date. */
export type LetIn = NonNullable<Project['letIn']>;

const volumeOf = ({ radiusMm, depthMm }: LetIn): number => Math.PI * radiusMm ** 2 * depthMm;

/** The lowest ring with the disc among its pieces; the rings as they are where none is let in. */
export function withLetIn(
  rings: readonly RingPlan[],
  { letIn }: Pick<Project, 'letIn'>,
  woodOf: ReadonlyMap<string, string>,
): readonly RingPlan[] {
  const [lowest, ...rest] = rings;
  if (!letIn || !lowest) return rings;
  const across = mm(2 * letIn.radiusMm);
  const disc: OwnedPieces = {
    owner: ringOwner(lowest.id),
    wood: woodOf.get(letIn.wood)!,
    kind: {
      name: 'disc let into the bottom',
      grain: 'across',
      heightMm: letIn.depthMm,
      stock: { from: 'panel', shape: 'disc', lengthMm: across, widthMm: across, thicknessMm: letIn.depthMm },
      places: [],
    },
    count: 1,
    places: [],
    volumeMm3: volumeOf(letIn),
    sanded: 1,
  };
  return [{ ...lowest, pieces: [...lowest.pieces, disc] }, ...rest];
}

/** Volumes left by wood with the disc's, taken from the woods of the lowest ring by their share of it. */
export function finishedWithLetIn(
  finished: ReadonlyMap<string, number>,
  lowest: Pick<RingPlan, 'pieces'> | undefined,
  { letIn }: Pick<Project, 'letIn'>,
  woodOf: ReadonlyMap<string, string>,
): ReadonlyMap<string, number> {
  if (!letIn || !lowest) return finished;
  const all = new Map(finished);
  const add = (wood: string, volume: number) => all.set(wood, (all.get(wood) ?? 0) + volume);
  const whole = lowest.pieces.reduce((sum, { count, volumeMm3 }) => sum + count * volumeMm3, 0);
  add(woodOf.get(letIn.wood)!, volumeOf(letIn));
  for (const { wood, count, volumeMm3 } of lowest.pieces)
    if (whole > 0) add(wood, (-volumeOf(letIn) * count * volumeMm3) / whole);
  return all;
}

/** Why a disc cannot be let in: through the floor, or no rim round it; in a palette wood that is not there. */
export function letInReasons(
  { letIn }: Pick<Project, 'letIn'>,
  keys: readonly string[],
  vessel: Vessel,
): Reason[] {
  if (!letIn) return [];
  const reasons: Reason[] = [];
  const add = (path: string, message: Said, most: number) =>
    reasons.push({ code: 'let-in', path: `letIn.${path}`, message, limits: { most } });
  if (!keys.includes(letIn.wood))
    reasons.push({
      code: 'wood-unknown',
      path: 'letIn.wood',
      message: `The disc let into the bottom uses “${letIn.wood}”, which is not in the palette.`,
    });
  const floor = vessel.hollowFromMm - LEAST_RIM - (vessel.recess?.depthMm ?? 0);
  if (letIn.depthMm > floor)
    add(
      'depthMm',
      say`The disc is let in ${sayMm(letIn.depthMm)} deep; the floor leaves ${sayMm(Math.max(0, floor))}.`,
      floor,
    );
  const rim = radiusAt(vessel.outside, 0) - LEAST_RIM;
  if (letIn.radiusMm > rim)
    add(
      'radiusMm',
      say`The disc is ${sayMm(letIn.radiusMm)} in radius; the foot takes one of ${sayMm(rim)} with a rim round it.`,
      rim,
    );
  return reasons;
}
