import fc from 'fast-check';
import { expect, test } from 'vitest';
import { polar } from '../ring/plane.js';
import { anyProject } from '../testing/random.js';
import { readProject } from './inspect.js';
import { mirrorImage } from './mirror.js';
import { prepare } from './prepare.js';

test('the mirror image is a sound piece, shows each wood where the mirror does, and is its own way back', () => {
  fc.assert(
    fc.property(anyProject, fc.integer({ min: 0, max: 628 }), (project, step) => {
      // Off every joint that falls on a whole share of the circle.
      const angle = step / 100 + 0.00137;
      const image = mirrorImage(project, 'Image');
      expect(readProject(JSON.parse(JSON.stringify(image))).ok).toBe(true);
      const [here, there] = [prepare(project), prepare(image)];
      if (!here.ok || !there.ok) throw new Error('prepare');
      here.value.rings.forEach((ring, i) => {
        const other = there.value.rings[i]!;
        expect(other.made.ok).toBe(ring.made.ok);
        if (!ring.made.ok || !other.made.ok) return;
        const { outerRadiusMm, innerRadiusMm } = ring.made.value.gives;
        const at = (made: typeof ring.made.value, turn: number, direction: number) => {
          const { x, y } = polar((outerRadiusMm + innerRadiusMm) / 2, direction - turn);
          return made.placeAt(x, y, made.heightMm / 3);
        };
        const [a, b] = [at(ring.made.value, ring.turn, angle), at(other.made.value, other.turn, -angle)];
        if (a !== null && b !== null) expect(image.rings[i]!.woods[b]).toBe(project.rings[i]!.woods[a]);
        else expect(a).toBe(b);
      });
      const back = mirrorImage(image, project.name);
      expect(back.rings.map(({ woods }) => woods)).toEqual(project.rings.map(({ woods }) => woods));
    }),
    { numRuns: 60, endOnFailure: true },
  );
});
