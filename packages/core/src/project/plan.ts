import type { Check } from '../check/check.js';
import { checksOf } from '../check/checks.js';
import { extremes } from '../form/curve.js';
import { brimOf, type Vessel } from '../form/vessel.js';
import { hollowVolume } from '../form/volume.js';
import { type Lumber, lumberFor } from '../lumber/lumber.js';
import type { RingPlan } from '../lumber/ringPlan.js';
import { placesOf } from '../making/registry.js';
import { remembered, rememberedWhenFrozen } from '../measure/memo.js';
import { type Mm, mm } from '../measure/quantity.js';
import { done, type Result, refuse } from '../measure/reason.js';
import { say } from '../measure/said.js';
import { rollOf } from '../ring/owner.js';
import type { Shop } from '../settings/shop.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import { density, type Species } from '../wood/species.js';
import { type PlannedBand, plannedBands } from './bands.js';
import { type PlannedBlank, plannedBlanks, withBlanks } from './blanks.js';
import { finishedVolumes } from './finished.js';
import { finishedWithInlays, withInlays } from './inlays.js';
import { finishedWithLetIn, withLetIn } from './letIn.js';
import { prepare } from './prepare.js';
import { ringPlan } from './ringFigures.js';
import { rippingOf } from './ripping.js';
import type { Project } from './schema.js';

export interface Plan {
  readonly heightMm: Mm;
  readonly diameterMm: Mm;
  /** What the piece holds, filled to the lip of its body; 0 where it is closed at both ends. */
  readonly capacityMm3: number;
  /** Wood left in the turned piece. */
  readonly woodMm3: number;
  readonly massKg: number;
  readonly pieces: number;
  /** What was sawn off at the lathe and is in none of the other figures. */
  readonly sawnOff: { readonly rings: number; readonly pieces: number };
  readonly rings: readonly RingPlan[];
  /** Blanks beside the stack; their pieces are in all totals, as whole as they are sawn. */
  readonly blanks: readonly PlannedBlank[];
  /** Slanted bands with their boards, in the order in which they are made. */
  readonly slants: readonly PlannedBand[];
  readonly lumber: Lumber;
  readonly checks: readonly Check[];
}

/** Species by palette key. */
const woodsBy = rememberedWhenFrozen(
  (palette: Project['palette']): ReadonlyMap<string, string> =>
    new Map(palette.map(({ key, wood }) => [key, wood])),
);

/** What it holds, filled to the lip of its body, mm³; nothing where it has no mouth. */
const capacityOf = remembered((vessel: Vessel) =>
  vessel.joined ? 0 : hollowVolume(vessel, 0, brimOf(vessel)),
);

function sawnOffOf({ sawnOff = [] }: Pick<Project, 'sawnOff'>): Plan['sawnOff'] {
  const rings = sawnOff.flatMap(({ rings }) => rings);
  // A slanted band is one board.
  const bands = sawnOff.reduce((sum, { slants = [] }) => sum + slants.length, 0);
  return { rings: rings.length, pieces: rings.reduce((sum, { making }) => sum + placesOf(making), bands) };
}

/**
 * Everything that is computed from a project: `prepared` may be handed in when it is at hand already. Fails when the
 * form cannot be, or when the palette names a wood that `woods` does not have.
 */
export function plan(
  project: Project,
  shop: Shop,
  woods: readonly Species[] = SHIPPED_WOODS,
  prepared = prepare(project, rippingOf(shop)),
): Result<Plan> {
  if (!prepared.ok) return prepared;
  const known = new Map(woods.map((species) => [species.id, species]));
  const unknown = project.palette.findIndex((entry) => !known.has(entry.wood));
  if (unknown >= 0)
    return refuse(
      'species-unknown',
      `palette.${unknown}.wood`,
      say`The palette names the wood “${project.palette[unknown]!.wood}”, which is not among the woods here.`,
    );
  const woodOf = woodsBy(project.palette);
  const { vessel, shut, rings, bands, overTopMm, underFootMm } = prepared.value;
  const alone = rings.map((ring, i) => ringPlan(ring, rings[i - 1], woodOf, shop));
  const plans = withInlays(withLetIn(alone, project, woodOf), prepared.value, woodOf);
  const blanks = plannedBlanks(project, vessel, woodOf);
  const beside = blanks.flatMap(({ pieces }) => pieces);
  const slants = plannedBands(bands, woodOf);
  const left = finishedVolumes(prepared.value, alone, woodOf);
  const inlaid = finishedWithInlays(left, prepared.value, woodOf);
  const finished = withBlanks(finishedWithLetIn(inlaid, alone[0], project, woodOf), beside);
  const roll = rollOf({ rings: plans, slants, blanks });
  const lots = [...plans, ...slants, ...blanks].map(({ pieces }) => pieces);
  const lumber = lumberFor(lots, finished, shop, roll);
  const mass = [...finished].reduce(
    (sum, [wood, volume]) => sum + (volume * density(known.get(wood)!)) / 1e9,
    0,
  );
  return done({
    heightMm: mm(vessel.heightMm),
    diameterMm: mm(2 * extremes(vessel.outside, 0, vessel.heightMm).most),
    capacityMm3: capacityOf(vessel),
    woodMm3: [...finished.values()].reduce((a, b) => a + b, 0),
    massKg: mass,
    pieces: lumber.woods.reduce((sum, { pieces }) => sum + pieces, 0),
    sawnOff: sawnOffOf(project),
    rings: plans,
    blanks,
    slants,
    lumber,
    checks: checksOf({
      shop,
      vessel,
      shut,
      rings: plans,
      bands: bands.map(({ slant, lengthMm, widthMm, leastMm }) => ({
        id: slant.id,
        lengthMm,
        widthMm,
        leastMm,
      })),
      inlays: prepared.value.inlays,
      over: { topMm: overTopMm, footMm: underFootMm },
      lumber,
      roll,
      blanks,
      palette: project.palette,
      motifs: project.motifs,
    }),
  });
}
