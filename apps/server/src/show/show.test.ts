import { startingShop } from '@fellside/core';
import { demoProjects } from '@fellside/core/demo';
import { expect, test } from 'vitest';
import { ownHouse } from '../testing/house.js';

const { http } = ownHouse();

test('whether the shop was ever set is told, and what it is set to is kept', async () => {
  expect((await http().get('/api/shop/chosen').expect(200)).body).toEqual({ chosen: false });
  const shop = startingShop('mm');
  await http().put('/api/shop').send(shop).expect(200);
  expect((await http().get('/api/shop/chosen')).body).toEqual({ chosen: true });
  expect((await http().get('/api/shop')).body).toEqual(shop);
});

test('the show comes onto an empty shelf whole, and onto no other', async () => {
  await http().post('/api/show').expect(204);
  const { pieces } = (await http().get('/api/projects').expect(200)).body as {
    pieces: { name: string; heightMm: number }[];
  };
  // The shop measures in millimetres since the test before: so does the show.
  const cup = pieces.find(({ name }) => name === 'Fell Race Cup')!;
  expect(cup).toMatchObject({ heightMm: 252, diameterMm: 159 });
  expect(pieces.map(({ name }) => name).sort()).toEqual(
    demoProjects()
      .map(({ name }) => name)
      .sort(),
  );
  const again = await http().post('/api/show').expect(409);
  expect(again.body.message).toMatch(/pieces already; those of the show come onto an empty shelf only/);
  expect((await http().get('/api/projects')).body.pieces).toHaveLength(pieces.length);
});
