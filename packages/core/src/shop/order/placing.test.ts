import { expect, test } from 'vitest';
import { demoProjects } from '../../demo/index.js';
import { plain } from '../../measure/said.js';
import { polar } from '../../ring/plane.js';
import { planned } from '../../testing/pieces.js';
import { placingOf, placingSaid } from './placing.js';

test('a ring lies on another by the way from mark to mark, its circles drawn on the one below; against the marks as points', () => {
  for (const piece of demoProjects()) {
    const { rings } = planned(piece);
    rings.slice(1).forEach((upper, i) => {
      const lower = rings[i]!;
      const { turnRad, arcMm, outsideMm, holeMm } = placingOf(upper, lower);
      const [from, to] = [polar(1, lower.turn.angle), polar(1, upper.turn.angle)];
      // Cross and dot product of the two marks: sine and cosine of the way between them.
      expect(Math.sin(turnRad)).toBeCloseTo(from.x * to.y - from.y * to.x, 9);
      expect(Math.cos(turnRad)).toBeCloseTo(from.x * to.x + from.y * to.y, 9);
      expect(Math.abs(turnRad)).toBeLessThanOrEqual(Math.PI + 1e-6);
      const { outerRadiusMm, innerRadiusMm } = upper.gives ?? upper.need;
      expect([outsideMm, holeMm]).toEqual([2 * outerRadiusMm, 2 * innerRadiusMm]);
      expect(arcMm).toBeCloseTo(turnRad * outerRadiusMm, 9);
      const turned = placingSaid(upper, lower)
        .map(plain)
        .find((said) => said.startsWith('Put its mark'))!;
      const way = turnRad > 1e-6 ? 'counter-clockwise' : turnRad < -1e-6 ? ' clockwise' : 'over the mark';
      expect(turned).toContain(way);
    });
  }
});

// By hand: half a pitch of 24 segments is 7.5°; at 80 mm that is 10.472 mm of arc.
test('half a pitch in degrees and in arc', () => {
  const { rings } = planned(demoProjects().find(({ name }) => name.includes('Cup'))!);
  const { turnRad, arcMm, outsideMm } = placingOf(rings[8]!, rings[7]!);
  expect((Math.abs(turnRad) * 180) / Math.PI).toBeCloseTo(7.5, 9);
  expect((Math.abs(arcMm) / outsideMm) * 160).toBeCloseTo(10.472, 3);
});
