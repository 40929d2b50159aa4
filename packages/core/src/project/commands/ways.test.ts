import { describe, expect, test } from 'vitest';
import { demoProjects } from '../../demo/index.js';
import { groupsOf, makeRing, segmentsOf } from '../../making/registry.js';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { after, change, placeIn, planned, refusal, rings, spotted } from '../../testing/pieces.js';
import { finishedVolumes } from '../finished.js';
import { readProject } from '../inspect.js';
import { prepare } from '../prepare.js';
import type { Project } from '../schema.js';
import * as edit from './edits.js';

const [cup, , , lantern] = demoProjects() as [Project, Project, Project, Project];
describe('from one way to another', () => {
  test('segments keep their woods and turn, new places get another wood, and what is lost is said', () => {
    const spaced = after(cup, edit.startFrom([8], 'spaced'));
    expect(spaced.rings[8]!.woods.slice(0, 24)).toEqual(cup.rings[8]!.woods);
    expect(new Set(spaced.rings[8]!.woods.slice(24))).toEqual(new Set(['black-walnut']));
    expect(spaced.rings[8]!.turn).toBe(cup.rings[8]!.turn);
    const back = change(spaced, edit.startFrom([8], 'tilted'));
    expect(plain(back.note ?? '')).toMatch(/Not carried over: spacers/);
    expect(back.project.rings[8]!.woods).toEqual(cup.rings[8]!.woods);
  });

  test('unequal widths and a plug go along where the other way has them too', () => {
    const parted = after(cup, edit.setParams([8], 'segmented', { parts: [2, 1] }));
    expect(after(parted, edit.startFrom([8], 'resawn')).rings[8]!.making).toMatchObject({ parts: [2, 1] });
    const plugged = after(
      cup,
      edit.startFrom([0], 'pie'),
      edit.setParams([0], 'segmented', { plug: { diameterMm: mm(31), drillMm: mm(20) } }),
    );
    expect(after(plugged, edit.startFrom([0], 'tilted')).rings[0]!.making).toMatchObject({
      plug: { diameterMm: 31 },
    });
    expect(plain(change(plugged, edit.startFrom([0], 'disc')).note ?? '')).toMatch(/plug/);
  });

  test('parameters that are not allowed are refused with the ring they are about, and change nothing', () => {
    const spaced = after(cup, edit.startFrom([8], 'spaced'));
    expect(
      refusal(
        spaced,
        edit.setParams([8], 'segmented', {
          between: { put: 'spacers', spacers: { at: 'even', number: 7, thicknessMm: mm(3) } },
        }),
      ),
    ).toMatch(/^Ring 9: 7 spacers do not go evenly into 24/);
    expect(refusal(cup, edit.setParams([8], 'segmented', { parts: [1, 2, 3, 4, 5] }))).toMatch(
      /^Ring 9: .*does not go into 24/,
    );
  });

  test('woods go to one group of places: all spacers, and no segment', () => {
    const spaced = after(
      cup,
      edit.startFrom([8, 9], 'spaced'),
      edit.setGroupWood([8, 9], 'purpleheart', 'Spacer'),
    );
    for (const i of [8, 9]) {
      const [segments] = groupsOf(spaced.rings[i]!.making);
      expect(new Set(spaced.rings[i]!.woods.slice(segments!.count))).toEqual(new Set(['purpleheart']));
      expect(spaced.rings[i]!.woods.slice(0, segments!.count)).toEqual(cup.rings[i]!.woods);
    }
  });
});

test('open rings are turned half a segment from the ring below as they are made; lost woods are named', () => {
  const turns = after(cup, edit.startFrom([8, 9, 10], 'open'))
    .rings.slice(7, 11)
    .map(({ turn }) => turn);
  expect(turns.slice(1).map((turn, i) => (turn - turns[i]! + 1) % 1)).toEqual([0.5, 0.5, 0.5]);
  expect(plain(change(cup, edit.startFrom([8], 'disc')).note ?? '')).toMatch(
    /the woods .*(black-walnut|purpleheart).* and/,
  );
});

test('half and half: woods and spacers swapped in the second half', () => {
  const halves = after(
    cup,
    edit.startFrom([5], 'halves'),
    edit.setGroupWood([5], 'sugar-maple', 'Spacer of the first half'),
    edit.swapSecondHalf([5]),
  ).rings[5]!;
  const woods = (from: number, count: number) => new Set(halves.woods.slice(from, from + count));
  expect([woods(0, 12), woods(12, 12)]).toEqual([new Set(['black-walnut']), new Set(['sugar-maple'])]);
  expect([woods(24, 11), woods(35, 11)]).toEqual([new Set(['sugar-maple']), new Set(['black-walnut'])]);
});

describe('slices of a thick ring', () => {
  const sliced = after(cup, edit.startFrom([8, 9, 10], 'resawn'));

  test('what is changed in one changes in all; each keeps its own turn, and other glue-ups are left alone', () => {
    const two = after(sliced, edit.startFrom([11, 12], 'resawn'));
    const painted = after(
      two,
      edit.setWood([9], 'purpleheart', [0, 5]),
      edit.setTurn([10], 0.3),
      edit.setCount([8], 18),
    );
    const [a, b, c, d] = painted.rings.slice(8, 12);
    expect([b!.woods, c!.woods]).toEqual([a!.woods, a!.woods]);
    expect(a!.woods.filter((wood) => wood === 'purpleheart').length).toBeGreaterThan(1);
    expect([a!, b!, c!].map(({ making }) => segmentsOf(making))).toEqual([18, 18, 18]);
    expect([a!.turn, c!.turn]).toEqual([cup.rings[8]!.turn, 0.3]);
    expect(d!.making).toMatchObject({ count: 24, after: { from: 'thick-2' } });
  });

  test('they share radii, the pieces are sawn once, and a measured thickness re-fits stack and thick ring', () => {
    const [first, second, third] = rings(sliced).slice(8, 11);
    const gives = [first, second, third].map((ring) => ring!.made.ok && ring!.made.value.gives);
    expect(gives[1]).toEqual(gives[0]);
    expect(gives[2]).toEqual(gives[0]);
    const pieces = planned(sliced)
      .rings.slice(8, 11)
      .map((ring) => ring.pieces.map(({ kind }) => kind.stock.from));
    expect(new Set(pieces[0])).toEqual(new Set(['strip']));
    expect(new Set([...pieces[1]!, ...pieces[2]!])).toEqual(new Set(['slice']));
    const thick = (project: Project) => {
      const made = rings(project)[8]!.made;
      return made.ok ? made.value.figures.find(({ key }) => key === 'thick-ring')!.value : 0;
    };
    expect(thick(sliced)).toBeCloseTo(3 * 17.4625 + 2 * 1.5875 + 1.5875, 9);
    const measured = after(sliced, edit.setMeasured([9], { heightMm: mm(18) }));
    expect(thick(measured) - thick(sliced)).toBeCloseTo(18 - 17.4625, 9);
    expect(rings(measured)[10]!.course.bottomMm - rings(sliced)[10]!.course.bottomMm).toBeCloseTo(0.5375, 9);
  });

  test('a file whose slices differ is refused', () => {
    const spoilt = structuredClone(sliced) as Project;
    spoilt.rings[9]!.woods[3] = 'purpleheart';
    expect(readProject(spoilt)).toMatchObject({ reasons: [{ code: 'slices-differ' }] });
  });
});

test('leaves of a book have one wood: painting one paints the other', () => {
  const book = after(
    cup,
    edit.startFrom([8], 'grain'),
    edit.setParams([8], 'segmented', { after: { done: 'opened', kerfMm: mm(2), cleanUpMm: mm(1) } }),
    edit.setWood([8], 'purpleheart', [2]),
  );
  expect(book.rings[8]!.woods[21]).toBe('purpleheart');
  const strips = planned(book).lumber.strips.flatMap(({ cuts }) =>
    cuts.filter(({ owner }) => placeIn(book)(owner) === 8),
  );
  expect(strips.reduce((sum, { count }) => sum + count, 0)).toBe(12);
  expect(strips.flatMap(({ numbers }) => numbers ?? []).sort((a, b) => a - b)).toEqual([
    1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12,
  ]);
});

test('staves lean like the wall: their cone holds it with less wood than upright ones', () => {
  const upright = after(cup, edit.startFrom([6], 'staved'));
  const leaning = after(upright, edit.leanLikeWall([6]));
  const [u, l] = [upright, leaning].map((project) => rings(project)[6]!);
  if (!u!.made.ok || !l!.made.ok) throw new Error('ring');
  expect(l!.made.value.lean).toBeGreaterThan(0.2);
  const width = ({ gives }: { gives: { outerRadiusMm: number; innerRadiusMm: number } }) =>
    gives.outerRadiusMm - gives.innerRadiusMm;
  expect(width(l!.made.value)).toBeLessThan(width(u!.made.value));
  expect(planned(leaning).checks.map(({ code }) => code)).not.toContain('too-narrow');
});

test('a plug in a hollow ring is only turned away; the remedy leaves it out', () => {
  const plug = { diameterMm: mm(30), drillMm: mm(30) };
  const plugged = after(
    cup,
    edit.startFrom([8], 'tilted'),
    edit.setParams([8], 'segmented', { plug }),
    edit.setLean([8], { cut: 'same-edge' }),
  );
  const check = planned(plugged).checks.find(({ code }) => code === 'hollow-disc')!;
  const mended = after(plugged, edit.remedyOf(check.remedies[0]!));
  expect(mended.rings[8]!.making).not.toHaveProperty('plug');
  expect(planned(mended).checks.map(({ code }) => code)).not.toContain('hollow-disc');
});

test('staves and open segments that would be solid to the centre are called out', () => {
  const codes = (way: Parameters<typeof edit.startFrom>[1]) =>
    spotted(planned(after(cup, edit.startFrom([1], way))));
  expect(codes('staved')).toContain('meeting-points 2');
  const parallel = after(
    cup,
    edit.startFrom([1], 'open'),
    edit.setParams([1], 'segmented', {
      between: { put: 'gaps', gap: { sides: 'parallel', widthMm: mm(2) } },
    }),
  );
  expect(
    plain(planned(parallel).checks.find(({ owners }) => placeIn(parallel)(owners[0] ?? null) === 1)!.message),
  ).toMatch(/An open ring has to have a hole/);
});

describe('what is left of each wood', () => {
  test('places together are the turned wood of a closed ring; gaps are missing from an open one', () => {
    const prepared = prepare(lantern);
    if (!prepared.ok) throw new Error('prepare');
    const full = planned(lantern);
    const woodOf = new Map(lantern.palette.map(({ key, wood }) => [key, wood]));
    const left = finishedVolumes(prepared.value, full.rings, woodOf);
    const total = [...left.values()].reduce((a, b) => a + b, 0);
    expect(total).toBeCloseTo(full.woodMm3, 3);
    const closed = planned(after(lantern, edit.startFrom([9, 10, 11, 12], 'flat'))).woodMm3;
    const wall = rings(lantern)
      .slice(9, 13)
      .map(({ course }) => course);
    // Gaps of a quarter of the circle in four rings of a wall 5/16 in thick.
    const missing = wall.reduce(
      (sum, { bottomMm, topMm }) => sum + 0.25 * 2 * Math.PI * 76 * 7.9 * (topMm - bottomMm),
      0,
    );
    expect((closed - full.woodMm3) / missing).toBeCloseTo(1, 1);
  });
});

test('refusals of a ring come with the nearest that can be made, and taking it puts them right', () => {
  const spoil = (start: Parameters<typeof edit.startFrom>[1], params: object) =>
    after(cup, edit.startFrom([8], start), edit.setParams([8], 'segmented', params as never));
  const cases: readonly (readonly [Project, string])[] = [
    [
      spoil('spaced', {
        between: { put: 'spacers', spacers: { at: 'picked', joints: [{ joint: 0, thicknessMm: mm(3) }] } },
      }),
      'does-not-close',
    ],
    [spoil('open', { between: { put: 'gaps', gap: { sides: 'tapered', share: 0.6 } } }), 'gap-no-contact'],
    [spoil('tilted', { lean: { tiltDeg: 59, hand: 'right', cut: 'two-fences' } }), 'tilt-eats-segment'],
    [
      spoil('layered', { sawnFrom: { is: 'layers', laid: 'outside-in', layersMm: [mm(60)] } }),
      'layer-too-thick',
    ],
    [after(cup, edit.startFrom([0], 'spaced')), 'hole-too-small'],
    [after(cup, edit.startFrom([0], 'tilted')), 'hole-too-small'],
  ];
  for (const [project, code] of cases) {
    const check = planned(project).checks.find((one) => one.code === code);
    expect(check, code).toBeDefined();
    expect(check!.remedies.length, code).toBe(1);
    const mended = after(project, edit.remedyOf(check!.remedies[0]!));
    expect(planned(mended).checks.map((one) => one.code)).not.toContain(code);
  }
});

test('open rows want a closed ring under and over them, and contact with their neighbours', () => {
  const codes = (project: Project) => spotted(planned(project));
  expect(codes(lantern)).toEqual([]);
  expect(codes(after(lantern, edit.startFrom([13], 'open')))).toContain('open-above 14');
  expect(codes(after(lantern, edit.removeRings([0, 1, 2, 3, 4, 5, 6, 7, 8])))).toContain('open-below 1');
  const apart = after(
    lantern,
    edit.setParams([10, 11], 'segmented', {
      between: { put: 'gaps', gap: { sides: 'tapered', share: 0.49 } },
    }),
    edit.setTurn([11], 0.26),
  );
  expect(planned(apart).rings[11]!.contactMm2).toBeLessThan(planned(lantern).rings[11]!.contactMm2!);
});

test('a layer line that turning breaks through is told with the margins on both sides', () => {
  const thin = after(
    lantern,
    edit.setParams([8], 'segmented', { sawnFrom: { is: 'layers', laid: 'outside-in', layersMm: [mm(5)] } }),
  );
  const message = planned(thin).checks.find(({ code }) => code === 'layer-line')!.message;
  expect(plain(message)).toMatch(
    /^Ring 9: The layer line between two woods is too near the wall: .* outside.*; .* inside\.$/,
  );
  const ring = planned(lantern).rings[8]!;
  const made = makeRing(lantern.rings[8]!.making, ring.need);
  expect(made.ok && made.value.layers).toEqual(ring.layers);
});
