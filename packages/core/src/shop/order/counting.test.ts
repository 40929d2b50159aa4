import { expect, test } from 'vitest';
import { demoProjects } from '../../demo/index.js';
import { plain } from '../../measure/said.js';
import { workOf } from '../../project/ordered.js';
import { DEFAULT_SHOP } from '../../settings/shop.js';
import { SHIPPED_WOODS } from '../../wood/catalogue.js';
import { counted, nextJob, upTo } from './counting.js';
import { isDone } from './states.js';
import { doneBy, lastBy } from './ticks.js';

const cup = demoProjects().find(({ name }) => name.includes('Cup'))!;
const worked = workOf({ ...cup, schools: { stacking: 'batches', batch: 3 } }, DEFAULT_SHOP, SHIPPED_WOODS);
if (!worked.ok) throw new Error('no order');
const order = worked.value;
const none = new Map<string, number>();
const why = (done: ReadonlyMap<string, number>, id: string, more: number) => {
  const answer = counted(order, done, id, more);
  return answer.ok ? null : plain(answer.reasons[0]!.message);
};

test('a job is not counted before its turn, nor more than can be meant, nor less than nothing', () => {
  expect(why(none, 'ring-r9/rip', 1)).toBeNull();
  expect(why(none, 'ring-r9/saw', 1)).toMatch(
    /“Ring 9: cut segments” comes after “Ring 9: plane and rip”, which is not done yet/,
  );
  const ripped = new Map([['ring-r9/rip', 1]]);
  expect(why(ripped, 'ring-r9/saw', 14)).toBeNull();
  const half = new Map([...ripped, ['ring-r9/saw', 14]]);
  expect(why(half, 'ring-r9/glue', 1)).toMatch(/not done yet \(14 of 24\)/);
  expect(why(half, 'ring-r9/saw', 12)).toBeNull();
  expect(why(half, 'ring-r9/saw', 200)).toMatch(/asks for 24; 214 cannot be meant/);
  expect(why(half, 'ring-r9/saw', -15)).toMatch(/14 are counted; no more than that/);
  expect(why(half, 'ring-r9/saw', -2)).toBeNull();
  expect(why(half, 'ring-r9/rip', -1)).toMatch(/“Ring 9: cut segments” was done since/);
  expect(why(half, 'ring-r99/saw', 1)).toMatch(/not in the order of work any longer/);
});

test('a batch is glued at one go: all its joints are counted together, and known by whatever school comes next', () => {
  const batch = order.jobs.find(({ also }) => also.length > 0)!;
  const before = new Map(upTo(order, none, batch.id).map(({ id, times }) => [id, times]));
  before.delete(batch.id);
  expect(counted(order, before, batch.id, 1)).toEqual({ ok: true, value: [batch.id, ...batch.also] });
  // Ring by ring only its first joint may be closed yet.
  expect(isDone(batch, new Map([[batch.id, 1]]))).toBe(false);
  expect(isDone(batch, new Map([batch.id, ...batch.also].map((id) => [id, 1])))).toBe(true);
});

test('the next job, and all that comes before one', () => {
  expect(nextJob(order, none)).toBe(order.jobs[0]);
  const all = new Map(
    order.jobs.flatMap(({ id, also, times }) => [id, ...also].map((each) => [each, times] as const)),
  );
  expect(nextJob(order, all)).toBeNull();
  const glue = upTo(order, none, 'ring-r9/glue').map(({ id }) => id);
  expect(glue).toEqual(['ring-r9/rip', 'ring-r9/saw', 'ring-r9/glue']);
  expect(upTo(order, new Map([['ring-r9/rip', 1]]), 'ring-r9/glue').map(({ id }) => id)).toEqual(
    glue.slice(1),
  );
});

test('wafers of a basket that were counted before its step was called otherwise stay counted, and can be taken back', () => {
  const basket = demoProjects().find(({ name }) => name.includes('Basket'))!;
  const order = workOf(basket, DEFAULT_SHOP, SHIPPED_WOODS);
  if (!order.ok) throw new Error('order');
  const job = order.value.jobs.find(({ id }) => id.endsWith('/spacers'))!;
  const tick = (of: string, amount: number) => ({
    id: `${of} ${amount}`,
    job: of,
    amount,
    at: '2026-11-01T10:00:00Z',
    device: 'bench',
  });
  const old = job.id.replace(/spacers$/, 'wafers');
  const done = doneBy([tick(old, 20), tick(job.id, 4)]);
  expect([...done]).toEqual([[job.id, 24]]);
  expect(doneBy([tick(old, 20), tick(job.id, -20)]).get(job.id)).toBe(0);
  expect([...lastBy([tick(old, 20)]).keys()]).toEqual([job.id]);
});
