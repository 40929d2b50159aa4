import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { isShell } from '../making/registry.js';
import { fromDegrees, mm } from '../measure/quantity.js';
import { startFrom } from '../project/commands/wayCommands.js';
import { prepare } from '../project/prepare.js';
import { asBuilt, toBuild } from '../project/rehearsal.js';
import type { Project } from '../project/schema.js';
import { placeOnWall } from '../project/standing.js';
import { wallBand } from '../ring/need.js';
import { type Errors, NO_ERRORS, USUAL_ERRORS, USUAL_SCHOOL } from '../settings/errors.js';
import { after } from '../testing/pieces.js';
import { build } from './build.js';
import { drawsOf } from './draws.js';
import { frameOf } from './frame.js';
import { halvings } from './helps.js';
import { buildAndLook, buildMany, outcomesOf } from './many.js';
import type { Method } from './subject.js';
import { Tally } from './tally.js';
import { halvesPossible } from './trueing.js';

const METHOD: Method = { ...USUAL_SCHOOL, letInMm: 0 };
const ready = (project: Project) => {
  const prepared = prepare(project);
  const piece = prepared.ok ? toBuild(prepared.value) : prepared;
  if (!piece.ok || !prepared.ok) throw new Error('not ready');
  return { piece: piece.value, prepared: prepared.value };
};
const only = (some: Partial<Errors>): Errors => ({ ...NO_ERRORS, ...some });
const named = (name: string) => demoProjects().find((project) => project.name.startsWith(name))!;
const BINDWEED = named('Bindweed');

/** The share of a normal distribution's middle value: two of four lie nearer than 0.6745 σ, nine of ten than 1.6449 σ (tables of the normal distribution). */
const HALF = 0.6745;
const NINE = 1.6449;

describe('without errors a build is the piece as drawn', () => {
  // Shells of panels are not rehearsed.
  const ofRings = demoProjects().filter(({ rings }) => rings.every(({ making }) => !isShell(making)));
  test.each(ofRings.map((project) => [project.name, project] as const))('%s', (_, project) => {
    const { piece, prepared } = ready(project);
    const { shows, gapMm, lastMm, build: built, wander } = buildAndLook(piece, NO_ERRORS, METHOD, 5);
    expect(shows).toBeLessThan(1e-9);
    expect(gapMm).toBeLessThan(1e-9);
    expect(lastMm).toBeLessThan(1e-6);
    expect(wander.mm).toBeLessThan(1e-9);
    expect(built.heightErrorMm).toBeCloseTo(0, 9);
    built.rings.forEach((ring, i) => {
      const { made, wall } = piece.rings[i]!;
      expect(ring.outOfRoundMm).toBeCloseTo(0, 7);
      expect(ring.leftOutsideMm).toBeCloseTo(made.gives.outerRadiusMm - wall.outerRadiusMm, 7);
    });
    // Drawn as it was built, every spot of the wall shows what it shows in the plan.
    const shown = asBuilt(prepared, NO_ERRORS, METHOD, 5);
    if (!shown.ok) throw new Error('built');
    let differ = 0;
    for (let i = 0; i < 300; i++) {
      const [turn, z] = [0.0211 + i * 0.7548776, ((i * 0.5698403) % 1) * prepared.vessel.heightMm];
      const [was, is] = [
        placeOnWall(prepared, 'outside', turn, z),
        placeOnWall(shown.value, 'outside', turn, z),
      ];
      if (was?.ring !== is?.ring || was?.place !== is?.place) differ++;
    }
    // A spot that lies on a joint may be either's.
    expect(differ).toBeLessThan(4);
  });
});

describe('single errors against closed forms', () => {
  const cup = named('Fell Race Cup');
  test('thickness: the height is out by σ·√n', () => {
    const { piece } = ready(cup);
    const { heightErrorMm, heightOffMm } = outcomesOf(piece, only({ thicknessMm: 0.2 }), METHOD, 1500);
    const sigma = 0.2 * Math.sqrt(piece.rings.length);
    expect(heightErrorMm.most / (NINE * sigma)).toBeCloseTo(1, 0.8);
    expect(heightErrorMm.least / (-NINE * sigma)).toBeCloseTo(1, 0.8);
    expect(Math.abs(heightErrorMm.middling)).toBeLessThan(0.1 * sigma);
    // Either way half of all builds are out by less than 0.6745 σ: what a middling one is out by is not nothing.
    expect(heightOffMm.middling / (HALF * sigma)).toBeCloseTo(1, 0.8);
  });
  test('a setting of the mitre: every joint of a ring opens by 2·sin ε·joint, half of all builds by less than 0.6745 σ', () => {
    const { piece } = ready(cup);
    const { rings } = outcomesOf(piece, only({ settingDeg: 0.05 }), METHOD, 1500);
    const at = piece.rings.findIndex(({ made }) => made.kinds[0]!.stock.from === 'strip');
    const stock = piece.rings[at]!.made.kinds[0]!.stock;
    if (stock.from !== 'strip') throw new Error('strip');
    const joint = stock.widthMm / Math.cos(stock.cutAngle);
    expect(rings[at]!.gapMm.middling / (2 * HALF * fromDegrees(0.05) * joint)).toBeCloseTo(1, 0.8);
  });
  test('a slip sideways: the wood left outside is less by as much as the ring was moved, never more', () => {
    const { piece } = ready(cup);
    for (let seed = 1; seed < 30; seed++) {
      const { rings } = build(piece, only({ asideMm: 0.5 }), METHOD, seed);
      rings.forEach(({ move, leftOutsideMm, glued }, i) => {
        const { made, wall } = piece.rings[i]!;
        const less = made.gives.outerRadiusMm - wall.outerRadiusMm - leftOutsideMm;
        const aside = Math.hypot(move.x, move.y);
        expect(less).toBeLessThanOrEqual(aside + 1e-9);
        expect(less).toBeGreaterThan(aside * (glued.frame ? Math.cos(Math.PI / 6) : 1) - 1e-9);
      });
    }
  });
  test('a glued ring is set by its outside: the middles of its outer edges lie about the axis', () => {
    const { piece } = ready(cup);
    for (const { glued } of build(piece, { ...USUAL_ERRORS, cutDeg: 0.2 }, METHOD, 3).rings) {
      if (!glued.frame) continue;
      const sum = glued.quads.reduce(
        (all, { outerFrom, outerTo }) => [
          all[0]! + outerFrom.x + outerTo.x,
          all[1]! + outerFrom.y + outerTo.y,
        ],
        [0, 0],
      );
      expect(Math.hypot(...sum)).toBeLessThan(1e-6);
    }
  });
  test('a slip round: turned by the ring below slips add up like a walk, by a mark they do not', () => {
    const { piece } = ready(BINDWEED);
    const errors = only({ roundMm: 0.5 });
    const spread = (aligning: 'below' | 'mark') => {
      const last = Array.from({ length: 400 }, (_, seed) => {
        const { sin, cos } = build(piece, errors, { ...METHOD, aligning }, seed + 1).rings.at(-1)!.move;
        return Math.atan2(sin, cos);
      });
      return Math.sqrt(last.reduce((sum, turn) => sum + turn * turn, 0) / last.length);
    };
    const each = piece.rings.slice(1).map(({ made }) => 0.5 / made.gives.outerRadiusMm);
    expect(spread('below') / Math.hypot(...each)).toBeCloseTo(1, 0.8);
    expect(spread('mark') / each.at(-1)!).toBeCloseTo(1, 0.8);
  });
  test('the lowest ring is what the others are set by: it slips nowhere', () => {
    const { piece } = ready(cup);
    const { rings } = build(piece, only({ asideMm: 1, roundMm: 1 }), METHOD, 4);
    expect([rings[0]!.move.x, rings[0]!.move.y, rings[0]!.move.sin]).toEqual([0, 0, 0]);
    expect(Math.hypot(rings[1]!.move.x, rings[1]!.move.y)).toBeGreaterThan(0);
  });
  test('a ring that came to stand higher is held against the wall there', () => {
    const { piece, prepared } = ready(cup);
    const { rings } = build(piece, only({ thicknessMm: 0.3 }), METHOD, 2);
    rings.forEach(({ bottomMm, leftOutsideMm }, i) => {
      const { made, bottomMm: was, topMm } = piece.rings[i]!;
      const by = bottomMm - was;
      const { heightMm } = prepared.vessel;
      if (topMm + by > heightMm || was + by < 0) return;
      const wall = wallBand(prepared.vessel, { bottomMm: mm(was + by), topMm: mm(topMm + by) });
      expect(Math.abs(leftOutsideMm - (made.gives.outerRadiusMm - wall.outerRadiusMm))).toBeLessThan(0.05);
    });
    expect(
      rings.some(({ leftOutsideMm }, i) => {
        const { made, wall } = piece.rings[i]!;
        return Math.abs(leftOutsideMm - (made.gives.outerRadiusMm - wall.outerRadiusMm)) > 0.2;
      }),
    ).toBe(true);
  });
  test('rings that lean: flatness moves the top of a tower by the sum of slopes times what stands on them', () => {
    const { piece } = ready(cup);
    const { rings } = build(piece, only({ flatMm: 0.3 }), METHOD, 9);
    // Draws of the same seed, counted by hand.
    const slopes = piece.rings.map(({ made }, i) => {
      const own = drawsOf(9 * 100_000 + i);
      if (rings[i]!.glued.frame) {
        for (let n = 0; n < 2 + 3 * rings[i]!.glued.frame!.units.length; n++) own.normal();
      }
      own.normal();
      return (0.3 / (2 * made.gives.outerRadiusMm)) * own.normal();
    });
    const top = piece.rings.length - 1;
    const middle = (piece.rings[top]!.bottomMm + piece.rings[top]!.topMm) / 2;
    const meant = slopes
      .slice(0, top)
      .reduce((sum, slope, i) => sum + slope * (middle - piece.rings[i]!.topMm), 0);
    const turn = piece.rings[top]!.turn;
    const { x, y } = rings[top]!.move;
    expect(x * Math.cos(turn) - y * Math.sin(turn)).toBeCloseTo(meant, 9);
  });
});

describe('many builds', () => {
  test('the same seed draws the same, another one another; slices of one glue-up are cut alike', () => {
    const { piece } = ready(BINDWEED);
    const [a, b, c] = [7, 7, 8].map((seed) => buildAndLook(piece, USUAL_ERRORS, METHOD, seed));
    expect(a).toEqual(b);
    expect(a!.shows).not.toBe(c!.shows);
    const goblet = ready(after(named('Fell Race Cup'), startFrom([7, 8, 9], 'resawn'))).piece;
    const slices = build(goblet, USUAL_ERRORS, METHOD, 3).rings.slice(7, 10);
    expect(slices[1]!.glued).toBe(slices[0]!.glued);
    expect(slices[1]!.move).not.toEqual(slices[0]!.move);
  });
  test('told as it goes on, it comes to the same as all at once', () => {
    const { piece } = ready(BINDWEED);
    const going = buildMany(piece, USUAL_ERRORS, METHOD, { builds: 30, firstSeed: 1, each: 10 });
    const told: number[] = [];
    let step = going.next();
    for (; !step.done; step = going.next()) told.push(step.value.builds);
    expect(told).toEqual([10, 20]);
    expect(step.value).toEqual(outcomesOf(piece, USUAL_ERRORS, METHOD, 30));
  });
  test('what is let in afterwards neither steps nor wanders; pins make steps smaller', () => {
    const { piece } = ready(BINDWEED);
    const as = (method: Partial<Method>) => outcomesOf(piece, USUAL_ERRORS, { ...METHOD, ...method }, 60);
    const widest = Math.max(...piece.lines.map(({ widthMm }) => widthMm));
    expect(as({ letInMm: widest + 1 }).stepMm.most).toBe(0);
    expect(as({ pinned: true }).stepMm.middling).toBeLessThan(0.7 * as({}).stepMm.middling);
    const halves = as({ closing: 'halves' });
    piece.rings.forEach(({ made }, i) => {
      if (halvesPossible(frameOf(made))) expect(halves.rings[i]!.gapMm.most).toBe(0);
    });
    expect(halves.rings.filter(({ gapMm }) => gapMm.most === 0).length).toBeGreaterThan(4);
  });
  test('halved errors: the one that makes all of it helps most, and by half', () => {
    const { piece } = ready(BINDWEED);
    const errors = only({ roundMm: 0.8, thicknessMm: 0.01 });
    const run = halvings(piece, errors, METHOD, 60);
    let step = run.next();
    while (!step.done) step = run.next();
    expect(step.value.map(({ kind }) => kind)).toEqual(['roundMm', 'thicknessMm']);
    const whole = outcomesOf(piece, errors, METHOD, 60).shows.middling;
    expect(step.value[0]!.shows / whole).toBeCloseTo(0.5, 1);
  });
  test('a wall with nothing to spare leaves the wood about half the time', () => {
    const { piece } = ready(BINDWEED);
    const tight = {
      ...piece,
      rings: piece.rings.map((ring, i) =>
        i === 0
          ? ring
          : {
              ...ring,
              wall: { ...ring.wall, outerRadiusMm: i === 3 ? ring.made.gives.outerRadiusMm - 0.4 : 1 },
            },
      ),
    };
    const { misses, rings } = outcomesOf(tight, only({ asideMm: 0.4 }), METHOD, 2000);
    // A ring is moved by more than 1 σ in exp(−1/2) of all builds (Rayleigh's distribution); flats give a little.
    expect(misses).toBeGreaterThan(0.5);
    expect(misses).toBeLessThan(Math.exp(-0.5) + 0.05);
    expect(rings[3]!.misses).toBeCloseTo(misses, 2);
  });
});

test('a tally tells quantiles to half a bin, of either sign, and does not grow', () => {
  const tally = new Tally();
  const draws = drawsOf(4);
  const values = Array.from({ length: 4000 }, () => 3 * draws.normal() + 1);
  for (const value of values) tally.add(value);
  values.sort((a, b) => a - b);
  for (const share of [0.05, 0.3, 0.5, 0.95]) {
    const exact = values[Math.ceil(share * values.length) - 1]!;
    expect(Math.abs(tally.quantile(share) - exact)).toBeLessThan(0.01 * Math.abs(exact) + 1e-3);
  }
  expect(tally.shareOver(1)).toBeCloseTo(values.filter((value) => value > 1).length / 4000, 2);
  const size = JSON.stringify(tally).length;
  for (const value of values) tally.add(value);
  expect(JSON.stringify(tally).length).toBeLessThan(1.1 * size);
});

test('a ring that cannot be made is told, and no build is tried', () => {
  const broken = {
    ...BINDWEED,
    rings: BINDWEED.rings.map((ring, i) =>
      i === 2
        ? {
            ...ring,
            making: {
              way: 'segmented' as const,
              count: 12,
              between: { put: 'spacers' as const, spacers: { at: 'every' as const, thicknessMm: mm(60) } },
            },
          }
        : ring,
    ),
  };
  const prepared = prepare(broken);
  if (!prepared.ok) throw new Error('prepare');
  const piece = toBuild(prepared.value);
  expect(piece.ok ? '' : piece.reasons[0]!.code).toBe('cannot-rehearse');
});
