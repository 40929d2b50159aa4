import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { radiusAt } from '../form/curve.js';
import { insideAt } from '../form/vessel.js';
import { layOut } from '../making/layOut.js';
import { WAYS } from '../making/registry.js';
import { type Prepared, prepare } from '../project/prepare.js';
import { sampledCuts, sampledRings } from '../project/standing.js';
import { anyProject } from '../testing/random.js';
import { endGrain, grainOf } from './grain.js';
import { placesRound } from './round.js';
import { type SampledWall, type Side, sampleWall, sampling } from './sample.js';

const sampled = ({ vessel, rings }: Prepared, side: Side, columns = 720, rows = 240): SampledWall =>
  sampleWall(
    vessel,
    rings.map(({ made, turn, course }) => ({
      made: made.ok ? made.value : null,
      turn,
      bottomMm: course.bottomMm,
      topMm: course.topMm,
    })),
    side,
    { columns, rows },
  );

/** Share of the wall's points by ring and place; a key for each. */
function counted(wall: SampledWall): Map<string, number> {
  const counts = new Map<string, number>();
  for (let row = 0; row < wall.rows; row++)
    for (let column = 0; column < wall.columns; column++) {
      const place = wall.place[row * wall.columns + column]!;
      const ring = wall.ring[row * wall.columns + column]!;
      if (ring < 0 || place < 0) continue;
      const key = `${ring} ${place}`;
      counts.set(key, (counts.get(key) ?? 0) + 1 / wall.columns);
    }
  return counts;
}

/** The same by integrating over the pieces: how much of the circle each takes at every row, from its outline. */
function integrated({ vessel, rings }: Prepared, wall: SampledWall): Map<string, number> {
  const shares = new Map<string, number>();
  const step = (wall.toMm - wall.fromMm) / wall.rows;
  for (let row = 0; row < wall.rows; row++) {
    const index = wall.ring[row * wall.columns]!;
    const made = rings[index]?.made;
    if (!made?.ok) continue;
    const z = wall.toMm - (row + 0.5) * step;
    const radius = wall.side === 'outside' ? radiusAt(vessel.outside, z) : (insideAt(vessel, z) ?? 0);
    for (const { place, from, to } of placesRound(made.value, radius, 0, z - rings[index]!.course.bottomMm)) {
      const key = `${index} ${place}`;
      shares.set(key, (shares.get(key) ?? 0) + (to - from) / (2 * Math.PI));
    }
  }
  return shares;
}

function agree(prepared: Prepared, side: Side): void {
  const wall = sampled(prepared, side);
  const [points, exact] = [counted(wall), integrated(prepared, wall)];
  const rowsOf = new Map<number, number>();
  for (let row = 0; row < wall.rows; row++) {
    const ring = wall.ring[row * wall.columns]!;
    rowsOf.set(ring, (rowsOf.get(ring) ?? 0) + 1);
  }
  for (const key of new Set([...points.keys(), ...exact.keys()])) {
    const rows = rowsOf.get(Number(key.split(' ')[0])) ?? 0;
    // Each border of a place is met within one point in every row.
    expect(Math.abs((points.get(key) ?? 0) - (exact.get(key) ?? 0))).toBeLessThanOrEqual(
      (4 * rows) / wall.columns,
    );
  }
}

describe('what is sampled is what is laid out', () => {
  test.each(demoProjects().map((project) => [project.name, project] as const))('%s', (_, project) => {
    const prepared = prepare(project);
    if (!prepared.ok) throw new Error('prepare');
    agree(prepared.value, 'outside');
    agree(prepared.value, 'inside');
  });
  test('random pieces of every way of making', () => {
    const met = new Set<string>();
    fc.assert(
      fc.property(anyProject, (project) => {
        const prepared = prepare(project);
        if (!prepared.ok || prepared.value.rings.length > 12) return;
        for (const { making } of project.rings) met.add(making.way);
        agree(prepared.value, 'outside');
      }),
      { numRuns: 25, endOnFailure: true },
    );
    expect(met.size).toBeGreaterThan(WAYS.length / 2);
  });
});

test('sampled in stretches it may be left in between, and is the same in the end', () => {
  const prepared = prepare(demoProjects()[3]!);
  if (!prepared.ok) throw new Error('prepare');
  const { vessel, rings } = prepared.value;
  const standing = rings.map(({ made, turn, course }) => ({
    made: made.ok ? made.value : null,
    turn,
    bottomMm: course.bottomMm,
    topMm: course.topMm,
  }));
  const work = sampling(vessel, standing, 'outside', { columns: 90, rows: 130 });
  const shares: number[] = [];
  let step = work.next();
  for (; !step.done; step = work.next()) shares.push(step.value);
  expect(shares).toHaveLength(Math.floor(130 / 32));
  expect(shares).toEqual([...shares].sort((a, b) => a - b));
  expect(step.value).toEqual(sampled(prepared.value, 'outside', 90, 130));
});

test('an open ring has air in it, and a piece without a hollow no inside', () => {
  const lantern = prepare(demoProjects()[3]!);
  if (!lantern.ok) throw new Error('prepare');
  const wall = sampled(lantern.value, 'outside');
  const gaps = [...wall.place].filter((place, i) => place < 0 && wall.ring[i]! >= 0);
  expect(gaps.length).toBeGreaterThan(wall.columns);
  const { vessel } = lantern.value;
  const solid = sampleWall({ ...vessel, inside: null }, [], 'inside', { columns: 8, rows: 8 });
  expect([...solid.ring].every((ring) => ring === -1)).toBe(true);
});

describe('grain', () => {
  const lantern = prepare(demoProjects()[3]!);
  const made = (index: number) => {
    const ring = lantern.ok ? lantern.value.rings[index]!.made : null;
    if (!ring?.ok) throw new Error('ring');
    return ring.value;
  };
  test('a segment shows long grain in its middle and a little end grain at its joints', () => {
    const ring = made(3);
    const grain = grainOf(ring);
    const half = Math.PI / ring.groups[0]!.count;
    expect(endGrain(grain, 0, grain.toward[0]!, 1, 0)).toBeCloseTo(0, 9);
    expect(endGrain(grain, 0, grain.toward[0]! + half, 1, 0)).toBeCloseTo(Math.sin(half), 9);
  });
  test('a disc shows end grain on two sides and long grain between, and long grain on its face', () => {
    const grain = grainOf(made(0));
    expect(endGrain(grain, 0, 0, 1, 0)).toBeCloseTo(1, 9);
    expect(endGrain(grain, 0, Math.PI / 2, 1, 0)).toBeCloseTo(0, 9);
    expect(endGrain(grain, 0, 0, 0, 1)).toBeCloseTo(0, 9);
  });
  test('every place of every demo ring has a grain', () => {
    for (const project of demoProjects()) {
      const prepared = prepare(project);
      if (!prepared.ok) throw new Error('prepare');
      for (const { made } of prepared.value.rings)
        if (made.ok) {
          const { way } = grainOf(made.value);
          expect(layOut(made.value).every(({ place }) => way[place] !== undefined)).toBe(true);
        }
    }
  });
});

test.each([
  [0.3, 0.3 + Math.PI / 2],
  [5.5, 5.5 + Math.PI / 2],
  [-1, 0.2],
  [13, 13.4],
  [2, 2 + 2 * Math.PI],
])(
  'of an arc from %s to %s rad every column is as in the whole wall, and those elsewhere are empty',
  (from, to) => {
    const vase = demoProjects().find(({ slants }) => (slants ?? []).length > 0)!;
    const prepared = prepare(vase);
    if (!prepared.ok) throw new Error('prepare');
    const walled = (arc?: { from: number; to: number }) =>
      sampleWall(
        prepared.value.vessel,
        sampledRings(prepared.value),
        'outside',
        { columns: 360, rows: 60, ...(arc && { arc }) },
        sampledCuts(prepared.value),
      );
    const [whole, part] = [walled(), walled({ from, to })];
    const turn = 2 * Math.PI;
    const wanted = { ring: [...whole.ring], place: [...whole.place], end: [...whole.end] };
    for (let at = 0; at < whole.ring.length; at++) {
      const [begin, end] = [((at % 360) * turn) / 360, (((at % 360) + 1) * turn) / 360];
      const met = [-2, -1, 0, 1, 2].some((lap) => begin + lap * turn < to && end + lap * turn > from);
      if (!met) [wanted.ring[at], wanted.place[at], wanted.end[at]] = [-1, -1, 0];
    }
    expect({ ring: [...part.ring], place: [...part.place], end: [...part.end] }).toEqual(wanted);
  },
);
