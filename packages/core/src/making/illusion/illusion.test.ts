import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { sawn } from '../../demo/build.js';
import { mm } from '../../measure/quantity.js';
import { between } from '../../testing/numbers.js';
import { madeRing } from '../../testing/rings.js';
import { type FacePoint, loopArea } from '../faced/face.js';
import { layOut, volumeOf, volumeOfAll } from '../layOut.js';
import { groupsOf, makingSchema, mirrored, type RingMaking, tonesOf } from '../registry.js';
import type { SegmentedParams } from '../segmented/params.js';
import { ILLUSIONS, type Illusion, type IllusionName } from './illusion.js';

const NAMES = Object.keys(ILLUSIONS) as IllusionName[];
const NEED = { outerRadiusMm: mm(100), innerRadiusMm: mm(80), heightMm: mm(30) };
const illusion = (change: Partial<Illusion> = {}, beside: Partial<SegmentedParams> = {}) =>
  sawn('illusion', 12, change, beside);

const covered = (loop: readonly FacePoint[], u: number, z: number): boolean => {
  let within = false;
  loop.forEach((p, i) => {
    const q = loop[(i + 1) % loop.length]!;
    if (p.z > z !== q.z > z && u < p.u + ((z - p.z) / (q.z - p.z)) * (q.u - p.u)) within = !within;
  });
  return within;
};

/** Which side of the thing shows at a spot of a face. */
const sideAt = (name: IllusionName, rows: number, u: number, z: number, wide = 20, high = 20) =>
  ILLUSIONS[name].facets(wide, high, rows).find(({ loop }) => covered(loop, u, z))?.side;

describe.each(NAMES)('the illusion “%s”', (name) => {
  const figure = ILLUSIONS[name];
  test('says what it is, and every side of it has facets in some number of rows', () => {
    expect(figure.says.length).toBeGreaterThan(20);
    const facets = figure.facets(20, 20 * figure.ratio(3), 3);
    for (const { name: side } of figure.sides) expect(facets.map((facet) => facet.side)).toContain(side);
  });
  test('covers its face wholly, whatever its shape', () => {
    fc.assert(
      fc.property(
        between(5, 60),
        between(5, 60),
        fc.integer({ min: 1, max: 6 }),
        between(-0.499, 0.499),
        between(0.001, 0.999),
        (wide, high, rows, u, z) => {
          expect(sideAt(name, rows, u * wide, z * high, wide, high)).toBeDefined();
        },
      ),
    );
  });
  test('no facet lies outside the face, and none is nothing', () => {
    for (const rows of [1, 2, 3, 5])
      for (const { loop } of figure.facets(20, 30, rows)) {
        expect(Math.abs(loopArea(loop))).toBeGreaterThan(1e-6);
        for (const { u, z } of loop) {
          expect(Math.abs(u)).toBeLessThanOrEqual(10 + 1e-9);
          if (name === 'blocks') expect(z).toBeGreaterThanOrEqual(-1e-9);
        }
      }
  });
  test('all facets together are the segments, and each place has a tone', () => {
    const given = illusion({ figure: name, rows: 2 });
    const made = madeRing(given, NEED);
    const plain = madeRing({ way: 'segmented', count: 12 }, NEED);
    const volume = (ring: typeof made) => layOut(ring).reduce((sum, part) => sum + volumeOf(part), 0);
    expect(volume(made) / volume(plain)).toBeCloseTo(1, 9);
    const places = groupsOf(given).reduce((sum, { count }) => sum + count, 0);
    expect(tonesOf(given)).toHaveLength(places);
  });
  test('from inside left and right are exchanged', () => {
    const outside = illusion({ figure: name, rows: 3 });
    const inside = mirrored(outside);
    expect(inside).toEqual(illusion({ figure: name, rows: 3, seen: 'inside' }));
    expect(mirrored(inside)).toEqual(outside);
    const volumes = (given: RingMaking) =>
      madeRing(given, NEED).together[0]!.map((place) => volumeOfAll(madeRing(given, NEED).lay(place)));
    const [there, here] = [inside, outside].map((given) => volumes(given).sort((a, b) => a - b));
    there!.forEach((volume, i) => {
      expect(volume).toBeCloseTo(here![i]!, 6);
    });
  });
});

describe('what is seen where', () => {
  test('tumbling blocks: every cube has its top above, its left side left, its right side right', () => {
    const high = 20 * ILLUSIONS.blocks.ratio(1);
    // The heart of a cube lies half way up its row; its three rhombs meet there.
    expect(sideAt('blocks', 1, 0, high / 2 + 1, 20, high)).toBe('Top');
    expect(sideAt('blocks', 1, -3, high / 2 - 2, 20, high)).toBe('Left side');
    expect(sideAt('blocks', 1, 3, high / 2 - 2, 20, high)).toBe('Right side');
  });
  test('tumbling blocks are three rhombs of one size: sides as 1 : 1 at the true height (plane geometry)', () => {
    const high = 20 * ILLUSIONS.blocks.ratio(1);
    const edge = high / 1.5;
    // A hexagon 20 across its flats has sides of 20/√3.
    expect(edge).toBeCloseTo(20 / Math.sqrt(3), 9);
  });
  test('a lozenge is lit on one side and shaded on the other, with ground round it', () => {
    expect(
      ['-3 10', '3 10', '9.8 1'].map((at) =>
        sideAt('lozenge', 1, ...(at.split(' ').map(Number) as [number, number])),
      ),
    ).toEqual(['Lit slope', 'Slope in shade', 'Ground']);
  });
  test('the rising band lies over the falling one where they cross, with edging either side', () => {
    expect(sideAt('interlace', 1, 0, 10)).toBe('Band above');
    expect(sideAt('interlace', 1, -9, 4.6)).toBe('Band above');
    expect(sideAt('interlace', 1, -9, 15.5)).toBe('Band below');
    const across = Array.from({ length: 200 }, (_, i) => sideAt('interlace', 1, 0, (i + 0.5) / 10));
    expect(across.filter((side, i) => side !== across[i - 1])).toEqual([
      'Ground',
      'Edging',
      'Band above',
      'Edging',
      'Ground',
    ]);
  });
  test('bands change their woods from segment to segment, so that each goes over and under', () => {
    const tones = tonesOf(illusion({ figure: 'interlace' }, { count: 4 }))!;
    expect(tones.slice(0, 4)).toEqual(['light', 'middle', 'light', 'middle']);
    expect(tones.slice(4, 12)).toEqual([
      'middle',
      'middle',
      'light',
      'light',
      'middle',
      'middle',
      'light',
      'light',
    ]);
  });
  test('stairs climb to the right, tread after riser', () => {
    const up = (u: number) =>
      Array.from({ length: 400 }, (_, i) => sideAt('stairs', 4, u, (i + 0.5) / 20)).filter(
        (side, i, all) => side !== all[i - 1],
      );
    expect(up(-4)[0]).toBe('Ground');
    expect(up(-4)).toContain('Tread');
    const first = (u: number) =>
      Array.from({ length: 400 }, (_, i) => i).find(
        (i) => sideAt('stairs', 4, u, (i + 0.5) / 20) !== 'Ground',
      )!;
    expect(first(8)).toBeGreaterThan(first(-6));
  });
});

describe('what is told', () => {
  test('a picture out of shape, bands that do not meet, blocks that are too few', () => {
    const codes = (figure: IllusionName, count: number, heightMm = mm(30)) =>
      madeRing(illusion({ figure }, { count }), { ...NEED, heightMm }).warnings.map(({ code }) => code);
    expect(codes('lozenge', 12, mm(12))).toContain('illusion-out-of-shape');
    expect(codes('interlace', 11)).toContain('bands-do-not-meet');
    expect(madeRing(illusion(), NEED).reads).toEqual({ as: 'blocks', rings: 3 });
    expect(madeRing(illusion({ rows: 3 }), NEED).reads).toBeNull();
    expect(madeRing(illusion({ figure: 'lozenge' }), NEED).reads).toBeNull();
  });
  test('by grain: one tone, three ways of the grain', () => {
    const given = illusion({ by: 'grain' });
    expect(new Set(tonesOf(given))).toEqual(new Set(['middle']));
    const grains = madeRing(given, NEED).kinds.map(({ grain }) => grain);
    expect(new Set(grains)).toEqual(new Set(['outwards', 'along', 'upright']));
  });
  test('a figure that is not known is refused', () => {
    const parsed = makingSchema.safeParse(illusion({ figure: 'ghost' as IllusionName }));
    expect(parsed.error?.issues[0]?.message).toMatch(/not one of blocks, stairs, lozenge, interlace/);
  });
});
