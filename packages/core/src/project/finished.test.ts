import { describe, expect, test } from 'vitest';
import type { RingMaking } from '../making/registry.js';
import { placesOf } from '../making/registry.js';
import { mm } from '../measure/quantity.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { plan } from './plan.js';
import { type Project, SCHEMA_VERSION } from './schema.js';

const [RADIUS, WALL, FLOOR] = [60, 8, 12];

/** A straight tumbler of rings 12 high, the lowest its floor; one ring of a making, `dark` where it says so, the others light. */
function tumbler(at: number, making: RingMaking, dark: (place: number) => boolean): Project {
  const end = (heightMm: number) => ({
    heightMm: mm(heightMm),
    radiusMm: mm(RADIUS),
    kind: 'corner' as const,
  });
  const rings = Array.from({ length: 4 }, (_, i) => {
    const made: RingMaking =
      i === at ? making : i === 0 ? { way: 'disc' } : { way: 'segmented' as const, count: 12 };
    const woods = Array.from({ length: placesOf(made) }, (_, place) =>
      i === at && dark(place) ? 'dark' : 'light',
    );
    return { id: `r${i}`, heightMm: mm(12), making: made, turn: 0, woods };
  });
  return {
    schema: SCHEMA_VERSION,
    name: 'Tumbler',
    form: {
      points: [end(0), end(48)],
      inside: { by: 'wall', walls: [{ heightMm: mm(0), wallMm: mm(WALL) }], floorMm: mm(FLOOR) },
      recess: null,
      lid: null,
    },
    rings,
    allowances: { outsideMm: mm(3), insideMm: mm(3) },
    motifs: [],
    palette: [
      { key: 'light', tone: 'light', wood: 'sugar-maple' },
      { key: 'dark', tone: 'dark', wood: 'black-walnut' },
    ],
    underlay: null,
  };
}

const walnutIn = (project: Project) => {
  const planned = plan(project, DEFAULT_SHOP);
  if (!planned.ok) throw new Error(JSON.stringify(planned.reasons));
  const { lumber, rings } = planned.value;
  return {
    ...lumber.woods.find(({ wood }) => wood === 'black-walnut')!,
    pieces: rings.flatMap(({ pieces }) => pieces),
  };
};
const disc = (radius: number) => Math.PI * radius ** 2;
const wall = disc(RADIUS) - disc(RADIUS - WALL);

// Cylinders: area by height, worked by hand.
describe('what is left of each wood in a straight tumbler', () => {
  test.each([2, 4, 9])('of the lower of two layers of a ring, %i mm thick', (thick) => {
    const ring: RingMaking = {
      way: 'segmented',
      count: 12,
      sawnFrom: { is: 'layers', laid: 'bottom-up', layersMm: [mm(thick)], turned: 'none' },
    };
    expect(walnutIn(tumbler(2, ring, (place) => place < 12)).finishedMm3).toBeCloseTo(thick * wall, 0);
  });
  test.each([2, 5])('of the lower of two boards of a floor, %i mm thick', (thick) => {
    const floor: RingMaking = { way: 'disc', sawnFrom: { is: 'layers', layersMm: [mm(thick)] } };
    const { finishedMm3, segmentsMm3 } = walnutIn(tumbler(0, floor, (place) => place === 0));
    expect(finishedMm3 / (thick * disc(RADIUS))).toBeCloseTo(1, 3);
    expect(segmentsMm3 / (thick * disc(RADIUS + 3))).toBeCloseTo(1, 6);
  });
  test('of a plug: it is as large in the turned floor as in the blank', () => {
    const plug = { diameterMm: mm(40), drillMm: mm(40) };
    const pie: RingMaking = { way: 'segmented', count: 12, toCentre: true, plug };
    const { finishedMm3, segmentsMm3 } = walnutIn(tumbler(0, pie, (place) => place === 12));
    expect(finishedMm3 / (12 * disc(20))).toBeCloseTo(1, 3);
    expect(segmentsMm3).toBeCloseTo(12 * disc(20), 6);
  });
  test('of a plug in a slice of a thick ring: it is as high as the slice, and its block as the thick ring', () => {
    const sliced = { done: 'sliced', from: 'thick', kerfMm: mm(2), cleanUpMm: mm(1) } as const;
    const plug = { diameterMm: mm(40), drillMm: mm(40) };
    const pie: RingMaking = { way: 'segmented', count: 12, toCentre: true, plug, after: sliced };
    const { finishedMm3, segmentsMm3, pieces } = walnutIn(tumbler(0, pie, (place) => place === 12));
    expect(finishedMm3 / (12 * disc(20))).toBeCloseTo(1, 3);
    expect(segmentsMm3).toBeCloseTo(12 * disc(20), 6);
    const { stock } = pieces.find(({ kind }) => kind.name === 'Plug')!.kind;
    expect(stock).toMatchObject({ thicknessMm: 13, slicing: { keptMm: 12 } });
  });
  test('of a disc that is sliced from a thicker one, and of a star that is', () => {
    const sliced = { done: 'sliced', from: 'thick', kerfMm: mm(2), cleanUpMm: mm(1) } as const;
    const one = walnutIn(tumbler(0, { way: 'disc', after: sliced }, () => true));
    expect(one.finishedMm3 / (12 * disc(RADIUS))).toBeCloseTo(1, 3);
    expect(one.segmentsMm3).toBeCloseTo(12 * disc(RADIUS + 3), 6);
    const star: RingMaking = {
      way: 'disc',
      sawnFrom: { is: 'star', points: 8, lit: 'clockwise', borderMm: mm(0) },
      after: sliced,
    };
    // Half of the star's points: eight triangles with the sides tip and valley, ½·tip·side·sin 22.5°; whole in the turned floor but at their tips.
    const side = 63 / (2 * Math.cos(Math.PI / 8) ** 2);
    const halves = 8 * 0.5 * side * 2 * side * Math.cos(Math.PI / 8) * Math.sin(Math.PI / 8);
    const { finishedMm3, segmentsMm3 } = walnutIn(tumbler(0, star, (place) => place < 8));
    expect(segmentsMm3).toBeCloseTo(12 * halves, 4);
    expect(finishedMm3).toBeLessThan(segmentsMm3);
    expect(finishedMm3).toBeGreaterThan(0.9 * segmentsMm3);
  });
});
