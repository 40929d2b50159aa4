import load from 'highs';
import { test } from 'vitest';
import { type Demand, demandsOf } from '../src/lumber/layout/demand.js';
import { atOnce } from '../src/lumber/layout/greedy.js';
import { laidOut } from '../src/lumber/layout/layingOut.js';
import { costOf } from '../src/lumber/layout/problem.js';
import { type Solver, solverOf } from '../src/lumber/layout/program.js';
import { solve } from '../src/lumber/layout/solve.js';
import { mm } from '../src/measure/quantity.js';
import { plain } from '../src/measure/said.js';
import { plan } from '../src/project/plan.js';
import { type Project, SCHEMA_VERSION } from '../src/project/schema.js';
import { rollOf } from '../src/ring/owner.js';
import { DEFAULT_SHOP } from '../src/settings/shop.js';
import { textbook } from '../src/testing/textbook.js';
import { random } from './realistic.js';
import { vaseOf } from './vase.js';

const PALETTE = [
  { key: 'light', tone: 'light' as const, wood: 'sugar-maple' },
  { key: 'dark', tone: 'dark' as const, wood: 'black-walnut' },
];

/** A vase of some rings, and a few boards of its woods on hand. */
function demandsFor(rings: number, count: number, seed: number): Demand[] {
  const chance = random(seed);
  const vase = vaseOf(rings, count);
  const project: Project = {
    schema: SCHEMA_VERSION,
    name: 'Bench',
    form: vase.form,
    rings: vase.rings,
    allowances: vase.allowances,
    palette: PALETTE,
    motifs: [],
    underlay: null,
  };
  for (const point of project.form.points) point.radiusMm = mm(point.radiusMm * (0.5 + chance()));
  const made = plan(project, DEFAULT_SHOP);
  if (!made.ok) throw new Error(plain(made.reasons[0]!.message));
  const boards = Array.from({ length: Math.floor(6 * chance()) }, (_, i) => ({
    id: `b${i}`,
    wood: chance() < 0.5 ? 'sugar-maple' : 'black-walnut',
    lengthMm: mm(600 + 1800 * chance()),
    widthMm: mm(80 + 140 * chance()),
    thicknessMm: mm(25.4),
    surfaced: false,
    price: null,
    moisturePercent: null,
    note: '',
    defects: [],
  }));
  return demandsOf(made.value.lumber, boards, DEFAULT_SHOP, rollOf(made.value));
}

const timed = <T>(work: () => T): { readonly out: T; readonly ms: number } => {
  const start = performance.now();
  const out = work();
  return { out, ms: performance.now() - start };
};

/** How many are laid out: a few minutes of work. */
const PROJECTS = 10;

test('boards laid out: the textbook case, seeded projects, growth', async () => {
  const solver: Solver = solverOf(await load());
  const rolls = timed(() => solve(textbook, solver));
  console.log(
    `textbook cutting stock: ${rolls.out.cost} rolls, bound ${rolls.out.bound}, at once ${rolls.out.heuristic}; ${(rolls.ms / 1000).toFixed(1)} s`,
  );
  const gaps: number[] = [];
  const apart: number[] = [];
  let [quick, whole] = [0, 0];
  for (let seed = 1; seed <= PROJECTS; seed++) {
    const chance = random(1000 + seed);
    const demands = demandsFor(6 + Math.floor(30 * chance()), 8 + 4 * Math.floor(5 * chance()), seed);
    let [cost, bound, heuristic] = [0, 0, 0];
    for (const demand of demands) {
      const { problem } = demand;
      const first = timed(() => costOf(problem, atOnce(problem)));
      const full = timed(() => laidOut(demand, solver, DEFAULT_SHOP));
      quick += first.ms;
      whole += full.ms;
      cost += full.out.cost;
      bound += full.out.bound;
      heuristic += full.out.heuristic;
    }
    gaps.push(cost / bound - 1);
    apart.push(heuristic / bound - 1);
  }
  const percent = (share: number) => `${(100 * share).toFixed(2)} %`;
  const within = gaps.filter((gap) => gap <= 0.01).length;
  console.log(
    [
      `${PROJECTS} seeded projects: ${within} within 1 % of the proven bound, worst ${percent(Math.max(...gaps))}`,
      `  the answer at once: ${percent(apart.reduce((a, b) => a + b, 0) / PROJECTS)} from the bound on average, worst ${percent(Math.max(...apart))}`,
      `  at once ${(quick / PROJECTS).toFixed(0)} ms a project, solved ${(whole / PROJECTS).toFixed(0)} ms: ${(whole / quick).toFixed(0)} times as long`,
      `  gaps: ${gaps.map((gap) => (100 * gap).toFixed(1)).join(' ')}`,
    ].join('\n'),
  );
  const times = [5, 20, 60, 120].map((rings) => {
    const demands = demandsFor(rings, 24, 7);
    const first = timed(() => {
      for (const { problem } of demands) atOnce(problem);
    });
    const full = timed(() => {
      for (const demand of demands) laidOut(demand, solver, DEFAULT_SHOP);
    });
    return { rings, first: first.ms, full: full.ms };
  });
  console.log(
    [
      'growth with the number of rings, 24 segments each',
      ...times.map(
        ({ rings, first, full }) =>
          `  ${rings} rings: at once ${first.toFixed(0)} ms, solved ${(full / 1000).toFixed(1)} s`,
      ),
      `  from 5 to 120 rings: ${(times[3]!.first / times[0]!.first).toFixed(0)} times at once, ${(times[3]!.full / times[0]!.full).toFixed(0)} times solved`,
    ].join('\n'),
  );
}, 1_200_000);
