import { describe, expect, test } from 'vitest';
import { sheepwashBowl } from '../demo/inlaid.js';
import { plain } from '../measure/said.js';
import { workOf } from '../project/ordered.js';
import { prepare } from '../project/prepare.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import { drawingFile } from './drawing.js';
import { inlayDrawing } from './inlayDrawing.js';
import { wallSvg } from './wallSvg.js';

const bowl = sheepwashBowl();
const prepared = prepare(bowl);
if (!prepared.ok) throw new Error('bowl');
const { inlay, placed } = prepared.value.inlays[0]!;
if (!placed.ok) throw new Error('inlay');
const drawing = inlayDrawing(inlay, placed.value, prepared.value, 'mm');

const across = (layer: string) => {
  const xs = drawing.lines
    .filter((line) => line.layer === layer)
    .flatMap(({ points }) => points.map(({ x }) => x));
  return Math.max(...xs) - Math.min(...xs);
};

describe('an inlay on paper', () => {
  test('pocket and insert are as wide as they are routed: 26, less the seams of 2 and the clearance on both sides', () => {
    expect(across('Pocket')).toBeCloseTo(26, 1);
    expect(across('Insert')).toBeCloseTo(26 - 2 * (2 + 0.05), 1);
    // Round a wall of 120 the way is longer than the chord: 2·120·asin(13/120).
    const { radiusMm } = placed.value.frame;
    expect(across('Template')).toBeCloseTo(2 * radiusMm * Math.asin(13 / radiusMm), 1);
  });
  test('says where it is laid, and has the edges of the rings that it lies over', () => {
    expect(drawing.texts.map(({ words }) => words)).toEqual([
      'Template, laid round: cross at 72 mm above the bench',
      'Pocket × 6, 4 mm deep',
      'Insert × 6',
    ]);
    expect(drawing.lines.filter(({ layer }) => layer === 'Rings')).toHaveLength(4 + 2);
    expect(drawingFile(drawing, 'dxf')).toContain('TEMPLATE');
  });
  test('is on the unrolled wall, cut off at the edges of every ring that it lies over', () => {
    const palette = new Map(
      bowl.palette.map(({ key, wood }) => [key, SHIPPED_WOODS.find(({ id }) => id === wood)!]),
    );
    const svg = wallSvg(prepared.value, palette, 'bowl');
    const rows = svg.match(/<clipPath id="row-\d+"/g)!.map((id) => Number(/\d+/.exec(id)![0]) + 1);
    // The windows from 50 to 94, the patches about 30; ring 8 above and the disc below are clear of them.
    expect(rows.sort()).toEqual([2, 3, 4, 5, 6, 7]);
    expect(svg.match(/fill-rule="evenodd"/g)!.length).toBeGreaterThan(3 * 12);
  });
  test('is routed, glued and turned flush after the outside is sanded, one inlay after the other', () => {
    const work = workOf(bowl, DEFAULT_SHOP, SHIPPED_WOODS);
    if (!work.ok) throw new Error('work');
    const { jobs } = work.value;
    const ids = jobs.map(({ id }) => id);
    const own = jobs.filter(({ id }) => id.startsWith('inlay-'));
    expect(own.map(({ title }) => plain(title))).toEqual([
      'Rout for inlay 1',
      'Glue in inlay 1',
      'Turn inlay 1 flush',
      'Rout for patch 2',
      'Glue in patch 2',
      'Turn patch 2 flush',
    ]);
    expect(own[0]!.needs.map(({ id }) => id)).toEqual(['sand-outside']);
    expect(own[3]!.needs.map(({ id }) => id)).toEqual([own[2]!.id]);
    expect(jobs.find(({ id }) => id === 'reverse')!.needs.map(({ id }) => id)).toEqual([own[5]!.id]);
    expect(ids.indexOf('coat-1')).toBeGreaterThan(ids.indexOf(own[5]!.id));
    expect(plain(own[0]!.says[1]!)).toMatch(/Rout 4 mm deep with a cutter of 3\.17?\d? mm/);
    expect(plain(own[4]!.says[0]!)).toMatch(/^Cut 2 inserts/);
  });
});
