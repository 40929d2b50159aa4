import { randomUUID } from 'node:crypto';
import { get } from 'node:http';
import type { AddressInfo } from 'node:net';
import { describe, expect, test } from 'vitest';
import { ownHouse } from '../testing/house.js';

const house = ownHouse();
const tick = (job: string, amount = 1, change: object = {}) => ({
  id: randomUUID(),
  job,
  amount,
  at: '2026-11-29T10:00:00.000Z',
  device: 'bench tablet',
  ...change,
});
const add = (id: string, ...ticks: object[]) =>
  house.http().post(`/api/projects/${id}/progress`).send({ ticks });
const listed = async (id: string) =>
  (await house.http().get(`/api/projects/${id}/progress`).expect(200)).body.ticks;

describe('what was done of a piece', () => {
  test('is added in the order in which it came, from whatever device, and once however often it is sent', async () => {
    const { id } = await house.stored();
    const [first, second] = [tick('ring-r9/saw', 14), tick('ring-r9/saw', 4, { device: 'phone' })];
    await add(id, first, second).expect(204);
    await add(id, second, tick('ring-r9/saw', -1)).expect(204);
    const all = await listed(id);
    expect(all.map(({ amount, device }: typeof first) => [amount, device])).toEqual([
      [14, 'bench tablet'],
      [4, 'phone'],
      [-1, 'bench tablet'],
    ]);
    expect(all[0]).toEqual(first);
  });
  test('is never less than nothing: all of what was sent is refused', async () => {
    const { id } = await house.stored();
    const { body } = await add(id, tick('foot'), tick('outside', -1)).expect(422);
    expect(body.reasons[0]).toMatchObject({
      code: 'more-than-there-are',
      message: expect.stringMatching(/Nothing was changed/),
    });
    expect(await listed(id)).toEqual([]);
  });
  test.each([
    [{ amount: 0 }, /Nothing was counted/],
    [{ amount: 1.5 }, /whole number/],
    [{ at: 'yesterday' }, /date and time/],
    [{ id: 'mine' }, /UUID/],
  ])('%j is refused with a sentence', async (change, says) => {
    const { id } = await house.stored();
    const { body } = await add(id, tick('foot', 1, change)).expect(422);
    expect(body.reasons[0].message).toMatch(says);
  });
  test('of a piece that is not there, or was removed, it is refused; it goes with a piece for good', async () => {
    await add('nowhere', tick('foot')).expect(404);
    await house.http().get('/api/projects/nowhere/progress').expect(404);
    const { id } = await house.stored();
    await add(id, tick('foot')).expect(204);
    await house.http().delete(`/api/projects/${id}`).expect(204);
    await add(id, tick('foot')).expect(404);
    await house.http().delete(`/api/projects/${id}/for-good`).expect(204);
    expect(await house.query('SELECT count(*) AS n FROM ticks WHERE projectId = ?', [id])).toEqual([
      { n: 0 },
    ]);
  });
});

test('every device hears what another adds, and nothing of other pieces', async () => {
  const { id } = await house.stored();
  const { id: other } = await house.stored('Other');
  await house.app().listen(0, '127.0.0.1');
  const { port } = house.app().getHttpServer().address() as AddressInfo;
  const heard: string[] = [];
  const stream = get({ host: '127.0.0.1', port, path: `/api/projects/${id}/progress/stream` }, (answer) => {
    answer.setEncoding('utf8');
    answer.on('data', (text: string) => heard.push(text));
  });
  await new Promise((go) => stream.once('response', go));
  const sent = tick('ring-r9/saw', 3);
  await add(other, tick('elsewhere')).expect(204);
  await add(id, sent).expect(204);
  await expect.poll(() => heard.join('')).toContain(JSON.stringify({ ticks: [sent] }));
  expect(heard.join('')).not.toContain('elsewhere');
  stream.destroy();
});
