import { done, type Result } from '../measure/reason.js';
import type { Shop } from '../settings/shop.js';
import { type OrderedPiece, orderOf } from '../shop/order/order.js';
import type { Species } from '../wood/species.js';
import { type AtTheLathe, atTheLathe } from './atTheLathe.js';
import { type Plan, plan } from './plan.js';
import { type Prepared, prepare } from './prepare.js';
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
  { vessel }: Pick<Prepared, 'vessel'>,
  planned: Pick<Plan, 'rings' | 'slants' | 'blanks'>,
  { flex, balance }: Pick<AtTheLathe, 'flex' | 'balance'>,
  shop: Shop,
  { schools, letIn }: Pick<Project, 'schools' | 'letIn'> = {},
): OrderedPiece => {
  const steady = flex.map(({ steady }) => steady);
  const ordered = { vessel, plan: planned, steady, offMm: balance.offMm, letIn: letIn ?? null };
  return orderOf(ordered, shop, schools);
};
