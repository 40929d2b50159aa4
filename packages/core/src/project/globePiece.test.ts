import Module from 'manifold-3d';
import { describe, expect, test } from 'vitest';
import { disc } from '../demo/build.js';
import { trigPointBall } from '../demo/shell.js';
import { radiusAt } from '../form/curve.js';
import { STARTING_SHAPES, startingForm } from '../form/starting.js';
import { woodVolume } from '../form/volume.js';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { cutRows, placeToward } from '../surface/toward.js';
import { wallPatches } from '../surface/wall.js';
import { enclosed } from '../testing/meshVolume.js';
import { after, planned, started } from '../testing/pieces.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import { atTheLathe } from './atTheLathe.js';
import * as edit from './commands/edits.js';
import { meshesOf } from './meshes.js';
import { workOf } from './ordered.js';
import { prepare } from './prepare.js';
import { toBuild } from './rehearsal.js';
import type { Project } from './schema.js';
import { turnedBalance } from './turnedBalance.js';

/** So near to a joint it may be drawn on either side, round the piece (mm); up and down it is 0.2. */
const JOINT_MM = 0.5;

describe('a ball of panels as a piece of its own', () => {
  const ball = trigPointBall();
  test('80 panels, windows and seams, no stub ring, nothing to look at but the air shut in', () => {
    const { rings, pieces, checks } = planned(ball);
    expect(rings).toHaveLength(1);
    expect(pieces).toBe(80 + 5 + 5);
    expect(checks.filter(({ note }) => !note)).toEqual([]);
    expect(checks.map(({ message }) => plain(message)).join()).toMatch(/panels close it as they are glued/);
    const figures = new Map(rings[0]!.figures.map(({ key, value }) => [key, value]));
    const walls = (['corners-of-the-hollow', 'middle'] as const).map((at) =>
      Math.min(
        ...[...figures].flatMap(([key, value]) =>
          key.startsWith('wall-') && key.includes(at) ? [value] : [],
        ),
      ),
    );
    expect(walls[0]).toBeGreaterThanOrEqual(7);
    expect(walls[0]).toBeLessThan(walls[1]!);
  });

  test('its size follows the form: a ball twice as large has panels twice as large', () => {
    const leg = (project: Project) =>
      planned(project).rings[0]!.figures.find(({ key }) => key === 'legs-of-the-isosceles')!.value;
    const { points, inside } = ball.form;
    const wall = inside.by === 'wall' ? inside.walls[0]!.wallMm : 0;
    const double = {
      ...ball,
      form: {
        ...startingForm(STARTING_SHAPES.find(({ id }) => id === 'ball')!, 352, 360, 2 * wall),
      },
      rings: [{ ...ball.rings[0]!, heightMm: mm(352) }],
      allowances: { outsideMm: mm(8), insideMm: mm(8) },
    };
    expect(points.length).toBe(double.form.points.length);
    expect(leg(double)).toBeCloseTo(2 * leg(ball), 6);
  });

  test('its wall is shown all round at every height, as joints run', () => {
    const prepared = prepare(ball);
    if (!prepared.ok) throw new Error('prepare');
    const { made, turn } = prepared.value.rings[0]!;
    if (!made.ok) throw new Error('make');
    const { outside, heightMm } = prepared.value.vessel;
    const patches = wallPatches({ made: made.value, turn, bottomMm: 0 }, outside, 0, heightMm);
    const shown = patches.reduce(
      (sum, { low, high }) => sum + ((low.to - low.from + high.to - high.from) / 2) * (high.z - low.z),
      0,
    );
    expect(shown / (2 * Math.PI * heightMm)).toBeCloseTo(1, 9);
    expect(new Set(patches.map(({ place }) => place)).size).toBe(80);
    // Points of the wall, asked one by one: joints between levels are drawn straight.
    const wrong: (number | null)[] = [];
    for (let i = 1; i <= 2000; i++) {
      const [z, angle] = [heightMm * ((i * 0.618034) % 1), 2 * Math.PI * ((i * 0.754878) % 1)];
      const r = radiusAt(outside, z);
      const met = (up: number) => placeToward(made.value, turn, radiusAt(outside, z + up), angle, z + up);
      const place = met(0);
      if ([-0.2, 0.2].some((up) => z + up > 0 && z + up < heightMm && met(up) !== place)) continue;
      for (const { low, high, ...drawn } of patches) {
        if (z < low.z || z > high.z) continue;
        const share = (z - low.z) / (high.z - low.z);
        const near = JOINT_MM / r;
        const from = low.from + share * (high.from - low.from) + near;
        const to = low.to + share * (high.to - low.to) - near;
        const within = [-1, 0, 1].some(
          (lap) => angle + lap * 2 * Math.PI >= from && angle + lap * 2 * Math.PI < to,
        );
        if (within && drawn.place !== place) wrong.push(place);
      }
    }
    expect(wrong).toEqual([]);
  });

  test('a new one is one ring; it goes as high as the form does, and slices of it are rings', () => {
    const begun = started('globe');
    const { rings } = begun;
    expect(rings.map(({ making, heightMm }) => [making.way, heightMm])).toEqual([
      ['globe', 200 * Math.cos(0.2)],
    ]);
    expect([rings[0]!.woods[59], rings[0]!.woods[60]]).toEqual(['sugar-maple', 'black-walnut']);
    expect(planned(begun).checks.filter(({ note }) => !note)).toEqual([]);
    const higher = after(begun, edit.setFormHeight(mm(210)));
    expect(higher.rings.map(({ heightMm }) => heightMm)).toEqual([210]);
    expect(planned(higher).rings[0]!.reasons).toEqual([]);
    const sliced = after(begun, edit.sliceBy([mm(20)]));
    expect(new Set(sliced.rings.map(({ making }) => making.way))).toEqual(new Set(['disc', 'segmented']));
    expect(planned(sliced).rings.flatMap(({ reasons }) => reasons)).toEqual([]);
  });

  test('the order of work hollows nothing and joins no halves; the flat is faced before the outside is turned', () => {
    const work = workOf(ball, DEFAULT_SHOP, SHIPPED_WOODS);
    if (!work.ok) throw new Error('work');
    const { assembly, jobs } = work.value;
    expect(assembly.stacking).toBe('ring-by-ring');
    expect(assembly.sections.flatMap(({ stages }) => stages.flatMap(({ hollow }) => hollow))).toEqual([]);
    expect(jobs.some(({ makes }) => makes === 'inside')).toBe(false);
    expect(jobs.map(({ id }) => id).join()).not.toMatch(/join/);
    const prepared = prepare(ball);
    const rehearsed = prepared.ok && toBuild(prepared.value);
    expect(rehearsed && !rehearsed.ok && plain(rehearsed.reasons[0]!.message)).toMatch(
      /Ring 1 is a shell of panels/,
    );
    expect(prepared.ok && atTheLathe(prepared.value, ball, SHIPPED_WOODS, DEFAULT_SHOP).reach).toEqual([]);
  });

  test('on a foot it is as large as by itself: the same ball, so much higher', () => {
    const footMm = 20;
    const { points, inside, lid } = ball.form;
    const raised = (heightMm: number) => mm(heightMm + footMm);
    const onFoot: Project = {
      ...ball,
      form: {
        ...ball.form,
        points: [
          { radiusMm: points[0]!.radiusMm, heightMm: mm(0), kind: 'corner' },
          ...points.map((point) => ({ ...point, heightMm: raised(point.heightMm) })),
        ],
        inside: inside.by === 'wall' ? { ...inside, floorMm: raised(inside.floorMm) } : inside,
        lid: lid && { ...lid, heightMm: raised(lid.heightMm) },
      },
      rings: [
        { id: 'foot', heightMm: mm(footMm), making: disc, turn: 0, woods: ['black-cherry'] },
        ball.rings[0]!,
      ],
      inlays: [],
    };
    const [foot, shell] = planned(onFoot).rings;
    const alone = planned({ ...ball, inlays: [] }).rings[0]!;
    for (const [i, { key, value }] of alone.figures.entries()) {
      expect(shell!.figures[i]!.key).toBe(key);
      expect(shell!.figures[i]!.value).toBeCloseTo(Number(value), 4);
    }
    // The flat of the globe is where it is glued to the foot: √(a² − c²) in the glue-up, less its hollow there, which is none.
    const { outerRadiusMm } = shell!.gives!;
    expect(shell!.overlapMm).toBeCloseTo(
      Math.min(foot!.gives!.outerRadiusMm, Math.sqrt(outerRadiusMm ** 2 - 88 ** 2)),
      3,
    );
  });

  test('the allowance inside is for what is turned: half a globe has it, a whole one has not', () => {
    const inner = (project: Project) => planned(project).rings[0]!.gives!.innerRadiusMm;
    const loose = (project: Project): Project => ({
      ...project,
      allowances: { ...project.allowances, insideMm: mm(0) },
    });
    expect(inner(loose(ball))).toBe(inner(ball));
    const bowl: Project = {
      ...ball,
      inlays: [],
      form: startingForm(STARTING_SHAPES.find(({ id }) => id === 'bowl')!, 100, 200, 8),
      rings: [
        {
          ...ball.rings[0]!,
          heightMm: mm(100),
          making: { way: 'globe', part: 'half', bevels: 'centre', glued: 'triplets' },
          woods: Array.from({ length: 40 }, () => 'black-cherry'),
        },
      ],
    };
    expect(inner(loose(bowl)) - inner(bowl)).toBeCloseTo(ball.allowances.insideMm, 6);
    // The bowl is widest at its rim, 100 high; nearest to there its wood is in the middle of the floor, 10 high.
    expect(planned(bowl).rings[0]!.wallAlong.innerRadiusMm).toBeCloseTo(90, 6);
    expect(planned(bowl).checks.filter(({ note }) => !note)).toEqual([]);
  });

  test('what is left of it is what a lathe leaves of its panels: flat inside, round outside (manifold-3d)', async () => {
    const kernel = await Module();
    kernel.setup();
    const plainBall = { ...ball, inlays: [] };
    const prepared = prepare(plainBall);
    if (!prepared.ok || !prepared.value.rings[0]!.made.ok) throw new Error('prepare');
    const made = prepared.value.rings[0]!.made.value;
    const { outside, heightMm } = prepared.value.vessel;
    const [STEPS, ROUND] = [200, 480];
    const profile = Array.from({ length: STEPS + 1 }, (_, i): [number, number] => {
      const z = (heightMm * i) / STEPS;
      return [radiusAt(outside, z), z];
    });
    const turned = kernel.CrossSection.ofPolygons([[[0, 0], ...profile, [0, heightMm]]]).revolve(ROUND);
    // A panel is the hull of its corners.
    const wood = Array.from({ length: 80 }, (_, place) =>
      kernel.Manifold.hull(
        made
          .lay(place)
          .flatMap(({ bottom, top, fromMm, toMm }) => [
            ...bottom.map(({ x, y }): [number, number, number] => [x, y, fromMm]),
            ...top.map(({ x, y }): [number, number, number] => [x, y, toMm]),
          ]),
      )
        .intersect(turned)
        .volume(),
    ).reduce((sum, volume) => sum + volume, 0);
    const { woodMm3 } = planned(plainBall);
    expect(woodMm3 / wood).toBeCloseTo(1, 3);
    // More than the form's own wall, which is what is left at the corners of the hollow.
    expect(woodMm3).toBeGreaterThan(1.2 * woodVolume(prepared.value.vessel, 0, heightMm));
    // Its pictures, its weight on the lathe and the model for a printer are of the same wood.
    const meshes = [...meshesOf(prepared.value, { arc: Math.PI / 200, sagittaMm: 0.01 })];
    const meshed = meshes.reduce(
      (sum, { mesh }) => sum + mesh.pieces.reduce((of, piece) => of + enclosed(mesh, piece, 'turned'), 0),
      0,
    );
    expect(meshed / wood).toBeCloseTo(1, 3);
    const weighed = turnedBalance(prepared.value, plainBall, SHIPPED_WOODS).kg;
    expect(weighed / planned(plainBall).massKg).toBeCloseTo(1, 2);
  });

  test('one that came out smaller keeps the thickness that its panels were sawn to, and still holds the wall', () => {
    const [asPlanned] = planned(ball).rings;
    const thickness = (project: Project) =>
      planned(project).rings[0]!.figures.find(({ key }) => key === 'panels-thickness')!.value;
    const outer = asPlanned!.gives!.outerRadiusMm;
    const measured = after(ball, edit.setMeasured([0], { diameterMm: mm(2 * outer - 1) }));
    const [smaller] = planned(measured).rings;
    expect(smaller!.reasons).toEqual([]);
    expect(thickness(measured)).toBeCloseTo(thickness(ball), 6);
    expect(smaller!.gives!.outerRadiusMm).toBeCloseTo(outer - 0.5, 6);
    expect(smaller!.gives!.innerRadiusMm).toBeLessThan(asPlanned!.gives!.innerRadiusMm);
  });

  test('a cut through it shows the panels as they are glued, out to their corners', () => {
    const prepared = prepare(ball);
    if (!prepared.ok || !prepared.value.rings[0]!.made.ok) throw new Error('prepare');
    const { value } = prepared.value.rings[0]!.made;
    const rows = [0, 0.3, 0.6].flatMap((direction) => cutRows(value, 0, direction));
    const reach = Math.max(
      ...rows.flatMap(({ fromMm, toMm, parts }) =>
        parts.map(({ outerRadiusMm }) => Math.hypot(outerRadiusMm, (fromMm + toMm) / 2 - value.ball!)),
      ),
    );
    expect(reach).toBeGreaterThan(value.gives.outerRadiusMm * 1.03);
    expect(reach).toBeLessThan((value.gives.outerRadiusMm / 0.934172) * 1.0001);
  });

  test('panels that no lumber is thick enough for are told once, whatever kinds and woods there are of them', () => {
    const thick: Project = {
      ...ball,
      inlays: [],
      form: startingForm(STARTING_SHAPES.find(({ id }) => id === 'egg')!, 270, 200, 8),
      rings: [{ ...ball.rings[0]!, heightMm: mm(270) }],
    };
    const codes = planned(thick).checks.map(({ code }) => code);
    expect(codes.filter((code) => code === 'too-thick')).toEqual(['too-thick']);
  });

  test('a size that is fixed stands, whatever the form asks for', () => {
    const now = planned(ball).rings[0]!.gives!;
    const fixed = after(
      ball,
      edit.setFixed([0], { outerRadiusMm: mm(now.outerRadiusMm), innerRadiusMm: mm(now.innerRadiusMm) }),
    );
    const wider = after(fixed, edit.setDiameter(mm(170)));
    expect(planned(wider).rings[0]!.gives!.outerRadiusMm).toBeCloseTo(now.outerRadiusMm, 6);
    const larger = after(fixed, edit.setDiameter(mm(200)));
    expect(planned(larger).checks.map(({ code }) => code)).toContain('too-narrow');
  });
});
