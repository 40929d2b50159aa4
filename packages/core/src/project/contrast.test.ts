import { expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { plain } from '../measure/said.js';
import { after } from '../testing/pieces.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import * as edit from './commands/edits.js';
import { touchingPairs, weakShare } from './contrast.js';
import { prepare } from './prepare.js';
import type { Project } from './schema.js';
import { cellAspect, trueTurns } from './wall.js';

const cup = demoProjects()[0]!;
const prepared = (project: Project) => {
  const made = prepare(project);
  if (!made.ok) throw new Error(plain(made.reasons[0]!.message));
  return made.value;
};
const pairsIn = (project: Project) =>
  touchingPairs(
    prepared(project),
    new Map(project.palette.map(({ key, wood }) => [key, SHIPPED_WOODS.find(({ id }) => id === wood)!])),
  );
const all = cup.rings.map((_, index) => index);

test('every two woods that touch once, the weakest first; a piece of one wood has none', () => {
  const pairs = pairsIn(cup);
  expect(pairs.map(({ a, b }) => [a.id, b.id].sort().join(' ')).sort()).toEqual([
    'black-walnut purpleheart',
    'black-walnut sugar-maple',
    'purpleheart sugar-maple',
  ]);
  const least = pairs.map(({ differences }) => Math.min(...differences));
  expect(least).toEqual([...least].sort((x, y) => x - y));
  expect(pairsIn(after(cup, edit.setWood(all, 'sugar-maple')))).toEqual([]);
});

test('palette entries of one species are one wood: no border between them', () => {
  const twice = after(cup, edit.setPaletteWood('purpleheart', 'sugar-maple'));
  expect(pairsIn(twice)).toHaveLength(1);
});

test('the weak share is by length of border: all, none, and a part', () => {
  const near = after(
    cup,
    edit.setPaletteWood('black-walnut', 'red-maple'),
    edit.setPaletteWood('purpleheart', 'african-ebony'),
  );
  const pairs = pairsIn(near);
  expect(pairs[0]!.b.id === 'red-maple' || pairs[0]!.a.id === 'red-maple').toBe(true);
  const share = weakShare(pairs, 0);
  const total = pairs.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
  expect(share).toBeCloseTo(pairs[0]!.lengthMm / total, 9);
  expect(weakShare(pairs.slice(0, 1), 0)).toBe(1);
  expect(weakShare([], 0)).toBe(0);
});

test('a picture as wide as it is true takes its share of the way round; cells have the shape of segments', () => {
  const piece = prepared(cup);
  const { course } = piece.rings[8]!;
  const height = course.topMm - course.bottomMm;
  const round = height / trueTurns(piece, 8, 8, 1);
  expect(cellAspect(piece, 8, 24)).toBeCloseTo(round / 24 / height, 9);
  expect(trueTurns(piece, 8, 8, 2)).toBeCloseTo(2 * trueTurns(piece, 8, 8, 1), 9);
  expect(trueTurns(piece, 0, 14, 1)).toBeGreaterThan(trueTurns(piece, 8, 8, 1));
});
