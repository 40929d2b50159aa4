import fc from 'fast-check';
import Module from 'manifold-3d';
import { beforeAll, describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { radiusAt } from '../form/curve.js';
import { insideAt } from '../form/vessel.js';
import { woodVolume } from '../form/volume.js';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { cutOf, regionAt } from '../ring/slant.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { clipped, type Triangle } from '../surface/clip.js';
import { VIEW_MESH } from '../surface/mesh.js';
import { sampleWall } from '../surface/sample.js';
import { unrolledParts } from '../surface/unrolled.js';
import { between } from '../testing/numbers.js';
import { after, change, planned, refusal } from '../testing/pieces.js';
import { anyProject } from '../testing/random.js';
import * as edit from './commands/edits.js';
import { finishedVolumes } from './finished.js';
import { readProject } from './inspect.js';
import { meshesOf } from './meshes.js';
import { plan } from './plan.js';
import { type Prepared, prepare } from './prepare.js';
import type { Project } from './schema.js';
import { drawnOf, placeOnWall, sampledCuts, sampledRings } from './standing.js';

const vase = demoProjects().find(({ slants }) => slants)!;
const prepared = (project: Project): Prepared => {
  const made = prepare(project);
  if (!made.ok) throw new Error(plain(made.reasons[0]!.message));
  return made.value;
};

/** What is met at a point, the slow way: cut by cut, the last made first, then ring by ring. */
function metSlowly({ rings }: Prepared, project: Project, x: number, y: number, z: number): string {
  let p = { x, y, z };
  for (let i = project.slants!.length - 1; i >= 0; i--) {
    const slant = project.slants![i]!;
    const [tilt, toward] = [slant.slantDeg, slant.towardDeg].map((angle) => (angle * Math.PI) / 180) as [
      number,
      number,
    ];
    const along = p.x * Math.cos(toward) + p.y * Math.sin(toward);
    const over = along * Math.sin(tilt) + (p.z - slant.heightMm) * Math.cos(tilt);
    if (over <= 0) continue;
    if (over < slant.thicknessMm) return `${rings.length + i} 0`;
    const by = slant.thicknessMm - slant.kerfMm;
    p = {
      x: p.x - by * Math.sin(tilt) * Math.cos(toward),
      y: p.y - by * Math.sin(tilt) * Math.sin(toward),
      z: p.z - by * Math.cos(tilt),
    };
  }
  const at = rings.findIndex(({ course }) => p.z >= course.bottomMm && p.z <= course.topMm);
  const ring = rings[at];
  if (!ring?.made.ok) return 'nothing';
  const [cos, sin] = [Math.cos(-ring.turn), Math.sin(-ring.turn)];
  const place = ring.made.value.placeAt(
    p.x * cos - p.y * sin,
    p.x * sin + p.y * cos,
    p.z - ring.course.bottomMm,
  );
  return place === null ? 'nothing' : `${at} ${place}`;
}

const anySlanted: fc.Arbitrary<Project> = fc
  .record({
    project: anyProject.filter(({ rings }) => rings.length <= 10),
    slants: fc.array(
      fc.record({
        share: between(0.2, 0.8),
        slantDeg: between(0, 25),
        towardDeg: between(0, 360),
        thicknessMm: between(1, 6).map(mm),
        kerfMm: between(0, 2).map(mm),
      }),
      { minLength: 1, maxLength: 3 },
    ),
  })
  .map(({ project, slants }) => {
    const height = project.form.points.at(-1)!.heightMm;
    return {
      ...project,
      slants: slants.map(({ share, ...slant }, i) => ({
        ...slant,
        id: `s${i}`,
        heightMm: mm(share * height),
        wood: 'accent',
      })),
    };
  });

function agree(project: Project, side: 'outside' | 'inside'): void {
  const piece = prepared(project);
  expect(piece.bands).toHaveLength(project.slants!.length);
  const wall = sampleWall(
    piece.vessel,
    sampledRings(piece),
    side,
    { columns: 89, rows: 61 },
    sampledCuts(piece),
  );
  let other = 0;
  for (let row = 0; row < wall.rows; row++) {
    const z = wall.toMm - ((row + 0.5) * (wall.toMm - wall.fromMm)) / wall.rows;
    const radius = side === 'outside' ? radiusAt(piece.vessel.outside, z) : (insideAt(piece.vessel, z) ?? 0);
    for (let column = 0; column < wall.columns; column++) {
      const angle = (2 * Math.PI * (column + 0.5)) / wall.columns;
      const at = row * wall.columns + column;
      const found = wall.place[at]! < 0 ? 'nothing' : `${wall.ring[at]} ${wall.place[at]}`;
      // A hair beside: the very line of a joint belongs to neither side.
      const beside = angle + 1e-6;
      const slow = metSlowly(piece, project, radius * Math.cos(beside), radius * Math.sin(beside), z);
      if (found !== slow) other++;
      const met = placeOnWall(piece, side, angle, z);
      if (wall.place[at]! >= 0 && `${met?.ring} ${met?.place}` !== found) other++;
    }
  }
  // Points on the very line between two pieces may go to either: at most a column of them.
  expect(other).toBeLessThan(wall.rows);
}

describe('a wall with slanted bands', () => {
  test('shows at every point what is met there when the cuts are taken back one by one', () => {
    agree(vase, 'outside');
    agree(vase, 'inside');
    fc.assert(
      fc.property(anySlanted, (project) => {
        if (prepare(project).ok) agree(project, 'outside');
      }),
      { numRuns: 15, endOnFailure: true },
    );
  });
  test('the vector drawing has each wood on as much of the wall as the samples', () => {
    const piece = prepared(vase);
    const wall = sampleWall(
      piece.vessel,
      sampledRings(piece),
      'outside',
      { columns: 720, rows: 480 },
      sampledCuts(piece),
    );
    const drawn = new Map(
      drawnOf(piece).map((part) => [
        part.index,
        unrolledParts(part, piece.vessel.outside, part.fromMm, part.toMm).reduce(
          (sum, { low, high }) => sum + (Math.min(1, low.to) - Math.max(0, low.from)) * (high.z - low.z),
          0,
        ),
      ]),
    );
    const each = (wall.toMm - wall.fromMm) / wall.rows / wall.columns;
    for (const [index, area] of drawn) {
      const points = wall.ring.reduce((sum, ring) => sum + (ring === index ? 1 : 0), 0);
      expect(points * each).toBeCloseTo(area, 0);
    }
  });
});

// manifold-3d: an independent solid-modelling kernel.
let kernel: Awaited<ReturnType<typeof Module>>;
beforeAll(async () => {
  kernel = await Module();
  kernel.setup();
});

const volumeOf = (surface: readonly Triangle[]) =>
  surface.reduce(
    (sum, [a, b, c]) =>
      sum + a.x * (b.y * c.z - b.z * c.y) + a.y * (b.z * c.x - b.x * c.z) + a.z * (b.x * c.y - b.y * c.x),
    0,
  ) / 6;

describe('what is left of each wood', () => {
  test('a band holds what a modelling kernel cuts out of the turned body between its two faces', () => {
    const slants = [{ ...vase.slants![0]!, heightMm: mm(90) }];
    const project: Project = { ...vase, slants };
    const piece = prepared(project);
    const { vessel } = piece;
    const lines = (radius: (z: number) => number, from: number, to: number) =>
      Array.from({ length: 401 }, (_, i): [number, number] => {
        const z = from + ((to - from) * i) / 400;
        return [radius(z), z];
      });
    const turned = (line: [number, number][]) => kernel.CrossSection.ofPolygons([line]).revolve(360);
    const body = turned([
      [0, 0],
      ...lines((z) => radiusAt(vessel.outside, z), 0, vessel.heightMm),
      [0, vessel.heightMm],
    ]);
    const { hollowFromMm: floor, hollowToMm: lip } = vessel;
    const hollow = turned([[0, floor], ...lines((z) => insideAt(vessel, z) ?? 0, floor, lip), [0, lip]]);
    const { normal, atMm, thicknessMm } = cutOf(slants[0]!);
    const n: [number, number, number] = [normal.x, normal.y, normal.z];
    const back = n.map((x) => -x) as typeof n;
    const expected = body
      .subtract(hollow)
      .trimByPlane(n, atMm)
      .trimByPlane(back, -(atMm + thicknessMm))
      .volume();
    const woodOf = new Map(project.palette.map(({ key, wood }) => [key, wood]));
    const left = finishedVolumes(piece, planned(project).rings, new Map([...woodOf, ['wenge', 'band-only']]));
    expect(left.get('band-only')! / expected).toBeCloseTo(1, 2);
  });
  test('all woods together are the turned wood, and so are the meshes cut off at their sides', () => {
    const piece = prepared(vase);
    const whole = woodVolume(piece.vessel, 0, piece.vessel.heightMm);
    const { woodMm3 } = planned(vase);
    expect(woodMm3 / whole).toBeCloseTo(1, 2);
    let turned = 0;
    for (const { mesh, sides } of meshesOf(piece, VIEW_MESH))
      for (const { triangle, triangles } of mesh.pieces) {
        const corner = (v: number) => ({
          x: mesh.turned[3 * v]!,
          y: mesh.turned[3 * v + 1]!,
          z: mesh.turned[3 * v + 2]!,
        });
        const own = Array.from({ length: triangles }, (_, t): Triangle => {
          const at = 3 * (triangle + t);
          return [corner(mesh.index[at]!), corner(mesh.index[at + 1]!), corner(mesh.index[at + 2]!)];
        });
        const { surface, faces } = clipped(own, sides);
        turned += volumeOf([...surface, ...faces]);
      }
    expect(turned / woodMm3).toBeCloseTo(1, 1);
  });
  // A nearly level cut passes through a ring within less height than a slice is thick.
  test.each([1e-6, 0.02, 0.3, 2])(
    'a cut that leans by %f° leaves as much wood as the form holds',
    (slantDeg) => {
      const bowl = demoProjects()[1]!;
      const slant = { id: 's', wood: bowl.palette[0]!.key, towardDeg: 20, thicknessMm: mm(3), kerfMm: mm(2) };
      const slants = [{ ...slant, slantDeg, heightMm: mm(31) }];
      const { vessel } = prepared({ ...bowl, slants });
      const { woodMm3 } = planned({ ...bowl, slants });
      expect(woodMm3 / woodVolume(vessel, 0, vessel.heightMm)).toBeCloseTo(1, 3);
    },
  );
  test('random pieces: woods together are no more than the turned wood', () => {
    fc.assert(
      fc.property(anySlanted, (project) => {
        const [result, stack] = [plan(project, DEFAULT_SHOP), prepare(project)];
        if (!result.ok || !stack.ok) return;
        const { vessel } = stack.value;
        const all = result.value.lumber.woods.map(({ finishedMm3 }) => finishedMm3);
        expect(all.every((volume) => volume >= 0)).toBe(true);
        expect(result.value.woodMm3 / woodVolume(vessel, 0, vessel.heightMm)).toBeLessThan(1.001);
      }),
      { numRuns: 15, endOnFailure: true },
    );
  });
});

describe('editing slanted bands', () => {
  test('each further one is turned by a third; its board is in the lists, and the rings make up for less height', () => {
    const bowl = demoProjects()[1]!;
    const three = after(bowl, edit.addSlant(), edit.addSlant(), edit.addSlant());
    expect(three.slants!.map(({ towardDeg }) => towardDeg)).toEqual([0, 120, 240]);
    const [before, now] = [planned(bowl), planned(three)];
    expect(now.pieces).toBe(before.pieces + 3);
    expect(now.lumber.panels.filter(({ name }) => name === 'slanted band')).toHaveLength(3);
    const { palette, slants } = three;
    expect(palette.map(({ key }) => key)).toContain(slants![0]!.wood);
  });
  test('a board reaches over all that is seen of its band, with the allowance round it', () => {
    const piece = prepared(vase);
    const { outsideMm } = vase.allowances;
    piece.bands.forEach(({ slant, lengthMm, widthMm, reaches }, i) => {
      let [along, across] = [0, 0];
      const [tilt, toward] = [(slant.slantDeg * Math.PI) / 180, (slant.towardDeg * Math.PI) / 180];
      for (let z = 0; z < piece.vessel.heightMm; z += 0.7)
        for (let angle = 0; angle < 2 * Math.PI; angle += 0.01) {
          if (placeOnWall(piece, 'outside', angle, z)?.ring !== piece.rings.length + i) continue;
          const radius = radiusAt(piece.vessel.outside, z);
          const region = regionAt(piece.cuts, {
            x: radius * Math.cos(angle),
            y: radius * Math.sin(angle),
            z,
          });
          const [x, y] = [
            radius * Math.cos(angle) - region.shift.x,
            radius * Math.sin(angle) - region.shift.y,
          ];
          const forth = x * Math.cos(toward) + y * Math.sin(toward);
          const up = z - region.shift.z - slant.heightMm;
          along = Math.max(along, Math.abs(up * Math.sin(tilt) - forth * Math.cos(tilt)));
          across = Math.max(across, Math.abs(y * Math.cos(toward) - x * Math.sin(toward)));
        }
      expect(reaches.length).toBeGreaterThan(0);
      expect(lengthMm / 2 - outsideMm - along).toBeGreaterThan(-0.2);
      expect(lengthMm / 2 - outsideMm - along).toBeLessThan(1);
      expect(widthMm / 2 - outsideMm - across).toBeGreaterThan(-0.2);
      expect(widthMm / 2 - outsideMm - across).toBeLessThan(1);
    });
  });
  test('what cannot be is refused with its limit, and nothing changes', () => {
    expect(refusal(vase, edit.setSlant(0, { slantDeg: 75 }))).toMatch(/Slant.*60/);
    expect(refusal(vase, edit.setSlant(0, { thicknessMm: mm(0.1) }))).toMatch(/Thickness of the band/);
    expect(refusal(vase, edit.setSlant(0, { heightMm: mm(900) }))).toMatch(/below the top of the work/);
    const eight = after(vase, ...Array.from({ length: 5 }, () => edit.addSlant()));
    expect(refusal(eight, edit.addSlant())).toMatch(/8 slanted bands already/);
    expect(refusal(vase, edit.removePaletteWood('sugar-maple'))).toMatch(/Slanted band 2/);
    const stored = JSON.parse(JSON.stringify(vase));
    stored.slants[1].id = 's1';
    const twice = readProject(stored);
    expect(twice.ok ? '' : plain(twice.reasons[0]!.message)).toMatch(/the id “s1” is taken/);
  });
  test('a band that runs out at the lip is told with how much of the wall has no wood; one that does not is not', () => {
    const code = 'slant-leaves';
    expect(planned(vase).checks.map((check) => check.code)).not.toContain(code);
    const steep = after(vase, edit.setSlant(2, { heightMm: mm(196), slantDeg: 40, thicknessMm: mm(12) }));
    const check = planned(steep).checks.find((each) => each.code === code);
    expect(plain(check!.message)).toMatch(
      /A slanted band runs out at the lip: up to [\d.]+ mm of the wall has no wood there/,
    );
    const low = after(vase, edit.setSlant(0, { heightMm: mm(3), slantDeg: 30, thicknessMm: mm(12) }));
    expect(
      planned(low)
        .checks.filter((each) => each.code === code)
        .map(({ message }) => message)
        .join(),
    ).toMatch(/at the foot/);
  });
  test('taking the last one away leaves the piece as it was before', () => {
    const bowl = demoProjects()[1]!;
    const there = change(bowl, edit.addSlant()).project;
    expect(after(there, edit.removeSlant(0))).toEqual(bowl);
  });
});
