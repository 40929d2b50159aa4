import { createHash } from 'node:crypto';
import { SHIPPED_WOODS, writeProjectFile } from '@fellside/core';
import { describe, expect, test } from 'vitest';
import { cup, ownHouse, PNG } from '../testing/house.js';

const { http, query } = ownHouse();

describe('a project file', () => {
  test('carries its picture and own woods to another house, and back', async () => {
    const { key } = (await http().post('/api/pictures').set('content-type', 'image/png').send(PNG)).body;
    const own = { ...SHIPPED_WOODS[0]!, id: 'damson', name: 'Damson', letter: 'Dz' };
    await http().post('/api/woods').send(own).expect(201);
    const underlay = { picture: key, mmPerPixel: 0.5, axisPixel: 10, benchPixel: 10 };
    const document = {
      ...cup(),
      underlay,
      palette: cup().palette.map((entry) => ({ ...entry, wood: 'damson' })),
    };
    const { id } = (await http().post('/api/projects').send({ document }).expect(201)).body;
    const { text } = await http().get(`/api/projects/${id}/file`).expect(200);
    await query(`DELETE FROM pictures`);
    await query(`DELETE FROM woods WHERE id = 'damson'`);
    const taken = await http().post('/api/projects/import').send({ text }).expect(201);
    expect(taken.body.notes).toEqual([]);
    expect(Buffer.compare((await http().get(`/api/pictures/${key}`).expect(200)).body, PNG)).toBe(0);
    expect((await http().get('/api/woods')).body.map((wood: { id: string }) => wood.id)).toContain('damson');
    const wrong = text.replace(key, createHash('sha256').update('other').digest('hex'));
    expect(
      (await http().post('/api/projects/import').send({ text: wrong }).expect(201)).body.notes[0],
    ).toMatch(/left out/);
  });

  test('with a wood of other figures is asked about, and nothing here is changed', async () => {
    const mine = { ...SHIPPED_WOODS[0]!, id: 'quince', name: 'Quince', letter: 'Qz' };
    await http().post('/api/woods').send(mine).expect(201);
    const theirs = { ...mine, specificGravity: 0.9 };
    const document = {
      ...cup('Quince cup'),
      palette: cup().palette.map((entry) => ({ ...entry, wood: 'quince' })),
    };
    const text = writeProjectFile(document, [theirs]);
    const before = (await http().get('/api/projects')).body.total;
    const asked = await http().post('/api/projects/import').send({ text }).expect(409);
    expect(asked.body).toMatchObject({ code: 'woods-differ', woods: [{ id: 'quince', mine, theirs }] });
    expect((await http().get('/api/projects')).body.total).toBe(before);
    const both = await http()
      .post('/api/projects/import')
      .send({ text, woods: { quince: 'both' } })
      .expect(201);
    expect(both.body.document.palette[0].wood).toBe('quince-2');
    expect(both.body.notes).toEqual([
      'Quince was taken in as “Quince 2”.',
      expect.stringMatching(/The letter of Quince 2 is .; Qz was taken/),
    ]);
    const kept = await http()
      .post('/api/projects/import')
      .send({ text, woods: { quince: 'mine' } })
      .expect(201);
    expect(kept.body.document.palette[0].wood).toBe('quince');
    const woods = (await http().get('/api/woods')).body;
    expect(woods.find(({ id }: { id: string }) => id === 'quince').specificGravity).toBe(
      mine.specificGravity,
    );
    expect(woods.find(({ id }: { id: string }) => id === 'quince-2').specificGravity).toBe(0.9);
  });

  test('pictures that no piece, version or step uses are cleared away, others stay', async () => {
    const loose = Buffer.concat([PNG, Buffer.from([1])]);
    const { key } = (await http().post('/api/pictures').set('content-type', 'image/png').send(loose)).body;
    expect((await http().get('/api/pictures/unused')).body.pictures).toBe(1);
    expect((await http().delete('/api/pictures/unused').expect(200)).body).toEqual({
      pictures: 1,
      bytes: loose.length,
    });
    await http().get(`/api/pictures/${key}`).expect(404);
    const used = createHash('sha256').update(PNG).digest('hex');
    await http().get(`/api/pictures/${used}`).expect(200);
  });
});
