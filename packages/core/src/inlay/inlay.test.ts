import fc from 'fast-check';
import Module from 'manifold-3d';
import { beforeAll, describe, expect, test } from 'vitest';
import type { Vessel } from '../form/vessel.js';
import { mm } from '../measure/quantity.js';
import * as edit from '../project/commands/edits.js';
import { meshesOf } from '../project/meshes.js';
import { prepare } from '../project/prepare.js';
import { sampledCuts, sampledRings } from '../project/standing.js';
import { woodOutline } from '../surface/drawing.js';
import { FINE_MESH } from '../surface/mesh.js';
import { sampleWall } from '../surface/sample.js';
import { cup, half, inlay, lies, vessel, vesselOf } from '../testing/inlays.js';
import { between } from '../testing/numbers.js';
import { after } from '../testing/pieces.js';
import { frameAt, inPiece } from './frame.js';
import { cutInsert, loopsOf, pocketLoops } from './outline.js';
import { placeInlay } from './placed.js';
import type { Inlay, Outline } from './schema.js';
import { inlayCuts } from './section.js';
import { onPaper } from './template.js';

const outlines: fc.Arbitrary<Outline> = fc
  .record({
    shape: fc.constantFrom('rectangle' as const, 'ellipse' as const, 'capsule' as const),
    widthMm: between(3, 24).map(mm),
    heightMm: between(3, 24).map(mm),
  })
  .map((outline) => outline as Outline);

let kernel: Awaited<ReturnType<typeof Module>>;
beforeAll(async () => {
  kernel = await Module();
  kernel.setup();
});

/** The turned piece as a solid of revolution, from its half-section alone (reference library: manifold-3d). */
const turnedSolid = (on: Vessel) =>
  kernel.Manifold.revolve([woodOutline(on).map(({ r, z }): [number, number] => [r, z])], 720);

/** The cutter's way: the outline as a prism square to the plane that touches at the middle, from the floor out. */
function prism(of: Inlay, on: Vessel) {
  const frame = frameAt(on, of.heightMm);
  const { pocket } = pocketLoops(of);
  const flat = kernel.Manifold.extrude(
    [pocket[0]!.map(({ u, z }): [number, number] => [u, z])],
    of.depthMm + 30,
  ).translate(0, 0, -of.depthMm);
  // u runs round (y), v up the slope, s out: columns of the rotation, then the middle.
  const { up, out, radiusMm, heightMm } = frame;
  return flat.transform([0, 1, 0, 0, up.r, 0, up.z, 0, out.r, 0, out.z, 0, radiusMm, 0, heightMm, 1]);
}

describe('an outline let into the turned outside', () => {
  test('takes the wood that a cutter takes out of the solid (manifold-3d)', () => {
    const solid = turnedSolid(vessel);
    let cuts = 0;
    fc.assert(
      fc.property(
        outlines,
        between(-40, 40),
        between(0.3, 0.7),
        between(2.5, 4),
        (outline, tiltDeg, share, depth) => {
          const of = inlay({ outline, tiltDeg, heightMm: mm(vessel.heightMm * share), depthMm: mm(depth) });
          const placed = placeInlay(of, vessel);
          if (!placed.ok) return;
          cuts++;
          const cut = kernel.Manifold.intersection([solid, prism(of, vessel)]).volume();
          expect(Math.abs(placed.value.pocketMm3 - cut) / cut).toBeLessThan(0.006);
        },
      ),
      { numRuns: 25 },
    );
    expect(cuts).toBeGreaterThan(12);
  });
  test('worked by hand on a cylinder: across 20 mm on a radius of 50 it falls away by 50 − √(50² − 10²) = 1.0102', () => {
    const straight: typeof cup = {
      ...cup,
      form: {
        points: [0, 60].map((z) => ({ radiusMm: mm(50), heightMm: mm(z), kind: 'smooth' as const })),
        inside: { by: 'wall', walls: [{ heightMm: mm(0), wallMm: mm(8) }], floorMm: mm(6) },
        recess: null,
        lid: null,
      },
    };
    const on = vesselOf(straight);
    const of = inlay({
      outline: { shape: 'rectangle', widthMm: mm(20), heightMm: mm(10) },
      heightMm: mm(30),
      cutterMm: mm(0.2),
    });
    const placed = lies(of, on);
    expect(placed.mostDepthMm).toBeCloseTo(3, 3);
    expect(placed.leastDepthMm).toBeCloseTo(3 - 1.0102, 2);
    expect(placed.leftMm).toBeCloseTo(5, 3);
    // Under the arc: 10·(3·20 − (50·20 − (50²·asin(0.2) + 10·√(50² − 10²)))).
    const under = 50 * 50 * Math.asin(0.2) + 10 * Math.sqrt(50 * 50 - 100);
    expect(placed.pocketMm3).toBeCloseTo(10 * (3 * 20 - (50 * 20 - under)), 0);
    expect(placed.reach).toBeCloseTo(Math.asin(0.2), 4);
    const [corner] = placed.pocket[0]!;
    const flat = onPaper(on, placed.frame, corner!);
    expect(flat.x).toBeCloseTo(50 * corner!.angle, 6);
    expect(flat.y).toBeCloseTo(corner!.z - 30, 6);
  });
  test('on paper round a cone no length changes: every short way on it is as long unrolled', () => {
    const cone: typeof cup = {
      ...cup,
      form: {
        points: [
          { radiusMm: mm(40), heightMm: mm(0), kind: 'smooth' },
          { radiusMm: mm(80), heightMm: mm(60), kind: 'smooth' },
        ],
        inside: { by: 'wall', walls: [{ heightMm: mm(0), wallMm: mm(8) }], floorMm: mm(6) },
        recess: null,
        lid: null,
      },
    };
    const on = vesselOf(cone);
    const { pocket, frame } = lies(inlay({ heightMm: mm(30), tiltDeg: 20 }), on);
    const loop = pocket[0]!;
    const radius = (z: number) => 40 + (40 * z) / 60;
    loop.forEach((p, i) => {
      const q = loop[(i + 1) % loop.length]!;
      const [a, b] = [onPaper(on, frame, p), onPaper(on, frame, q)];
      const parts = 50;
      let way = 0;
      for (let k = 0; k < parts; k++) {
        const at = (t: number) => {
          const [angle, z] = [p.angle + (q.angle - p.angle) * t, p.z + (q.z - p.z) * t];
          return [radius(z) * Math.cos(angle), radius(z) * Math.sin(angle), z] as const;
        };
        const [u, v] = [at(k / parts), at((k + 1) / parts)];
        way += Math.hypot(u[0] - v[0], u[1] - v[1], u[2] - v[2]);
      }
      expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeCloseTo(way, 3);
    });
  });
  test('shows on the sampled wall over as much of it as it covers, copies and seam', () => {
    const piece = after(
      cup,
      edit.addInlay(inlay({ copies: 3, seam: { widthMm: mm(2), wood: cup.palette[1]!.key } })),
    );
    const prepared = prepare(piece);
    if (!prepared.ok) throw new Error('inlay');
    const { rings, bands, inlays } = prepared.value;
    const wall = sampleWall(
      prepared.value.vessel,
      sampledRings(prepared.value),
      'outside',
      { columns: 1500, rows: 900 },
      sampledCuts(prepared.value),
    );
    const number = rings.length + bands.length;
    const shown = [0, 0];
    for (let i = 0; i < wall.ring.length; i++) {
      if (wall.ring[i] !== number) continue;
      const row = Math.floor(i / wall.columns);
      shown[wall.place[i]!]! += ((2 * Math.PI * wall.radius[row]!) / wall.columns) * (wall.toMm / wall.rows);
    }
    // In plan on the touching plane 18 × 14, the seam 2 wide all round; the slope and the curve make it a little more.
    const { frame } = inlays[0]!.placed.ok ? inlays[0]!.placed.value : { frame: frameAt(vessel, half) };
    const lean = frame.up.z;
    expect(shown[0]! / lean / (3 * 14 * 10)).toBeCloseTo(1, 1);
    expect((shown[0]! + shown[1]!) / lean / (3 * 18 * 14)).toBeCloseTo(1, 1);
  });
  test('a copy that is mirrored shows as the mirror image of the other (a letter that has a hand)', () => {
    const letter: Outline = {
      shape: 'drawn',
      name: 'L',
      heightMm: mm(14),
      loops: [
        [
          [-0.3, -0.5],
          [0.3, -0.5],
          [0.3, -0.3],
          [-0.1, -0.3],
          [-0.1, 0.5],
          [-0.3, 0.5],
        ],
      ],
    };
    const prepared = prepare(
      after(cup, edit.addInlay(inlay({ outline: letter, towardDeg: 90, copies: 2, mirrored: true }))),
    );
    if (!prepared.ok) throw new Error('inlay');
    const { rings, bands } = prepared.value;
    const fineness = { columns: 1440, rows: 400 };
    const wall = sampleWall(
      prepared.value.vessel,
      sampledRings(prepared.value),
      'outside',
      fineness,
      sampledCuts(prepared.value),
    );
    const shown = (row: number, column: number) =>
      wall.ring[row * fineness.columns + column] === rings.length + bands.length;
    // One about column 360 (90°), the other about 1080 (270°).
    let [met, handed] = [0, 0];
    for (let row = 0; row < fineness.rows; row++)
      for (let aside = 0; aside < 100; aside++)
        for (const side of [aside, -aside - 1]) {
          const here = shown(row, 360 + side);
          expect(shown(row, 1080 - side - 1)).toBe(here);
          if (here) met++;
          if (here !== shown(row, 360 - side - 1)) handed++;
        }
    expect(met).toBeGreaterThan(100);
    expect(handed).toBeGreaterThan(50);
  });
  test('is a closed surface with the wood of insert and seam', () => {
    const seam = { widthMm: mm(2), wood: cup.palette[1]!.key };
    const piece = after(cup, edit.addInlay(inlay({ copies: 2, mirrored: true, tiltDeg: 25, seam })));
    const prepared = prepare(piece);
    if (!prepared.ok) throw new Error('inlay');
    const placed = prepared.value.inlays[0]!.placed;
    if (!placed.ok) throw new Error('inlay');
    const { mesh } = [...meshesOf(prepared.value, FINE_MESH)].at(-1)!;
    expect(mesh.pieces.map(({ place }) => place)).toEqual([0, 1, 0, 1]);
    const { insertMm3, pocketMm3 } = placed.value;
    const areas = [14 * 10, 18 * 14 - 14 * 10];
    for (const { place, triangle, triangles } of mesh.pieces) {
      let volume = 0;
      const around = [0, 0, 0];
      for (let t = triangle; t < triangle + triangles; t++) {
        const [a, b, c] = [0, 1, 2].map((k) => {
          const v = 3 * mesh.index[3 * t + k]!;
          return [...mesh.turned.subarray(v, v + 3)];
        }) as [number[], number[], number[]];
        const cross = [0, 1, 2].map((k) => {
          const [i, j] = [(k + 1) % 3, (k + 2) % 3];
          return (b[i]! - a[i]!) * (c[j]! - a[j]!) - (b[j]! - a[j]!) * (c[i]! - a[i]!);
        });
        volume += (a[0]! * cross[0]! + a[1]! * cross[1]! + a[2]! * cross[2]!) / 6;
        cross.forEach((n, k) => {
          around[k]! += n / 2;
        });
      }
      const wood = [insertMm3, pocketMm3 - insertMm3][place]!;
      expect(volume / (wood + 0.06 * areas[place]!)).toBeGreaterThan(0.99);
      expect(volume / (wood + 0.06 * areas[place]!)).toBeLessThan(1.01);
      for (const n of around) expect(Math.abs(n)).toBeLessThan(1);
    }
  });
  test('a cut through its middle shows the pocket as deep as it is, the seam at both ends; none beside it', () => {
    const of = inlay({ seam: { widthMm: mm(2), wood: 'x' } });
    const placed = lies(of);
    const cuts = inlayCuts(of, placed, vessel, Math.PI / 6);
    expect(cuts.map(({ place }) => place)).toEqual([1, 0]);
    const { out, up, radiusMm, heightMm } = placed.frame;
    for (const [i, high] of [14, 10].entries()) {
      const at = cuts[i]!.outline.map(({ r, z }) => ({
        v: (r - radiusMm) * up.r + (z - heightMm) * up.z,
        s: (r - radiusMm) * out.r + (z - heightMm) * out.z,
      }));
      expect(Math.min(...at.map(({ s }) => s))).toBeCloseTo(-3, 3);
      expect(Math.max(...at.map(({ v }) => v)) - Math.min(...at.map(({ v }) => v))).toBeCloseTo(high, 0);
    }
    expect(inlayCuts(of, placed, vessel, Math.PI / 6 + placed.reach + 0.01)).toEqual([]);
    const edge = inlayCuts(of, placed, vessel, Math.PI / 6 + placed.reach * 0.97);
    expect(edge.map(({ place }) => place)).toEqual([1]);
  });
});

describe('outlines', () => {
  const area = (loops: readonly (readonly { u: number; z: number }[])[]) =>
    loops.reduce(
      (all, loop) =>
        all +
        loop.reduce((sum, p, i) => {
          const q = loop[(i + 1) % loop.length]!;
          return sum + (p.u * q.z - q.u * p.z) / 2;
        }, 0),
      0,
    );
  test('have the areas of textbooks: w·h, π·w·h/4, and a capsule of 20 × 8: 12·8 + π·4²', () => {
    const of = (shape: 'rectangle' | 'ellipse' | 'capsule', widthMm: number, heightMm: number) =>
      area(loopsOf({ shape, widthMm: mm(widthMm), heightMm: mm(heightMm) }));
    expect(of('rectangle', 20, 8)).toBeCloseTo(160, 9);
    expect(of('ellipse', 20, 8) / (Math.PI * 40)).toBeCloseTo(1, 2);
    expect(of('capsule', 20, 8) / (12 * 8 + Math.PI * 16)).toBeCloseTo(1, 2);
    expect(of('capsule', 8, 20)).toBeCloseTo(of('capsule', 20, 8), 6);
  });
  test('inserts are smaller by the clearance all round, and mirrored where they go in turned over', () => {
    const of = inlay({ clearanceMm: mm(0.5) });
    expect(area(cutInsert(of))).toBeCloseTo(17 * 13, 0);
    const lean = inlay({ tiltDeg: 30, clearanceMm: mm(0.1) });
    const [left, right] = [cutInsert(lean), cutInsert({ ...lean, turnedOver: true })].map((loops) =>
      loops[0]!.reduce((top, p) => (p.z > top.z ? p : top)),
    );
    expect(right!.u).toBeCloseTo(-left!.u, 3);
  });
  test('a point of the frame comes back from the piece', () => {
    const frame = frameAt(vessel, half);
    const { angle, radiusMm, heightMm } = inPiece(frame, 5, 3, -2);
    const x = radiusMm * Math.cos(angle) - frame.radiusMm;
    expect(radiusMm * Math.sin(angle)).toBeCloseTo(5, 9);
    expect(x * frame.up.r + (heightMm - half) * frame.up.z).toBeCloseTo(3, 9);
    expect(x * frame.out.r + (heightMm - half) * frame.out.z).toBeCloseTo(-2, 9);
  });
});
