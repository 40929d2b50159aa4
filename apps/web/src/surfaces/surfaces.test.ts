import { AS_DRAWN, mm, PLAIN_FIGURE, prepare, ringMesh, type SampledWall, VIEW_MESH } from '@fellside/core';
import { demoProjects } from '@fellside/core/demo';
import { describe, expect, test } from 'vitest';
import { placeVertices, woodMeshes } from '../turntable/woodMeshes.js';
import { createGeometry } from '../workers/geometry.js';
import { type Canvas, drawRound, drawUnrolled } from './draw.js';
import type { Inks } from './inks.js';
import { inksOf } from './inks.js';

const HATCH = { angle: 0, gap: 4, line: 'solid' } as const;
const figure = PLAIN_FIGURE;
const INKS: Inks = {
  inks: [
    { r: 0, g: 0, b: 0, hatch: HATCH, figure },
    { r: 200, g: 0, b: 0, hatch: HATCH, figure },
    { r: 0, g: 200, b: 0, hatch: HATCH, figure },
  ],
  ofPlace: [Uint8Array.of(1, 2, 1, 2)],
  upright: [new Uint8Array(4)],
  joined: [null],
};

/** A wall of one ring of four places, 10 high, 20 in radius; the last quarter is a gap. */
function fourPlaces(columns = 400, rows = 20): SampledWall {
  const place = new Int16Array(columns * rows);
  place.forEach((_, i) => {
    const quarter = Math.floor((4 * (i % columns)) / columns);
    place[i] = quarter === 3 ? -1 : quarter;
  });
  const ring = new Int16Array(columns * rows);
  const radius = new Float32Array(rows).fill(20);
  return {
    side: 'outside',
    columns,
    rows,
    fromMm: 0,
    toMm: 10,
    ring,
    radius,
    place,
    end: new Uint8Array(columns * rows),
  };
}

const canvasOf = (width: number, height: number): Canvas => ({
  width,
  height,
  pixels: new Uint32Array(width * height),
});
const channel = (colour: number, at: 'r' | 'g' | 'b' | 'a') =>
  (colour >>> { r: 0, g: 8, b: 16, a: 24 }[at]) & 255;
const reddish = (colour: number) => channel(colour, 'r') > 60 && channel(colour, 'g') < 20;
const greenish = (colour: number) => channel(colour, 'g') > 60 && channel(colour, 'r') < 20;

describe('drawing a sampled wall', () => {
  const upward = { heightAt: (y: number) => 10 - (y + 0.5) / 2 };
  test('laid flat: each place where it lies, a joint between, nothing above the lip, a veil over a gap', () => {
    const canvas = canvasOf(80, 24);
    drawUnrolled(canvas, fourPlaces(), INKS, { heightAt: (y) => 11 - (y + 0.5) / 2 }, false);
    const at = (x: number, y: number) => canvas.pixels[y * 80 + x]!;
    expect(at(10, 1)).toBe(0);
    expect([reddish(at(10, 12)), greenish(at(30, 12)), reddish(at(50, 12))]).toEqual([true, true, true]);
    expect(channel(at(70, 12), 'a')).toBeLessThan(100);
    expect(channel(at(20, 12), 'g')).toBeLessThan(channel(at(30, 12), 'g'));
  });
  test('glue lines within a segment are hidden where a ring hides them; those between segments stay', () => {
    const joint = (inks: Inks) => {
      const canvas = canvasOf(80, 20);
      drawUnrolled(canvas, fourPlaces(), inks, upward, false);
      return [20, 40].map((x) => channel(canvas.pixels[10 * 80 + x]!, x === 20 ? 'g' : 'r'));
    };
    const [within, between] = joint(INKS);
    const [hidden, kept] = joint({ ...INKS, joined: [Int16Array.of(0, 0, 1, 1)] });
    expect(hidden).toBeGreaterThan(within! + 20);
    expect(kept).toBe(between);
  });
  test('a joint that runs level is a line, where places of one segment lie above each other it is not', () => {
    const wall = fourPlaces();
    // The first quarter: place 2, of the same wood as place 0, above it.
    wall.place.forEach((place, i) => {
      if (place === 0 && i < wall.place.length / 2) wall.place[i] = 2;
    });
    const down = (inks: Inks) => {
      const canvas = canvasOf(80, 20);
      drawUnrolled(canvas, wall, inks, upward, false);
      return Array.from({ length: 20 }, (_, y) => channel(canvas.pixels[y * 80 + 10]!, 'r'));
    };
    const darkest = (column: number[]) => column.indexOf(Math.min(...column));
    expect(darkest(down(INKS))).toBe(9);
    expect(new Set(down({ ...INKS, joined: [Int16Array.of(0, 1, 0, 1)] }).slice(6, 14)).size).toBeLessThan(
      new Set(down(INKS).slice(6, 14)).size,
    );
  });
  test('level joints and edges of rings are lines of one pixel, however tall the rows of the wall are drawn', () => {
    const wall = fourPlaces(400, 10);
    const upper = wall.place.length / 2;
    const drawn = (of: SampledWall, inks: Inks) => {
      const canvas = canvasOf(80, 40);
      drawUnrolled(canvas, of, inks, { heightAt: (y) => 10 - (y + 0.5) / 4 }, false);
      return Array.from({ length: 40 }, (_, y) => channel(canvas.pixels[y * 80 + 10]!, 'r'));
    };
    const plain = drawn(wall, INKS);
    const darker = (column: number[]) => column.flatMap((light, y) => (light < plain[y]! - 20 ? [y] : []));
    const joint = { ...wall, place: wall.place.map((place, i) => (place === 0 && i < upper ? 2 : place)) };
    expect(darker(drawn(joint, INKS))).toEqual([19]);
    const two: Inks = {
      ...INKS,
      ofPlace: [INKS.ofPlace[0]!, INKS.ofPlace[0]!],
      upright: [INKS.upright[0]!, INKS.upright[0]!],
      joined: [null, null],
    };
    const rings = { ...wall, ring: wall.ring.map((_, i) => (i < upper ? 1 : 0)) };
    expect(darker(drawn(rings, two))).toEqual([19]);
  });
  test('seen from the front: half of it, nothing beyond its radius, turned by the view', () => {
    const drawn = (view: number) => {
      const canvas = canvasOf(60, 20);
      drawRound(canvas, fourPlaces(), INKS, upward, false, { axisX: 30, scale: 1, view });
      return (x: number) => canvas.pixels[10 * 60 + x]!;
    };
    const front = drawn(Math.PI / 4);
    expect([front(5), front(55)]).toEqual([0, 0]);
    expect(reddish(front(32))).toBe(true);
    expect(greenish(front(47))).toBe(true);
    expect(greenish(drawn((3 * Math.PI) / 4)(32))).toBe(true);
  });
  test('hatches are lines of ink on a pale ground', () => {
    const canvas = canvasOf(80, 20);
    drawUnrolled(canvas, fourPlaces(), INKS, upward, true);
    const column = Array.from({ length: 20 }, (_, y) => canvas.pixels[y * 80 + 8]!);
    expect(column.some((colour) => channel(colour, 'r') < 60)).toBe(true);
    expect(column.some((colour) => channel(colour, 'r') > 220)).toBe(true);
  });
});

const prepared = (index: number) => {
  const made = prepare(demoProjects()[index]!);
  if (!made.ok) throw new Error('prepare');
  return made.value;
};

test('inks follow the woods of every place, and staves stand upright', () => {
  const cup = prepared(0);
  const palette = new Map([['light', { colour: '#ff0000', hatch: HATCH, figure }]]) as never;
  const { inks, ofPlace } = inksOf(cup, palette);
  expect(inks[1]).toMatchObject({ r: 255, g: 0, b: 0 });
  cup.rings.forEach(({ ring }, i) => {
    expect(ofPlace[i]!.length).toBe(ring.woods.length);
  });
});

describe('geometry, in a worker or not', () => {
  const { form, rings, allowances } = demoProjects()[3]!;
  const shape = { version: 1, ripping: AS_DRAWN, stacking: { form, rings, allowances } };
  test('a question is dropped when the same asker asks for something else; others are not disturbed', async () => {
    const geometry = createGeometry();
    const fineness = { columns: 300, rows: 128 };
    const [first, second, other] = await Promise.all([
      geometry.sample('pane', shape, 'outside', fineness),
      geometry.sample('pane', shape, 'outside', { columns: 150, rows: 64 }),
      geometry.sample('print', shape, 'outside', fineness),
    ]);
    expect(first).toBeNull();
    expect([second?.columns, other?.columns]).toEqual([150, 300]);
  });
  test('a wall is sampled once for all who ask for it; another shape is sampled anew', async () => {
    const geometry = createGeometry();
    const ask = (asker: string, version = 1) =>
      geometry.sample(asker, { ...shape, version }, 'outside', { columns: 64, rows: 64 });
    const [one, two] = await Promise.all([ask('pane'), ask('print')]);
    expect(one).not.toBeNull();
    expect(two).toBe(one);
    expect(await ask('later')).toBe(one);
    const anew = await ask('pane', 2);
    expect(anew).not.toBe(one);
    expect(anew).toEqual(one);
  });
  test('a wall that is half sampled is left when another is asked for, or nobody waits for it any more', async () => {
    const geometry = createGeometry();
    const large = { columns: 1024, rows: 1600 };
    const tick = () => new Promise((go) => setTimeout(go, 0));
    for (const stop of [
      () => geometry.sample('pane', shape, 'outside', { columns: 150, rows: 64 }),
      () => geometry.drop('pane'),
    ]) {
      const first = geometry.sample('pane', shape, 'outside', large);
      for (let i = 0; i < 3; i++) await tick();
      await stop();
      expect(await first).toBeNull();
    }
  });
  test('a form that cannot be has no geometry', async () => {
    const wrong = {
      ...shape,
      version: 2,
      ripping: AS_DRAWN,
      stacking: {
        ...shape.stacking,
        form: {
          ...form,
          inside: { by: 'wall' as const, walls: [{ heightMm: mm(0), wallMm: mm(2) }], floorMm: mm(9999) },
          lid: null,
        },
      },
    };
    expect(await createGeometry().sample('pane', wrong, 'outside', { columns: 8, rows: 8 })).toBeNull();
  });
  test('meshes sorted by wood hold every triangle once, with its ring and place', async () => {
    const lantern = prepared(3);
    const meshes = (await createGeometry().meshes('turntable', shape, VIEW_MESH))!;
    const woods = lantern.rings.map(({ ring }) => ring.woods);
    const sorted = woodMeshes(meshes, woods);
    const triangles = meshes.reduce((sum, { mesh }) => sum + mesh.index.length, 0);
    expect(sorted.reduce((sum, { index }) => sum + index.length, 0)).toBe(triangles);
    for (const { key, owner, index, blank } of sorted) {
      expect(owner.length).toBe((2 * index.length) / 3);
      expect(index.every((v) => v < blank.length / 3)).toBe(true);
      for (let t = 0; t < owner.length; t += 2) expect(woods[owner[t]!]![owner[t + 1]!]).toBe(key);
    }
  });
  test('vertices go from the blank to the turned piece, and rings apart', () => {
    const { vessel, rings } = prepared(0);
    const { made, turn, course } = rings[8]!;
    if (!made.ok) throw new Error('ring');
    const mesh = ringMesh(made.value, turn, course.bottomMm, vessel);
    const [wood] = woodMeshes([{ ring: 1, mesh, sides: [], level: 1 }], [[], rings[8]!.ring.woods]);
    const [positions, normals] = [new Float32Array(wood!.blank.length), new Float32Array(wood!.blank.length)];
    placeVertices(wood!, { turned: 0, apartMm: 5 }, positions, normals);
    expect(positions[2]).toBeCloseTo(wood!.blank[2]! + 5, 4);
    placeVertices(wood!, { turned: 1, apartMm: 0 }, positions, normals);
    expect(positions).toEqual(wood!.turned);
  });
});
