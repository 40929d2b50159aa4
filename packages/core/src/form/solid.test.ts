import fc from 'fast-check';
import Module from 'manifold-3d';
import { beforeAll, describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { prepare } from '../project/prepare.js';
import { anyRichForm } from '../testing/random.js';
import { radiusAt } from './curve.js';
import { recessAt } from './recess.js';
import { insideAt, type Vessel, vesselOf } from './vessel.js';
import { hollowVolume, woodVolume } from './volume.js';

// manifold-3d: an independent solid-modelling kernel.
let kernel: Awaited<ReturnType<typeof Module>>;
beforeAll(async () => {
  kernel = await Module();
  kernel.setup();
});

/** Sides of the turned solid. At every height its polygon has the same share of its circle, which is divided out. */
const SIDES = 12;
const ROUND = (SIDES / (2 * Math.PI)) * Math.sin((2 * Math.PI) / SIDES);

type Corner = [number, number];

/** A solid turned from a line of the half-section that begins and ends on the axis. */
function turned(line: readonly Corner[]) {
  const outline = [...line].reverse();
  return kernel.CrossSection.ofPolygons([line as Corner[]]).area() > 0
    ? kernel.CrossSection.ofPolygons([line as Corner[]]).revolve(SIDES)
    : kernel.CrossSection.ofPolygons([outline]).revolve(SIDES);
}

const STEPS = 500;

const fine = (from: number, to: number, radius: (z: number) => number): Corner[] =>
  Array.from({ length: STEPS + 1 }, (_, i) => {
    const z = i === STEPS ? to : from + ((to - from) * i) / STEPS;
    return [radius(z), z];
  });

/** The piece as the kernel turns it: outside, less the hollow, less the recess; all from sections at fine steps. */
function solidOf(vessel: Vessel) {
  const { outside: curve, heightMm, hollowFromMm, hollowToMm } = vessel;
  const outside = fine(0, heightMm, (z) => radiusAt(curve, z));
  const body = turned([[0, 0], ...outside, [0, vessel.heightMm]]);
  const inside = vessel.inside ? fine(hollowFromMm, hollowToMm, (z) => insideAt(vessel, z) ?? 0) : [];
  const hollow = vessel.inside ? turned([[0, hollowFromMm], ...inside, [0, hollowToMm]]) : null;
  const depth = vessel.recess?.depthMm ?? 0;
  const cap = Array.from({ length: 41 }, (_, i): Corner => {
    const z = (depth * i) / 40;
    return [recessAt(vessel.recess, z), z];
  });
  const recess = vessel.recess ? turned([[0, 0], ...cap]) : null;
  return { body, hollow, recess };
}

describe('volumes against solids turned by a modelling kernel', () => {
  test.each(demoProjects())('$name', (project) => {
    const prepared = prepare(project);
    if (!prepared.ok) throw new Error('prepare');
    const { vessel } = prepared.value;
    const { body, hollow } = solidOf(vessel);
    const wood = body.subtract(hollow!);
    expect(wood.volume() / ROUND / woodVolume(vessel, 0, vessel.heightMm)).toBeCloseTo(1, 3);
    expect(hollow!.volume() / ROUND / hollowVolume(vessel, 0, vessel.heightMm)).toBeCloseTo(1, 3);
  });

  test('forms of every kind: changing walls, insides of their own, recesses, lids', () => {
    fc.assert(
      fc.property(anyRichForm, (form) => {
        const made = vesselOf(form);
        if (!made.ok) throw new Error('form');
        const { body, hollow, recess } = solidOf(made.value);
        const parts = [hollow, recess].flatMap((part) => (part ? [part] : []));
        const wood = parts.reduce((rest, part) => rest.subtract(part), body).volume() / ROUND;
        const own = woodVolume(made.value, 0, made.value.heightMm);
        expect(Math.abs(wood - own) / (body.volume() / ROUND)).toBeLessThan(2e-3);
      }),
      { numRuns: 40 },
    );
  });

  test('the hollow lies in the body and the recess under it: the wall is never pierced', () => {
    fc.assert(
      fc.property(anyRichForm, (form) => {
        const made = vesselOf(form);
        if (!made.ok) throw new Error('form');
        const { body, hollow, recess } = solidOf(made.value);
        const tiny = 1e-4 * body.volume();
        if (hollow) expect(hollow.subtract(body).volume()).toBeLessThan(tiny);
        if (hollow && recess) expect(hollow.intersect(recess).volume()).toBeLessThan(tiny);
      }),
      { numRuns: 25 },
    );
  });
});
