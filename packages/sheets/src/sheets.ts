import {
  accountsOf,
  atOnce,
  type Board,
  demandsOf,
  done,
  type Given,
  type Goal,
  type HighsLike,
  type Lumber,
  laidOut,
  lumberTimes,
  type Plan,
  type Project,
  placed,
  placedGiven,
  plan,
  prepare,
  type Result,
  rippingOf,
  rollOf,
  type Shop,
  type Species,
  solverOf,
  underFinish,
  type WoodLayout,
} from '@fellside/core';
import { boardSheets } from './boardSheets.js';
import { coverSheet } from './cover.js';
import { featureSheets } from './featureSheets.js';
import { Pages, type SheetPaper } from './page.js';
import { ripSheets } from './ripSheets.js';
import { setupSheets } from './setupSheets.js';
import type { Shown } from './shown.js';
import { ringSheets } from './tables.js';
import { templateSheets } from './templates.js';
import { woodSheets } from './woodSheets.js';
import { workSheets } from './workSheets.js';

/** What sheets are drawn of. */
export interface SheetsAsk {
  readonly project: Project;
  readonly woods: readonly Species[];
  readonly shop: Shop;
  readonly boards: readonly Board[];
  readonly paper: SheetPaper;
  /** Whether full-size templates come last. */
  readonly templates: boolean;
  /** Whether the order of work is printed with boxes to tick; it is unless this is false. */
  readonly work?: boolean;
  /** Whether boards are solved, or as they are laid out at once. */
  readonly solved: boolean;
  /** The layout that is on the screen: printed as it is and not solved again. */
  readonly given?: Given;
  /** How many of the piece are cut together. */
  readonly copies?: number;
  readonly goal?: Goal;
  /** Whether what is short on hand is bought. */
  readonly buying?: boolean;
}

/** The boards as they are sawn: as they were found elsewhere, solved, or as they are laid out at once. */
function layoutsOf(
  ask: SheetsAsk,
  plan: Plan,
  lumber: Lumber,
  highs: HighsLike | null,
): Result<WoodLayout[]> {
  const { boards, shop, goal = 'cost', buying = true, given } = ask;
  const demands = demandsOf(lumber, boards, shop, rollOf(plan), { goal, buying });
  if (given) return placedGiven(demands, given, shop);
  return done(
    demands.map((demand) => {
      if (!highs) return placed(demand, atOnce(demand.problem), shop);
      const { demand: solved, answer } = laidOut(demand, solverOf(highs), shop);
      return placed(solved, answer, shop);
    }),
  );
}

/** The shop sheets of a piece as PDF; `loadSolver` is only asked where boards are to be solved. */
export async function shopSheets(
  ask: SheetsAsk,
  loadSolver: () => Promise<HighsLike>,
): Promise<Result<Uint8Array>> {
  const { project, woods, shop } = ask;
  const prepared = prepare(project, rippingOf(shop));
  if (!prepared.ok) return prepared;
  const planned = plan(project, shop, woods, prepared);
  if (!planned.ok) return planned;
  const highs = ask.solved && !ask.given ? await loadSolver() : null;
  const lumber = lumberTimes(planned.value.lumber, ask.copies ?? 1);
  const layouts = layoutsOf(ask, planned.value, lumber, highs);
  if (!layouts.ok) return layouts;
  const finish = project.finish ?? shop.workshop.finish.usual;
  const finished = woods.map((wood) => underFinish(wood, finish));
  const shown: Shown = {
    project,
    plan: planned.value,
    prepared: prepared.value,
    shop,
    woods,
    copies: ask.copies ?? 1,
    lumber,
    layouts: layouts.value,
    accounts: accountsOf(lumber, layouts.value, shop),
    species: (wood) => woods.find(({ id }) => id === wood),
    finished: (wood) => finished.find(({ id }) => id === wood),
    roll: rollOf(planned.value),
  };
  const pages = new Pages(ask.paper, project.name);
  coverSheet(pages, shown);
  ringSheets(pages, shown);
  woodSheets(pages, shown);
  ripSheets(pages, shown);
  setupSheets(pages, shown);
  boardSheets(pages, shown);
  featureSheets(pages, shown);
  if (ask.work !== false) workSheets(pages, shown);
  if (ask.templates) templateSheets(pages, shown);
  return done(await pages.finish());
}
