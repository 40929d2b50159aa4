import { expect, test } from 'vitest';
import { demoProjects } from '../../demo/index.js';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import * as edit from '../../project/commands/edits.js';
import { workOf } from '../../project/ordered.js';
import type { Project } from '../../project/schema.js';
import { polar } from '../../ring/plane.js';
import { DEFAULT_SHOP } from '../../settings/shop.js';
import { after, planned } from '../../testing/pieces.js';
import { SHIPPED_WOODS } from '../../wood/catalogue.js';
import { pinAt, placingOf, placingSaid } from './placing.js';

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

// By hand: asin(h·tan τ / 2r) for the lower and for the upper ring; turned by their sum, joints that run to the right meet.
test('joints that lean meet when the upper ring is turned by what both have run to there; wedges run nowhere', () => {
  const cup = demoProjects().find(({ name }) => name.includes('Cup'))!;
  const tilted = after(
    cup,
    edit.startFrom([8, 9, 10], 'tilted'),
    edit.setLean([8, 9, 10], { tiltDeg: 8, hand: 'right' }),
  );
  const told = (project: Project, ring: number) => {
    const order = workOf(project, DEFAULT_SHOP, SHIPPED_WOODS);
    if (!order.ok) throw new Error('no order');
    const joint = `ring-${project.rings[ring]!.id}/joint/`;
    return order.value.jobs
      .find(({ id }) => id.startsWith(joint))!
      .says.map(plain)
      .find((said) => said.startsWith('Its joints lean'));
  };
  const [lower, upper] = planned(tilted).rings.slice(8, 10);
  const radius = Math.min(lower!.wall.outerRadiusMm, upper!.wall.outerRadiusMm);
  const runs = [lower!, upper!].reduce(
    (sum, { need }) => sum + Math.asin((need.heightMm * Math.tan((8 * Math.PI) / 180)) / (2 * radius)),
    0,
  );
  const degrees = Number(/turned by ([\d.]+)°/.exec(told(tilted, 9)!)![1]);
  expect(degrees).toBeCloseTo((runs * 180) / Math.PI, 2);
  expect(told(tilted, 9)).toMatch(/counter-clockwise.*a step of [\d.]+ mm is left there/);
  expect(told(after(tilted, edit.runStripe([8, 9, 10], mm(radius))), 9)).toMatch(/, and so they lie\.$/);
  expect(told(tilted, 8)).toBeUndefined();
  expect(told(after(tilted, edit.setLean([8, 9, 10], { cut: 'turned-over' })), 9)).toBeUndefined();
  expect(told(after(tilted, edit.setLean([8, 9, 10], { hand: 'left' })), 9)).toMatch(/° clockwise/);
});

test('a pin goes where most wood is turned away of both rings, and nowhere where there is too little', () => {
  const band = (innerRadiusMm: number, outerRadiusMm: number) => ({ innerRadiusMm, outerRadiusMm }) as never;
  const ring = (wall: never, gives: never) => ({ wall, gives, need: gives });
  const lower = ring(band(80, 97), band(78, 100));
  expect(pinAt(ring(band(82, 96), band(76, 104)), lower)).toEqual({
    side: 'outside',
    radiusMm: 98.5,
    roomMm: 3,
  });
  expect(pinAt(ring(band(90, 98), band(76, 104)), { ...lower, wall: band(84, 97) })).toEqual({
    side: 'inside',
    radiusMm: 81,
    roomMm: 6,
  });
  expect(pinAt(ring(band(79, 98), band(76, 104)), lower)).toBeNull();
});
