import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { whirlpoolGoblet } from '../../demo/stacks.js';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import * as edit from '../../project/commands/edits.js';
import { twistTurns } from '../../project/commands/twistCommands.js';
import type { Project } from '../../project/schema.js';
import { between } from '../../testing/numbers.js';
import { after, planned } from '../../testing/pieces.js';
import { madeRing, refusalOf } from '../../testing/rings.js';
import { layOut, volumeOf } from '../layOut.js';
import { UNSANDED } from '../planing.js';
import { calledOf, insteadOf, makeRing, type ParamsOf, startOf, tonesOf } from '../registry.js';
import { slicesOf } from './apartTold.js';
import { discBoards } from './scribed.js';

const NEED = { outerRadiusMm: mm(60), innerRadiusMm: mm(0), heightMm: mm(6) };
type Disc = ParamsOf<'disc'>;
const striped = (stripsMm: readonly number[], longestMm?: number): Disc => ({
  way: 'disc',
  sawnFrom: {
    is: 'strips',
    stripsMm: stripsMm.map((w) => mm(w)),
    ...(longestMm !== undefined && { longestMm: mm(longestMm) }),
  },
});
const SECTION = {
  done: 'sliced',
  from: 'section-1',
  boardMm: mm(40),
  kerfMm: mm(1.5),
  cleanUpMm: mm(0),
} as const;
const twisted = (stripsMm: readonly number[], longestMm?: number): Disc => ({
  ...striped(stripsMm, longestMm),
  after: SECTION,
});

describe('a twisted stack', () => {
  test('slices of a section: 6.9 with slices of 1.1 and a kerf of 0.35 gives 5', () => {
    expect(slicesOf(6.9, 1.1, 0.35)).toBe(5);
    expect(slicesOf(6.89, 1.1, 0.35)).toBe(4);
  });
  test('a slice has as many pieces as strips are met by its disc, counted one by one', () => {
    fc.assert(
      fc.property(
        fc.array(between(2, 30), { minLength: 4, maxLength: 20 }),
        between(20, 110),
        (widths, outer) => {
          const whole = widths.reduce((a, b) => a + b, 0);
          const strips = [...widths, Math.max(1, 2 * outer + 5 - whole)];
          const total = strips.reduce((a, b) => a + b, 0);
          if (total < 2 * outer || strips.some((w) => w > 500)) return;
          const made = madeRing(twisted(strips), { ...NEED, outerRadiusMm: mm(outer) });
          let at = -total / 2;
          const radius = outer / Math.cos(Math.PI / 180);
          const met = strips.filter((w) => {
            const [from, to] = [at, at + w];
            at = to;
            return to > -radius + 1e-4 && from < radius - 1e-4;
          });
          expect(made.kinds.reduce((sum, { places }) => sum + places.length, 0)).toBe(met.length);
        },
      ),
    );
  });
  test('turns: steady, growing, there and back', () => {
    expect(twistTurns(4, { twist: 'steady', stepDeg: 5 })).toEqual([0, 5, 10, 15]);
    const growing = twistTurns(5, { twist: 'growing', stepDeg: 4 });
    const steps = growing.slice(1).map((turn, i) => turn - growing[i]!);
    expect(steps.every((step, i) => i === 0 || step > steps[i - 1]!)).toBe(true);
    expect(twistTurns(7, { twist: 'there-and-back', stepDeg: 5 })).toEqual([0, 5, 10, 15, 10, 5, 0]);
  });
  test('a board too narrow, strips that the saw eats, and a crooked board are told', () => {
    expect(plain(refusalOf(twisted([30, 30]), NEED)?.message ?? '')).toMatch(
      /60 mm wide; the disc is 120 mm across/,
    );
    expect(refusalOf(twisted([100, 0.5, 100]), NEED)?.code).toBe('strip-thinner-than-kerf');
    expect(madeRing(twisted([80, 10, 90]), NEED).warnings.map(({ code }) => code)).toContain('board-crooked');
    expect(madeRing(twisted([80, 10, 80]), NEED).warnings).toEqual([]);
  });
  test('more slices than the board gives are told with what it gives', () => {
    const body = { members: Array.from({ length: 9 }, () => NEED), index: 0 };
    const made = madeRing(twisted([80, 10, 80]), { ...NEED, body });
    expect(plain(made.warnings[0]!.message)).toMatch(
      /9 slices take a board 66 mm thick; the one of 40 mm gives 5/,
    );
  });
});

describe('slices of one section', () => {
  const members = [6, 9].map((heightMm) => ({ ...NEED, heightMm: mm(heightMm) }));
  const body = { members, index: 0 };
  const made = madeRing(twisted([50, 8, 12, 8, 50]), { ...NEED, body });
  test.each([
    [0, 6.75],
    [3, 8.25],
  ])('with %d mm cleaned up come off at the cut that is drawn, %d mm up', (cleanUpMm, y) => {
    // Half of what is cleaned up, a slice of 6, half a kerf of 1.5.
    const cleaned = madeRing(
      { ...striped([50, 8, 12, 8, 50]), after: { ...SECTION, cleanUpMm: mm(cleanUpMm) } },
      { ...NEED, body },
    );
    const [board] = cleaned.pictures!();
    expect(board!.lines.map(({ from, to }) => [from.y, to.y])).toEqual([[y, y]]);
  });
  test('are glued up, sawn, sliced and stacked once for all of them', () => {
    const steps = made.steps(UNSANDED).map(({ id, once }) => [id, once]);
    expect(steps).toEqual(['board', 'disc', 'slice', 'stack'].map((id) => [id, 'section-1']));
  });
  test('have as many strips all together as each has', () => {
    const figure = (wanted: string) => made.figures.find(({ key }) => key === wanted)?.value;
    expect([figure('strips-in-the-disc'), figure('strips-in-all-slices')]).toEqual([5, 10]);
  });
  test('of a board too narrow can be had of wider strips', () => {
    const instead = insteadOf(twisted([30, 8, 30]), NEED);
    expect(instead && makeRing(instead, NEED).ok).toBe(true);
  });
  test('are meant to have a dark register strip in the middle, where there is one', () => {
    expect(tonesOf(twisted([40, 8, 12, 8, 40]))).toEqual(['light', 'middle', 'dark', 'middle', 'light']);
    expect(tonesOf(twisted([40, 8, 8, 40]))).toEqual(['light', 'middle', 'light', 'middle']);
  });
});

describe('a disc of strips that stays whole', () => {
  const NEED_BOARD = { ...NEED, heightMm: mm(18) };
  const whole = madeRing(striped([50, 8, 12, 8, 50]), NEED_BOARD);
  test('is a board of strips as high as the ring, sawn round: every strip is bought, nothing is sliced', () => {
    expect(whole.kinds.map(({ stock }) => stock)).toMatchObject(
      [50, 8, 12, 8, 50].map((widthMm) => ({ from: 'panel', widthMm, thicknessMm: 18 })),
    );
    expect(whole.kinds.every(({ stock }) => stock.from === 'panel' && !stock.slicing)).toBe(true);
    expect(whole.steps(UNSANDED).map(({ id }) => id)).toEqual(['board', 'disc']);
    expect(whole.pictures!().map(({ lines }) => lines)).toEqual([[], []]);
    // The strip in the middle is as long as the disc is across, within a hair for the polygon it is drawn with.
    const [middle] = [whole.kinds[2]!.stock].flatMap((stock) => (stock.from === 'panel' ? [stock] : []));
    expect(middle!.lengthMm).toBeCloseTo(120, 1);
    // Circle of 60 mm, 18 mm high.
    const volume = layOut(whole).reduce((sum, piece) => sum + volumeOf(piece), 0);
    expect(volume / (Math.PI * 60 ** 2 * 18)).toBeCloseTo(1, 3);
  });
  test('may look crooked: nothing swirls', () => {
    expect(madeRing(striped([80, 10, 90]), NEED).warnings).toEqual([]);
  });
  test('is called what it is', () => {
    expect([striped([80, 80]), twisted([80, 80])].map(calledOf)).toEqual([
      'Solid disc of strips',
      'Twisted stack',
    ]);
    expect([striped([80, 80]), twisted([80, 80])].map(startOf)).toEqual(['disc', 'twisted']);
  });
});

describe('discs scribed on one board', () => {
  test('lie beside each other with room round each, on boards no longer than the longest (laid down one by one)', () => {
    fc.assert(
      fc.property(
        fc.array(between(10, 150), { minLength: 1, maxLength: 12 }),
        between(320, 2000),
        (radii, longest) => {
          const boards = discBoards(radii, longest);
          expect(boards.flatMap(({ discs }) => discs.map(({ radiusMm }) => radiusMm))).toEqual(radii);
          for (const { lengthMm, discs } of boards) {
            expect(lengthMm).toBeLessThanOrEqual(longest + 1e-6);
            const edges = [
              0,
              ...discs.flatMap(({ atMm, radiusMm }) => [atMm - radiusMm, atMm + radiusMm]),
              lengthMm,
            ];
            for (let i = 0; i < edges.length; i += 2) expect(edges[i + 1]! - edges[i]!).toBeCloseTo(5, 9);
          }
        },
      ),
    );
  });
  const goblet = whirlpoolGoblet();
  const sliced = goblet.rings.map((_, i) => i);
  const shared = (longestMm: number) =>
    after(goblet, edit.setDiscSource(sliced, 'strips', { longestMm: mm(longestMm) }));
  test('take fewer and longer strips for the same slices: as many pieces, as much wood in them', () => {
    const [own, one] = [planned(goblet), planned(shared(2000))];
    const strips = (plan: typeof own) => plan.lumber.panels.filter(({ shape }) => shape === 'block');
    // The widest disc, 108 mm and its allowance, reaches 13 of the 17 strips; the outer two of either side are left off.
    expect(strips(one)).toHaveLength(13);
    expect(strips(own).length).toBeGreaterThan(3 * 11);
    expect(one.pieces).toBe(own.pieces);
    for (const [i, wood] of own.lumber.woods.entries())
      expect(one.lumber.woods[i]!.segmentsMm3).toBeCloseTo(wood.segmentsMm3, 3);
    const [board] = one.rings.flatMap(({ figures }) => figures.filter(({ key }) => key === 'board-length'));
    expect(strips(one)[0]!.lengthMm).toBeGreaterThanOrEqual(board!.value);
  });
  test('are glued up once for all their sections, and told where they lie', () => {
    const { rings } = planned(shared(2000));
    const boards = sliced.map((i) => rings[i]!.steps.find(({ id }) => id === 'board')!);
    expect(new Set(boards.map(({ once }) => once)).size).toBe(1);
    expect(new Set(boards.map(({ says }) => plain(says))).size).toBe(1);
    expect(plain(boards[0]!.says)).toMatch(/scribe 4 discs on that line: .* across at .* from the end/);
    expect(new Set(sliced.map((i) => rings[i]!.steps.find(({ id }) => id === 'disc')!.once)).size).toBe(4);
  });
  test('boards of other strips are other work: each is glued up by itself', () => {
    const parted = after(shared(2000), edit.setThickDisc(sliced.slice(12), { boardMm: mm(59) }));
    const { rings } = planned(parted);
    const once = sliced.map((i) => rings[i]!.steps.find(({ id }) => id === 'board')!.once);
    expect(new Set(once).size).toBe(2);
  });
  test('that are of another size than before make other boards of the same sections', () => {
    const wide = shared(2000);
    const lengthOf = (project: Project) =>
      planned(project).rings[0]!.figures.find(({ key }) => key === 'board-length')!.value;
    const before = lengthOf(wide);
    // The lowest section stays what it is; a disc of the highest is made 20 mm wider.
    const size = { outerRadiusMm: mm(66), innerRadiusMm: mm(30) };
    const wider = after(wide, edit.setFixed([sliced.at(-1)!], size));
    const reach = (project: Project) =>
      Math.max(
        ...planned(project)
          .rings.slice(18)
          .map(({ gives }) => gives!.outerRadiusMm),
      );
    expect(lengthOf(wider) - before).toBeCloseTo(2 * (reach(wider) - reach(wide)), 6);
    expect(lengthOf(wider)).toBeGreaterThan(before);
  });
  test('are as thick as the highest of their sections takes, and one board whatever pin each has', () => {
    const pinned = after(
      shared(2000),
      edit.setThickDisc(sliced, { boardMm: undefined }),
      edit.setThickDisc(sliced.slice(6, 12), { pinMm: mm(3) }),
      edit.setRingHeight([12], mm(20)),
    );
    const { rings } = planned(pinned);
    const once = sliced.map((i) => rings[i]!.steps.find(({ id }) => id === 'board')!.once);
    expect(new Set(once).size).toBe(1);
    // Five slices of 7, one of 20, five kerfs of 1.6, by hand.
    const board = rings[0]!.steps.find(({ id }) => id === 'board')!;
    expect(plain(board.says)).toMatch(/ 63 mm high, side by side/);
  });
  test('one longer than the longest board is refused with the length; a pin in a solid slice would show', () => {
    expect(refusalOf(twisted([80, 10, 80], 120), NEED)).toMatchObject({
      code: 'board-short',
      limits: { least: 130 },
    });
    const pinned: Disc = { ...striped([80, 10, 80]), after: { ...SECTION, pinMm: mm(6) } };
    expect(madeRing(pinned, NEED).warnings.map(({ code }) => code)).toEqual(['pin-shows']);
    expect(madeRing(pinned, { ...NEED, innerRadiusMm: mm(4) }).warnings).toEqual([]);
    expect(
      plain(
        madeRing(pinned, NEED)
          .steps(UNSANDED)
          .find(({ id }) => id === 'disc')!.says,
      ),
    ).toMatch(/a hole of 6 mm square through its middle/);
  });
});
