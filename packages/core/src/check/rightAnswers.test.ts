import { describe, expect, test } from 'vitest';
import { makeBent } from '../blank/bent.js';
import { linkClearance } from '../blank/bentPath.js';
import { BLANKS } from '../blank/registry.js';
import { sawn } from '../demo/build.js';
import { demoProjects } from '../demo/index.js';
import { edit } from '../index.js';
import { stepBetween } from '../making/flat/ring.js';
import type { Laminated } from '../making/laminated/params.js';
import { usuallySanded } from '../making/registry.js';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { prepare } from '../project/prepare.js';
import { startFromRings } from '../project/startFromRings.js';
import { ringOwner } from '../ring/owner.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { after, planned, refusal, spotted } from '../testing/pieces.js';
import { madeRing, refusalOf } from '../testing/rings.js';

const degrees = (n: number) => (n * Math.PI) / 180;
const [cup] = demoProjects() as [ReturnType<typeof demoProjects>[number]];
const figure = (made: ReturnType<typeof madeRing>, name: string): number =>
  made.figures.find(({ key }) => key === name)!.value;

describe('a laminated slice', () => {
  /** Height of the tallest level band that a slice of a board gives over its whole width, from its corners alone. */
  const heightOf = (board: number, width: number, angle: number): number => {
    // Stood upright, both long sides of the slice run at the angle; the band lies between the higher lower corner and the
    // lower upper one.
    const [low, high] = [0, width * Math.tan(angle)];
    return low + board / Math.cos(angle) - high;
  };
  const need = { outerRadiusMm: mm(100), innerRadiusMm: mm(80), heightMm: mm(30) };
  const zigzag = (change: Partial<Laminated>) => sawn('laminated', 12, change);
  test.each([0, 2, 6, 12])(
    'with a trim of %s mm gives what its corners say, and is refused just below that',
    (trim) => {
      const up = (upMm: number) => zigzag({ trimMm: mm(trim), layersMm: [80].map(mm), upMm: mm(upMm) });
      const wide = up(0);
      const made = madeRing(wide, need);
      const slice = figure(made, 'slice-height-that-can-be-used');
      // Two slices a segment, whose face is 2·Ro·tan 15° wide.
      const width = 100 * Math.tan(degrees(15)) + trim;
      expect(slice).toBeCloseTo(heightOf(80, width, degrees(30)), 6);
      const least = (30 + width * Math.tan(degrees(30))) * Math.cos(degrees(30));
      const thick = (by: number) =>
        zigzag({ trimMm: mm(trim), layersMm: [least / 2 + by, least / 2].map(mm) });
      expect(refusalOf(thick(0.01), need)).toBeNull();
      expect(refusalOf(thick(-0.01), need)?.code).toBe('no-height-left');
      // Up and down by what is over, to either side, and no farther.
      const slack = (slice - 30) / 2;
      expect(refusalOf(up(slack - 0.01), need)).toBeNull();
      expect(refusalOf(up(slack + 0.01), need)?.code).toBe('off-the-slice');
    },
  );
});

// Worked by hand: 70·(sec 22.5° − sec 7.5°) = 75.7674 − 70.6040; 70·(sec 27.5° − sec 7.5°) = 8.313 between no neighbours.
test('corners step between neighbours only: 55°, 45°, 15°, 45° at 70 mm', () => {
  expect(stepBetween([55, 45, 15, 45].map(degrees), 70)).toBeCloseTo(5.163, 3);
  expect(stepBetween([55, 45, 15].map(degrees), 70)).toBeCloseTo(8.313, 3);
});

// Worked by hand: 15° − 2·asin(3/100) = 11.562°, 15° − 2·asin(3/80) = 10.702°.
test('parallel gaps tell their hold inside and outside, and are judged inside', () => {
  const need = { outerRadiusMm: mm(100), innerRadiusMm: mm(80), heightMm: mm(20) };
  const open = (widthMm: number) =>
    madeRing(
      {
        way: 'segmented',
        count: 12,
        between: { put: 'gaps', gap: { sides: 'parallel', widthMm: mm(widthMm) } },
      },
      need,
    );
  expect(figure(open(6), 'overlap-at-each-end-outside')).toBeCloseTo(degrees(11.562), 4);
  expect(figure(open(6), 'overlap-at-each-end-inside')).toBeCloseTo(degrees(10.702), 4);
  // A third of 15° is 5°: 17 mm hold 5.25° outside and 2.80° inside.
  expect(open(17).warnings.map(({ code }) => code)).toEqual(['little-hold']);
  expect(plain(open(17).warnings[0]!.message)).toMatch(/2\.8° inside and 5\.25° outside/);
  expect(open(13).warnings).toEqual([]);
});

test('open rings are planed to their height; a face that is sanded adds its sanding once', () => {
  const lantern = demoProjects().find(({ name }) => name.includes('Lantern'))!;
  const opened = lantern.rings.findIndex(({ making }) => usuallySanded(making) === 'none');
  const planed = (project: typeof lantern, index: number) =>
    planned(project).lumber.strips.find(({ cuts }) =>
      cuts.some(({ owner }) => owner?.id === ringOwner(project.rings[index]!.id).id),
    )!.thicknessMm;
  const height = lantern.rings[opened]!.heightMm;
  expect(planed(lantern, opened)).toBeCloseTo(height, 9);
  const one = after(lantern, edit.setSanded([opened], 'one'));
  // What is sanded is planed to the next 1/32 in.
  const stepped = (thick: number) => Math.ceil(thick / (25.4 / 32) - 1e-3) * (25.4 / 32);
  expect(planed(one, opened)).toBeCloseTo(stepped(height + DEFAULT_SHOP.faceSandingMm), 9);
  expect(planed(after(one, edit.setSanded([opened], 'both')), opened)).toBeCloseTo(
    stepped(height + 2 * DEFAULT_SHOP.faceSandingMm),
    9,
  );
  expect(after(one, edit.setSanded([opened], null)).rings).toEqual(lantern.rings);
});

test('a ring that came out thick puts the top one above the form: it is told, and stays in counts and lists', () => {
  const thick = after(cup, edit.setMeasured([6], { heightMm: mm(cup.rings[6]!.heightMm + 60) }));
  const [before, now] = [planned(cup), planned(thick)];
  expect(spotted(now).some((check) => check.startsWith('ring-above-form'))).toBe(true);
  expect(now.pieces).toBe(before.pieces);
  expect(now.rings.at(-1)!.pieces.length).toBeGreaterThan(0);
  expect(
    now.lumber.strips.some(({ cuts }) => cuts.some(({ owner }) => owner?.id === cup.rings.at(-1)!.id)),
  ).toBe(true);
  const prepared = prepare(thick);
  expect(prepared.ok && prepared.value.rings.at(-1)!.reaches).toEqual([]);
});

test('another segment count is held back where the way’s own parameters would be', () => {
  const board = after(cup, edit.startFrom([8], 'laminated'));
  const counts = Array.from({ length: 30 }, (_, i) => i + 3);
  const said = counts.map((count) => refusal(board, edit.setCount([8], count)));
  expect(said).toEqual(counts.map((count) => refusal(board, edit.setParams([8], 'segmented', { count }))));
  expect(said.filter((why) => /is \d.* thick; cut at/.test(why)).length).toBeGreaterThan(0);
});

test('links that run into each other are a check with what they lack, and no room is said of them', () => {
  const given = { ...BLANKS.bent.begin(), curveMm: mm(20), linkAsideMm: mm(20) };
  const made = makeBent(given);
  if (!made.ok) throw new Error(plain(made.reasons[0]!.message));
  const lack = -linkClearance(20, 14 / Math.cos(Math.PI / 6), 20);
  expect(lack).toBeGreaterThan(0);
  expect(
    made.value
      .steps()
      .map(({ says }) => plain(says))
      .join(' '),
  ).not.toMatch(/of room/);
  const linked = after(cup, edit.addBlank('bent', 'l'), edit.setBlank(0, given));
  const check = planned(linked).checks.find(({ code }) => code === 'links-collide')!;
  expect(plain(check.message)).toMatch(
    new RegExp(`^Blank 1: .*run into each other by ${lack.toFixed(2).slice(0, 3)}`),
  );
  expect(check.owners).toEqual([{ of: 'blank', id: 'l' }]);
});

test('rings that were trued dry take a curve of their whole width; an allowance is the user’s', () => {
  const sizes = [{ outerDiameterMm: mm(160), innerDiameterMm: mm(120), heightMm: mm(20), rings: 5 }];
  const begin = (truingMm: number) => {
    const begun = startFromRings({
      name: 'Stack',
      sizes: [{ ...sizes[0]!, innerDiameterMm: mm(0), rings: 1 }, ...sizes],
      wallMm: mm(6),
      count: 12,
      woods: ['sugar-maple'],
      fit: 'smoothest',
      truingMm: mm(truingMm),
    });
    if (!begun.ok) throw new Error(plain(begun.reasons[0]!.message));
    return Math.max(...begun.value.form.points.map(({ radiusMm }) => radiusMm));
  };
  expect(begin(0)).toBeLessThanOrEqual(80);
  expect(begin(0) - begin(4)).toBeGreaterThan(2);
});

test('a ring from the stash shows nobody’s glue-up', () => {
  const of = sawn('laminated', 12);
  const own = { outerRadiusMm: mm(100), innerRadiusMm: mm(80), heightMm: mm(30) };
  expect(madeRing(of, own).pictures).toBeDefined();
  const stock = { way: 'stock', item: 'i', name: 'n', species: ['x'], ...own, of } as never;
  expect(madeRing(stock, own).pictures).toBeUndefined();
});

test('a foot that the jaws do not hold is noted once, and nothing that has to be put right', () => {
  const checks = planned(after(cup, edit.setPoint(0, { radiusMm: mm(70) }))).checks;
  const jaws = checks.filter(({ code }) => code === 'jaws');
  expect(jaws).toHaveLength(1);
  expect(jaws[0]!.note).toBe(true);
});
