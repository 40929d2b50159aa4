import { expect, test } from 'vitest';
import { BOARD, cup, ownHouse, PATTERN, RING } from '../testing/house.js';

const { http, query, stored } = ownHouse();

test('rows that cannot be read cost themselves, are listed with their raw text, and can be taken away', async () => {
  await http()
    .post('/api/boards/replace')
    .send({ remove: [], add: [BOARD, BOARD] })
    .expect(200);
  await http().post('/api/stash').send(RING).expect(201);
  await http().post('/api/patterns').send(PATTERN).expect(201);
  await query(`UPDATE board SET board = '{"wood":' WHERE rowid = 1`);
  await query(`INSERT INTO stash VALUES ('odd', '{"name": 5}', '2026-01-01')`);
  const { outerRadiusMm: outerMm, innerRadiusMm: innerMm, ...rest } = RING;
  await query(`INSERT INTO stash VALUES ('older', ?, '2026-01-01')`, [
    JSON.stringify({ ...rest, outerMm, innerMm }),
  ]);
  await query(`INSERT INTO pattern VALUES ('odd', 'null', '2026-01-01')`);
  await query(`INSERT INTO woods VALUES ('odd', '[]')`);
  await query(`INSERT INTO shop VALUES (1, '{"kerfMm": "wide"}')`);
  expect((await http().get('/api/boards')).body).toHaveLength(1);
  const rings = (await http().get('/api/stash')).body;
  expect(rings).toMatchObject([{ name: RING.name }, { ...RING, item: 'older' }]);
  expect((await http().get('/api/patterns')).body).toHaveLength(1);
  await http().get('/api/woods').expect(200);
  expect((await http().get('/api/shop').expect(200)).body.kerfMm).toBeGreaterThan(0);
  const { body } = await http().get('/api/unreadable').expect(200);
  expect(body.map(({ sort }: { sort: string }) => sort)).toEqual([
    'wood',
    'board',
    'stash',
    'pattern',
    'shop',
  ]);
  const board = body[1];
  expect((await http().get(`/api/unreadable/board/${board.id}`).expect(200)).text).toBe('{"wood":');
  await http().delete(`/api/unreadable/board/${board.id}`).expect(204);
  await http().delete(`/api/unreadable/board/${board.id}`).expect(404);
  await http().get('/api/unreadable/projects/odd').expect(404);
  expect((await http().get('/api/unreadable')).body).toHaveLength(4);
});

test('a row that can be read is never taken away by that road', async () => {
  const [{ id }] = (await http().get('/api/boards')).body;
  await http().delete(`/api/unreadable/board/${id}`).expect(404);
  expect((await http().get('/api/boards')).body).toHaveLength(1);
});

test('a stored document is judged again when it is read, and stays as it is', async () => {
  const { id } = await stored('Odd');
  const odd = JSON.stringify({ ...cup('Odd'), rings: [{ id: 'a', heightMm: 'tall' }] });
  await query('UPDATE projects SET document = ? WHERE id = ?', [odd, id]);
  const { body } = await http().get(`/api/projects/${id}`).expect(422);
  expect(body.reasons[0].message).toMatch(/heightMm|height/i);
  expect((await http().get(`/api/projects/${id}/raw`)).text).toBe(odd);
});
