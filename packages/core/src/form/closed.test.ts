import { describe, expect, test } from 'vitest';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import * as edit from '../project/commands/edits.js';
import { readProject } from '../project/inspect.js';
import { workOf } from '../project/ordered.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { after, planned, refusal, started } from '../testing/pieces.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import { STARTING_SHAPES, startingForm } from './starting.js';
import { insideAt, vesselOf } from './vessel.js';
import { hollowVolume, woodVolume } from './volume.js';

const shape = (id: string) => STARTING_SHAPES.find((each) => each.id === id)!;
const vessel = (id: string, high: number, wide: number, wall: number) => {
  const made = vesselOf(startingForm(shape(id), high, wide, wall));
  if (!made.ok) throw new Error(plain(made.reasons[0]!.message));
  return made.value;
};

describe('a hollow that is closed at both ends', () => {
  test('a ball is a shell between two spheres but for its flats: 4/3·π·(R³ − (R − w)³), caps π·h²·(3R − h)/3 (textbook)', () => {
    const [radius, wall] = [100, 10];
    const high = 2 * radius * Math.cos(0.2);
    const ball = vessel('ball', high, 2 * radius, wall);
    const cap = radius - radius * Math.cos(0.2);
    const whole = (4 / 3) * Math.PI * radius ** 3;
    const outer = whole - (2 * Math.PI * cap * cap * (3 * radius - cap)) / 3;
    const hollow = hollowVolume(ball, 0, ball.heightMm);
    expect((woodVolume(ball, 0, ball.heightMm) + hollow) / outer).toBeCloseTo(1, 2);
    // The floor is a quarter thicker than the wall, above and below.
    const inner = radius - wall;
    const flat = inner - (high / 2 - 1.25 * wall);
    const hole = (4 / 3) * Math.PI * inner ** 3 - (2 * Math.PI * flat * flat * (3 * inner - flat)) / 3;
    expect(hollow / hole).toBeCloseTo(1, 2);
    expect(ball.joined).toBe(true);
    for (const z of [0.3, 0.5, 0.7].map((share) => share * high))
      expect(insideAt(ball, z)!).toBeCloseTo(Math.sqrt(inner * inner - (z - high / 2) ** 2), 0);
  });
  test('a spindle runs out into points; a point elsewhere, or one that is nearly one, is refused with the limit', () => {
    const form = startingForm(shape('spindle'), 200, 90, 7);
    expect(form.points.map(({ radiusMm }) => radiusMm)).toContain(0);
    expect(vesselOf(form).ok).toBe(true);
    const thin = (index: number, radiusMm: number) =>
      vesselOf({
        ...form,
        points: form.points.map((point, i) => (i === index ? { ...point, radiusMm: mm(radiusMm) } : point)),
      });
    expect(thin(2, 0)).toMatchObject({ ok: false, reasons: [{ code: 'point-thin', limits: { least: 1 } }] });
    expect(thin(0, 0.4)).toMatchObject({ ok: false, reasons: [{ code: 'point-thin' }] });
  });
  test('the joint of the halves lies in the hollow', () => {
    const form = startingForm(shape('egg'), 120, 90, 6);
    const low = vesselOf({ ...form, lid: { ...form.lid!, heightMm: mm(3) } });
    expect(!low.ok && plain(low.reasons[0]!.message)).toMatch(
      /^The joint of the halves is at height 3 mm; it has to lie in the hollow/,
    );
  });
});

describe.each(['ball', 'egg', 'spindle'])('the plan of a %s', (id) => {
  const piece = started(id, { diameterMm: mm(110), ringHeightMm: mm(12) });
  const plan = planned(piece);
  test('says where it is joined and what closes it; it holds nothing, and no ring is in the way', () => {
    const note = plan.checks.find(({ code }) => code === 'closed-hollow')!;
    expect(note.note).toBe(true);
    expect(plain(note.message)).toMatch(
      /no mouth: it is turned in two halves that are joined at .* (Ring 1|Rings 1 .*) closes? it below\. Rings? .* closes? it above/,
    );
    expect(plan.capacityMm3).toBe(0);
    expect(plan.rings.every(({ reasons }) => reasons.length === 0)).toBe(true);
    expect(readProject(JSON.parse(JSON.stringify(piece))).ok).toBe(true);
  });
  test('is made of two halves, each hollowed through its open side', () => {
    const work = workOf(piece, DEFAULT_SHOP, SHIPPED_WOODS);
    if (!work.ok) throw new Error('work');
    const { assembly, holds } = work.value;
    expect(assembly.stacking).toBe('halves');
    expect(assembly.sections.map(({ rings }) => rings.length).every((rings) => rings > 0)).toBe(true);
    const [lower] = assembly.sections;
    const joint = plan.rings[lower!.rings.at(-1)!]!;
    expect(Math.abs(joint.topMm - piece.form.lid!.heightMm)).toBeLessThan(plan.rings[1]!.topMm);
    expect(holds.get('foot')!.by).toBe('between');
    expect(plain(holds.get('outside')!.tailstock.because)).toMatch(/against the upper end/);
    expect(plain(assembly.because[0]!)).toMatch(/no mouth/);
  });
});

test('body and lid, and a hollow without a mouth, are one choice; a closed piece is no lid', () => {
  const piece = started('jar', { diameterMm: mm(120), ringHeightMm: mm(12) });
  const closed = after(piece, edit.setLid({ ...piece.form.lid!, joined: true }));
  expect(planned(closed).capacityMm3).toBe(0);
  expect(planned(piece).capacityMm3).toBeGreaterThan(0);
  expect(refusal(piece, edit.setLid({ heightMm: mm(1), roofMm: mm(5), joined: true }))).toMatch(
    /joint of the halves/,
  );
});
