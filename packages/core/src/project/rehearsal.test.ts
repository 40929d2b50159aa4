import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { mm } from '../measure/quantity.js';
import { NO_ERRORS, USUAL_ERRORS, USUAL_SCHOOL } from '../settings/errors.js';
import { buildAndLook, outcomesOf } from '../simulate/many.js';
import { seenFrom } from '../simulate/seen.js';
import { after } from '../testing/pieces.js';
import { setBond, setMeasured, setTurn, setWood } from './commands/ringCommands.js';
import { setMaking } from './commands/wayCommands.js';
import { learntFrom } from './learnt.js';
import { prepare } from './prepare.js';
import { asBuilt, toBuild } from './rehearsal.js';
import type { Project } from './schema.js';
import { type Trial, trialsFor } from './trials.js';

const METHOD = { ...USUAL_SCHOOL, letInMm: 0 };
const named = (name: string) => demoProjects().find((project) => project.name.startsWith(name))!;
const pieceOf = (project: Project) => {
  const prepared = prepare(project);
  const piece = prepared.ok ? toBuild(prepared.value) : prepared;
  if (!piece.ok) throw new Error('piece');
  return piece.value;
};
/** A cup of plain rings with one dark segment in each of three rings, one above the other. */
const striped = (() => {
  const plain = { ...named('Dewpond'), motifs: [] };
  const rings = plain.rings.map((ring) => {
    const { motif: _, ...own } = ring;
    return {
      ...own,
      making: { way: 'segmented' as const, count: 12 },
      turn: 0,
      woods: Array.from({ length: 12 }, () => plain.palette[0]!.key),
    };
  });
  const [dark] = [plain.palette[1]!.key];
  return after(
    { ...plain, rings },
    setWood([3], dark, [2]),
    setWood([4], dark, [2]),
    setWood([5], dark, [2]),
  );
})();

describe('lines that run on over rings', () => {
  test('a stripe has two borders at every joint between its rings, as wide as its segments', () => {
    const { lines } = pieceOf(striped);
    expect(lines.map(({ ring }) => ring)).toEqual([3, 3, 4, 4]);
    expect(new Set(lines.map(({ line }) => line)).size).toBe(2);
    const prepared = prepare(striped);
    if (!prepared.ok) throw new Error('prepare');
    for (const { widthMm, upper, lower } of lines) {
      const radius = Math.hypot(lower.at.x, lower.at.y);
      expect(widthMm).toBeCloseTo((2 * Math.PI * radius) / 12, 6);
      expect(Math.hypot(upper.at.x - lower.at.x, upper.at.y - lower.at.y)).toBeLessThan(1e-9);
    }
  });
  test('half a segment aside there is none; a twentieth is a line that goes aside', () => {
    expect(pieceOf(after(striped, setTurn([4], 0.5))).lines).toEqual([]);
    expect(pieceOf(after(striped, setTurn([4], 0.05))).lines.length).toBe(4);
  });
  test('a step is how far a border goes round beyond the one below it', () => {
    const piece = pieceOf(striped);
    const { build: built, steps, wander } = buildAndLook(piece, { ...NO_ERRORS, roundMm: 2 }, METHOD, 6);
    const turn = (ring: number) => Math.atan2(built.rings[ring]!.move.sin, built.rings[ring]!.move.cos);
    steps.forEach(({ ring, stepMm }, i) => {
      const { x, y } = piece.lines[i]!.lower.at;
      expect(stepMm).toBeCloseTo(Math.hypot(x, y) * (turn(ring + 1) - turn(ring)), 6);
    });
    expect(Math.abs(steps[0]!.stepMm)).toBeGreaterThan(0.01);
    // Both borders of the stripe go aside alike, over three rings.
    const turns = [3, 4, 5].map(turn);
    const about = (Math.max(...turns) - Math.min(...turns)) / ((2 * Math.PI) / 12);
    expect(Math.abs(wander.share / about - 1)).toBeLessThan(0.2);
  });
  test('a step is seen over a tenth of its stripe, and over 0.3 mm where that is more', () => {
    expect(seenFrom(10)).toBe(1);
    expect(seenFrom(1)).toBe(0.3);
  });
});

describe('what can be tried', () => {
  const trial = (project: Project, id: Trial['id'], method = METHOD) =>
    trialsFor(project, pieceOf(project), method).find((each) => each.id === id);
  test('brick bond and turns by lot leave no line; what is not there is not offered', () => {
    for (const id of ['brick', 'lots'] as const) {
      const tried = after(striped, trial(striped, id)!.command!);
      expect(pieceOf(tried).lines.length, id).toBeLessThan(pieceOf(striped).lines.length);
    }
    const bricked = after(striped, setBond([3, 4, 5], { kind: 'brick' }));
    expect(trialsFor(bricked, pieceOf(bricked), METHOD).map(({ id }) => id)).toEqual(['halves']);
    expect(trial(striped, 'halves', { ...METHOD, closing: 'halves' })).toBeUndefined();
    expect(trial(striped, 'let-in')).toBeUndefined();
  });
  test('wider stripes: spacers half as thick again, and the same slip shows less', () => {
    const bindweed = named('Bindweed');
    const wider = after(bindweed, trial(bindweed, 'wider')!.command!);
    const [was, is] = [bindweed, wider].map((project) => {
      const piece = pieceOf(project);
      return {
        width: Math.min(...piece.lines.map(({ widthMm }) => widthMm)),
        shows: outcomesOf(piece, { ...USUAL_ERRORS, roundMm: 2 }, METHOD, 60).shows.middling,
      };
    });
    expect(is!.width / was!.width).toBeGreaterThan(1.4);
    expect(is!.shows).toBeLessThanOrEqual(was!.shows);
    const letIn = trial(bindweed, 'let-in')!.method!.letInMm!;
    expect(letIn).toBeGreaterThan(was!.width);
    expect(letIn).toBeLessThan(was!.width + 0.1);
  });
});

test('as built, rings stand on each other, each as thick as it came out', () => {
  const prepared = prepare(striped);
  const shown = prepared.ok ? asBuilt(prepared.value, USUAL_ERRORS, METHOD, 11) : prepared;
  if (!shown.ok || !prepared.ok) throw new Error('built');
  shown.value.rings.forEach(({ made, stands }, i) => {
    const was = prepared.value.rings[i]!;
    if (!made.ok || !was.made.ok) throw new Error('made');
    expect(made.value.heightMm).toBeCloseTo(stands.topMm - stands.bottomMm, 9);
    expect(made.value.heightMm).not.toBe(was.made.value.heightMm);
    expect(shown.value.rings[i]!.course).toEqual(stands);
    if (i > 0) expect(stands.bottomMm).toBeCloseTo(shown.value.rings[i - 1]!.stands.topMm, 9);
    const reach = (of: typeof made.value) =>
      Math.max(...of.lay(0).flatMap(({ bottom }) => bottom.map(({ x, y }) => Math.hypot(x, y))));
    expect(
      Math.abs(reach(made.value) - reach(was.made.value)),
      JSON.stringify([i, made.value.lay(0), was.made.value.lay(0)]),
    ).toBeLessThan(3);
  });
});

test('as built, layers of a ring still lie on each other', () => {
  const layered = after(
    striped,
    setMaking([4], {
      way: 'segmented',
      count: 12,
      sawnFrom: { is: 'layers', laid: 'bottom-up', layersMm: [mm(5)], turned: 'none' },
    }),
  );
  const prepared = prepare(layered);
  const shown = prepared.ok ? asBuilt(prepared.value, USUAL_ERRORS, METHOD, 3) : prepared;
  const made = shown.ok ? shown.value.rings[4]!.made : null;
  if (!made?.ok) throw new Error('built');
  const [low, high] = [made.value.lay(0)[0]!, made.value.lay(12)[0]!];
  expect(low.fromMm).toBe(0);
  expect(high.fromMm).toBeCloseTo(low.toMm, 12);
  expect(high.toMm).toBeCloseTo(made.value.heightMm, 9);
  expect(low.toMm).not.toBe(5);
});

test('a piece with slanted bands is drawn with its rings as high as planned, moved as built', () => {
  const becks = named('Three Becks');
  const prepared = prepare(becks);
  const shown = prepared.ok ? asBuilt(prepared.value, USUAL_ERRORS, METHOD, 3) : prepared;
  if (!shown.ok || !prepared.ok) throw new Error('built');
  shown.value.rings.forEach(({ made, course }, i) => {
    expect(course).toEqual(prepared.value.rings[i]!.course);
    if (made.ok) expect(made.value.heightMm).toBeCloseTo(course.topMm - course.bottomMm, 9);
  });
});

describe('what a shop’s own measurements say', () => {
  test('thicknesses against what was planned; diameters as what the stop was out by', () => {
    const prepared = prepare(striped);
    if (!prepared.ok) throw new Error('prepare');
    const off = [0.1, -0.2, 0.2, -0.1, 0.1];
    let project = striped;
    off.forEach((by, i) => {
      project = after(project, setMeasured([i + 2], { heightMm: mm(striped.rings[i + 2]!.heightMm + by) }));
    });
    const made = prepared.value.rings[7]!.made;
    if (!made.ok) throw new Error('made');
    project = after(project, setMeasured([7], { diameterMm: mm(2 * made.value.gives.outerRadiusMm + 1) }));
    const learnt = learntFrom([project, striped]);
    const thickness = learnt.find(({ kind }) => kind === 'thicknessMm')!;
    expect(thickness.count).toBe(5);
    expect(thickness.spread).toBeCloseTo(Math.sqrt((0.01 + 0.04 + 0.04 + 0.01 + 0.01) / 5), 9);
    // A ring whose segments are each 0.27 mm too long is 1 mm larger: δ = ΔD·tan(π/12).
    const stop = learnt.find(({ kind }) => kind === 'stopMm')!;
    expect(stop.count).toBe(1);
    expect(stop.spread).toBeCloseTo(Math.tan(Math.PI / 12), 1);
    expect(learntFrom([striped])).toEqual([]);
    const setup = { id: 'a', angleDeg: 15, tiltDeg: 0, read: '', sled: '', blade: '', on: '' };
    const set = learntFrom(
      [],
      [
        { ...setup, outByDeg: 0.03 },
        { ...setup, outByDeg: -0.03 },
      ],
    );
    expect(set).toEqual([{ kind: 'settingDeg', spread: expect.closeTo(0.03, 12), count: 2 }]);
  });
});
