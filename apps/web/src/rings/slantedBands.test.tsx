import { DEFAULT_SHOP, edit, FINE_MESH, meshesOf, plan, prepare } from '@fellside/core';
import { demoProjects } from '@fellside/core/demo';
import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { CutThrough } from '../bench/CutThrough.js';
import { Unrolled } from '../bench/Unrolled.js';
import { wallSide } from '../bench/wallSide.js';
import { strokeAt } from '../pattern/paint.js';
import { editPiece } from '../store/edits.js';
import { paletteOf, preparedOf } from '../store/selectors.js';
import { session } from '../store/sessionSlice.js';
import { shapeOf } from '../store/shape.js';
import { useApp } from '../store/store.js';
import { showWith } from '../testing/open.js';
import { cutPieces } from '../turntable/cutFaces.js';
import { modelFile } from '../turntable/model.js';
import { planesOf } from '../turntable/Wood.js';
import { placeVertices, woodMeshes } from '../turntable/woodMeshes.js';
import { SlantedBands } from './SlantedBands.js';

afterEach(cleanup);

const vase = demoProjects().find(({ slants }) => slants)!;
const made = prepare(vase);
if (!made.ok) throw new Error('prepare');
const prepared = made.value;

describe('the list of slanted bands', () => {
  test('is set field by field, each a step to undo; what cannot be is told', async () => {
    const { project } = showWith(<SlantedBands />, vase);
    await userEvent.click(screen.getByRole('button', { name: 'Slanted bands (3)…' }));
    const second = screen.getByRole('listitem', { name: 'Slanted band 2' });
    const slant = within(second).getByLabelText('Slant °');
    await userEvent.clear(slant);
    await userEvent.type(slant, '61{Enter}');
    expect(within(second).getByText(/Slant is 61; it has to be a number from 0 to 60/)).toBeTruthy();
    expect(project().slants![1]!.slantDeg).toBe(24);
    await userEvent.clear(slant);
    await userEvent.type(slant, '12{Enter}');
    expect(project().slants![1]!.slantDeg).toBe(12);
    await userEvent.selectOptions(within(second).getByLabelText('Wood'), 'black-cherry');
    expect(project().slants![1]!.wood).toBe('black-cherry');
    await userEvent.click(screen.getByRole('button', { name: /A further band/ }));
    expect(project().slants).toHaveLength(4);
    await userEvent.click(screen.getByRole('button', { name: 'Remove slanted band 1' }));
    expect(project().slants).toHaveLength(3);
    expect(screen.getByText(/rolls and twists at the saw/)).toBeTruthy();
  });
  test('another wood is another look and no other shape; another slant is another shape', () => {
    const { store } = showWith(<p />, vase);
    const before = shapeOf(store.getState());
    store.dispatch(editPiece(edit.setSlant(0, { wood: 'sugar-maple' })));
    expect(shapeOf(store.getState())).toBe(before);
    const now = preparedOf(store.getState());
    expect(now.ok && now.value.bands[0]!.slant.wood).toBe('sugar-maple');
    store.dispatch(editPiece(edit.setSlant(0, { slantDeg: 10 })));
    expect(shapeOf(store.getState()).version).not.toBe(before.version);
  });
  test('a brush on a band gives it the wood; picking up takes its wood', () => {
    const { store, project } = showWith(<p />, vase);
    const ring = vase.rings.length + 1;
    store.dispatch(session.brushed('black-cherry'));
    store.dispatch(strokeAt({ ring, place: 0 }));
    expect(project().slants![1]!.wood).toBe('black-cherry');
    store.dispatch(session.painting({ tool: 'pick' }));
    store.dispatch(strokeAt({ ring: vase.rings.length, place: 0 }));
    expect(store.getState().session.brush).toBe('wenge');
  });
});

describe('drawings of a piece with slanted bands', () => {
  const at = { x: (r: number) => 200 - r, y: (z: number) => 220 - z };
  function Panes() {
    const palette = useApp(paletteOf);
    return (
      <svg>
        <title>panes</title>
        <CutThrough {...{ prepared, palette, at }} view={0.35} faint={false} />
        <Unrolled
          prepared={prepared}
          side={wallSide(prepared.vessel, 'outside')}
          width={300}
          y={at.y}
          onEnter={() => {}}
          onPick={() => {}}
        />
      </svg>
    );
  }
  test('the cut through shows rings part by part, each within its own outline', () => {
    showWith(<Panes />, vase);
    const clips = [...document.querySelectorAll('clipPath[id^="cut-"]')];
    const rings = new Set(clips.map(({ id }) => id.split('-')[1]));
    expect(rings.size).toBeGreaterThan(vase.rings.length - 2);
    for (const clip of clips) expect(clip.querySelector('path')!.getAttribute('d')).toMatch(/^M.*Z$/);
    expect(rings.has(String(vase.rings.length))).toBe(true);
  });
  test('a band that is pointed at is lit on the unrolled wall', () => {
    const { store } = showWith(<Panes />, vase);
    expect(document.querySelectorAll('.hovered-part')).toHaveLength(0);
    store.dispatch(session.hovered({ ring: vase.rings.length, place: 0 }));
    return screen.findByText('panes').then(() => {
      expect(document.querySelectorAll('.hovered-part').length).toBeGreaterThan(5);
    });
  });
});

describe('the piece in space', () => {
  const stack = [...meshesOf(prepared, FINE_MESH)];
  const woods = [
    ...prepared.rings.map(({ ring }) => ring.woods),
    ...prepared.bands.map(({ slant }) => [slant.wood]),
  ];
  test('meshes of one wood are kept apart by the part of the piece in which they lie', () => {
    const meshes = woodMeshes(stack, woods);
    expect(new Set(meshes.map(({ name }) => name)).size).toBe(meshes.length);
    expect(meshes.length).toBeGreaterThan(new Set(meshes.map(({ key }) => key)).size);
    for (const mesh of meshes) {
      expect(mesh.sides.length).toBeGreaterThan(0);
      expect(new Set(mesh.level).size).toBe(1);
    }
  });
  test('the graphics card’s planes and the cut surface keep the same points, apart or together', () => {
    for (const mesh of woodMeshes(stack, woods).slice(0, 6))
      for (const apartMm of [0, 12]) {
        const up = apartMm * mesh.level[0]!;
        const planes = planesOf(mesh, { turned: 1, apartMm });
        const [positions, normals] = [
          new Float32Array(mesh.turned.length),
          new Float32Array(mesh.turned.length),
        ];
        placeVertices(mesh, { turned: 1, apartMm: 0 }, positions, normals);
        const { surface, faces } = cutPieces(mesh, positions);
        for (let i = 0; i < surface.length; i += 3)
          for (const { normal, constant } of planes) {
            const over =
              normal.x * surface[i]! +
              normal.y * surface[i + 1]! +
              normal.z * (surface[i + 2]! + up) +
              constant;
            expect(over).toBeGreaterThan(-2e-3);
          }
        // Faces of cuts lie in one of the planes.
        for (let i = 0; i < faces.length; i += 3) {
          const nearest = Math.min(
            ...planes.map(({ normal, constant }) =>
              Math.abs(
                normal.x * faces[i]! + normal.y * faces[i + 1]! + normal.z * (faces[i + 2]! + up) + constant,
              ),
            ),
          );
          expect(nearest).toBeLessThan(2e-3);
        }
      }
  });
  test('an STL of the turned piece holds the wood that is left, within a few per cent', async () => {
    const palette = new Map(
      vase.palette.map(({ key, wood }) => [key, { name: wood, colour: '#806040' }] as const),
    ) as never;
    const blob = await modelFile('stl', stack, prepared, palette, true);
    const bytes = await new Promise<ArrayBuffer>((done) => {
      const reader = new FileReader();
      reader.onload = () => done(reader.result as ArrayBuffer);
      reader.readAsArrayBuffer(blob);
    });
    const view = new DataView(bytes);
    let six = 0;
    for (let t = 0; t < view.getUint32(80, true); t++) {
      const corner = (k: number) =>
        [0, 4, 8].map((axis) => view.getFloat32(84 + 50 * t + 12 + 12 * k + axis, true)) as [
          number,
          number,
          number,
        ];
      const [a, b, c] = [corner(0), corner(1), corner(2)];
      six +=
        a[0] * (b[1] * c[2] - b[2] * c[1]) +
        a[1] * (b[2] * c[0] - b[0] * c[2]) +
        a[2] * (b[0] * c[1] - b[1] * c[0]);
    }
    const planned = plan(vase, DEFAULT_SHOP);
    expect(six / 6 / (planned.ok ? planned.value.woodMm3 : 0)).toBeCloseTo(1, 1);
  });
});
