import { test } from 'vitest';
import { plain } from '../src/measure/said.js';
import { atTheLathe } from '../src/project/atTheLathe.js';
import { workPlanned } from '../src/project/ordered.js';
import { plan } from '../src/project/plan.js';
import { prepare } from '../src/project/prepare.js';
import { type Project, SCHEMA_VERSION } from '../src/project/schema.js';
import { DEFAULT_SHOP } from '../src/settings/shop.js';
import { boundOf } from '../src/shop/day/bound.js';
import { dayPlan } from '../src/shop/day/schedule.js';
import { tasksOf } from '../src/shop/day/tasks.js';
import { SHIPPED_WOODS } from '../src/wood/catalogue.js';
import { middleOf, vaseOf } from './vase.js';

const SIZES = [5, 20, 60, 120] as const;

const vase = (rings: number): Project => ({
  schema: SCHEMA_VERSION,
  name: `${rings} rings`,
  ...vaseOf(rings, 24),
  motifs: [],
  palette: [
    { key: 'light', tone: 'light', wood: 'sugar-maple' },
    { key: 'dark', tone: 'dark', wood: 'black-walnut' },
  ],
  underlay: null,
});

test('order of work and day plan by size', () => {
  const { equipment, hours, glue } = DEFAULT_SHOP.workshop;
  const room = { equipment, hours, now: { day: 5, minute: 540 }, running: [] };
  const rows = SIZES.map((rings) => {
    const piece = vase(rings);
    const [prepared, planned] = [prepare(piece), plan(piece, DEFAULT_SHOP)];
    if (!prepared.ok || !planned.ok) throw new Error('vase');
    const lathe = atTheLathe(prepared.value, piece, SHIPPED_WOODS, DEFAULT_SHOP);
    const work = () => workPlanned(prepared.value, planned.value, lathe, DEFAULT_SHOP);
    const order = work();
    const { tasks } = tasksOf(order, { done: new Map(), ago: new Map() });
    const day = dayPlan(tasks, room, glue);
    if (!day.ok) throw new Error(plain(day.reasons[0]!.message));
    const over = day.value.doneAt / day.value.bound.atLeast - 1;
    return {
      says: `  ${rings} rings: ${order.jobs.length} jobs, hollowed ${order.assembly.sections.flatMap(({ stages }) => stages).length} times; done ${(100 * over).toFixed(1)} % over the bound (${day.value.bound.by})`,
      order: middleOf(work, 9),
      plan: middleOf(() => dayPlan(tasks, room, glue), 9),
      bound: middleOf(() => boundOf(tasks, room), 9),
    };
  });
  const times = (of: 'order' | 'plan' | 'bound') => rows.map((row) => row[of].toFixed(1)).join(', ');
  const growth = (of: 'order' | 'plan' | 'bound') => (rows[3]![of] / rows[2]![of]).toFixed(1);
  console.log(
    [
      'order of work and day plan, ms, middle of 9 runs',
      ...rows.map(({ says }) => says),
      `  order: ${times('order')}; 60 → 120 rings ${growth('order')} times`,
      `  day plan with its bound: ${times('plan')}; 60 → 120 rings ${growth('plan')} times`,
      `  the bound alone: ${times('bound')}; 60 → 120 rings ${growth('bound')} times`,
    ].join('\n'),
  );
});
