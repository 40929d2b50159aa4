import { describe, expect, test } from 'vitest';
import { demoProjects } from '../../demo/index.js';
import { START_IDS } from '../../making/registry.js';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { setAfter, setParams, startFrom } from '../../project/commands/edits.js';
import { workOf } from '../../project/ordered.js';
import type { Project } from '../../project/schema.js';
import { ringOwner } from '../../ring/owner.js';
import { DEFAULT_SHOP, type Shop } from '../../settings/shop.js';
import { after, planned } from '../../testing/pieces.js';
import { SHIPPED_WOODS } from '../../wood/catalogue.js';
import type { OrderedPiece } from './order.js';
import { JOINING_IDS, SAWING_IDS, type Schools, STACKING_IDS } from './schools.js';
import { hasCome, stateOf } from './states.js';

const worked = (project: Project, schools: Schools = {}, shop: Shop = DEFAULT_SHOP): OrderedPiece => {
  const order = workOf({ ...project, schools }, shop, SHIPPED_WOODS);
  if (!order.ok) throw new Error(JSON.stringify(order.reasons));
  return order.value;
};
const shown = demoProjects();
const named = (name: string): Project => shown.find((piece) => piece.name.includes(name))!;
const ids = ({ jobs }: OrderedPiece) => jobs.flatMap(({ id, also }) => [id, ...also]);

describe.each(shown.map((piece) => [piece.name, piece] as const))('the order of work of %s', (_, piece) => {
  const orders = [
    ...STACKING_IDS.map((stacking) => worked(piece, { stacking })),
    ...JOINING_IDS.map((joining) => worked(piece, { joining })),
    ...SAWING_IDS.map((sawing) => worked(piece, { sawing })),
  ];
  test('has every job once, after what it needs, under a head', () => {
    for (const order of orders) {
      const at = new Map(order.jobs.map(({ id }, i) => [id, i]));
      expect(new Set(ids(order)).size).toBe(ids(order).length);
      order.jobs.forEach(({ id, needs, stage, takes }, i) => {
        for (const need of needs) expect(at.get(need.id), `${id} needs ${need.id}`).toBeLessThan(i);
        expect(order.stages.map(({ id }) => id)).toContain(stage);
        expect(takes.hands).toBeGreaterThan(0);
      });
      // Heads stand in the order of their jobs.
      const heads = order.jobs.map(({ stage }) => order.stages.findIndex(({ id }) => id === stage));
      expect([...heads].sort((a, b) => a - b)).toEqual(heads);
    }
  });
  test('closes every joint between rings once, whatever school; the steps of rings keep their ids', () => {
    const steps = (order: OrderedPiece) =>
      ids(order).filter(
        (id) => !/joint|mount|hollow|inside|-(pairs|halves|true|first|quarters)$|rod|saw-/.test(id),
      );
    for (const order of orders) {
      const joints = ids(order).filter((id) => id.includes('/joint/'));
      const sawn = piece.rings.filter((ring, i) => i > 0 && 'sections' in ring.making).length;
      expect(joints.length).toBeLessThanOrEqual(piece.rings.length - 1);
      if (sawn === 0 && !order.jobs.some(({ id }) => id.includes('section')))
        expect(joints.length).toBe(piece.rings.length - 1);
      expect(new Set(steps(order))).toEqual(new Set(steps(orders[0]!)));
    }
  });
  test('makes every ring planned, cut, glued, on the stack, turned, never less than before', () => {
    for (const order of orders.slice(0, 6)) {
      const done = new Map<string, number>();
      const was = new Map(piece.rings.map(({ id }) => [id, stateOf(ringOwner(id), order, done)]));
      expect(new Set(was.values())).toEqual(new Set(['planned']));
      for (const { id, also, times } of order.jobs) {
        for (const each of [id, ...also]) done.set(each, times);
        for (const ring of piece.rings) {
          const state = stateOf(ringOwner(ring.id), order, done);
          expect(hasCome(state, was.get(ring.id)!)).toBe(true);
          was.set(ring.id, state);
        }
      }
      expect(new Set(was.values())).toEqual(new Set(['outside']));
    }
  });
});

test.each(START_IDS.filter((start) => start !== 'stock'))(
  'a ring begun as %s: every job once, after what it needs',
  (start) => {
    const { jobs } = worked(after(named('Fell Race Cup'), startFrom([8], start)));
    const at = new Map(jobs.map(({ id }, i) => [id, i]));
    expect(at.size).toBe(jobs.length);
    for (const [i, { needs }] of jobs.entries())
      for (const { id } of needs) expect(at.get(id) ?? -1).toBeLessThan(i);
  },
);

test('slices of one thick star are glued up and sawn apart once, each cleaned up by itself; boards of a disc are glued face to face', () => {
  const sliced = after(
    named('Fell Race Cup'),
    startFrom([1, 2], 'medallion'),
    setAfter([1, 2], 'sliced'),
    setParams([3], 'disc', { sawnFrom: { is: 'layers', layersMm: [mm(6)] } }),
  );
  const { jobs } = worked(sliced);
  expect(new Set(jobs.map(({ id }) => id)).size).toBe(jobs.length);
  const said = jobs.flatMap(({ says }) => says.map(plain));
  const times = (words: RegExp) => said.filter((sentence) => words.test(sentence)).length;
  expect([times(/True one face of the thick disc/), times(/^Glue them round the middle/)]).toEqual([1, 1]);
  expect([times(/saw off 2 of 19\.05 mm, losing/), times(/^Plane 2 boards, bottom to top/)]).toEqual([1, 1]);
  expect([times(/Clean up each slice/), times(/Glue them face to face/)]).toEqual([2, 1]);
});

test('one setting of the saw after the other, each with its head; ring by ring under one', () => {
  const lantern = named('Lantern');
  const bySetting = worked(lantern, { sawing: 'settings' });
  const byRing = worked(lantern, { sawing: 'rings' });
  const saws = (order: OrderedPiece) =>
    order.stages.filter(({ id }) => id.startsWith('saw-')).map(({ title }) => plain(title));
  expect(saws(bySetting)).toEqual([
    'Bandsaw',
    'Saw, square',
    'Saw at 5.63°',
    'Saw at 7.5°',
    'Saw at 7.5°, blade tilted 25°',
  ]);
  expect(saws(byRing)).toHaveLength(1);
  // Setting the saw takes its minutes once for each setting: the same cuts take longer ring by ring.
  const hands = (order: OrderedPiece) =>
    order.jobs.reduce((sum, { stage, takes }) => sum + (stage.startsWith('saw-') ? takes.hands : 0), 0);
  expect(hands(byRing) - hands(bySetting)).toBeGreaterThanOrEqual(10);
});

test('joints of a ring: by the open time of the glue, by the clamps that there are, by the number of joints', () => {
  const cup = named('Cup');
  const with_ = (change: Partial<Shop['workshop']>, schools: Schools = {}) =>
    worked(cup, schools, { ...DEFAULT_SHOP, workshop: { ...DEFAULT_SHOP.workshop, ...change } });
  const gluing = (order: OrderedPiece) =>
    order.jobs.filter(({ id }) => id.startsWith('ring-r9/glue')).map(({ id }) => id);
  const { minutes, equipment } = DEFAULT_SHOP.workshop;
  expect(gluing(with_({}))).toEqual(['ring-r9/glue']);
  // 24 joints at a quarter of a minute are 6 minutes, the glue is open for 5.
  const slow = with_({ minutes: { ...minutes, joint: 0.25 } });
  expect(gluing(slow)).toEqual([
    'ring-r9/glue-pairs',
    'ring-r9/glue-halves',
    'ring-r9/glue-true',
    'ring-r9/glue',
  ]);
  expect(plain(slow.jobs.find(({ id }) => id === 'ring-r9/glue')!.because!)).toMatch(
    /24 joints take 6 minutes; the glue stays open for 5/,
  );
  // Without a ring clamp joints are closed two at a time, and nothing keeps a band.
  const none = with_({ equipment: { ...equipment, bands: 0 } });
  expect(gluing(none)).toEqual(['ring-r9/glue-first', 'ring-r9/glue']);
  expect(
    none.jobs.filter(({ id }) => id.startsWith('ring-r9/glue')).every(({ takes }) => takes.on === null),
  ).toBe(true);
  // Quarters want spacers: the wish is told why not, and the ring is glued as proposed.
  const quarters = with_({}, { joining: 'quadrants' });
  expect(plain(quarters.jobs.find(({ id }) => id === 'ring-r9/glue')!.because!)).toMatch(/no spacers/);
});

test('a colder shop glues longer, twice as long for every 10 °C below 18', () => {
  const at = (shopCelsius: number) => {
    const glue = { ...DEFAULT_SHOP.workshop.glue, shopCelsius };
    const shop = { ...DEFAULT_SHOP, workshop: { ...DEFAULT_SHOP.workshop, glue } };
    return worked(named('Cup'), {}, shop).jobs.find(({ id }) => id === 'ring-r9/glue')!.takes;
  };
  expect(at(24)).toMatchObject({ clamp: 30, cure: 24 * 60 - 30 });
  expect(at(8).clamp).toBeCloseTo(60, 9);
  expect(at(8).cure + at(8).clamp).toBeCloseTo(48 * 60, 9);
});

test('two halves hang from plates of their own and are joined at the widest ring; a lid only where there is one', () => {
  const cup = named('Cup');
  const order = worked(cup, { stacking: 'halves' });
  const [lower, upper] = order.assembly.sections;
  expect(upper!.rings[0]).toBe(cup.rings.length - 1);
  expect(lower!.rings.at(-1)! + 1).toBe(upper!.rings.at(-1));
  const join = order.jobs.find(({ stage }) => stage === 'join')!;
  const joint = upper!.rings.at(-1)!;
  expect(join.id).toBe(`ring-${cup.rings[joint]!.id}/joint/${cup.rings[joint - 1]!.id}`);
  const none = worked(cup, { stacking: 'both-ends' });
  expect(none.assembly.stacking).toBe('ring-by-ring');
  expect(plain(none.assembly.because[0]!)).toMatch(/has no lid/);
  const form = {
    ...cup.form,
    lid: { heightMm: cup.form.points.at(-1)!.heightMm * 0.8, roofMm: 8 },
  } as Project['form'];
  const lidded = worked({ ...cup, form });
  expect(lidded.assembly.sections.map(({ id }) => id)).toEqual(['body', 'lid']);
  expect(lidded.jobs.filter(({ id }) => id.includes('/joint/'))).toHaveLength(cup.rings.length - 2);
});

// Craft: diameter in inches times turns a minute, 6000 to 9000 for sound work. What counts is the widest ring on the lathe, not those hollowed now.
test('speeds at the lathe are those of the widest that turns', () => {
  const becks = named('Becks');
  const order = worked(becks);
  const widest = 2 * Math.max(...planned(becks).rings.map(({ cornerMm }) => cornerMm));
  const hollowed = order.jobs.filter(({ id }) => id.startsWith('hollow/'));
  expect(hollowed).toHaveLength(2);
  for (const { says } of hollowed) {
    const [, least, most] = /hollow: (\d+) to (\d+) turns/.exec(says.map(plain).join(' '))!;
    expect((Number(least) * widest) / 25.4).toBeGreaterThanOrEqual(6000);
    expect((Number(most) * widest) / 25.4).toBeLessThanOrEqual(9000);
  }
});

test('what is done once for a glue-up is done for all the rings that are sawn from it', () => {
  const goblet = named('Whirlpool');
  const order = worked(goblet);
  const done = new Map(
    order.jobs.filter(({ id }) => id.startsWith('section-1/')).map(({ id, times }) => [id, times]),
  );
  expect(done.size).toBeGreaterThan(2);
  const states = goblet.rings.map(({ id }) => stateOf(ringOwner(id), order, done));
  expect(states.filter((state) => state === 'glued')).toHaveLength(6);
});
