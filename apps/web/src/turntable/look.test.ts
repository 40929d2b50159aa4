import {
  AS_DRAWN,
  figureOf,
  prepare,
  SHIPPED_WOODS,
  type SkinLine,
  skinLine,
  vesselOf,
} from '@fellside/core';
import { demoProjects } from '@fellside/core/demo';
import { Vector3 } from 'three';
import { describe, expect, test } from 'vitest';
import { createGeometry } from '../workers/geometry.js';
import { awayFrom, eyeAt, type Looked, targetOf } from './eye.js';
import { nextRatio, ratioAtRest } from './Quality.js';
import { shadowAt } from './Room.js';
import { metOn } from './Skin.js';
import { lightAlong, skinGeometry, thinned } from './skinGeometry.js';

const project = demoProjects()[5]!;
const made = prepare(project);
if (!made.ok) throw new Error('prepare');
const { vessel } = made.value;
const line: SkinLine = skinLine(vessel);

describe('the surface as a geometry', () => {
  test('stays on the line but for what a side of it hides, and goes round once', () => {
    const geometry = skinGeometry(line);
    const position = geometry.getAttribute('position');
    const normal = geometry.getAttribute('normal');
    const uv = geometry.getAttribute('uv');
    const widest = Math.max(...line.stretches.flat().map(({ radius }) => radius));
    const box = geometry.boundingSphere!;
    expect(box.radius).toBeGreaterThan(vessel.heightMm / 2);
    let farthest = 0;
    for (let v = 0; v < position.count; v++) {
      farthest = Math.max(farthest, Math.hypot(position.getX(v), position.getY(v)));
      expect(new Vector3().fromBufferAttribute(normal, v).length()).toBeCloseTo(1, 4);
      expect(uv.getX(v)).toBeGreaterThanOrEqual(0);
      expect(uv.getY(v)).toBeLessThanOrEqual(1 + 1e-6);
    }
    expect(farthest).toBeCloseTo(widest, 3);
    const index = geometry.getIndex()!;
    // Every triangle looks out: the way round its corners agrees with their normals.
    for (let t = 0; t < index.count; t += 3 * 37) {
      const [a, b, c] = [0, 1, 2].map((k) =>
        new Vector3().fromBufferAttribute(position, index.getX(t + k)),
      ) as [Vector3, Vector3, Vector3];
      const face = b.clone().sub(a).cross(c.clone().sub(a));
      if (face.length() < 1e-6) continue;
      expect(face.dot(new Vector3().fromBufferAttribute(normal, index.getX(t)))).toBeGreaterThan(0);
    }
  });
  test('what is left out of a stretch lies beside what is kept by less than half a millimetre', () => {
    for (const stretch of line.stretches) {
      const kept = thinned(stretch);
      expect([kept[0], kept.at(-1)]).toEqual([stretch[0], stretch.at(-1)]);
      for (const point of stretch) {
        const i = kept.findIndex(({ alongMm }) => alongMm >= point.alongMm);
        const [a, b] = [kept[Math.max(0, i - 1)]!, kept[i]!];
        const long = Math.hypot(b.radius - a.radius, b.z - a.z) || 1;
        const off =
          ((b.radius - a.radius) * (point.z - a.z) - (b.z - a.z) * (point.radius - a.radius)) / long;
        expect(Math.abs(off)).toBeLessThan(0.5);
      }
    }
  });
  test('the top of a piece that is closed is lit all over', () => {
    const ball = vesselOf(demoProjects().find(({ name }) => name === 'Trig Point Ball')!.form);
    if (!ball.ok) throw new Error('form');
    const closed = skinLine(ball.value);
    const lit = lightAlong(closed);
    const top = closed.stretches.flat().filter(({ z }) => z === ball.value.heightMm);
    expect(top.at(-1)!.radius).toBe(0);
    expect(top.map(lit)).toEqual(top.map(() => 1));
    expect(closed.stretches.flat().every((point) => Number.isFinite(lit(point)))).toBe(true);
  });
  test('less light comes to the floor than to the lip, and all of it to the outside', () => {
    const lit = lightAlong(line);
    const inside = line.stretches.flat().filter(({ alongMm }) => alongMm > line.outside[1]);
    const lights = inside.map(lit);
    expect(lights[0]).toBeCloseTo(1, 6);
    expect(Math.min(...lights)).toBeLessThan(0.9);
    for (let i = 1; i < lights.length; i++) expect(lights[i]!).toBeLessThanOrEqual(lights[i - 1]! + 1e-9);
    const upright = line.stretches
      .flat()
      .find(({ alongMm, rise }) => alongMm < line.outside[1] && rise >= 0)!;
    expect(lit(upright)).toBe(1);
  });
});

describe('the worker gives a surface', () => {
  const { form, rings, allowances } = project;
  const shape = { version: 1, ripping: AS_DRAWN, stacking: { form, rings, allowances } };
  const [maple] = SHIPPED_WOODS;
  const ink = { r: 200, g: 150, b: 100, figure: figureOf(maple!) };
  const dress = (glue: boolean) => ({
    inks: [ink],
    ofPlace: rings.map(({ woods }) => new Uint8Array(woods.length)),
    joined: rings.map(() => null),
    glue,
  });
  test('other woods dress what was sampled; another shape is sampled anew', async () => {
    const geometry = createGeometry();
    const ask = (version: number, glue = true) =>
      geometry.skin('large', { ...shape, version }, 64, dress(glue));
    const [one, two] = [(await ask(1))!, (await ask(1, false))!];
    expect(two.ring).toBe(one.ring);
    expect(two.pixels).not.toEqual(one.pixels);
    expect(one.whole).toBe(true);
    const anew = (await ask(2))!;
    expect(anew.ring).not.toBe(one.ring);
    expect(anew.pixels).toEqual(one.pixels);
    // What was sampled of a shape that is gone is kept no longer.
    expect((await ask(1))!.ring).not.toBe(one.ring);
  });
  test('nothing when no longer asked for', async () => {
    const geometry = createGeometry();
    const first = geometry.skin('large', shape, 2048, dress(true));
    for (let i = 0; i < 3; i++) await new Promise((go) => setTimeout(go, 0));
    await geometry.drop('large');
    expect(await first).toBeNull();
  });
});

test('a point of the picture is of the piece that shows there; round the seam, and in air of none', () => {
  const skin = {
    columns: 4,
    rows: 2,
    ring: Int16Array.of(0, 0, 0, 0, 1, 1, 1, -1),
    place: Int16Array.of(0, 1, 2, 3, 0, 1, -1, -1),
  } as never;
  expect(metOn(skin, { x: 0.1, y: 0.2 })).toEqual([0, 0]);
  expect(metOn(skin, { x: 1, y: 0 })).toEqual([0, 0]);
  expect(metOn(skin, { x: 0.99, y: 0.4 })).toEqual([0, 3]);
  expect(metOn(skin, { x: 0.3, y: 1 })).toEqual([1, 1]);
  expect([metOn(skin, { x: 0.6, y: 0.9 }), metOn(skin, { x: 0.9, y: 0.9 })]).toEqual([null, null]);
});

test('coarser while frames take too long, finer again while they do not, never beyond the screen’s points', () => {
  expect(nextRatio(0.6, 60, 2)).toBeLessThan(0.6);
  expect(nextRatio(0.6, 10, 2)).toBeGreaterThan(0.6);
  expect(nextRatio(0.6, 28, 2)).toBe(0.6);
  expect([nextRatio(0.31, 500, 2), nextRatio(1.9, 5, 2)]).toEqual([0.3, 2]);
  // At rest four points for each of a small one, never fewer than one, and not without end.
  expect([ratioAtRest(300, 300), ratioAtRest(4000, 3000), ratioAtRest(0, 0)]).toEqual([2, 1, 2]);
  expect(1000 * 750 * ratioAtRest(1000, 750) ** 2).toBeCloseTo(1.5e6, 3);
});

test('the shadow is darkest under the foot and fades outwards', () => {
  const shadow = [0, 20, 40, 80, 160].map((radius) => shadowAt(radius, { footMm: 30, widestMm: 70 }));
  expect(shadow[0]).toBeLessThanOrEqual(0.5);
  for (let i = 1; i < shadow.length; i++) expect(shadow[i]!).toBeLessThan(shadow[i - 1]!);
  expect(shadow.at(-1)).toBeLessThan(0.02);
});

describe('where the eye stands', () => {
  const looked: Looked = {
    stand: 'outside',
    heightMm: 200,
    radiusMm: 80,
    turn: 0.3,
    half: 0.28,
    aspect: 1.5,
  };
  /** Where a hand has turned it and come nearer. */
  const held = new Vector3(-150, 90, 320);
  const side = (eye: Vector3, of: Looked) => eye.clone().sub(targetOf(of)).normalize();
  const near = (eye: Vector3, of: Looked) => eye.distanceTo(targetOf(of)) / awayFrom(of);

  test('first the whole piece is in sight, from the side that is asked for', () => {
    const eye = eyeAt(looked, null);
    expect(Math.atan2(eye.y, eye.x)).toBeCloseTo(0.3, 9);
    // The ball round the piece, 108 in radius, is seen under less than half the angle.
    expect(Math.asin(Math.hypot(100, 80) / eye.distanceTo(targetOf(looked)))).toBeLessThan(0.28);
    const narrow = eyeAt({ ...looked, aspect: 0.5 }, null);
    expect(narrow.distanceTo(targetOf(looked)) / eye.distanceTo(targetOf(looked))).toBeCloseTo(2, 9);
  });

  test.each([
    ['its pane becomes lower', { aspect: 2.4 }],
    ['its pane becomes narrow', { aspect: 0.6 }],
    ['it is taken apart', { heightMm: 420 }],
    ['it becomes wider', { radiusMm: 120 }],
  ])('a hand has turned it, and %s: it is seen from the same side, as near for its size', (_, change) => {
    const now = { ...looked, ...change };
    const eye = eyeAt(now, { looked, eye: held });
    expect(side(eye, now).distanceTo(side(held, looked))).toBeLessThan(1e-9);
    expect(near(eye, now)).toBeCloseTo(near(held, looked), 9);
  });

  test('keys turn it on from where a hand has left it; another stand begins anew', () => {
    const on = { ...looked, turn: looked.turn + Math.PI / 12 };
    const eye = eyeAt(on, { looked, eye: held });
    expect(Math.atan2(eye.y, eye.x) - Math.atan2(held.y, held.x)).toBeCloseTo(Math.PI / 12, 9);
    expect(eye.z).toBeCloseTo(held.z, 9);
    const inside: Looked = { ...looked, stand: 'inside' };
    expect(eyeAt(inside, { looked, eye: held })).toEqual(eyeAt(inside, null));
  });
});
