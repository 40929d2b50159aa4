import { test } from 'vitest';
import { prepare } from '../src/project/prepare.js';
import { toBuild } from '../src/project/rehearsal.js';
import { type Project, SCHEMA_VERSION } from '../src/project/schema.js';
import { USUAL_ERRORS, USUAL_SCHOOL } from '../src/settings/errors.js';
import { Count } from '../src/simulate/counting.js';
import { buildAndLook } from '../src/simulate/many.js';
import { middleOf, vaseOf } from './vase.js';

const METHOD = { ...USUAL_SCHOOL, letInMm: 0 };
const SIZES = [
  [15, 24],
  [40, 48],
] as const;
const FEW = 30;
const MANY = 10_000;

const vase = (rings: number, count: number): Project => {
  const { rings: own, ...rest } = vaseOf(rings, count);
  return {
    schema: SCHEMA_VERSION,
    name: `${rings} × ${count}`,
    ...rest,
    // A stripe up the whole piece: lines to be followed.
    rings: own.map((ring) => ({
      ...ring,
      turn: 0,
      woods: ring.woods.map((_, place) => (place % 8 === 0 ? 'dark' : 'light')),
    })),
    motifs: [],
    palette: [
      { key: 'light', tone: 'light', wood: 'sugar-maple' },
      { key: 'dark', tone: 'dark', wood: 'black-walnut' },
    ],
    underlay: null,
  };
};

test('builds a second, and what they are remembered in', () => {
  const rows = SIZES.map(([rings, count]) => {
    const prepared = prepare(vase(rings, count));
    const piece = prepared.ok ? toBuild(prepared.value) : prepared;
    if (!piece.ok) throw new Error('vase');
    let seed = 0;
    const ms = middleOf(() => {
      for (let i = 0; i < FEW; i++) buildAndLook(piece.value, USUAL_ERRORS, METHOD, ++seed);
    }, 9);
    return { rings, count, lines: piece.value.lines.length, ms: ms / FEW, piece: piece.value };
  });
  const [small, large] = [rows[0]!, rows[1]!];
  const counted = new Count(small.piece);
  const size = () => JSON.stringify(counted).length;
  for (let seed = 1; seed <= MANY / 10; seed++)
    counted.add(buildAndLook(small.piece, USUAL_ERRORS, METHOD, seed));
  const early = size();
  for (let seed = MANY / 10; seed <= MANY; seed++)
    counted.add(buildAndLook(small.piece, USUAL_ERRORS, METHOD, seed));
  console.log(
    [
      'rehearsal',
      ...rows.map(
        ({ rings, count, lines, ms }) =>
          `  ${rings} × ${count}, ${lines} borders followed: ${(1000 / ms).toFixed(0)} builds a second`,
      ),
      `  ${large.rings} × ${large.count} over ${small.rings} × ${small.count}: ${(large.ms / small.ms).toFixed(1)} times as long, with ${((large.rings * large.count) / (small.rings * small.count)).toFixed(1)} times the segments`,
      `  what is remembered of builds after ${MANY} over after ${MANY / 10}: ${(size() / early).toFixed(2)}`,
    ].join('\n'),
  );
});
