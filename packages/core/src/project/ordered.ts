import { jointRuns, leans } from '../making/registry.js';
import { done, type Result } from '../measure/reason.js';
import type { Shop } from '../settings/shop.js';
import { type OrderedPiece, orderOf } from '../shop/order/order.js';
import type { LeaningJoint } from '../shop/order/placing.js';
import { stepAtJoint } from '../surface/steps.js';
import type { Species } from '../wood/species.js';
import { type AtTheLathe, atTheLathe } from './atTheLathe.js';
import { type Plan, plan } from './plan.js';
import { type Prepared, type PreparedRing, prepare } from './prepare.js';
import type { PreparedBand } from './preparedBand.js';
import { rippingOf } from './ripping.js';
import type { Project } from './schema.js';

/** The order of work of a piece, by the ways to build it that were chosen for it. Fails where its plan does. */
export function workOf(project: Project, shop: Shop, woods: readonly Species[]): Result<OrderedPiece> {
  const prepared = prepare(project, rippingOf(shop));
  if (!prepared.ok) return prepared;
  const planned = plan(project, shop, woods, prepared);
  if (!planned.ok) return planned;
  const lathe = atTheLathe(prepared.value, project, woods, shop);
  return done(workPlanned(prepared.value, planned.value, lathe, shop, project));
}

/** The same of what is at hand. */
export const workPlanned = (
  prepared: Pick<Prepared, 'turned' | 'rings' | 'bands' | 'inlays'>,
  { rings, slants, blanks }: Pick<Plan, 'rings' | 'slants' | 'blanks'>,
  { slender, densities, balance }: Pick<AtTheLathe, 'slender' | 'densities' | 'balance'>,
  shop: Shop,
  { schools, letIn, finish }: Pick<Project, 'schools' | 'letIn' | 'finish'> = {},
): OrderedPiece => {
  const met = prepared.bands.map((band) => ringsMet(band, prepared.rings));
  const ordered = {
    vessel: prepared.turned,
    plan: { rings, blanks, slants: slants.map((slant, i) => ({ ...slant, meets: met[i]! })) },
    along: densities.map((density, i) => ({
      density,
      slender: slender.includes(i),
      leaning: leaningAt(prepared.rings[i - 1], prepared.rings[i]!),
    })),
    offMm: balance.offMm,
    letIn: letIn ?? null,
    finish,
    inlays: prepared.inlays.flatMap(({ inlay, placed }) =>
      placed.ok ? [{ inlay, placed: placed.value }] : [],
    ),
  };
  return orderOf(ordered, shop, schools);
};

/** The lowest and the highest ring that a slanted band goes through, out to the corners of what is glued up. */
function ringsMet(
  { slant, reaches, made }: PreparedBand,
  rings: Prepared['rings'],
): readonly [number, number] {
  const turned = reaches.flatMap(({ fromMm, toMm }) => [fromMm, toMm]);
  const middle = (Math.min(...turned) + Math.max(...turned)) / 2;
  const rise = made.gives.outerRadiusMm * Math.tan((slant.slantDeg * Math.PI) / 180) + slant.thicknessMm;
  const met = rings.flatMap(({ stands }, i) =>
    stands.topMm > middle - rise && stands.bottomMm < middle + rise ? [i] : [],
  );
  return [met[0] ?? 0, met.at(-1) ?? rings.length - 1];
}

/** How the joints of two rings meet at the smaller of their outsides, where both lean. */
function leaningAt(lower: PreparedRing | undefined, upper: PreparedRing): LeaningJoint | null {
  if (!lower?.made.ok || !upper.made.ok) return null;
  const radiusMm = Math.min(lower.wall.outerRadiusMm, upper.wall.outerRadiusMm);
  const [below, above] = [lower, upper].map(({ ring: { making }, size }) =>
    leans(making) ? jointRuns(making, size, radiusMm) : null,
  );
  // Wedges that are glued alternately upside down run nowhere.
  if (!below?.toTop || !above?.toBottom) return null;
  const stepMm = stepAtJoint(
    { made: lower.made.value, turn: lower.turn },
    { made: upper.made.value, turn: upper.turn },
    radiusMm,
  );
  return { radiusMm, meetRad: below.toTop - above.toBottom, stepMm };
}
