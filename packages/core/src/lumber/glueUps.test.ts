import { expect, test } from 'vitest';
import { drystoneVase } from '../demo/bands.js';
import { fellRaceCup } from '../demo/pieces.js';
import { whirlpoolGoblet } from '../demo/stacks.js';
import { plain } from '../measure/said.js';
import { planned } from '../testing/pieces.js';
import { glueUpRows } from './glueUps.js';

const said = (piece: Parameters<typeof planned>[0]) =>
  glueUpRows(planned(piece).rings).map(({ rings, says }) => [
    rings.map(({ index }) => index + 1).join(),
    plain(says),
  ]);

test('a board of strips, its disc and its slices stand once for all the rings that are sliced off it', () => {
  const rows = said(whirlpoolGoblet());
  expect(rows).toHaveLength(4 * 3);
  expect(rows[0]![0]).toBe('1,2,3,4,5,6');
  expect(rows.slice(0, 3).map(([, says]) => says!.split(' ', 1)[0])).toEqual(['Glue', 'Bandsaw', 'True']);
});
test('a laminated board: glued, sliced, slices turned and glued, trimmed; segments are the saw\u2019s', () => {
  const rows = said(drystoneVase()).filter(([rings]) => rings === '3');
  expect(rows.map(([, says]) => says!.split(' ', 1)[0])).toEqual(['Plane', 'Cut', 'Turn', 'Trim']);
});
test('a piece of plain rings has none', () => {
  expect(
    glueUpRows(planned(fellRaceCup()).rings.filter(({ steps }) => steps.every(({ id }) => id !== 'board'))),
  ).toEqual([]);
});
