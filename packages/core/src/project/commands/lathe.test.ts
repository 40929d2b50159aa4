import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoProjects } from '../../demo/index.js';
import { radiusAt } from '../../form/curve.js';
import { insideAt } from '../../form/vessel.js';
import { mm } from '../../measure/quantity.js';
import { regionAt } from '../../ring/slant.js';
import type { Point3 } from '../../ring/space.js';
import { between } from '../../testing/numbers.js';
import { after, change, planned, refusal, rings } from '../../testing/pieces.js';
import { prepare } from '../prepare.js';
import type { Project } from '../schema.js';
import * as edit from './edits.js';

const becks = demoProjects().find(({ slants = [] }) => slants.length > 0)!;
const shown = demoProjects().filter(({ slants = [] }) => slants.length === 0);
const cup = shown.find(({ name }) => name.includes('Cup'))!;
const vesselOf = (project: Project) => {
  const prepared = prepare(project);
  if (!prepared.ok) throw new Error('no form');
  return prepared.value.vessel;
};

/** How far a form is from another that is higher up, outside and inside (mm), looked at every 200th of its height. */
function farthest(is: Project, was: Project, upMm: number): number {
  const [now, before] = [vesselOf(is), vesselOf(was)];
  const inside = (vessel: typeof now, z: number) => insideAt(vessel, z) ?? 0;
  return Math.max(
    ...Array.from({ length: 201 }, (_, i) => {
      const z = (i / 200) * now.heightMm;
      const there = Math.min(before.heightMm, z + upMm);
      const hollow = z > now.hollowFromMm + 0.01 && z < now.hollowToMm - 0.01;
      return Math.max(
        Math.abs(radiusAt(now.outside, z) - radiusAt(before.outside, there)),
        hollow ? Math.abs(inside(now, z) - inside(before, there)) : 0,
      );
    }),
  );
}

describe('sawing off', () => {
  test('what stands keeps every radius within a thousandth, below and above, on every piece of the show', () => {
    for (const piece of shown) {
      const { heightMm } = vesselOf(piece);
      for (const share of [0.13, 0.37, 0.61, 0.84])
        for (const gone of ['below', 'above'] as const) {
          const why = refusal(piece, edit.sawOff(share * heightMm, gone));
          if (why) {
            expect(why).toMatch(/Saw at the joint/);
            continue;
          }
          const stands = after(piece, edit.sawOff(share * heightMm, gone));
          const taken = heightMm - vesselOf(stands).heightMm;
          // A cut that nearly meets a joint is at the joint.
          expect(Math.abs(taken - (gone === 'below' ? share : 1 - share) * heightMm)).toBeLessThan(0.5);
          expect(
            farthest(stands, piece, gone === 'below' ? taken : 0),
            `${piece.name} ${share} ${gone}`,
          ).toBeLessThan(1e-3);
        }
    }
  });

  test('sawn twice at random heights it is as if sawn once, and rings keep radii, woods and turns', () => {
    fc.assert(
      fc.property(fc.constantFrom(...shown), between(0.1, 0.4), between(0.1, 0.4), (piece, a, b) => {
        const { heightMm } = vesselOf(piece);
        if (refusal(piece, edit.sawOff(a * heightMm, 'below'))) return;
        const once = after(piece, edit.sawOff(a * heightMm, 'below'));
        const second = b * vesselOf(once).heightMm;
        if (refusal(once, edit.sawOff(second, 'below'))) return;
        const twice = after(once, edit.sawOff(second, 'below'));
        expect(farthest(twice, piece, heightMm - vesselOf(twice).heightMm)).toBeLessThan(1e-3);
        const before = new Map(rings(piece).map((each) => [each.ring.id, each]));
        for (const { ring, made, turn } of rings(twice)) {
          const was = before.get(ring.id)!;
          expect(ring.woods).toEqual(was.ring.woods);
          expect(turn).toBe(was.turn);
          if (!made.ok || !was.made.ok) continue;
          expect(made.value.gives.outerRadiusMm).toBeCloseTo(was.made.value.gives.outerRadiusMm, 1);
        }
        const kept = twice.sawnOff!.flatMap(({ rings }) => rings.map(({ id }) => id));
        expect([...kept, ...twice.rings.map(({ id }) => id)]).toEqual(piece.rings.map(({ id }) => id));
      }),
      { numRuns: 25 },
    );
  });

  test('nothing leaves the counts: what is gone is told, and volumes add up; undo brings it back', () => {
    // The joint between rings 6 and 7: 5 discs of 3/4 in and one ring of 11/16 in lie below it.
    const joint = rings(cup)[5]!.course.topMm;
    const cut = change(cup, edit.sawOff(joint, 'below'));
    const [whole, stands] = [planned(cup), planned(cut.project)];
    expect(stands.sawnOff).toEqual({ rings: 6, pieces: 5 + 24 });
    expect(stands.pieces + stands.sawnOff.pieces).toBe(whole.pieces);
    const foot = planned(after(cup, edit.sawOff(joint, 'above')));
    expect(stands.woodMm3 + foot.woodMm3).toBeCloseTo(whole.woodMm3, -2);
    expect(foot.sawnOff.rings).toBe(9);
  });

  // What wood lies at a point, taken back through the cuts to where its ring was glued: independent of walls and radii.
  test('a piece with slanted bands keeps them, its rings and their place at every point that stands', () => {
    const woodAt = (project: Project, p: Point3, upMm: number): string => {
      const prepared = prepare(project);
      if (!prepared.ok) throw new Error('no form');
      const { cuts, rings, bands } = prepared.value;
      const { band, shift } = regionAt(cuts, p);
      if (band !== null) return `band ${bands[band]!.slant.id}`;
      const z = p.z - shift.z;
      const { ring } = rings.find(({ course: { topMm } }) => z < topMm)!;
      return `${ring.id} ${(p.x - shift.x).toFixed(6)} ${(p.y - shift.y).toFixed(6)} ${(z + upMm).toFixed(6)}`;
    };
    const same = (stands: Project, upMm: number) => {
      const { heightMm } = vesselOf(stands);
      for (let i = 1; i < 60; i++)
        for (const [x, y] of [
          [30, 0],
          [-20, 25],
          [4, -33],
        ] as const) {
          const z = (i / 60) * (heightMm - 1);
          expect(woodAt(stands, { x, y, z }, upMm)).toBe(woodAt(becks, { x, y, z: z + upMm }, 0));
        }
    };
    const { heightMm } = vesselOf(becks);
    const below = after(becks, edit.sawOff(becks.rings[0]!.heightMm, 'below'));
    expect(below.slants).toHaveLength(becks.slants!.length);
    same(below, heightMm - vesselOf(below).heightMm);
    const above = after(becks, edit.sawOff(heightMm - 20, 'above'));
    expect(above.slants).toEqual(becks.slants);
    same(above, 0);
    const low = after(becks, edit.sawOff(becks.rings[0]!.heightMm, 'above'));
    expect(low.slants).toBeUndefined();
    expect(low.sawnOff![0]!.slants).toEqual(becks.slants);
    expect(planned(low).sawnOff.pieces + planned(low).pieces).toBe(planned(becks).pieces);
  });

  test('beside the work, through slanted bands, or through all of it: a sentence, nothing changed', () => {
    const { heightMm } = vesselOf(cup);
    expect(refusal(cup, edit.sawOff(heightMm + 1, 'below'))).toMatch(/does not go through the work/);
    expect(refusal(cup, edit.sawOff(0, 'below'))).toMatch(/does not go through the work/);
    expect(refusal(becks, edit.sawOff(100, 'above'))).toMatch(
      /goes through slanted band \d, which lies between/,
    );
    expect(refusal(becks, edit.sawOff(180, 'below'))).toMatch(/moved sideways by it/);
  });
});

test('a new foot brings all above it up; a rim goes on top', () => {
  const wood = cup.palette[0]!.key;
  const footed = after(cup, edit.newFoot(mm(20), mm(40), wood));
  expect(vesselOf(footed).heightMm).toBeCloseTo(vesselOf(cup).heightMm + 20, 9);
  const [before, now] = [vesselOf(cup), vesselOf(footed)];
  for (let z = 0; z <= before.heightMm; z += 5)
    expect(radiusAt(now.outside, z + 20)).toBeCloseTo(radiusAt(before.outside, z), 1);
  expect(radiusAt(now.outside, 0)).toBe(40);
  expect(rings(footed)[0]!.ring).toMatchObject({ heightMm: 20, woods: [wood], making: { way: 'disc' } });
  const ringed = after(cup, edit.newFoot(mm(20), mm(40), wood, 12));
  expect(rings(ringed)[0]!.ring).toMatchObject({ making: { way: 'segmented', count: 12 } });
  expect(refusal(cup, edit.newFoot(mm(20), mm(40), wood, 2.5))).toMatch(/[Ss]egment/);
  const [solid, glued] = [planned(footed), planned(ringed)];
  expect(glued.rings[0]!.pieces.reduce((sum, { count }) => sum + count, 0)).toBe(12);
  expect(glued.rings[0]!.reasons).toEqual([]);
  expect(glued.pieces).toBe(solid.pieces + 11);
  const top = after(cup, edit.newRim(mm(12), mm(80), wood));
  expect(vesselOf(top).heightMm).toBeCloseTo(before.heightMm + 12, 9);
  expect(top.rings).toHaveLength(cup.rings.length + 1);
  expect(new Set(top.rings.at(-1)!.woods)).toEqual(new Set([wood]));
});

test('the curve as it came out goes through what was measured; above the lip nothing is', () => {
  const turned = after(
    cup,
    edit.curveAsTurned([
      { heightMm: mm(150), radiusMm: mm(71) },
      { heightMm: mm(60), radiusMm: mm(38) },
    ]),
  );
  const { outside } = vesselOf(turned);
  expect(radiusAt(outside, 60)).toBeCloseTo(38, 9);
  expect(radiusAt(outside, 150)).toBeCloseTo(71, 9);
  expect(radiusAt(outside, 0)).toBeCloseTo(cup.form.points[0]!.radiusMm, 9);
  expect(refusal(cup, edit.curveAsTurned([{ heightMm: mm(900), radiusMm: mm(50) }]))).toMatch(
    /the lip is at/,
  );
});

test('a disc let into the bottom is a piece of its wood, and of the floor so much less is left; too deep or too wide it is refused', () => {
  const wood = cup.palette.find(({ key }) => key !== cup.rings[0]!.woods[0])!.key;
  const disc = { radiusMm: mm(30), depthMm: mm(4), wood, says: 'Hollin Tarn' };
  const [before, now] = [planned(cup), planned(after(cup, edit.setLetIn(disc)))];
  const volume = Math.PI * 30 ** 2 * 4;
  const left = (plan: typeof now, of: string) =>
    plan.lumber.woods.find((need) => need.wood === of)!.finishedMm3;
  const species = (key: string) => cup.palette.find((entry) => entry.key === key)!.wood;
  expect(now.pieces).toBe(before.pieces + 1);
  expect(now.woodMm3).toBeCloseTo(before.woodMm3, 3);
  expect(left(now, species(wood)) - left(before, species(wood))).toBeCloseTo(volume, 3);
  const floor = species(cup.rings[0]!.woods[0]!);
  expect(left(before, floor) - left(now, floor)).toBeCloseTo(volume, 3);
  expect(now.rings[0]!.pieces.at(-1)).toMatchObject({
    count: 1,
    wood: species(wood),
    kind: { stock: { shape: 'disc', widthMm: 60 } },
  });
  const bowl = shown.find(({ name }) => name.includes('Fleece'))!;
  const inBowl = { ...disc, wood: bowl.palette[0]!.key, depthMm: mm(40) };
  expect(refusal(bowl, edit.setLetIn(inBowl))).toMatch(/let in 40 mm deep; the floor leaves/);
  expect(refusal(cup, edit.setLetIn({ ...disc, radiusMm: mm(120) }))).toMatch(/with a rim round it/);
  expect(after(cup, edit.setLetIn(disc), edit.setLetIn(null))).toEqual(cup);
});

describe('rings as they are made', () => {
  test('what is cut keeps its sizes and woods whatever form and motif do; what is stacked keeps its height', () => {
    const kept = after(cup, edit.keepAsMade({ cut: [8], stacked: [0] }));
    const was = rings(kept)[8]!;
    const wider = after(kept, edit.setDiameter(mm(200)));
    const now = rings(wider)[8]!;
    expect(now.made.ok && now.made.value.gives).toEqual(was.made.ok && was.made.value.gives);
    expect(rings(wider)[9]!.need.outerRadiusMm).not.toBe(rings(kept)[9]!.need.outerRadiusMm);
    expect(refusal(kept, edit.setRingHeight([0], mm(10)))).toMatch(/locked/);
    const use = { kind: 'chequer', tones: ['light', 'dark'], values: { repeats: 12, high: 1 } } as never;
    const patterned = after(cup, edit.layMotif([8, 9, 10], use));
    const row = 8;
    const cutRow = after(patterned, edit.keepAsMade({ cut: [row], stacked: [] }));
    expect(rings(cutRow).map(({ ring }) => ring.woods)).toEqual(
      rings(patterned).map(({ ring }) => ring.woods),
    );
    const retoned = {
      ...cutRow,
      motifs: cutRow.motifs.map((laid) => ({
        ...laid,
        use: { ...laid.use, tones: [...laid.use.tones].reverse() },
      })),
    };
    expect(rings(retoned)[row]!.ring.woods).toEqual(rings(cutRow)[row]!.ring.woods);
  });
  test('the board of a slanted band that was cut stays as large, and is told when the form outgrows it', () => {
    const kept = after(becks, edit.keepAsMade({ cut: [], stacked: [], bands: [0] }));
    const boardOf = (project: Project) => {
      const { lengthMm, widthMm } = planned(project).slants[0]!.pieces[0]!.kind.stock as never as Record<
        string,
        number
      >;
      return [lengthMm, widthMm];
    };
    expect(boardOf(kept)).toEqual(boardOf(becks));
    expect(planned(kept).checks.map(({ code }) => code)).not.toContain('band-short');
    const wider = edit.setDiameter(mm(2.2 * Math.max(...becks.form.points.map(({ radiusMm }) => radiusMm))));
    expect(boardOf(after(kept, wider))).toEqual(boardOf(becks));
    expect(boardOf(after(becks, wider))[0]).toBeGreaterThan(boardOf(becks)[0]!);
    expect(planned(after(kept, wider)).checks.map(({ code }) => code)).toContain('band-short');
    expect(after(kept, edit.takeBack({ cut: [], stacked: [], bands: [0] }))).toEqual(becks);
  });
  test('taken back they follow the form again', () => {
    const back = after(
      cup,
      edit.keepAsMade({ cut: [8], stacked: [8] }),
      edit.takeBack({ cut: [8], stacked: [8] }),
    );
    expect(back).toEqual(cup);
  });
  test('how it is built is chosen, and left to what is proposed again', () => {
    const chosen = after(cup, edit.setSchools({ stacking: 'halves' }));
    expect(chosen.schools).toEqual({ stacking: 'halves' });
    expect(after(chosen, edit.setSchools({ stacking: undefined }))).toEqual(cup);
  });
});
