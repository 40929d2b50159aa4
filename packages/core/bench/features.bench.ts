import { expect, test } from 'vitest';
import { demoProjects } from '../src/demo/index.js';
import { plan } from '../src/project/plan.js';
import { prepare } from '../src/project/prepare.js';
import { DEFAULT_SHOP } from '../src/settings/shop.js';
import { sampleWall } from '../src/surface/sample.js';
import { middleOf } from './vase.js';

/** plan() and a sampled wall for every piece of the show: what feature rings cost beside plain ones. */
test('pieces of the show', () => {
  const pieces = demoProjects();
  for (const piece of pieces) expect(plan(piece, DEFAULT_SHOP).ok).toBe(true);
  const rows = pieces.map((piece) => {
    const planned = middleOf(() => plan(piece, DEFAULT_SHOP), 5);
    const prepared = prepare(piece);
    if (!prepared.ok) throw new Error(piece.name);
    const { vessel, rings } = prepared.value;
    const standing = rings.map(({ made, turn, course }) => ({
      made: made.ok ? made.value : null,
      turn,
      bottomMm: course.bottomMm,
      topMm: course.topMm,
    }));
    const sampled = middleOf(() => sampleWall(vessel, standing, 'outside', { columns: 1024, rows: 512 }), 3);
    return `  ${piece.name}: plan ${planned.toFixed(1)} ms, 1024 × 512 points ${sampled.toFixed(0)} ms`;
  });
  console.log(`\nPieces of the show\n${rows.join('\n')}`);
});
