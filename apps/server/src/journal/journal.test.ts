import { edit, type HandEntry, mm, run } from '@fellside/core';
import { beforeAll, describe, expect, test } from 'vitest';
import { cup, ownHouse } from '../testing/house.js';

const house = ownHouse();
const { http } = house;
const JPEG = Buffer.from([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3, 4]);
const PNG = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 5]);

let piece = '';
let count = 0;
const entry = (written: object) => ({
  id: `00000000-0000-4000-8000-${String(++count).padStart(12, '0')}`,
  at: '2026-11-30T09:00:00.000Z',
  device: 'tablet',
  ...written,
});
const add = (...entries: object[]) => http().post(`/api/projects/${piece}/journal`).send({ entries });
const list = async (): Promise<HandEntry[]> =>
  (await http().get(`/api/projects/${piece}/journal`).expect(200)).body.entries;
const photo = async (bytes = JPEG, type = 'image/jpeg'): Promise<string> =>
  (await http().post(`/api/projects/${piece}/photos`).set('content-type', type).send(bytes).expect(201)).body
    .id;

beforeAll(async () => {
  piece = (await house.stored()).id;
});

describe('the journal', () => {
  test('entries are added once however often they come, changed, and taken out', async () => {
    const note = entry({ kind: 'note', text: 'Glue was old.' });
    await add(note).expect(204);
    await add({ ...note, text: 'Sent again.' }, entry({ kind: 'hours', work: 'gluing', minutes: 30 })).expect(
      204,
    );
    expect(await list()).toContainEqual(note);
    expect((await list()).map(({ kind }) => kind)).toEqual(['note', 'hours']);
    const path = `/api/projects/${piece}/journal/${note.id}`;
    await http()
      .put(path)
      .send({ ...note, text: 'Glue was fresh.' })
      .expect(204);
    expect(await list()).toContainEqual({ ...note, text: 'Glue was fresh.' });
    const other = await http()
      .put(path)
      .send(entry({ kind: 'hours', work: 'gluing', minutes: 5 }))
      .expect(422);
    expect(other.body.reasons[0].message).toMatch(/stays of its kind/);
    await http().delete(path).expect(204);
    await http().delete(path).expect(404);
    expect((await list()).map(({ kind }) => kind)).toEqual(['hours']);
  });
  test('what is wrong is refused with a sentence, and nothing of the request is kept', async () => {
    const before = await list();
    const answer = await add(
      entry({ kind: 'note', text: 'Good.' }),
      entry({ kind: 'hours', work: 'gluing', minutes: -1 }),
    ).expect(422);
    expect(answer.body.reasons[0].message).toMatch(/Less than a minute/);
    await add(entry({ kind: 'sawn-off', gone: 'below', atMm: 3, rings: 1 })).expect(422);
    await add(
      entry({
        kind: 'photo',
        photo: '00000000-0000-4000-8000-00000000ffff',
        text: '',
        cover: false,
        turn: 0,
      }),
    ).expect(422);
    await http()
      .post('/api/projects/nowhere/journal')
      .send({ entries: [entry({ kind: 'note', text: 'x' })] })
      .expect(404);
    expect(await list()).toEqual(before);
  });
  test('what happens at work writes itself, in the same save', async () => {
    const { id, revision } = await house.stored('At work');
    const measured = run(cup('At work'), edit.setMeasured([2], { heightMm: mm(18.5) }));
    if (!measured.ok) throw new Error('measured');
    const save = (at: number) =>
      http()
        .put(`/api/projects/${id}`)
        .send({ revision: at, document: measured.value.project, history: { past: [], future: [] } });
    await save(revision + 3).expect(409);
    await save(revision).expect(200);
    await save(revision + 1).expect(200);
    const { entries } = (await http().get(`/api/projects/${id}/journal`).expect(200)).body;
    expect(entries).toMatchObject([{ kind: 'measured', ring: 2, what: 'heightMm', mm: 18.5 }]);
  });
});

describe('photographs', () => {
  test('the original stays as it was taken; what is looked at is put beside it', async () => {
    const id = await photo();
    const seen = async (path: string) => (await http().get(`/api/photos/${id}${path}`).expect(200)).body;
    expect(await seen('/view')).toEqual(JPEG);
    const small = Buffer.from([0xff, 0xd8, 0xff, 9]);
    await http().put(`/api/photos/${id}/view`).set('content-type', 'image/jpeg').send(small).expect(204);
    expect(await seen('/view')).toEqual(small);
    expect(await seen('')).toEqual(JPEG);
    await http().put(`/api/photos/${id}/view`).set('content-type', 'image/png').send(PNG).expect(422);
    expect(await seen('/view')).toEqual(small);
  });
  test('another kind of file is refused with a sentence', async () => {
    const answer = await http()
      .post(`/api/projects/${piece}/photos`)
      .set('content-type', 'image/png')
      .send(Buffer.from('GIF89a and no more'))
      .expect(422);
    expect(answer.body.reasons[0].message).toMatch(/neither a JPEG nor a PNG/);
    await http().post('/api/projects/nowhere/photos').set('content-type', 'image/png').send(PNG).expect(404);
  });
  test('one of them stands on the passport; with its entry it is gone, and with the piece all of them', async () => {
    const [one, two] = [await photo(), await photo(PNG, 'image/png')];
    const entries = [one, two].map((each) =>
      entry({ kind: 'photo', photo: each, text: '', cover: false, turn: 0 }),
    );
    await add(...entries).expect(204);
    for (const each of entries)
      await http()
        .put(`/api/projects/${piece}/journal/${each.id}`)
        .send({ ...each, cover: true })
        .expect(204);
    const covers = (await list()).flatMap((each) =>
      each.kind === 'photo' && each.cover ? [each.photo] : [],
    );
    expect(covers).toEqual([two]);
    // An entry keeps its photograph.
    const stolen = { ...entries[0]!, photo: two };
    await http().put(`/api/projects/${piece}/journal/${entries[0]!.id}`).send(stolen).expect(422);
    await http().delete(`/api/projects/${piece}/journal/${entries[0]!.id}`).expect(204);
    await http().get(`/api/photos/${one}`).expect(404);
    await http().delete(`/api/projects/${piece}`).expect(204);
    await http().get(`/api/photos/${two}`).expect(200);
    await http().delete(`/api/projects/${piece}/for-good`).expect(204);
    await http().get(`/api/photos/${two}`).expect(404);
    expect(await house.query('SELECT count(*) AS n FROM journal WHERE projectId = ?', [piece])).toEqual([
      { n: 0 },
    ]);
  });
});
