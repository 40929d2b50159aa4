import load from 'highs';
import { test } from 'vitest';
import { demandsOf } from '../src/lumber/layout/demand.js';
import { atOnce } from '../src/lumber/layout/greedy.js';
import { ripList } from '../src/lumber/layout/laidRows.js';
import { laidOut } from '../src/lumber/layout/layingOut.js';
import { placed, type WoodLayout } from '../src/lumber/layout/placed.js';
import { solverOf } from '../src/lumber/layout/program.js';
import { setupsOf } from '../src/lumber/setups.js';
import { plan } from '../src/project/plan.js';
import type { Project } from '../src/project/schema.js';
import { rollOf } from '../src/ring/owner.js';
import { DEFAULT_SHOP, type Shop } from '../src/settings/shop.js';
import { featured, realistic } from './realistic.js';

/** The code before layouts were the one truth, on the first set. */
const BEFORE = 'before decision 26: 382 fences, spares 23 %, 300.7 bd ft at once, 286.8 solved';

const feetOf = (layouts: readonly WoodLayout[]): number =>
  layouts.reduce((sum, { boards }) => sum + boards.reduce((all, { stock }) => all + stock.boardFeet, 0), 0);

/** Counts of a set of projects with everything bought: at once, and solved where it is asked. */
function counted(projects: readonly Project[], shop: Shop, solver: ReturnType<typeof solverOf> | null) {
  const sum = {
    woods: 0,
    fences: 0,
    stops: 0,
    pieces: 0,
    spares: 0,
    tests: 0,
    quick: 0,
    solved: 0,
    least: 0,
  };
  const ms = { quick: 0, solved: 0, slowest: 0 };
  for (const project of projects) {
    const made = plan(project, shop);
    if (!made.ok) continue;
    const { lumber } = made.value;
    let now = performance.now();
    const demands = demandsOf(lumber, [], shop, rollOf(made.value));
    const layouts = demands.map((demand) => placed(demand, atOnce(demand.problem), shop));
    ms.quick += performance.now() - now;
    sum.woods += demands.length;
    sum.quick += feetOf(layouts);
    sum.least += demands.reduce((all, { leastFeet }) => all + leastFeet, 0);
    sum.fences += ripList(layouts).filter(({ rows }) => rows.some(({ what }) => what === 'strip')).length;
    sum.stops += setupsOf(lumber).reduce((all, { stops }) => all + stops.length, 0);
    for (const { leaves } of layouts.flatMap(({ boards }) => boards.flatMap(({ strips }) => strips)))
      for (const { purpose } of leaves.flat())
        sum[purpose === 'piece' ? 'pieces' : purpose === 'test' ? 'tests' : 'spares']++;
    for (const demand of solver ? demands : []) {
      now = performance.now();
      const { demand: solved, answer } = laidOut(demand, solver!, shop);
      sum.solved += feetOf([placed(solved, answer, shop)]);
      const took = performance.now() - now;
      ms.solved += took;
      ms.slowest = Math.max(ms.slowest, took);
    }
  }
  return { ...sum, ms };
}

test('realistic projects: fences, spares and board feet', async () => {
  const solver = solverOf(await load());
  const seeds = (from: number) => Array.from({ length: 30 }, (_, i) => from + i);
  console.log(BEFORE);
  const sets = [
    ['realistic, seeds 1 to 30', seeds(1).map(realistic)],
    ['with feature rings, seeds 31 to 60', seeds(31).map(featured)],
  ] as const;
  for (const [name, projects] of sets) {
    const drawn = counted(projects, { ...DEFAULT_SHOP, shareWidthMm: 0, ripStepMm: 0 } as Shop, null);
    const now = counted(projects, DEFAULT_SHOP, solver);
    const spared = (100 * now.spares) / now.pieces;
    console.log(
      [
        `${name}: ${now.woods} woods, everything bought`,
        `  rip fences: ${drawn.fences} as the rings have it, ${now.fences} ripped together; ${now.stops} stops`,
        `  spares ${spared.toFixed(1)} % of ${now.pieces} pieces, ${now.tests} test pieces besides`,
        `  board feet: ${now.quick.toFixed(1)} at once, ${now.solved.toFixed(1)} solved; no layout at all needs less than ${now.least.toFixed(1)}`,
        `  ${(now.ms.quick / now.woods).toFixed(0)} ms a wood at once, ${(now.ms.solved / now.woods).toFixed(0)} ms solved, the slowest ${(now.ms.slowest / 1000).toFixed(1)} s`,
      ].join('\n'),
    );
  }
}, 1_200_000);
