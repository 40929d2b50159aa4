import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { wallPages, wallSvg } from '../exchange/wallSvg.js';
import { mm } from '../measure/quantity.js';
import { regionAt, sidesOf } from '../ring/slant.js';
import type { SectionPoint } from '../surface/drawing.js';
import { meets } from '../surface/meets.js';
import { regionSection } from '../surface/regionSection.js';
import { cutRows } from '../surface/toward.js';
import { between } from '../testing/numbers.js';
import { after, planned, refusal } from '../testing/pieces.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import * as edit from './commands/edits.js';
import { mirrorImage } from './mirror.js';
import { prepare } from './prepare.js';
import { drawnOf, placeOnWall, shownOn } from './standing.js';

const vase = demoProjects().find(({ slants }) => slants)!;
const made = prepare(vase);
if (!made.ok) throw new Error('prepare');
const prepared = made.value;

/** Whether a point lies within an outline: a ray from it crosses the outline an odd number of times. */
const within = (outline: readonly SectionPoint[], r: number, z: number): boolean =>
  outline.reduce((inside, p, i) => {
    const q = outline[(i + 1) % outline.length]!;
    return p.z > z !== q.z > z && r < p.r + ((z - p.z) / (q.z - p.z)) * (q.r - p.r) ? !inside : inside;
  }, false);

/** What the cut through draws at a point of the half-plane: ring (bands behind the rings) and place. */
function drawnAt(direction: number, r: number, z: number): string[] {
  return drawnOf(prepared).flatMap(({ index, band, made: ring, turn, bottomMm }) => {
    const reaches = band === undefined ? prepared.rings[index]!.reaches : prepared.bands[band]!.reaches;
    return reaches.flatMap(({ region, fromMm, toMm }) => {
      const heights = [fromMm - ring.cornerMm, toMm + ring.cornerMm] as const;
      const outline = regionSection(sidesOf(prepared.cuts, region), direction, 2 * ring.cornerMm, heights);
      if (!within(outline, r, z)) return [];
      const up = z - bottomMm - region.shift.z;
      const row = cutRows(ring, turn, direction, region.shift).find(
        ({ fromMm: a, toMm: b }) => up >= a && up <= b,
      );
      const part = row?.parts.find(
        ({ innerRadiusMm, outerRadiusMm }) => r >= innerRadiusMm && r <= outerRadiusMm,
      );
      return part && part.place !== null ? [`${index} ${part.place}`] : [];
    });
  });
}

/** What is there: the point taken back through the cuts and asked of its ring. */
function metAt(direction: number, r: number, z: number): string | null {
  const p = { x: r * Math.cos(direction), y: r * Math.sin(direction), z };
  const { band, shift } = regionAt(prepared.cuts, p);
  if (band !== null) return `${prepared.rings.length + band} 0`;
  const was = z - shift.z;
  const ring = prepared.rings.find(({ course }) => was >= course.bottomMm && was <= course.topMm);
  if (!ring?.made.ok) return null;
  const [cos, sin] = [Math.cos(ring.turn), Math.sin(ring.turn)];
  const [x, y] = [p.x - shift.x, p.y - shift.y];
  const place = meets(ring.made.value, x * cos + y * sin, y * cos - x * sin, was - ring.course.bottomMm);
  return place === null ? null : `${ring.course.index} ${place}`;
}

describe('the cut through a piece with slanted bands', () => {
  test('shows at every point of the wall what is there, and nothing twice', () => {
    const { vessel } = prepared;
    let [seen, other] = [0, 0];
    fc.assert(
      fc.property(
        between(0, 6.28),
        between(2, vessel.heightMm - 2),
        between(0.02, 0.98),
        (direction, z, share) => {
          const band = { outer: Math.max(...prepared.rings.map(({ wall }) => wall.outerRadiusMm)) };
          const r = share * band.outer;
          const there = metAt(direction, r, z);
          const drawn = drawnAt(direction, r, z);
          seen++;
          // A hair beside a line of the drawing either may be shown.
          if (there !== null && (drawn.length !== 1 || drawn[0] !== there)) other++;
        },
      ),
      { numRuns: 400 },
    );
    expect(other / seen).toBeLessThan(0.02);
  });
  test('a ring that was moved aside is met where its pieces are', () => {
    const { made: ring, turn } = prepared.rings[4]!;
    if (!ring.ok) throw new Error('ring');
    const aside = { x: 3, y: -2 };
    for (let direction = 0.01; direction < 6.28; direction += 0.37)
      for (const { fromMm, toMm, parts } of cutRows(ring.value, turn, direction, aside)) {
        const z = (fromMm + toMm) / 2;
        for (const { place, innerRadiusMm, outerRadiusMm } of parts) {
          const r = (innerRadiusMm + outerRadiusMm) / 2;
          const [x, y] = [r * Math.cos(direction) - aside.x, r * Math.sin(direction) - aside.y];
          const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
          expect(meets(ring.value, x * cos + y * sin, y * cos - x * sin, z)).toBe(place);
        }
      }
  });
});

describe('the wall at full size', () => {
  const palette = new Map(
    vase.palette.flatMap(({ key, wood }) => {
      const species = SHIPPED_WOODS.find(({ id }) => id === wood);
      return species ? [[key, species] as const] : [];
    }),
  );
  test('has a row for every ring and every band, each band in its wood', () => {
    const svg = wallSvg(prepared, palette, vase.name);
    for (let ring = 1; ring <= vase.rings.length; ring++) expect(svg).toContain(`>${ring}</text>`);
    for (const band of [1, 2, 3]) expect(svg).toContain(`>b${band}</text>`);
    expect(svg).toContain(palette.get('sugar-maple')!.colour);
  });
  test('goes onto pages with a measure', () => {
    const pages = wallPages(prepared, palette, vase.name, 'a4');
    expect(pages.length).toBeGreaterThan(1);
    for (const { svg } of pages) expect(svg).toContain('h100');
  });
});

describe('what goes with slanted bands', () => {
  test('the mirror image leans the other way and shows in the mirror what the piece shows', () => {
    const image = prepare(mirrorImage(vase, 'Image'));
    if (!image.ok) throw new Error('image');
    let [same, all] = [0, 0];
    const woodAt = (of: typeof prepared, direction: number, z: number) => {
      const met = placeOnWall(of, 'outside', direction, z);
      return met ? shownOn(of)[met.ring]!.woods[met.place] : null;
    };
    for (let z = 3; z < prepared.vessel.heightMm; z += 6.1)
      for (let direction = 0.013; direction < 6.28; direction += 0.19) {
        all++;
        if (woodAt(prepared, direction, z) === woodAt(image.value, -direction, z)) same++;
      }
    expect(same / all).toBeGreaterThan(0.99);
  });
  test('rings that come to lie aside are made wider by as much', () => {
    const one = {
      ...vase,
      slants: [{ ...vase.slants![0]!, thicknessMm: mm(21), kerfMm: mm(1), slantDeg: 30 }],
    };
    const [moved, plain] = [
      prepare(one),
      prepare({ ...one, slants: [{ ...one.slants[0]!, thicknessMm: mm(1) }] }),
    ];
    if (!moved.ok || !plain.ok) throw new Error('prepare');
    const top = vase.rings.length - 2;
    const aside = 20 * Math.sin(Math.PI / 6);
    const ring = moved.value.rings[top]!;
    const shift = ring.reaches.at(-1)!.region.shift;
    expect(Math.hypot(shift.x, shift.y)).toBeCloseTo(aside, 9);
    expect(ring.stands.bottomMm - ring.course.bottomMm).toBeCloseTo(20 * Math.cos(Math.PI / 6), 9);
    expect(plain.value.rings[top]!.reaches.at(-1)!.region.shift.x).toBeCloseTo(0, 12);
  });
  test('slicing and fitting leave room for the bands: rings and bands together reach the lip', () => {
    const sliced = after(vase, edit.sliceBy([mm(15)]));
    const last = prepare(sliced);
    if (!last.ok) throw new Error('prepare');
    const top = last.value.rings.at(-1)!.stands.topMm;
    expect(top).toBeGreaterThan(last.value.vessel.heightMm - 0.01);
    expect(planned(sliced).checks.map(({ code }) => code)).not.toContain('stack-short');
    expect(refusal(vase, edit.removePaletteWood('wenge'))).not.toBe('');
  });
});
