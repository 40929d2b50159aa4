import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { sawn } from '../demo/build.js';
import { volumeOf, volumeOfAll } from '../making/layOut.js';
import { begun } from '../making/registry.js';
import { mm } from '../measure/quantity.js';
import { area } from '../ring/plane.js';
import { between } from '../testing/numbers.js';
import { madeRing } from '../testing/rings.js';
import { sectored } from './sectors.js';
import { cutRows, placeToward } from './toward.js';

const NEED = { outerRadiusMm: mm(60), innerRadiusMm: mm(0), heightMm: mm(8) };
const LEVELS = [{ blankZ: 0, z: 0, outer: 50, inner: 20 }];

describe('pieces that lie across the axis', () => {
  const rings = [
    begun('twisted', { segments: 12, body: 'b' })!,
    begun('medallion', { segments: 12, body: 'b' })!,
    {
      way: 'disc' as const,
      sawnFrom: { is: 'cabin' as const, rounds: 3, heart: 0.3, laid: 'right' as const },
    },
  ];
  test.each(rings.map((making) => [making.way, making] as const))(
    '%s: their sectors have together what the piece has, one edge outside and one inside each',
    (_, making) => {
      const made = madeRing(making, NEED);
      for (const kind of made.kinds)
        for (const place of kind.places) {
          const [whole] = made.lay(place);
          const parts = sectored(made, whole!, LEVELS);
          expect(parts.reduce((sum, part) => sum + volumeOf(part), 0)).toBeCloseTo(volumeOf(whole!), 4);
          for (const { bottom, sides } of parts)
            if (sides) {
              expect(sides).toEqual(['joint', 'outer', 'joint', 'inner']);
              expect(area(bottom)).toBeGreaterThanOrEqual(-1e-9);
            }
        }
    },
  );
  test('pieces between joints to the axis are left whole', () => {
    const made = madeRing({ way: 'segmented', count: 12 }, { ...NEED, innerRadiusMm: mm(40) });
    const [whole] = made.lay(0);
    expect(sectored(made, whole!, LEVELS)).toEqual([whole]);
  });
});

describe('a cut through a ring of many parts', () => {
  const zigzag = sawn('laminated', 12, { angleDeg: 25 });
  const made = madeRing(zigzag, { outerRadiusMm: mm(100), innerRadiusMm: mm(80), heightMm: mm(24) });
  test('meets at every height and radius what sampling finds there', () => {
    fc.assert(
      fc.property(between(0, 6.28), between(0.5, 23.5), between(0.05, 0.95), (direction, z, share) => {
        const row = cutRows(made, 0, direction).find(({ fromMm, toMm }) => z >= fromMm && z < toMm)!;
        const middle = (row.fromMm + row.toMm) / 2;
        const radius = 80 + 20 * share;
        const part = row.parts.find(
          ({ innerRadiusMm, outerRadiusMm }) => radius > innerRadiusMm + 0.1 && radius < outerRadiusMm - 0.1,
        );
        if (!part || row.toMm - row.fromMm > 1) return;
        expect(placeToward(made, 0, radius, direction, middle)).toBe(part.place);
      }),
    );
  });
  test('rows follow each other from bottom to top without gaps', () => {
    const rows = cutRows(made, 0.4, 1.1);
    expect(rows.length).toBeGreaterThan(5);
    expect([rows[0]!.fromMm, rows.at(-1)!.toMm]).toEqual([0, 24]);
    rows.slice(1).forEach((row, i) => {
      expect(row.fromMm).toBe(rows[i]!.toMm);
    });
  });
  test('a ring whose pieces go all the way up has one row', () => {
    expect(cutRows(madeRing({ way: 'segmented', count: 12 }), 0, 1)).toHaveLength(1);
  });
});

test('parts of a piece that begin and end at heights of their own are met there and nowhere else', () => {
  const given = sawn('plugs', 12, {
    plugs: [{ shape: 'square', acrossMm: mm(6), asideMm: mm(0), upMm: mm(2), depthMm: mm(8) }],
  });
  const made = madeRing(given, { outerRadiusMm: mm(100), innerRadiusMm: mm(80), heightMm: mm(20) });
  const middle = Math.PI / 12;
  expect(volumeOfAll(made.lay(12))).toBeCloseTo(6 * 6 * 8, 9);
  const at = (radius: number, z: number) => placeToward(made, 0, radius, middle, z);
  expect([at(99, 12), at(99, 8.9), at(99, 15.1), at(91, 12)]).toEqual([12, 0, 0, 0]);
});
