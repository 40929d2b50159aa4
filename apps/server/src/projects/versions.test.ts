import { copyOf, edit, run, writeProjectFile } from '@fellside/core';
import { describe, expect, test } from 'vitest';
import { cup, ownHouse, RING } from '../testing/house.js';

const { http, query, stored, put } = ownHouse();

describe('versions and removed pieces', () => {
  test('say what changed; the newest and the last of hours and days are kept', async () => {
    const { id } = await stored('First');
    const wider = run(cup('Second'), edit.setFormHeight(300 as never));
    if (!wider.ok) throw new Error();
    await put(id, 1, wider.value.project).expect(200);
    const { body } = await http().get(`/api/projects/${id}/versions`).expect(200);
    expect(body.map(({ revision }: { revision: number }) => revision)).toEqual([2, 1]);
    expect(body[0].changes).toContain('Named “Second”, before “First”.');
    expect(body[0].changes.join(' ')).toMatch(/Height 11 13\/16"/);
    expect(body[1].changes).toBeNull();
    // 70 saves of one day, then one more: the sixty newest, and the last of every hour and day before.
    await query('DELETE FROM project_versions WHERE projectId = ?', [id]);
    for (let n = 0; n < 70; n++)
      await query('INSERT INTO project_versions VALUES (?, ?, ?, ?)', [
        id,
        n + 3,
        JSON.stringify(cup()),
        new Date(Date.parse('2026-01-01T10:00:00Z') + n * 60_000).toISOString(),
      ]);
    await query('UPDATE projects SET revision = 72 WHERE id = ?', [id]);
    await put(id, 72, cup('Last')).expect(200);
    const kept = (await http().get(`/api/projects/${id}/versions`)).body.map(
      (v: { revision: number }) => v.revision,
    );
    // 73 to 14 are the sixty newest; of the hour from 10:00 the last, at 10:59, is 62, in them.
    expect(kept).toEqual(Array.from({ length: 60 }, (_, i) => 73 - i));
  });

  test('saving over a piece that was removed elsewhere is a conflict that hands both sides back', async () => {
    const { id } = await stored();
    await http().delete(`/api/projects/${id}`).expect(204);
    const { body } = await put(id, 1, cup('Mine')).expect(409);
    expect(body).toMatchObject({ code: 'removed', current: { revision: 1, document: { name: 'Cup' } } });
    expect((await http().get('/api/projects?removed=true')).body.pieces[0].id).toBe(id);
    await http().delete(`/api/projects/${id}/for-good`).expect(204);
    await put(id, 1, cup('Mine')).expect(404);
    await http().post(`/api/projects/${id}/restore`).expect(404);
  });

  test('a piece on the shelf is not taken away for good', async () => {
    const { id } = await stored();
    await http().delete(`/api/projects/${id}/for-good`).expect(404);
    await http().get(`/api/projects/${id}`).expect(200);
  });

  test('a copy of a piece with a ring of the stash plans it anew, and is taken in', async () => {
    const { item } = (await http().post('/api/stash').send(RING).expect(201)).body;
    const change = run(cup('First'), edit.useStashed(8, { ...RING, item } as never));
    if (!change.ok) throw new Error();
    await http().post('/api/projects').send({ document: change.value.project }).expect(201);
    await http().post('/api/projects').send({ document: change.value.project }).expect(422);
    const copy = copyOf(change.value.project, 'Copy');
    expect(copy.rings[8]).toMatchObject({
      making: { way: 'segmented', count: 12 },
      fixed: { outerRadiusMm: 60, innerRadiusMm: 40 },
    });
    await http().post('/api/projects').send({ document: copy }).expect(201);
    const text = writeProjectFile(change.value.project, []);
    expect((await http().post('/api/projects/import').send({ text }).expect(422)).body.reasons[0].code).toBe(
      'stash-taken',
    );
    await http().post('/api/projects/import').send({ text, anew: true }).expect(201);
  });
});
