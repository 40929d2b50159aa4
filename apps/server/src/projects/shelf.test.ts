import { describe, expect, test } from 'vitest';
import { cup, ownHouse } from '../testing/house.js';

const { http, query, stored, put } = ownHouse();

describe('the shelf', () => {
  test('comes in pages with what a list needs; names are found; the newest come first', async () => {
    for (let n = 0; n < 5; n++) await stored(`Bowl 50%_${n}`);
    const { body } = await http().get('/api/projects?from=1&count=2&named=bowl 50%25_').expect(200);
    expect(body).toMatchObject({ total: 5, tallestMm: cup().form.points.at(-1)!.heightMm });
    expect(body.pieces.map(({ name }: { name: string }) => name)).toEqual(['Bowl 50%_3', 'Bowl 50%_2']);
    expect(Object.keys(body.pieces[0]).sort()).toEqual([
      'diameterMm',
      'heightMm',
      'id',
      'kind',
      'name',
      'removedAt',
      'revision',
      'savedAt',
      'state',
      'unreadable',
      'woods',
    ]);
    await http().get('/api/projects?count=100000').expect(422);
  });

  test('is sorted by name, height and width, and asked for a wood', async () => {
    const make = (name: string, wide: number) => {
      const document = cup(name);
      const points = document.form.points.map((point) => ({ ...point, radiusMm: point.radiusMm * wide }));
      const palette = document.palette.map((entry, i) =>
        wide > 1 && i === 0 ? { ...entry, wood: 'yew' } : entry,
      );
      return http()
        .post('/api/projects')
        .send({ document: { ...document, palette, form: { ...document.form, points } } })
        .expect(201);
    };
    await make('Sorted b', 1);
    await make('sorted A', 1.1);
    const names = async (more: string): Promise<string[]> =>
      (await http().get(`/api/projects?named=sorted${more}`).expect(200)).body.pieces.map(
        ({ name }: { name: string }) => name,
      );
    expect(await names('&order=name')).toEqual(['sorted A', 'Sorted b']);
    expect(await names('&order=width')).toEqual(['sorted A', 'Sorted b']);
    expect(await names('&order=saved')).toEqual(['sorted A', 'Sorted b']);
    expect(await names('&wood=yew')).toEqual(['sorted A']);
    expect((await http().get('/api/projects?named=sorted&wood=yew').expect(200)).body.total).toBe(1);
    await http().get('/api/projects?order=weight').expect(422);
  });

  test('is asked for what forms are called, and for how far pieces are', async () => {
    const { id } = await stored('Kept cup');
    const document = cup('Kept platter');
    const points = document.form.points.map((point) => ({ ...point, radiusMm: point.radiusMm * 8 }));
    const flat = {
      ...document,
      form: { ...document.form, points },
      passport: { maker: '', number: '', note: '', made: '2026-10-04' },
    };
    await http().post('/api/projects').send({ document: flat }).expect(201);
    const names = async (more: string): Promise<string[]> =>
      (await http().get(`/api/projects?named=kept&${more}`).expect(200)).body.pieces.map(
        ({ name }: { name: string }) => name,
      );
    expect(await names('kind=platter')).toEqual(['Kept platter']);
    expect(await names('kind=vase')).toEqual(['Kept cup']);
    expect(await names('kind=vase&state=made')).toEqual([]);
    expect(await names('state=made')).toEqual(['Kept platter']);
    expect(await names('state=planned')).toEqual(['Kept cup']);
    await query(`INSERT INTO ticks VALUES ('t', ?, 'saw', 3, '2026-11-01', 'bench')`, [id]);
    expect(await names('state=begun')).toEqual(['Kept cup']);
    // What was ticked by mistake is taken back: nothing is done.
    await query(`INSERT INTO ticks VALUES ('u', ?, 'saw', -3, '2026-11-01', 'bench')`, [id]);
    expect(await names('state=planned')).toEqual(['Kept cup']);
    for (const wrong of ['kind=teapot', 'state=lost']) {
      const { body } = await http().get(`/api/projects?${wrong}`).expect(422);
      expect(body.reasons[0].message).toMatch(/is one of/);
    }
  });

  test('one unreadable piece costs one piece, and its raw text can be saved; a newer one is left alone', async () => {
    const [broken, newer] = [await stored('Broken'), await stored('Newer')];
    await query(`UPDATE projects SET document = '{"name": "Bro' WHERE id = ?`, [broken.id]);
    const later = JSON.stringify({ ...cup('Newer'), schema: 999 });
    await query('UPDATE projects SET document = ? WHERE id = ?', [later, newer.id]);
    const { body } = await http().get('/api/projects?count=200').expect(200);
    const of = (id: string) => body.pieces.find((piece: { id: string }) => piece.id === id);
    expect(of(broken.id)).toMatchObject({
      name: 'Broken',
      unreadable: expect.stringMatching(/cannot be read/),
    });
    expect(of(newer.id).unreadable).toMatch(/newer Fellside/);
    expect((await http().get(`/api/projects/${broken.id}/raw`).expect(200)).text).toBe('{"name": "Bro');
    expect((await http().get(`/api/projects/${newer.id}`).expect(422)).body.reasons[0].message).toMatch(
      /newer/,
    );
    await put(newer.id, 1, cup('Mine')).expect(409);
    expect((await http().get(`/api/projects/${newer.id}/raw`)).text).toBe(later);
    for (const { id } of [broken, newer]) {
      await http().delete(`/api/projects/${id}`).expect(204);
      await http().delete(`/api/projects/${id}/for-good`).expect(204);
    }
  });

  test('draws a piece as PNG, the same until it is saved again', async () => {
    const { id } = await stored();
    const png = await http()
      .get(`/api/projects/${id}/drawings/1`)
      .expect(200)
      .expect('content-type', 'image/png');
    expect(png.body.subarray(1, 4).toString()).toBe('PNG');
    expect(png.headers['cache-control']).toMatch(/immutable/);
    await put(id, 1, {
      ...cup(),
      palette: cup().palette.map((entry) => ({ ...entry, wood: 'wenge' })),
    }).expect(200);
    const darker = await http().get(`/api/projects/${id}/drawings/2`).expect(200);
    expect(Buffer.compare(darker.body, png.body)).not.toBe(0);
    await http().get(`/api/projects/${id}/drawings/9`).expect(404);
    // Another finish of the shop: in its colours, although the piece is the same.
    const shop = (await http().get('/api/shop').expect(200)).body;
    const unfinished = { ...shop.workshop, finish: { ...shop.workshop.finish, usual: 'none' } };
    await http()
      .put('/api/shop')
      .send({ ...shop, workshop: unfinished })
      .expect(200);
    const bare = await http().get(`/api/projects/${id}/drawings/2`).expect(200);
    expect(Buffer.compare(bare.body, darker.body)).not.toBe(0);
  });
});
