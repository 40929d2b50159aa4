import dxfParser, { type IDxf, type ILwpolylineEntity } from 'dxf-parser';
import { describe, expect, test } from 'vitest';
import { sawn } from '../demo/build.js';
import { loopArea } from '../making/faced/face.js';
import { inlayOutlines } from '../making/lettered/outlines.js';
import type { Letters } from '../making/lettered/params.js';
import { begun } from '../making/registry.js';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { madeRing } from '../testing/rings.js';
import { glyphFromLoops, inlayFile, readOutline } from './outlineFile.js';
import { templateSvg } from './templateSvg.js';

const letters = { ...(sawn('letters', 12, { sizeMm: mm(16) }).sawnFrom as Letters), count: 12 };
const DxfParser = dxfParser as unknown as new () => { parseSync(text: string): IDxf };

const polygonArea = (points: readonly { x: number; y: number }[]) =>
  Math.abs(loopArea(points.map(({ x, y }) => ({ u: x, z: y }))));

describe('outlines for a router', () => {
  test('the DXF, read by another library, has pockets and inserts on layers of their own, at full size', () => {
    const [pair] = inlayOutlines(letters);
    const { entities } = new DxfParser().parseSync(inlayFile(letters, 'dxf'));
    const of = (layer: string) => entities.filter((entity) => entity.layer === layer) as ILwpolylineEntity[];
    expect(of('POCKET')).toHaveLength(1);
    expect(of('INSERT')).toHaveLength(1);
    expect(polygonArea(of('POCKET')[0]!.vertices as { x: number; y: number }[])).toBeCloseTo(
      loopArea(pair!.pocket[0]!),
      3,
    );
    expect(of('POCKET')[0]!.shape).toBe(true);
  });
  test('the SVG comes back as the outline that went out', () => {
    const svg = inlayFile(letters, 'svg');
    expect(svg).toMatch(/width="[\d.]+mm"/);
    const pocket = /<g id="POCKET"[\s\S]*?<\/g>/.exec(svg)![0];
    const read = readOutline('cross.svg', `<svg>${pocket}</svg>`);
    if (!read.ok) throw new Error(plain(read.reasons[0]!.message));
    const area = read.value.loops.reduce((sum, loop) => sum + loopArea(loop.map(([u, z]) => ({ u, z }))), 0);
    const [pair] = inlayOutlines(letters);
    const zs = pair!.pocket.flat().map(({ z }) => z);
    const high = Math.max(...zs) - Math.min(...zs);
    expect(area * high * high).toBeCloseTo(loopArea(pair!.pocket[0]!), 0);
  });
  test('holes stay holes: a frame', () => {
    const square = (r: number): [number, number][] => [
      [-r, -r],
      [r, -r],
      [r, r],
      [-r, r],
    ];
    const glyph = glyphFromLoops('frame', [square(10), square(6)]);
    if (typeof glyph === 'string') throw new Error(glyph);
    const area = glyph.loops.reduce((sum, loop) => sum + loopArea(loop.map(([u, z]) => ({ u, z }))), 0);
    expect(area).toBeCloseTo(1 - 0.36, 6);
  });
  test.each([
    ['nothing.svg', '<svg></svg>', /no path/],
    ['line.svg', '<svg><path d="M0 0L5 5"/></svg>', /no closed outline/],
    ['junk.dxf', 'junk', /DXF/],
  ])('%s is refused with a sentence', (name, text, says) => {
    const read = readOutline(name, text);
    expect(read.ok ? '' : plain(read.reasons[0]!.message)).toMatch(says);
  });
});

test('a template is at full size, with a line of 100 mm and a path for every piece', () => {
  const star = begun('medallion', { segments: 8, body: 'b' })!;
  const made = madeRing(star, { outerRadiusMm: mm(80), innerRadiusMm: mm(0), heightMm: mm(10) });
  const svg = templateSvg(made);
  const [, wide] = /width="([\d.]+)mm"/.exec(svg)!;
  const [, box] = /viewBox="0 0 ([\d.]+)/.exec(svg)!;
  expect(wide).toBe(box);
  expect(svg.match(/<path d="M[^h]*Z">/g)).toHaveLength(32);
  expect(svg).toMatch(/h100m0 -2v4m-100 0v-4/);
  const tip = /<title>Lit half/.test(svg);
  expect(tip).toBe(true);
});
