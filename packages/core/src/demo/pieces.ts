import type { FormPoint } from '../form/shape.js';
import { mm } from '../measure/quantity.js';
import { type Project, type Ring, SCHEMA_VERSION } from '../project/schema.js';

/** A ring of the demo: height, segments (0 for a disc), turn in segments, and its woods by place. */
type Course = readonly [heightMm: number, count: number, turn: number, woods: (place: number) => string];

const points = (
  ...list: readonly (readonly [radius: number, height: number, corner?: 'corner'])[]
): FormPoint[] =>
  list.map(([radius, height, corner]) => ({
    radiusMm: mm(radius),
    heightMm: mm(height),
    kind: corner ?? 'smooth',
  }));

const stack = (courses: readonly Course[]): Ring[] =>
  courses.map(([height, count, turn, woods], i) => ({
    id: `r${i + 1}`,
    heightMm: mm(height),
    making: count === 0 ? { way: 'disc' } : { way: 'flat', count },
    turn,
    woods: Array.from({ length: Math.max(1, count) }, (_, place) => woods(place)),
  }));

const all = (wood: string) => () => wood;
const every =
  (period: number, marked: string, rest: string, from = 0) =>
  (place: number) =>
    (place + period - from) % period === 0 ? marked : rest;

const entry = (key: string, tone: Project['palette'][number]['tone'], wood = key) => ({ key, tone, wood });

/** Tall two-waisted cup: a climbing line of dark marks, like runners on a ridge, between two plain bands. */
export function fellRaceCup(): Project {
  const climbing = Array.from(
    { length: 8 },
    (_, i): Course => [
      17,
      24,
      i % 2 ? 0.5 : 0,
      (place) => {
        const at = (place - i + 24) % 8;
        return at === 0 ? 'black-walnut' : at === 4 ? 'purpleheart' : 'sugar-maple';
      },
    ],
  );
  return {
    schema: SCHEMA_VERSION,
    name: 'Fell Race Cup',
    form: {
      points: points(
        [52, 0],
        [50, 6, 'corner'],
        [33, 40],
        [31, 62],
        [52, 104],
        [76, 164],
        [84, 205],
        [72, 246],
        [74, 262],
      ),
      wallMm: mm(7),
      floorMm: mm(84),
    },
    rings: stack([
      [19, 0, 0, all('black-walnut')],
      [19, 0, 0, all('purpleheart')],
      [19, 0, 0, all('sugar-maple')],
      [19, 0, 0, all('purpleheart')],
      [19, 0, 0, all('sugar-maple')],
      [17, 24, 0.5, all('black-walnut')],
      ...climbing,
      [17, 24, 0, all('purpleheart')],
    ]),
    palette: [entry('sugar-maple', 'light'), entry('black-walnut', 'dark'), entry('purpleheart', 'accent')],
    allowances: { outsideMm: mm(4), insideMm: mm(4) },
  };
}

/** Wide open bowl: curls of pale and cream in ones and twos, a dark ring below the lip. */
export function bestFleeceBowl(): Project {
  const curl = (shift: number) => (place: number) =>
    [0, 1, 4].includes((place + shift) % 6) ? 'american-holly' : 'american-sycamore';
  return {
    schema: SCHEMA_VERSION,
    name: 'Best Fleece Bowl',
    form: {
      points: points([58, 0], [62, 9, 'corner'], [104, 36], [132, 72], [138, 100], [134, 120]),
      wallMm: mm(8),
      floorMm: mm(11),
    },
    rings: stack([
      [20, 0, 0, all('black-cherry')],
      [19, 18, 0, curl(0)],
      [19, 18, 0.5, curl(2)],
      [19, 18, 0, curl(4)],
      [19, 18, 0.5, curl(0)],
      [12, 18, 0, all('wenge')],
      [19, 18, 0.5, every(3, 'black-cherry', 'american-holly')],
    ]),
    palette: [
      entry('american-holly', 'light'),
      entry('american-sycamore', 'middle'),
      entry('black-cherry', 'accent'),
      entry('wenge', 'dark'),
    ],
    allowances: { outsideMm: mm(4), insideMm: mm(5) },
  };
}

/** Skep-shaped jar: amber bands that thin towards the top, with honey cells of twelve in brick bond. */
export function honeyClassJar(): Project {
  const cells = (from: number) => every(2, 'yellowheart', 'osage-orange', from);
  return {
    schema: SCHEMA_VERSION,
    name: 'Honey Class Jar',
    form: {
      points: points([60, 0], [64, 8], [80, 52], [78, 92], [58, 130], [44, 144], [46, 156]),
      wallMm: mm(7.5),
      floorMm: mm(10),
    },
    rings: stack([
      [18, 0, 0, all('black-walnut')],
      [22, 12, 0, cells(0)],
      [10, 12, 0.5, all('black-walnut')],
      [22, 12, 0, cells(1)],
      [10, 12, 0.5, all('black-walnut')],
      [22, 12, 0, cells(0)],
      [10, 12, 0.5, all('black-walnut')],
      [22, 12, 0, cells(1)],
      [20, 12, 0.5, all('yellowheart')],
    ]),
    palette: [entry('yellowheart', 'light'), entry('osage-orange', 'middle'), entry('black-walnut', 'dark')],
    allowances: { outsideMm: mm(4), insideMm: mm(4) },
  };
}
