import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { whirlpoolGoblet } from '../../demo/stacks.js';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import * as edit from '../../project/commands/edits.js';
import { twistTurns } from '../../project/commands/twistCommands.js';
import { between } from '../../testing/numbers.js';
import { after, planned } from '../../testing/pieces.js';
import { madeRing, refusalOf } from '../../testing/rings.js';
import { UNSANDED } from '../planing.js';
import type { ParamsOf } from '../registry.js';
import { discBoards } from './scribed.js';
import { slicesOf } from './told.js';

const NEED = { outerRadiusMm: mm(60), innerRadiusMm: mm(0), heightMm: mm(6) };
const twisted = (stripsMm: readonly number[]): ParamsOf<'twisted'> => ({
  way: 'twisted',
  stripsMm: stripsMm.map((w) => mm(w)),
  from: 'section-1',
  boardMm: mm(40),
  kerfMm: mm(1.5),
  cleanUpMm: mm(0),
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
  const sliced = goblet.rings.flatMap(({ making }, i) => (making.way === 'twisted' ? [i] : []));
  const shared = (longestMm: number) =>
    after(
      goblet,
      ...sliced.map((i) => {
        const making = goblet.rings[i]!.making as ParamsOf<'twisted'>;
        return edit.setMaking([i], { ...making, longestMm: mm(longestMm) });
      }),
    );
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
    const first = goblet.rings[sliced[0]!]!.making as ParamsOf<'twisted'>;
    const bodies = [...new Set(sliced.map((i) => (goblet.rings[i]!.making as ParamsOf<'twisted'>).from))];
    const parted = {
      ...shared(2000),
      rings: shared(2000).rings.map((ring) =>
        ring.making.way === 'twisted' && bodies.indexOf(ring.making.from) >= 2
          ? { ...ring, making: { ...ring.making, boardMm: mm(first.boardMm + 5) } }
          : ring,
      ),
    };
    const { rings } = planned(parted);
    const once = sliced.map((i) => rings[i]!.steps.find(({ id }) => id === 'board')!.once);
    expect(new Set(once).size).toBe(2);
  });
  test('one longer than the longest board is refused with the length; a pin in a solid slice would show', () => {
    const making = { ...twisted([80, 10, 80]), longestMm: mm(120) };
    expect(refusalOf(making, NEED)).toMatchObject({ code: 'board-short', limits: { least: 130 } });
    const pinned = { ...twisted([80, 10, 80]), pinMm: mm(6) };
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
