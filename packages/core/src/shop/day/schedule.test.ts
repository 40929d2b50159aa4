import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { plain } from '../../measure/said.js';
import { DEFAULT_WORKSHOP, EQUIPMENT, type Workshop } from '../../settings/workshop.js';
import { boundOf } from './bound.js';
import { type DayPlan, dayPlan, type Named } from './schedule.js';
import type { Room } from './serial.js';
import { sessionsOf } from './sessions.js';
import { oneMore } from './whatIf.js';

const { glue } = DEFAULT_WORKSHOP;
const DAY = 24 * 60;
const always = Array.from({ length: 7 }, (_, day) => ({ day, fromMinute: 0, toMinute: DAY }));
const room = (change: Partial<Room> = {}): Room => ({
  equipment: { bands: 1, presses: 1, plates: 1, lathes: 1 },
  hours: always,
  now: { day: 0, minute: 0 },
  running: [],
  ...change,
});
const task = (id: string, change: Partial<Named> = {}): Named => ({
  id,
  title: id,
  hands: 10,
  on: null,
  clamp: 0,
  cure: 0,
  breaks: false,
  needs: [],
  notBefore: 0,
  ...change,
});
const plan = (tasks: readonly Named[], where = room(), rounds = 0): DayPlan => {
  const answer = dayPlan(tasks, where, glue, rounds);
  if (!answer.ok) throw new Error(plain(answer.reasons[0]!.message));
  return answer.value;
};

/** Rings glued in a band for 30 minutes and then onto the stack for 30, in the same clamp or in one of its own. */
const fourRings = (press: 'bands' | 'lathes'): Named[] =>
  [1, 2, 3, 4].flatMap((ring) => [
    task(`glue ${ring}`, { hands: 0.001, on: 'bands', clamp: 30 }),
    task(`stack ${ring}`, {
      hands: 0.001,
      on: press,
      clamp: 30,
      needs: [{ id: `glue ${ring}`, wait: 30 }, ...(ring > 1 ? [{ id: `stack ${ring - 1}`, wait: 30 }] : [])],
    }),
  ]);

describe('four rings, 30 and 30 minutes', () => {
  // By hand: 8 times 30 minutes in one clamp; with one for the ring and one for the stack 5 times; with two for rings the stack waits for nothing but itself.
  test('are four hours one by one, and less with more to clamp with', () => {
    expect(plan(fourRings('bands')).doneAt).toBeCloseTo(240, 1);
    expect(plan(fourRings('lathes')).doneAt).toBeCloseTo(150, 1);
    const one = plan(fourRings('bands'));
    const [first] = oneMore(fourRings('bands'), room(), glue, one);
    expect(first!.of).toBe('bands');
    expect(first!.soonerMinutes).toBeCloseTo(90, 0);
  });
});

const someTasks = fc
  .array(
    fc.record({
      hands: fc.integer({ min: 1, max: 40 }),
      on: fc.constantFrom(null, 'bands' as const, 'lathes' as const),
      clamp: fc.constantFrom(0, 30, 45),
      cure: fc.constantFrom(0, 200),
      breaks: fc.boolean(),
      need: fc.integer({ min: -2, max: 4 }),
      cured: fc.boolean(),
    }),
    { minLength: 1, maxLength: 6 },
  )
  .map((all) =>
    all.map(({ need, cured, ...each }, i): Named => {
      const before = need >= 0 && need < i ? all[need]! : null;
      const wait = before ? before.clamp + (cured ? before.cure : 0) : 0;
      return task(`t${i}`, { ...each, needs: before ? [{ id: `t${need}`, wait }] : [] });
    }),
  );
const evenings = room({
  hours: [
    { day: 0, fromMinute: 60, toMinute: 120 },
    { day: 0, fromMinute: 150, toMinute: 260 },
    { day: 1, fromMinute: 0, toMinute: 90 },
    { day: 3, fromMinute: 0, toMinute: DAY },
  ],
  now: { day: 0, minute: 30 },
});

/** Whether hands are there in a minute from now, by the week's hours alone. */
const open = ({ hours, now }: Room, minute: number): boolean => {
  const at = now.day * DAY + now.minute + minute;
  const [day, of] = [Math.floor(at / DAY) % 7, at % DAY];
  return hours.some((each) => each.day === day && each.fromMinute <= of && of < each.toMinute);
};

describe('a day plan', () => {
  test('keeps the hours, one pair of hands, what there is of everything, and what has to come before', () => {
    fc.assert(
      fc.property(someTasks, (tasks) => {
        const { placed, doneAt, bound } = plan(tasks, evenings, 20);
        const busy = new Map<number, string>();
        for (const { id, hands } of placed)
          for (const [from, to] of hands)
            for (let minute = Math.ceil(from); minute < to - 1e-6; minute++) {
              expect(open(evenings, minute), `${id} at ${minute}`).toBe(true);
              expect(busy.get(minute) ?? id).toBe(id);
              busy.set(minute, id);
            }
        for (const each of tasks) {
          const own = placed.find(({ id }) => id === each.id)!;
          const long = own.hands.reduce((sum, [from, to]) => sum + to - from, 0);
          expect(long).toBeCloseTo(each.hands, 6);
          if (!each.breaks) expect(own.hands).toHaveLength(1);
          for (const { id, wait } of each.needs) {
            const before = placed.find((other) => other.id === id)!;
            expect(own.hands[0]![0]).toBeGreaterThanOrEqual(before.hands.at(-1)![1] + wait - 1e-6);
          }
          expect(own.readyAt).toBeLessThanOrEqual(doneAt + 1e-6);
        }
        for (const kind of EQUIPMENT) {
          const kept = placed.filter(({ unit }) => unit?.of === kind);
          for (const a of kept) {
            const over = kept.filter(
              (b) => b.hands[0]![0] < a.clampedTo - 1e-6 && b.clampedTo > a.hands[0]![0] + 1e-6,
            );
            expect(over.length).toBeLessThanOrEqual(evenings.equipment[kind]);
          }
        }
        expect(bound.atLeast).toBeLessThanOrEqual(doneAt + 1e-6);
      }),
      { numRuns: 150 },
    );
  });

  test('against every order tried, minute by minute: no bound above the best, and the best is found', () => {
    fc.assert(
      fc.property(someTasks, (tasks) => {
        const best = bestOfAll(tasks, evenings);
        const { atLeast } = boundOf(tasks, evenings);
        expect(atLeast).toBeLessThanOrEqual(best + 1e-6);
        expect(plan(tasks, evenings, 400).doneAt).toBeCloseTo(best, 6);
      }),
      { numRuns: 60 },
    );
  }, 120_000);

  test('tells why there is none: too cold, nothing to clamp with, no hours long enough', () => {
    const why = (tasks: readonly Named[], where: Room, warm: Workshop['glue'] = glue) => {
      const answer = dayPlan(tasks, where, warm);
      return answer.ok ? null : plain(answer.reasons[0]!.message);
    };
    const ring = [task('Ring 3: glue up', { on: 'bands', clamp: 30 })];
    expect(why(ring, room(), { ...glue, shopCelsius: 6 })).toMatch(
      /at 6 °C; the glue does not cure below 10 °C/,
    );
    expect(why(ring, room({ equipment: { bands: 0, presses: 1, plates: 1, lathes: 1 } }))).toMatch(
      /ring clamps, and the shop has none/,
    );
    expect(why([task('Long', { hands: 150 })], evenings)).toBeNull();
    const short = room({ hours: [{ day: 0, fromMinute: 0, toMinute: 60 }] });
    expect(why([task('Long', { hands: 61 })], short)).toMatch(/61 minutes at one go.*60 minutes/);
    expect(why([task('Long', { hands: 61, breaks: true })], short)).toBeNull();
  });

  // By hand: a section is mounted in 10, stands until it is parted off 10 + 100 later; the next one waits for the plate, or does not.
  test('a section stands on its plate until it is parted off', () => {
    const section = (id: string) => [
      task(`mount ${id}`, { holds: { of: 'plates', until: `part ${id}` } }),
      task(`part ${id}`, { needs: [{ id: `mount ${id}`, wait: 100 }] }),
    ];
    const two = [...section('a'), ...section('b')];
    const begins = (plates: number) => {
      const { placed } = plan(two, room({ equipment: { bands: 1, presses: 1, plates, lathes: 1 } }), 50);
      return placed.find(({ id }) => id === 'mount b')!.hands[0]![0];
    };
    expect(begins(2)).toBe(10);
    expect(begins(1)).toBe(120);
    expect(oneMore(two, room(), glue, plan(two))).toMatchObject([{ of: 'plates' }]);
    // One that stands there already, until it is parted off.
    const rest = plan(
      [task('part a', { hands: 30 }), ...section('b')],
      room({ running: [{ of: 'plates', until: 'part a' }] }),
      50,
    );
    expect(rest.placed.find(({ id }) => id === 'mount b')!.hands[0]![0]).toBe(30);
    // Two that are joined have to stand at the same time.
    const halves = [
      task('mount a', { holds: { of: 'plates', until: 'foot' } }),
      task('mount b', { holds: { of: 'plates', until: 'join' } }),
      task('join', {
        needs: [
          { id: 'mount a', wait: 0 },
          { id: 'mount b', wait: 0 },
        ],
      }),
      task('foot', { needs: [{ id: 'join', wait: 0 }] }),
    ];
    const one = dayPlan(halves, room(), glue);
    expect(one.ok ? '' : plain(one.reasons[0]!.message)).toMatch(
      /stand on faceplates until they are joined or parted off, and all 1 are taken/,
    );
    expect(plan(halves, room({ equipment: { bands: 1, presses: 1, plates: 2, lathes: 1 } })).doneAt).toBe(40);
  });
  test('no more stand on plates at any time than there are', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 1, max: 30 }), fc.integer({ min: 0, max: 90 })), {
          minLength: 2,
          maxLength: 6,
        }),
        fc.integer({ min: 1, max: 3 }),
        (sections, plates) => {
          const tasks = sections.flatMap(([hands, wait], i) => [
            task(`m${i}`, { hands, holds: { of: 'plates', until: `p${i}` } }),
            task(`p${i}`, { hands, needs: [{ id: `m${i}`, wait }] }),
          ]);
          const { placed } = plan(
            tasks,
            room({ equipment: { bands: 1, presses: 1, plates, lathes: 1 } }),
            10,
          );
          const at = (id: string) => placed.find((each) => each.id === id)!.hands;
          const stands = sections.map((_, i) => [at(`m${i}`)[0]![0], at(`p${i}`).at(-1)![1]] as const);
          for (const [from] of stands)
            expect(
              stands.filter(([begin, end]) => begin <= from && from < end - 1e-6).length,
            ).toBeLessThanOrEqual(plates);
        },
      ),
    );
  });

  test('waits for what is in clamps already', () => {
    const busy = room({ running: [{ of: 'bands', until: 25 }] });
    expect(plan([task('a', { on: 'bands', clamp: 30 })], busy).placed[0]!.hands[0]![0]).toBe(25);
    expect(plan([task('a', { notBefore: 90 })]).placed[0]!.hands[0]![0]).toBe(90);
  });

  test('as sessions: pauses within 45 minutes do not end one', () => {
    const tasks = [
      task('a'),
      task('b', { needs: [{ id: 'a', wait: 40 }] }),
      task('c', { needs: [{ id: 'b', wait: 60 }] }),
    ];
    expect(sessionsOf(plan(tasks)).map(({ from, to, jobs }) => [from, to, jobs.length])).toEqual([
      [0, 60, 2],
      [120, 130, 1],
    ]);
  });
});

/** The shortest plan of all orders, each placed minute by minute by a method that shares nothing with the planner: the time until all is ready. */
function bestOfAll(tasks: readonly Named[], where: Room): number {
  const orders = permutations(tasks).filter((order) =>
    order.every(({ needs }, i) => needs.every(({ id }) => order.slice(0, i).some((each) => each.id === id))),
  );
  return Math.min(...orders.map((order) => minuteByMinute(order, where)));
}

function minuteByMinute(order: readonly Named[], where: Room): number {
  const taken = new Set<number>();
  const kept: { on: string; from: number; to: number }[] = [];
  const ends = new Map<string, number>();
  let ready = 0;
  for (const { id, hands, on, clamp, cure, breaks, needs, notBefore } of order) {
    const earliest = Math.max(notBefore, ...needs.map((need) => ends.get(need.id)! + need.wait));
    for (let start = earliest; ; start++) {
      if (!open(where, start) || taken.has(start)) continue;
      const minutes: number[] = [];
      for (let minute = start; minutes.length < hands; minute++) {
        if (open(where, minute) && !taken.has(minute)) minutes.push(minute);
        else if (!breaks) break;
      }
      if (minutes.length < hands) continue;
      const end = minutes.at(-1)! + 1;
      const there = on ? where.equipment[on] : 0;
      const over = kept.filter((each) => each.on === on && each.from < end + clamp && each.to > start).length;
      if (on && over >= there) continue;
      for (const minute of minutes) taken.add(minute);
      if (on) kept.push({ on, from: start, to: end + clamp });
      ends.set(id, end);
      ready = Math.max(ready, end + clamp + cure);
      break;
    }
  }
  return ready;
}

function permutations<T>(items: readonly T[]): T[][] {
  if (items.length < 2) return [[...items]];
  return items.flatMap((item, i) =>
    permutations([...items.slice(0, i), ...items.slice(i + 1)]).map((rest) => [item, ...rest]),
  );
}
