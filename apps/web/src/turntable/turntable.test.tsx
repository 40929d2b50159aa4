import { edit, FINE_MESH, meshesOf, prepare } from '@fellside/core';
import { demoProjects } from '@fellside/core/demo';
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { zipped } from '../pictures/zip.js';
import { isTypedIn } from '../shell/typing.js';
import { previewPiece, settlePreview } from '../store/edits.js';
import { showWith } from '../testing/open.js';
import { LazyTurntable } from './LazyTurntable.js';
import { modelFile } from './model.js';
import { restingIn } from './Resting.js';
import { FormTurntable, TurntableInset } from './TurntableInset.js';
import { woodMeshes } from './woodMeshes.js';

beforeEach(() => localStorage.clear());
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const project = demoProjects()[3]!;
const made = prepare(project);
if (!made.ok) throw new Error('prepare');
const prepared = made.value;
const meshes = [...meshesOf(prepared, FINE_MESH)];
const palette = new Map(
  project.palette.map(({ key, wood }) => [key, { name: wood, colour: '#806040' }] as const),
) as never;

const bytesOf = async (blob: Blob): Promise<DataView> =>
  new DataView(
    await new Promise<ArrayBuffer>((done) => {
      const reader = new FileReader();
      reader.onload = () => done(reader.result as ArrayBuffer);
      reader.readAsArrayBuffer(blob);
    }),
  );

/** Volume enclosed by the triangles of a binary STL, mm³, and the box that they fill. */
function readStl(view: DataView) {
  const count = view.getUint32(80, true);
  let six = 0;
  let [low, high] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (let t = 0; t < count; t++) {
    const at = 84 + 50 * t + 12;
    const [a, b, c] = [0, 12, 24].map((corner) =>
      [0, 4, 8].map((axis) => view.getFloat32(at + corner + axis, true)),
    ) as [number[], number[], number[]];
    for (const [, , z] of [a, b, c]) [low, high] = [Math.min(low, z!), Math.max(high, z!)];
    six +=
      a[0]! * (b[1]! * c[2]! - b[2]! * c[1]!) +
      a[1]! * (b[2]! * c[0]! - b[0]! * c[2]!) +
      a[2]! * (b[0]! * c[1]! - b[1]! * c[0]!);
  }
  return { count, volume: six / 6, low, high };
}

describe('models', () => {
  test('STL: millimetres, z up; turned it holds what is left of the blank', async () => {
    const [turned, blank] = await Promise.all(
      [true, false].map(async (state) =>
        readStl(await bytesOf(await modelFile('stl', meshes, prepared, palette, state))),
      ),
    );
    expect(turned!.low).toBeCloseTo(0, 3);
    expect(turned!.high).toBeCloseTo(prepared.vessel.heightMm, 3);
    expect(blank!.high).toBeCloseTo(prepared.rings.at(-1)!.course.topMm, 3);
    expect(turned!.volume).toBeGreaterThan(0.1 * blank!.volume);
    expect(turned!.volume).toBeLessThan(blank!.volume);
    expect(turned!.count).toBeGreaterThan(1000);
  });
  test('GLB: metres, y up, a material for every wood', async () => {
    const view = await bytesOf(await modelFile('glb', meshes, prepared, palette, true));
    expect(view.getUint32(0, true)).toBe(0x46546c67);
    const length = view.getUint32(12, true);
    const text = new TextDecoder().decode(new Uint8Array(view.buffer, 20, length));
    const { materials, nodes, asset } = JSON.parse(text);
    expect(asset.version).toBe('2.0');
    expect(materials).toHaveLength(3);
    const whole = nodes.find(({ children }: { children?: number[] }) => children?.length === 3);
    expect(whole.matrix ?? whole.scale).toBeDefined();
  });
});

test('skin comes first, then tops and bottoms, then joints; bare rings show all their faces', () => {
  const woods = prepared.rings.map(({ ring }) => ring.woods);
  const sum = (key: 'skin' | 'bare' | 'caps', bare?: (ring: number) => boolean) =>
    woodMeshes(meshes, woods, bare).reduce((total, mesh) => total + mesh[key], 0);
  const pieces = meshes.flatMap(({ mesh }) => mesh.pieces);
  expect(sum('skin')).toBe(pieces.reduce((total, { skin }) => total + skin, 0));
  expect(sum('caps')).toBe(pieces.reduce((total, { caps }) => total + caps, 0));
  const all = pieces.reduce((total, { triangles }) => total + triangles, 0);
  expect(sum('skin', () => true) + sum('bare', () => true)).toBe(all);
  expect(sum('bare')).toBe(0);
  expect(sum('caps', () => true)).toBe(0);
});

test('where nothing can be drawn in space a sentence leads to the outside pane', async () => {
  showWith(
    <>
      <TurntableInset />
      <LazyTurntable size="panel" />
    </>,
  );
  expect(await screen.findByText(/has no WebGL.*The outside pane shows the same piece/s)).toBeTruthy();
  // A corner of a pane has no room for it.
  expect(screen.queryByLabelText('Put the small turntable away')).toBeNull();
});

test('the small turntable is put away and stays so', async () => {
  const { store } = showWith(<FormTurntable />);
  await userEvent.click(screen.getByText('Turntable'));
  expect(store.getState().look.inset).toBe(false);
  expect(JSON.parse(localStorage.getItem('fellside.look')!)).toMatchObject({ inset: false });
});

test('pages go into one ZIP with their names', async () => {
  const view = await bytesOf(zipped([{ name: 'wall-01-01.svg', svg: '<svg/>' }]));
  const bytes = new Uint8Array(view.buffer);
  expect([bytes[0], bytes[1]]).toEqual([0x50, 0x4b]);
  expect(new TextDecoder('latin1').decode(bytes)).toContain('wall-01-01.svg');
});

test('keys are for a field where one types or chooses, and for the page elsewhere', () => {
  const input = (type: string) => Object.assign(document.createElement('input'), { type });
  expect([input('text'), input('number'), document.createElement('select')].map(isTypedIn)).toEqual([
    true,
    true,
    true,
  ]);
  expect([input('checkbox'), input('range'), document.body, null].map(isTypedIn)).toEqual([
    false,
    false,
    false,
    false,
  ]);
});

test('what rests shows the piece as it was before a gesture, and follows when that ends', () => {
  const { store } = showWith(null);
  const still = restingIn(store);
  const height = () =>
    still.getState().piece.preview?.project.name ?? still.getState().piece.edited?.project.name;
  const before = height();
  store.dispatch(previewPiece(edit.rename('Under way')));
  expect(store.getState().piece.preview).not.toBeNull();
  expect([height(), still.getState().piece.preview]).toEqual([before, null]);
  store.dispatch(settlePreview());
  expect(height()).toBe('Under way');
});
