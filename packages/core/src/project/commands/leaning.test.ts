import { describe, expect, test } from 'vitest';
import { demoProjects } from '../../demo/index.js';
import type { Made } from '../../making/contract.js';
import { fromDegrees, mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { stepAtJoint } from '../../surface/steps.js';
import { accounted, after, change, planned, refusal, rings } from '../../testing/pieces.js';
import type { Project } from '../schema.js';
import * as edit from './edits.js';

const [cup, , , _lantern] = demoProjects() as [Project, Project, Project, Project];
describe('leaning joints', () => {
  const tilted = after(
    cup,
    edit.startFrom([8, 9, 10, 11], 'tilted'),
    edit.setLean([8, 9, 10, 11], { tiltDeg: 8 }),
  );

  test('a stripe runs on at the radius that is asked for, and the step left over elsewhere is told', () => {
    const { project, note } = change(tilted, edit.runStripe([8, 9, 10, 11], mm(70)));
    const prepared = rings(project);
    for (const i of [9, 10, 11]) {
      const [lower, upper] = [prepared[i - 1]!, prepared[i]!];
      if (!lower.made.ok || !upper.made.ok) throw new Error('ring');
      const at = (radius: number) =>
        stepAtJoint(
          { made: lower.made.ok ? lower.made.value : null!, turn: lower.turn },
          { made: upper.made.ok ? upper.made.value : null!, turn: upper.turn },
          radius,
        );
      expect(at(70)).toBeCloseTo(0, 6);
      // asin(h·tan τ / 2r) both sides, less what was turned for 70 mm.
      const half = (radius: number) => Math.asin((17.4625 * Math.tan(fromDegrees(8))) / (2 * radius));
      expect(at(76)).toBeCloseTo(76 * 2 * (half(70) - half(76)), 6);
    }
    expect(plain(note ?? '')).toMatch(
      /Joints meet at a radius of 70 mm; the step left over at the outside is .* mm at ring 10, .* at ring 12/,
    );
    expect(refusal(tilted, edit.runStripe([8, 9], mm(1)))).toMatch(/give a larger one/);
  });

  test('a stripe runs on through slices of one leaning ring, by what the kerf took of its joints, and into the ring above', () => {
    const kerfMm = mm(2);
    const sliced = after(
      tilted,
      edit.setParams([8, 9, 10], 'segmented', {
        after: { done: 'sliced', from: 'a', kerfMm, cleanUpMm: mm(1) },
      }),
    );
    const prepared = rings(after(sliced, edit.runStripe([8, 9, 10, 11], mm(70))));
    const step = (i: number, radius: number) => {
      const [lower, upper] = [prepared[i - 1]!, prepared[i]!];
      if (!lower.made.ok || !upper.made.ok) throw new Error('ring');
      return stepAtJoint(
        { made: lower.made.value, turn: lower.turn },
        { made: upper.made.value, turn: upper.turn },
        radius,
      );
    };
    for (const i of [9, 10, 11]) expect(step(i, 70)).toBeCloseTo(0, 6);
    // Left at one turn, a slice lies beside the next by what the joint moves over the kerf: about k·tan τ along the wall.
    const still = rings(sliced);
    const beside = stepAtJoint(
      { made: (still[8]!.made as { value: Made }).value, turn: 0 },
      { made: (still[9]!.made as { value: Made }).value, turn: 0 },
      70,
    );
    expect(beside).toBeCloseTo(2 * Math.tan(fromDegrees(8)), 2);
    const turned = prepared[9]!.turn - prepared[8]!.turn;
    expect(Math.abs(turned) * 70).toBeCloseTo(2 * Math.tan(fromDegrees(8)), 2);
  });

  test('between two fences the other hand comes out too; a wave uses it, one hand only wastes wedges instead', () => {
    const others = (project: Project) => accounted(project, 'otherHand');
    const wedges = (project: Project) => accounted(project, 'wedges');
    expect(others(tilted)).toBeGreaterThan(0);
    const check = planned(tilted).checks.find(({ code }) => code === 'other-hand')!;
    expect(plain(check.message)).toMatch(/^96 leaning pieces/);
    const [wave, single] = check.remedies.map((remedy) => after(tilted, edit.remedyOf(remedy))) as [
      Project,
      Project,
    ];
    expect(others(wave)).toBe(0);
    expect(
      wave.rings.slice(8, 12).map(({ making }) => making.way === 'segmented' && making.lean?.hand),
    ).toEqual(['right', 'left', 'right', 'left']);
    expect(others(single)).toBe(0);
    expect(wedges(single)).toBeGreaterThan(wedges(tilted));
  });
});
