import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Board } from '@fellside/core';
import { demoBoards } from '@fellside/core/demo';
import type { NestExpressApplication } from '@nestjs/platform-express';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { createServer } from '../server.js';
import { settingsFrom } from '../settings.js';

const folder = mkdtempSync(join(tmpdir(), 'fellside-boards-'));
const settings = { ...settingsFrom({}), dataFolder: folder, webFolder: folder, demo: true };
let app: NestExpressApplication;
const http = () => request(app.getHttpServer());
beforeAll(async () => {
  app = await createServer(settings);
  await app.init();
});
afterAll(async () => {
  await app.close();
  rmSync(folder, { recursive: true, force: true });
});

const listed = async (): Promise<Board[]> => (await http().get('/api/boards').expect(200)).body;
const replace = (remove: string[], add: unknown[]) =>
  http().post('/api/boards/replace').send({ remove, add });

describe('boards on hand', () => {
  test('the demo has some; they are entered, changed and thrown out', async () => {
    const where = (boards: readonly { readonly note: string }[]) => boards.map(({ note }) => note);
    expect(where(await listed())).toEqual(where(demoBoards()));
    const [entered] = (await replace([], [{ ...demoBoards()[0]!, note: 'new' }]).expect(200)).body;
    expect((await listed()).map(({ id }) => id)).toContain(entered.id);
    const { id, ...board } = entered;
    await http()
      .put(`/api/boards/${id}`)
      .send({ ...board, lengthMm: 999 })
      .expect(200);
    expect((await listed()).find((other) => other.id === id)).toMatchObject({ lengthMm: 999, note: 'new' });
    await http().delete(`/api/boards/${id}`).expect(204);
    await http().delete(`/api/boards/${id}`).expect(404);
  });
  test('taking out and putting in is all or nothing', async () => {
    const before = await listed();
    const { body } = await replace([before[0]!.id, 'nowhere'], [demoBoards()[1]!]).expect(404);
    expect(body.message).toMatch(/no such board/);
    expect(await listed()).toEqual(before);
  });
  test.each([
    [{ widthMm: 2 }, /Width of the board is 5\/64"/],
    [{ price: 0 }, /Price is 0/],
    [{ defects: [{ kind: 'knot', xMm: 9000, yMm: 0, lengthMm: 10, widthMm: 10 }] }, /Defect 1 reaches to/],
  ])('a board that cannot be is refused with its limit: %j', async (change, says) => {
    const before = await listed();
    const { body } = await replace([], [{ ...demoBoards()[0]!, ...change }]).expect(422);
    expect(body.reasons[0].message).toMatch(says);
    expect(await listed()).toEqual(before);
  });
});

describe('shop sheets', () => {
  test('come as a PDF of the saved project; a wish that is not known is refused', async () => {
    const [saved] = (await http().get('/api/projects').expect(200)).body.pieces;
    const answer = await http()
      .get(`/api/projects/${saved.id}/sheets?paper=letter&templates=false`)
      .buffer()
      .expect(200);
    expect(answer.headers['content-type']).toMatch(/application\/pdf/);
    const refused = await http().get(`/api/projects/${saved.id}/sheets?paper=a0`).expect(422);
    expect(refused.body.reasons[0].message).toMatch(/a4 or letter/);
    await http().get('/api/projects/nowhere/sheets').expect(404);
  });
});
