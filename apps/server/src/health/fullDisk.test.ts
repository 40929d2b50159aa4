import { SHIPPED_WOODS, writeProjectFile } from '@fellside/core';
import type Sqlite from 'better-sqlite3';
import request from 'supertest';
import { describe, expect, test, vi } from 'vitest';
import { BOARD, cup, ownHouse, PATTERN, PNG, RING, SHOP } from '../testing/house.js';

const { http, database } = ownHouse();

describe('a disk that is full for a moment', () => {
  const writes: readonly [string, () => request.Test][] = [
    ['a piece', () => http().post('/api/projects').send({ document: cup() })],
    [
      'a file',
      () =>
        http()
          .post('/api/projects/import')
          .send({ text: writeProjectFile(cup(), []) }),
    ],
    [
      'a board',
      () =>
        http()
          .post('/api/boards/replace')
          .send({ remove: [], add: [BOARD] }),
    ],
    ['a picture', () => http().post('/api/pictures').set('content-type', 'image/png').send(PNG)],
    [
      'a wood',
      () =>
        http()
          .post('/api/woods')
          .send({ ...SHIPPED_WOODS[0]!, id: 'own-pear', name: 'Pear', letter: 'Pq' }),
    ],
    ['a ring', () => http().post('/api/stash').send(RING)],
    ['a pattern', () => http().post('/api/patterns').send(PATTERN)],
    ['the shop', () => http().put('/api/shop').send(SHOP)],
  ];
  test.each(writes)('%s is answered with 503 and not kept, and the next save is whole', async (_, write) => {
    const db = (database() as unknown as { connection: Sqlite.Database }).connection;
    const exec = db.exec.bind(db);
    const spy = vi.spyOn(db, 'exec').mockImplementation((sql: string) => {
      if (sql !== 'COMMIT') return exec(sql);
      exec('ROLLBACK');
      throw Object.assign(new Error('database or disk is full'), { code: 'SQLITE_FULL' });
    });
    const answer = await write();
    expect(answer.status).toBe(503);
    expect(answer.body.message).toMatch(/^Nothing was saved\. The disk is full/);
    expect((await http().get('/api/health')).body.writable).toMatchObject({ ok: false });
    spy.mockRestore();
    expect((await write()).status).toBeLessThan(300);
    expect((await http().get('/api/health')).body.writable).toEqual({ ok: true });
    expect(db.inTransaction).toBe(false);
  });
});
