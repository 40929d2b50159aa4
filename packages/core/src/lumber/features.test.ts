import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { volumeOfAll } from '../making/layOut.js';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import * as edit from '../project/commands/edits.js';
import { accounted, after, placeIn, planned, rings } from '../testing/pieces.js';

const demo = (name: string) => demoProjects().find((project) => project.name.includes(name))!;
const sum = accounted;

describe('wood of feature rings', () => {
  test.each(demoProjects().map((project) => [project.name, project] as const))(
    '%s: what is in the segments is what lies in rings and blanks',
    (_, project) => {
      const laid = rings(project).reduce((total, { made }) => {
        if (!made.ok) return total;
        const { kinds } = made.value;
        return (
          total +
          kinds
            .flatMap(({ places }) => places)
            .reduce((n, place) => n + volumeOfAll(made.value.lay(place)), 0)
        );
      }, 0);
      const { blanks, slants } = planned(project);
      const beside = [...blanks.flatMap(({ pieces }) => pieces), ...slants.flatMap(({ pieces }) => pieces)];
      const whole = laid + beside.reduce((n, { count, volumeMm3 }) => n + count * volumeMm3, 0);
      // Segments with plugs, and rims that are bored, are counted as they are sawn, whole.
      expect(sum(project, 'segments') / whole).toBeGreaterThan(0.995);
      expect(sum(project, 'segments') / whole).toBeLessThan(1.12);
    },
  );
  test('layers of a board come as boards: length, width and thickness, as many as are glued up', () => {
    const vase = demo('Drystone');
    const ring = rings(vase)[4]!;
    if (!ring.made.ok) throw new Error('ring');
    const boards = ring.made.value.figures.find(({ key }) => key === 'boards')!.value;
    const layers = planned(vase).lumber.panels.filter(({ owner }) => placeIn(vase)(owner) === 4);
    expect(layers.map(({ name }) => plain(name))).toEqual([
      'Layer 1',
      'Layer 2',
      'Layer 3',
      'Layer 4',
      'Layer 5',
    ]);
    for (const layer of layers) {
      expect(layer.count).toBe(boards);
      // Layers are planed before they are glued: nothing is sanded off their faces later.
      expect(layer.netMm).toBe(layer.thicknessMm);
    }
    expect(layers.map(({ thicknessMm }) => thicknessMm)).toEqual([16, 4, 9, 4, 16]);
  });
  test('a longer kerf or more spares take a longer board, and so more wood', () => {
    const vase = demo('Drystone');
    const before = sum(vase, 'corners');
    const spared = after(vase, edit.setSource([4], 'laminated', { spares: 14 }));
    expect(sum(spared, 'corners')).toBeGreaterThan(before);
    const wide = after(vase, edit.setSource([4], 'laminated', { kerfMm: mm(5) }));
    expect(sum(wide, 'corners')).toBeGreaterThan(before);
    expect(sum(wide, 'segments')).toBeCloseTo(sum(vase, 'segments'), 3);
  });
  test('a section of a twisted stack is bought once, and what slicing loses is told', () => {
    const goblet = demo('Goblet');
    const { panels } = planned(goblet).lumber;
    const first = panels.filter(({ owner }) => placeIn(goblet)(owner) === 0);
    expect(first.length).toBeGreaterThan(8);
    // Six slices of 7 and five kerfs of 1.6 of a board of 54: 42 stay.
    expect(first[0]!.netMm).toBe(42);
    expect(first[0]!.resawMm).toBeCloseTo(54 - 42, 9);
    expect(sum(goblet, 'resawing')).toBeGreaterThan(0);
  });
  test('dowels are counted by size', () => {
    const bowl = demo('Dewpond');
    const dowels = planned(bowl).lumber.panels.filter(({ shape }) => shape === 'dowel');
    expect(dowels.reduce((n, { count }) => n + count, 0)).toBe(7 * 30);
    expect(new Set(dowels.map(({ widthMm }) => widthMm.toFixed(3))).size).toBeGreaterThan(6);
  });
});

describe('checks of feature rings', () => {
  test('a hole whose bottom turning reaches is told with both margins, at its own heights', () => {
    const bowl = after(
      demo('Secretary'),
      edit.setSource([5], 'plugs', {
        plugs: [{ shape: 'round', acrossMm: mm(6), asideMm: mm(0), upMm: mm(0), depthMm: mm(3) }],
      }),
    );
    const check = planned(bowl).checks.find(({ code }) => code === 'layer-line')!;
    expect(check.owners.map(placeIn(bowl))).toEqual([5]);
    expect(plain(check.message)).toMatch(/The bottom of plug 1 .* outside by .* is left inside/);
  });
  test('too few rows to read are told once a run', () => {
    const vase = demo('Conjurer');
    expect(planned(vase).checks.map(({ code }) => code)).not.toContain('too-few-to-read');
    const one = after(vase, edit.setSource([3], 'illusion', { rows: 1 }));
    const told = planned(one).checks.filter(({ code }) => code === 'too-few-to-read');
    expect(told).toHaveLength(1);
    expect(plain(told[0]!.message)).toMatch(/Ring 4 alone is too few to read as blocks; it takes 3/);
  });
});
