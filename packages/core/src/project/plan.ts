import type { Check } from '../check/check.js';
import { checksOf } from '../check/checks.js';
import { extremes } from '../form/curve.js';
import { brimOf } from '../form/vessel.js';
import { hollowVolume } from '../form/volume.js';
import { type Lumber, lumberFor } from '../lumber/lumber.js';
import type { RingPlan } from '../lumber/ringPlan.js';
import { type Mm, mm } from '../measure/quantity.js';
import { done, type Result, refuse } from '../measure/reason.js';
import { overlap } from '../ring/overlap.js';
import type { Shop } from '../settings/shop.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import { density, type Species } from '../wood/species.js';
import { finishedVolumes } from './finished.js';
import { heightOf, type PreparedRing, prepare } from './prepare.js';
import type { Project } from './schema.js';

export interface Plan {
  readonly heightMm: Mm;
  readonly diameterMm: Mm;
  /** What the piece holds, filled to the lip of its body. */
  readonly capacityMm3: number;
  /** Wood left in the turned piece. */
  readonly woodMm3: number;
  readonly massKg: number;
  readonly pieces: number;
  readonly rings: readonly RingPlan[];
  readonly lumber: Lumber;
  readonly checks: readonly Check[];
}

/**
 * Everything that is computed from a project: `prepared` may be handed in when it is at hand already. Fails when the
 * form cannot be, or when the palette names a wood that `woods` does not have.
 */
export function plan(
  project: Project,
  shop: Shop,
  woods: readonly Species[] = SHIPPED_WOODS,
  prepared = prepare(project),
): Result<Plan> {
  if (!prepared.ok) return prepared;
  const known = new Map(woods.map((species) => [species.id, species]));
  const unknown = project.palette.findIndex((entry) => !known.has(entry.wood));
  if (unknown >= 0)
    return refuse(
      'species-unknown',
      `palette.${unknown}.wood`,
      `The palette names the wood “${project.palette[unknown]!.wood}”, which is not among the woods here.`,
    );
  const woodOf = new Map(project.palette.map((entry) => [entry.key, entry.wood]));
  const { vessel, rings } = prepared.value;
  const plans = rings.map((ring, i) => ringPlan(ring, rings[i - 1], woodOf));
  const finished = finishedVolumes(prepared.value, plans);
  const lumber = lumberFor(
    plans.flatMap((ring) => ring.pieces),
    project.rings.map(heightOf),
    finished,
    shop,
  );
  const mass = [...finished].reduce(
    (sum, [wood, volume]) => sum + (volume * density(known.get(wood)!)) / 1e9,
    0,
  );
  return done({
    heightMm: mm(vessel.heightMm),
    diameterMm: mm(2 * extremes(vessel.outside, 0, vessel.heightMm).most),
    capacityMm3: hollowVolume(vessel, 0, brimOf(vessel)),
    woodMm3: [...finished.values()].reduce((a, b) => a + b, 0),
    massKg: mass,
    pieces: plans.reduce((sum, ring) => sum + ring.pieces.reduce((n, { count }) => n + count, 0), 0),
    rings: plans,
    lumber,
    checks: checksOf({ shop, vessel, rings: plans, lumber }),
  });
}

function ringPlan(
  { ring, course, wall, need, made }: PreparedRing,
  below: PreparedRing | undefined,
  woodOf: ReadonlyMap<string, string>,
): RingPlan {
  const figures = {
    index: course.index,
    id: ring.id,
    bottomMm: course.bottomMm,
    topMm: course.topMm,
    wall,
    need,
    gives: made.ok ? made.value.gives : null,
    fixed: ring.fixed !== undefined || ring.measured?.diameterMm !== undefined,
  };
  if (!made.ok)
    return { ...figures, cornerMm: need.outerMm, overlapMm: null, pieces: [], reasons: made.reasons };
  const pieces = made.value.kinds.flatMap((kind) =>
    [...woodsIn(kind.places, ring.woods, woodOf)].map(([wood, count]) => ({
      ring: course.index,
      wood,
      kind,
      count,
    })),
  );
  const overlapMm = below?.made.ok ? overlap(below.made.value.gives, made.value.gives) : null;
  return { ...figures, cornerMm: made.value.cornerMm, overlapMm, pieces, reasons: [] };
}

/** How many of the places have each species. */
function woodsIn(
  places: readonly number[],
  woods: readonly string[],
  woodOf: ReadonlyMap<string, string>,
): Map<string, number> {
  const byKey = new Map<string, number>();
  for (const place of places) byKey.set(woods[place]!, (byKey.get(woods[place]!) ?? 0) + 1);
  const bySpecies = new Map<string, number>();
  for (const [key, count] of byKey)
    bySpecies.set(woodOf.get(key)!, (bySpecies.get(woodOf.get(key)!) ?? 0) + count);
  return bySpecies;
}
