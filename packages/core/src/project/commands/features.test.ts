import { describe, expect, test } from 'vitest';
import { BLANKS } from '../../blank/registry.js';
import { demoProjects } from '../../demo/index.js';
import { cutListCsv } from '../../exchange/cutListCsv.js';
import { boardsOf, type ParamsOf, startOf } from '../../making/registry.js';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { DEFAULT_SHOP } from '../../settings/shop.js';
import { after, change, placeIn, planned, refusal, rings } from '../../testing/pieces.js';
import { SHIPPED_WOODS } from '../../wood/catalogue.js';
import { readProject } from '../inspect.js';
import type { Project } from '../schema.js';
import * as edit from './edits.js';

const demo = (name: string): Project => demoProjects().find((project) => project.name.includes(name))!;
const codes = (project: Project) => planned(project).checks.map(({ code }) => code);

test('there is a demo piece for every family, each sound and with all its rings made', () => {
  for (const project of demoProjects()) {
    expect(readProject(JSON.parse(JSON.stringify(project))).ok, project.name).toBe(true);
    for (const { made, course } of rings(project))
      expect(made.ok, `${project.name} ${course.index}`).toBe(true);
  }
  const starts = new Set(
    demoProjects().flatMap((project) => project.rings.map(({ making }) => startOf(making))),
  );
  for (const start of [
    'laminated',
    'inlaid',
    'lettered',
    'medallion',
    'twisted',
    'basket',
    'illusion',
    'climbing',
  ])
    expect(starts).toContain(start);
  expect(demo('Globe').blanks!.map(({ making }) => making.kind)).toEqual(['globe', 'bent']);
});

describe('rings made another way', () => {
  test('take the tones that the way means, and a layer of a board keeps to one wood', () => {
    const zigzag = after(demo('Cup'), edit.startFrom([8], 'laminated'));
    const { woods, making } = zigzag.rings[8]!;
    const each = woods.length / boardsOf(making)[0]!.sizes(making).length;
    expect(new Set(woods.slice(0, each)).size).toBe(1);
    expect(new Set(woods).size).toBeGreaterThan(1);
    const painted = after(zigzag, edit.setWood([8], 'purpleheart', [each + 3]));
    expect(new Set(painted.rings[8]!.woods.slice(each, 2 * each))).toEqual(new Set(['purpleheart']));
  });
  test('keep no tones of what segments were sawn from before', () => {
    const all = (wood: string, project: Project) => after(project, edit.setWood([8], wood));
    const board = (project: Project) => after(project, edit.startFrom([8], 'laminated')).rings[8]!.woods;
    const layers = all('black-walnut', after(demo('Cup'), edit.startFrom([8], 'layered')));
    const meant = board(all('sugar-maple', demo('Cup')));
    expect(new Set(meant).size).toBeGreaterThan(1);
    expect(board(layers)).toEqual(meant);
  });
  test('say what does not carry over', () => {
    const laminated = after(demo('Cup'), edit.startFrom([8], 'laminated'));
    const change = edit.startFrom([8], 'flat');
    expect(startOf(after(laminated, change).rings[8]!.making)).toBe('flat');
  });
});

describe('the figure of a laminated board', () => {
  test('changes in one step, whatever the board was: one that does not go with it is made to suit', () => {
    const zigzag = after(demo('Cup'), edit.startFrom([8], 'laminated'));
    for (const figure of ['stripes', 'ramp', 'chevron', 'diamond', 'chequer', 'zigzag'] as const) {
      const laid = after(zigzag, edit.setFigure([8], figure));
      expect(laid.rings[8]!.making).toMatchObject({ sawnFrom: { figure } });
      expect(rings(laid)[8]!.made.ok, figure).toBe(true);
    }
    const { note } = change(zigzag, edit.setFigure([8], 'chequer'));
    expect(plain(note ?? '')).toBe('The board was made to suit the figure: look at its layers.');
    const chequer = after(zigzag, edit.setFigure([8], 'chequer')).rings[8]!;
    expect(chequer.making).toMatchObject({ sawnFrom: { layersMm: { length: 4 } } });
    const before = zigzag.rings[8]!.woods;
    expect(chequer.woods[0]).toBe(before[0]);
  });
});

describe('what cannot be', () => {
  test.each([
    ['laminated', { layersMm: [4, 4].map(mm) }, /that are needed/],
    ['laminated', { upMm: mm(90) }, /off the middle of the slices/],
    ['inlaid', { plugs: [{ shape: 'round', acrossMm: mm(80), asideMm: mm(0), upMm: mm(0) }] }, /the face of/],
    ['lettered', { sizeMm: mm(120) }, /make the letters smaller|and the ring/],
  ] as const)('%s is refused at the edit, and nothing changes', (way, change, says) => {
    const ring = after(demo('Cup'), edit.startFrom([8], way));
    const { sawnFrom } = ring.rings[8]!.making as ParamsOf<'segmented'>;
    expect(refusal(ring, edit.setSource([8], sawnFrom!.is, change as never))).toMatch(says);
  });
  test('a ring that cannot be made may be changed on its way to one that can', () => {
    const thin = after(demo('Cup'), edit.setRingHeight([8], mm(60)), edit.startFrom([8], 'laminated'));
    expect(rings(thin)[8]!.made.ok).toBe(false);
    const layersMm = [20, 8, 20].map(mm);
    expect(after(thin, edit.setSource([8], 'laminated', { layersMm })).rings[8]!.making).toMatchObject({
      sawnFrom: { layersMm },
    });
  });
});

test('a basket begins with dark spacers, its segments as they were; one that cannot be made is refused at the edit, and nothing changes', () => {
  const ring = after(demo('Cup'), edit.startFrom([8], 'basket'));
  const between = { put: 'spacers' as const, spacers: { at: 'every' as const, thicknessMm: mm(50) } };
  expect(refusal(ring, edit.setParams([8], 'segmented', { between }))).toMatch(
    /50 mm thick .* nothing is left of the segments/,
  );
  const keyOf = (tone: string) => ring.palette.find((entry) => entry.tone === tone)!.key;
  const { woods } = ring.rings[8]!;
  expect(woods.slice(0, 24)).toEqual(demo('Cup').rings[8]!.woods);
  expect(new Set(woods.slice(24))).toEqual(new Set([keyOf('dark')]));
});

describe('a twisted stack', () => {
  const goblet = demo('Goblet');
  const all = goblet.rings.map((_, i) => i);
  test('is divided into sections that the board gives, each turned on from the one below', () => {
    const steady = after(goblet, edit.twistStack(all, { twist: 'steady', stepDeg: 4 }));
    const sections = edit.projectedSections(steady.rings, all);
    // 54 of board and 7 of slice with a kerf of 1.6: (54 + 1.6)/(7 + 1.6) = 6.46
    expect(sections.map((section) => section.length)).toEqual([6, 6, 6, 6]);
    const turns = steady.rings.map(({ turn }) => turn);
    expect(turns.slice(1).every((turn, i) => Math.abs(turn - turns[i]! - 4) < 1e-9)).toBe(true);
  });
  test('a slice thicker than the board is refused', () => {
    const thin = after(goblet, edit.setThickDisc(all, { boardMm: mm(5) }));
    expect(refusal(thin, edit.twistStack(all, { twist: 'steady', stepDeg: 4 }))).toMatch(/not one comes out/);
  });
  test('any sliced disc is twisted, in pitches of its own; without a board that there is it is one section', () => {
    const stars = after(
      goblet,
      edit.setParams(all, 'disc', {
        sawnFrom: { is: 'star', points: 8, lit: 'clockwise', borderMm: mm(0) },
      }),
      edit.setThickDisc(all, { boardMm: undefined }),
      edit.twistStack(all, { twist: 'steady', stepDeg: 9 }),
    );
    expect(edit.projectedSections(stars.rings, all)).toEqual([all]);
    const degrees = rings(stars).map(({ turn }) => (turn * 180) / Math.PI);
    expect(degrees[3]! - degrees[0]!).toBeCloseTo(27, 9);
  });
  test('counts the pieces of every slice, and the wood of a section once', () => {
    const { lumber, rings: plans } = planned(goblet);
    const pieces = plans.reduce((sum, ring) => sum + ring.pieces.reduce((n, { count }) => n + count, 0), 0);
    expect(planned(goblet).pieces).toBe(pieces);
    expect(new Set(lumber.panels.map(({ owner }) => placeIn(goblet)(owner)))).toEqual(
      new Set([0, 6, 12, 18]),
    );
  });
});

describe('bands and patches', () => {
  test('a basket has caps below and above and is turned half a segment ring by ring', () => {
    const project = after(
      demo('Cup'),
      edit.startFrom([6, 7, 8, 9, 10], 'basket'),
      edit.basketBand([6, 7, 8, 9, 10]),
    );
    const band = project.rings.slice(6, 11);
    expect(band.map(({ making }) => startOf(making))).toEqual(['flat', 'basket', 'basket', 'basket', 'flat']);
    expect(band.map(({ turn }) => turn)).toEqual([0, 0.5, 0, 0.5, 0]);
    expect(codes(project)).not.toContain('too-few-to-read');
  });
  test('two rings of it are told to be too few', () => {
    const project = after(demo('Cup'), edit.startFrom([7, 8], 'basket'));
    expect(codes(project)).toContain('too-few-to-read');
    expect(plain(planned(project).checks.find(({ code }) => code === 'too-few-to-read')!.message)).toMatch(
      /Rings 8 and 9 are too few to read as weaving; it takes 3/,
    );
  });
  test('a patch exchanges the two woods of its rings within it, and laid twice is gone', () => {
    const lantern = demo('Fleece');
    const patch = edit.patchRings([2, 3], { segment: 3, segments: 6, times: 1 });
    const once = after(lantern, patch);
    const changed = once.rings[2]!.woods.flatMap((wood, i) =>
      wood === lantern.rings[2]!.woods[i] ? [] : [i],
    );
    expect(changed).toEqual([3, 4, 5, 6, 7, 8]);
    expect(after(once, patch).rings).toEqual(lantern.rings);
  });
  test('a lens lies over rings with its middle half way up', () => {
    const bowl = demo('Dewpond');
    const lens = { segment: 4, times: 1, segments: 5, rings: 3, swell: 2 };
    const laid = after(bowl, edit.layLens([2, 3, 4], lens));
    const offsets = [2, 3, 4].map((i) => {
      const { making } = laid.rings[i]!;
      return making.way === 'segmented' && making.sawnFrom?.is === 'plugs'
        ? making.sawnFrom.lens?.ring
        : null;
    });
    expect(offsets).toEqual([-1, 0, 1]);
  });
});

describe('blanks beside the stack', () => {
  const cup = demo('Cup');
  const globed = after(cup, edit.addBlank('globe', 'g'));
  test('come into the totals, the lists and the CSV', () => {
    expect(planned(globed).pieces).toBe(planned(cup).pieces + 80);
    expect(
      planned(globed).lumber.panels.some(
        ({ owner, name }) => owner.of === 'blank' && owner.id === 'g' && name === 'Equilateral',
      ),
    ).toBe(true);
    expect(cutListCsv(planned(globed), SHIPPED_WOODS, DEFAULT_SHOP)).toMatch(/blank 1,Isosceles,/);
  });
  test('are painted, sized, and taken away again; what cannot be made changes nothing', () => {
    const half = after(globed, edit.setBlank(0, { ...BLANKS.globe.begin(), part: 'half' }));
    expect(half.blanks![0]!.woods).toHaveLength(40);
    const painted = after(half, edit.paintBlank(0, 'black-walnut', [3]));
    expect(painted.blanks![0]!.woods[3]).toBe('black-walnut');
    expect(refusal(half, edit.setBlank(0, { ...BLANKS.globe.begin(), wallMm: mm(150) }))).toMatch(
      /is the most/,
    );
    expect(after(half, edit.removeBlank(0)).blanks).toBeUndefined();
    expect(refusal(half, edit.paintBlank(0, 'moonwood'))).toMatch(/not in the palette/);
  });
});
