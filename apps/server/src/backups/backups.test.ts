import { join } from 'node:path';
import { describe, expect, test } from 'vitest';
import { ownHouse } from '../testing/house.js';

const { folder, http, stored } = ownHouse();

describe('backups over the API', () => {
  test('made, listed, looked through, put back; what they replace is kept', async () => {
    const { id } = await stored('Before the backup');
    const { name } = (await http().post('/api/backups').expect(201)).body;
    const state = (await http().get('/api/backups').expect(200)).body;
    expect(state.last).toMatchObject({ failed: null, counts: { pieces: expect.any(Number) } });
    expect(state.backups.map((backup: { name: string }) => backup.name)).toContain(name);
    const file = await http()
      .get(`/api/backups/${name}`)
      .buffer()
      .parse((res, done) => {
        const parts: Buffer[] = [];
        res.on('data', (part) => parts.push(part));
        res.on('end', () => done(null, Buffer.concat(parts)));
      });
    await http().delete(`/api/projects/${id}`).expect(204);
    const checked = await http()
      .post('/api/backups/sent')
      .set('content-type', 'application/zip')
      .send(file.body)
      .expect(200);
    expect(checked.body.counts).toEqual(state.last.counts);
    await http().get(`/api/projects/${id}`).expect(404);
    const { replaced } = (await http().post('/api/backups/restore').send({ name: null }).expect(200)).body;
    expect((await http().get(`/api/projects/${id}`).expect(200)).body.document.name).toBe(
      'Before the backup',
    );
    await http().post('/api/backups/restore').send({ name: replaced }).expect(200);
    await http().get(`/api/projects/${id}`).expect(404);
    const refused = await http()
      .post('/api/backups/sent')
      .set('content-type', 'application/zip')
      .send('hello')
      .expect(422);
    expect(refused.body.reasons[0].message).toMatch(/cannot be read as a backup/);
    await http().post('/api/backups/restore').send({ name: null }).expect(422);
    await http().get('/api/backups/..%2f..%2fetc%2fpasswd').expect(422);
    expect((await http().post('/api/health/check').expect(200)).body).toEqual({ sound: true });
  });

  test('where automatic ones go is kept only where it can be written to', async () => {
    const { automatic } = (await http().get('/api/backups')).body;
    const elsewhere = join(folder, 'other-disk');
    await http()
      .put('/api/backups/automatic')
      .send({ ...automatic, folder: elsewhere, days: 3 })
      .expect(204);
    expect((await http().get('/api/backups')).body).toMatchObject({
      folder: elsewhere,
      automatic: { days: 3 },
    });
    await http()
      .put('/api/backups/automatic')
      .send({ ...automatic, folder: '/proc/nowhere' })
      .expect(422);
    await http()
      .put('/api/backups/automatic')
      .send({ ...automatic, days: 0, weeks: 0, months: 0 })
      .expect(422);
  });
});
