import { mm } from '../src/measure/quantity.js';
import { run } from '../src/project/commands/command.js';
import * as edit from '../src/project/commands/edits.js';
import { type Project, SCHEMA_VERSION } from '../src/project/schema.js';

/** mulberry32: a small generator of even numbers from 0 to 1, so that every run asks the same. */
export function random(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const WOODS = ['sugar-maple', 'black-walnut', 'black-cherry', 'padauk', 'wenge'];
const PROFILES: Record<string, readonly (readonly [number, number])[]> = {
  bowl: [
    [0.5, 0],
    [0.8, 0.35],
    [1, 1],
  ],
  vase: [
    [0.55, 0],
    [1, 0.45],
    [0.6, 0.85],
    [0.7, 1],
  ],
  cylinder: [
    [0.9, 0],
    [1, 0.5],
    [0.95, 1],
  ],
};

/** Bowls, vases and cylinders of 6 to 22 rings, 12, 18 or 24 segments, two to four woods, a disc floor: the same for the same seed. */
export function realistic(seed: number): Project {
  const draw = random(9000 + seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(draw() * list.length)]!;
  const between = (a: number, b: number) => a + draw() * (b - a);
  const count = 6 + Math.floor(draw() * 17);
  const segments = pick([12, 12, 18, 24]);
  const usual = pick([12.7, 15.875, 19.05]);
  const heights = Array.from({ length: count }, () => (draw() < 0.85 ? usual : pick([6.35, 12.7, 19.05])));
  const tall = heights.reduce((a, b) => a + b, 0);
  const kind = pick(Object.keys(PROFILES));
  const radius = between(60, 130);
  const woods = WOODS.slice(0, 2 + Math.floor(draw() * 3));
  const feature = Math.floor(count / 2);
  const base = pick([0, 1]);
  return {
    schema: SCHEMA_VERSION,
    name: `Realistic ${seed}`,
    form: {
      points: PROFILES[kind]!.map(([r, z]) => ({
        radiusMm: mm(radius * r),
        heightMm: mm(z * tall),
        kind: 'smooth' as const,
      })),
      inside: { by: 'wall', walls: [{ heightMm: mm(0), wallMm: mm(7) }], floorMm: mm(heights[0]! * 0.7) },
      recess: null,
      lid: null,
    },
    rings: heights.map((heightMm, i): Project['rings'][number] => {
      if (i === 0)
        return { id: 'r0', heightMm: mm(heightMm), making: { way: 'disc' }, turn: 0, woods: [woods[base]!] };
      const mixed = Math.abs(i - feature) <= Math.floor(count / 5);
      return {
        id: `r${i}`,
        heightMm: mm(heightMm),
        making: { way: 'segmented', count: segments },
        turn: (i % 2) / 2,
        woods: Array.from({ length: segments }, (_, p) =>
          mixed ? woods[(p + i) % woods.length]! : woods[base]!,
        ),
      };
    }),
    palette: woods.map((wood, i) => ({ key: wood, tone: i ? 'dark' : 'light', wood })),
    allowances: { outsideMm: mm(3), insideMm: mm(3) },
    motifs: [],
    underlay: null,
  };
}

/** The same with three rings in the middle made in ways that glue up something first. */
export function featured(seed: number): Project {
  const plain = realistic(seed);
  const middle = Math.floor(plain.rings.length / 2);
  const ways = (['laminated', 'spaced', 'open', 'grain', 'layered'] as const).slice(seed % 3);
  return ways.slice(0, 3).reduce((project, way, i) => {
    const changed = run(project, edit.startFrom([middle - 1 + i], way));
    return changed.ok ? changed.value.project : project;
  }, plain);
}
