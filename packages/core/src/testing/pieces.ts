import { STARTING_SHAPES } from '../form/starting.js';
import { type Vessel, vesselOf } from '../form/vessel.js';
import { accountsOf } from '../lumber/layout/account.js';
import { laidAtOnce } from '../lumber/layout/atOnce.js';
import type { WoodLedger } from '../lumber/ledger.js';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { type Command, run } from '../project/commands/command.js';
import { type Plan, plan } from '../project/plan.js';
import { prepare } from '../project/prepare.js';
import { rippingOf } from '../project/ripping.js';
import type { Project } from '../project/schema.js';
import { type Beginning, startProject } from '../project/start.js';
import { type Owner, type Roll, rollOf } from '../ring/owner.js';
import { DEFAULT_SHOP, type Shop } from '../settings/shop.js';

export const change = (project: Project, command: Command) => {
  const done = run(project, command, rippingOf(DEFAULT_SHOP));
  if (!done.ok) throw new Error(plain(done.reasons[0]!.message));
  return done.value;
};
export const after = (project: Project, ...commands: Command[]): Project =>
  commands.reduce((now, command) => change(now, command).project, project);
export const refusal = (project: Project, command: Command) => {
  const done = run(project, command);
  return done.ok ? '' : plain(done.reasons[0]!.message);
};
export const rings = (project: Project) => {
  const prepared = prepare(project);
  if (!prepared.ok) throw new Error(plain(prepared.reasons[0]!.message));
  return prepared.value.rings;
};
export const planned = (project: Project) => {
  const made = plan(project, DEFAULT_SHOP);
  if (!made.ok) throw new Error(plain(made.reasons[0]!.message));
  return made.value;
};

/** A new piece of a starting shape, 200 wide and as high as the shape is, or otherwise. */
export const started = (shape: string, change: Partial<Beginning> = {}): Project => {
  const { proportion } = STARTING_SHAPES.find(({ id }) => id === shape)!;
  const diameterMm = change.diameterMm ?? mm(200);
  const begun = startProject({
    name: 'New piece',
    shape,
    heightMm: mm(diameterMm * proportion),
    wallMm: mm(8),
    ringHeightMm: mm(19.05),
    count: 12,
    woods: ['sugar-maple', 'black-walnut'],
    ...change,
    diameterMm,
  });
  if (!begun.ok) throw new Error(plain(begun.reasons[0]!.message));
  return begun.value;
};

/** The accounts of all woods, laid out at once on what the yard sells. */
export const accounts = (project: Project, shop: Shop = DEFAULT_SHOP) => {
  const made = plan(project, shop);
  if (!made.ok) throw new Error(plain(made.reasons[0]!.message));
  const { lumber } = made.value;
  return accountsOf(lumber, laidAtOnce(lumber, [], shop, rollOf(made.value)), shop);
};
/** One figure of all accounts together, mm³. */
export const accounted = (project: Project, of: keyof WoodLedger, shop?: Shop): number =>
  accounts(project, shop).reduce((sum, { ledger }) => sum + ledger[of], 0);

/** A roll without anybody on it, where names do not matter. */
export const NOBODY: Roll = rollOf({ rings: [] });
/** Where an owner stands in a piece, rings from 0; −1 of none. */
export const placeIn =
  (piece: Parameters<typeof rollOf>[0]) =>
  (owner: Owner | null): number =>
    owner ? rollOf(piece).indexOf(owner) : -1;
/** Codes of checks with the numbers of what they are about: `overlap 9`. */
export const spotted = (plan: Plan): string[] =>
  plan.checks.map(({ code, owners }) => [code, ...owners.map((owner) => placeIn(plan)(owner) + 1)].join(' '));

/** Beside what a blank is made where it does not matter. */
export const anyVessel = (): Vessel => {
  const vessel = vesselOf(started('bowl').form);
  if (!vessel.ok) throw new Error(plain(vessel.reasons[0]!.message));
  return vessel.value;
};
