import type { Check } from '../check/check.js';
import { checksOf } from '../check/checks.js';
import { extremes } from '../form/curve.js';
import { brimOf } from '../form/vessel.js';
import { hollowVolume } from '../form/volume.js';
import { type Lumber, lumberFor } from '../lumber/lumber.js';
import type { RingPlan } from '../lumber/ringPlan.js';
import type { RingPieces } from '../lumber/wants.js';
import type { Made } from '../making/contract.js';
import { volumeOf } from '../making/layOut.js';
import { insteadOf } from '../making/registry.js';
import { roundVolume } from '../making/stock.js';
import { type Mm, mm } from '../measure/quantity.js';
import { done, type Result, refuse } from '../measure/reason.js';
import { bandAt, overlap } from '../ring/overlap.js';
import type { Shop } from '../settings/shop.js';
import { leastContact } from '../surface/contact.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import { density, type Species } from '../wood/species.js';
import { finishedVolumes } from './finished.js';
import { type PreparedRing, prepare } from './prepare.js';
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
  here: PreparedRing,
  below: PreparedRing | undefined,
  woodOf: ReadonlyMap<string, string>,
): RingPlan {
  const { ring, course, wall, wallAlong, need, made } = here;
  const figures = {
    index: course.index,
    id: ring.id,
    bottomMm: course.bottomMm,
    topMm: course.topMm,
    wall,
    wallAlong,
    need,
    fixed: ring.fixed !== undefined || ring.measured?.diameterMm !== undefined,
  };
  if (!made.ok)
    return {
      ...figures,
      cornerMm: need.outerMm,
      ...NOT_MADE,
      reasons: made.reasons,
      instead: need.outerMm > 0 ? insteadOf(ring.making, { ...need, ...ring.fixed }) : null,
    };
  const { gives, cornerMm, closed, layers, warnings } = made.value;
  return {
    ...figures,
    ...joint(here, below),
    gives,
    cornerMm,
    closed,
    layers,
    warnings,
    figures: made.value.figures,
    pieces: piecesOf(made.value, course.index, ring.woods, woodOf),
    reasons: [],
    instead: null,
  };
}

const NOT_MADE = {
  gives: null,
  overlapMm: null,
  pieces: [],
  closed: true,
  layers: [],
  figures: [],
  warnings: [],
  contactMm2: null,
} as const;

/** How a ring lies on the one below it: width of the glue joint all round, and least contact where there are gaps. */
function joint(
  { made, turn, wall }: PreparedRing,
  below: PreparedRing | undefined,
): Pick<RingPlan, 'overlapMm' | 'contactMm2'> {
  if (!made.ok || !below?.made.ok) return { overlapMm: null, contactMm2: null };
  const [upper, lower] = [made.value, below.made.value];
  const overlapMm = overlap(bandAt(lower, lower.heightMm), bandAt(upper, 0));
  if (upper.closed && lower.closed) return { overlapMm, contactMm2: null };
  const left = {
    outerMm: Math.min(wall.outerMm, below.wall.outerMm),
    innerMm: Math.max(wall.innerMm, below.wall.innerMm),
  };
  const contactMm2 = leastContact({ made: lower, turn: below.turn }, { made: upper, turn }, left);
  return { overlapMm, contactMm2 };
}

function piecesOf(
  made: Made,
  ring: number,
  woods: readonly string[],
  woodOf: ReadonlyMap<string, string>,
): RingPieces[] {
  return made.kinds.flatMap((kind) => {
    const { stock } = kind;
    const round = stock.from === 'panel' && stock.shape !== 'stave';
    const volumeMm3 = round ? roundVolume(stock) : volumeOf(made.lay(kind.places[0]!), made.heightMm);
    return [...placesByWood(kind.places, woods, woodOf)].map(([wood, places]) => ({
      ring,
      wood,
      kind,
      count: places.length,
      places,
      volumeMm3,
    }));
  });
}

/** The places that have each species. */
function placesByWood(
  places: readonly number[],
  woods: readonly string[],
  woodOf: ReadonlyMap<string, string>,
): Map<string, number[]> {
  const byKey = new Map<string, number[]>();
  for (const place of places) {
    const known = byKey.get(woods[place]!);
    if (known) known.push(place);
    else byKey.set(woods[place]!, [place]);
  }
  const bySpecies = new Map<string, number[]>();
  for (const [key, members] of byKey) {
    const wood = woodOf.get(key)!;
    const known = bySpecies.get(wood);
    bySpecies.set(wood, known ? [...known, ...members].sort((a, b) => a - b) : members);
  }
  return bySpecies;
}
