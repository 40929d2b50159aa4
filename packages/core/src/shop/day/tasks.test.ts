import { expect, test } from 'vitest';
import type { Job } from '../order/job.js';
import { tasksOf } from './tasks.js';

const job = (id: string, change: Partial<Job> = {}): Job => ({
  id,
  also: [],
  stage: 's',
  owners: [],
  title: id,
  says: [],
  because: null,
  tool: 'bench',
  times: 1,
  cautions: [],
  needs: [],
  takes: { hands: 20, on: null, clamp: 0, cure: 0, breaks: true },
  makes: null,
  ...change,
});
const glue = job('glue', { takes: { hands: 5, on: 'bands', clamp: 30, cure: 1400, breaks: false } });
const jobs = [
  job('saw', { times: 24 }),
  glue,
  job('stack', { needs: [{ id: 'glue', after: 'clamps' }] }),
  job('turn', { needs: [{ id: 'glue', after: 'cure' }] }),
];

test('what is left, with the wait that each need asks for', () => {
  const { tasks, running } = tasksOf({ jobs }, { done: new Map(), ago: new Map() });
  expect(tasks.map(({ id, needs }) => [id, needs])).toEqual([
    ['saw', []],
    ['glue', []],
    ['stack', [{ id: 'glue', wait: 30 }]],
    ['turn', [{ id: 'glue', wait: 1430 }]],
  ]);
  expect(running).toEqual([]);
});

test('what was glued ten minutes ago keeps its band for twenty, lets nothing on before and nothing be turned for 1,420', () => {
  const done = new Map([
    ['glue', 1],
    ['saw', 18],
  ]);
  const { tasks, running } = tasksOf({ jobs }, { done, ago: new Map([['glue', 10]]) }, 'cup|');
  expect(running).toEqual([{ of: 'bands', until: 20 }]);
  expect(tasks.map(({ id, hands, notBefore, needs }) => [id, hands, notBefore, needs])).toEqual([
    // 6 of 24 are left.
    ['cup|saw', 5, 0, []],
    ['cup|stack', 20, 20, []],
    ['cup|turn', 20, 1420, []],
  ]);
  const later = tasksOf({ jobs }, { done, ago: new Map([['glue', 5000]]) });
  expect(later.tasks.map(({ notBefore }) => notBefore)).toEqual([0, 0, 0]);
  expect(later.running).toEqual([]);
});

test('a section that was mounted stands on its plate until the job that lets it go', () => {
  const mount = job('mount', { holds: { of: 'plates', until: 'foot' } });
  const all = [mount, job('foot', { needs: [{ id: 'mount', after: 'cure' }] })];
  const fresh = tasksOf({ jobs: all }, { done: new Map(), ago: new Map() }, 'cup|');
  expect(fresh.tasks[0]!.holds).toEqual({ of: 'plates', until: 'cup|foot' });
  expect(fresh.running).toEqual([]);
  const mounted = tasksOf({ jobs: all }, { done: new Map([['mount', 1]]), ago: new Map() }, 'cup|');
  expect(mounted.running).toEqual([{ of: 'plates', until: 'cup|foot' }]);
  const over = new Map([
    ['mount', 1],
    ['foot', 1],
  ]);
  expect(tasksOf({ jobs: all }, { done: over, ago: new Map() }).running).toEqual([]);
});
