import {
  type Board,
  demandsOf,
  done,
  type Goal,
  greedy,
  type HighsLike,
  type Plan,
  type Project,
  placed,
  plan,
  prepare,
  type Result,
  rollOf,
  type Shop,
  type Species,
  solverOf,
  solving,
  type WoodLayout,
} from '@fellside/core';
import { boardSheets } from './boardSheets.js';
import { coverSheet } from './cover.js';
import { featureSheets } from './featureSheets.js';
import { Pages, type SheetPaper } from './page.js';
import { setupSheets } from './setupSheets.js';
import type { Shown } from './shown.js';
import { ringSheets, stripSheets } from './tables.js';
import { templateSheets } from './templates.js';

/** What sheets are drawn of. */
export interface SheetsAsk {
  readonly project: Project;
  readonly woods: readonly Species[];
  readonly shop: Shop;
  readonly boards: readonly Board[];
  readonly paper: SheetPaper;
  /** Whether full-size templates come last. */
  readonly templates: boolean;
  /** Whether boards are solved, or as they are laid out at once. */
  readonly solved: boolean;
  readonly goal?: Goal;
  /** Whether what is short on hand is bought. */
  readonly buying?: boolean;
}

function layoutsOf(ask: SheetsAsk, plan: Plan, highs: HighsLike | null): WoodLayout[] {
  const { boards, shop, goal = 'cost', buying = true } = ask;
  return demandsOf(plan.lumber, boards, shop, rollOf(plan), { goal, buying }).map((demand) => {
    if (!highs) return placed(demand, greedy(demand.problem), shop);
    const steps = solving(demand.problem, solverOf(highs));
    for (let step = steps.next(); ; step = steps.next())
      if (step.done) return placed(demand, step.value.answer, shop);
  });
}

/** The shop sheets of a piece as PDF; `loadSolver` is only asked where boards are to be solved. */
export async function shopSheets(
  ask: SheetsAsk,
  loadSolver: () => Promise<HighsLike>,
): Promise<Result<Uint8Array>> {
  const { project, woods, shop } = ask;
  const prepared = prepare(project);
  if (!prepared.ok) return prepared;
  const planned = plan(project, shop, woods, prepared);
  if (!planned.ok) return planned;
  const highs = ask.solved ? await loadSolver() : null;
  const shown: Shown = {
    project,
    plan: planned.value,
    prepared: prepared.value,
    shop,
    woods,
    layouts: layoutsOf(ask, planned.value, highs),
    species: (wood) => woods.find(({ id }) => id === wood),
    roll: rollOf(planned.value),
  };
  const pages = new Pages(ask.paper, project.name);
  coverSheet(pages, shown);
  ringSheets(pages, shown);
  stripSheets(pages, shown);
  setupSheets(pages, shown);
  boardSheets(pages, shown);
  featureSheets(pages, shown);
  if (ask.templates) templateSheets(pages, shown);
  return done(await pages.finish());
}
