import type { Form, FormPoint } from '../form/shape.js';
import { INCH } from '../measure/format.js';
import { mm } from '../measure/quantity.js';
import { type Project, type Ring, SCHEMA_VERSION } from '../project/schema.js';
import { drawnOnce } from './build.js';

/** A ring of the demo: height in inches, segments (0 for a disc), turn in segments, and its woods by place. */
type Course = readonly [height: number, count: number, turn: number, woods: (place: number) => string];

const inches = (value: number) => mm(value * INCH);

const points = (
  ...list: readonly (readonly [radius: number, height: number, corner?: 'corner'])[]
): FormPoint[] =>
  list.map(([radius, height, corner]) => ({
    radiusMm: inches(radius),
    heightMm: inches(height),
    kind: corner ?? 'smooth',
  }));

/** A wall of one thickness and a floor, in inches. */
const walled = (wall: number, floor: number): Omit<Form, 'points'> => ({
  inside: { by: 'wall', walls: [{ heightMm: mm(0), wallMm: inches(wall) }], floorMm: inches(floor) },
  recess: null,
  lid: null,
});

const stack = (courses: readonly Course[]): Ring[] =>
  courses.map(([height, count, turn, woods], i) => ({
    id: `r${i + 1}`,
    heightMm: inches(height),
    making: count === 0 ? { way: 'disc' } : { way: 'segmented', count },
    turn,
    woods: Array.from({ length: Math.max(1, count) }, (_, place) => woods(place)),
  }));

const all = (wood: string) => () => wood;
const every =
  (period: number, marked: string, rest: string, from = 0) =>
  (place: number) =>
    (place + period - from) % period === 0 ? marked : rest;

const entry = (key: string, tone: Project['palette'][number]['tone'], wood = key) => ({ key, tone, wood });

/** Tall cup on a waisted foot: dark and purple marks that climb like runners on a ridge, between plain bands. */
export const fellRaceCup = drawnOnce(() => {
  const mark = (step: number) => (place: number) => {
    const at = (place - step + 24) % 8;
    return at === 0 ? 'black-walnut' : at === 4 ? 'purpleheart' : 'sugar-maple';
  };
  const climbing = Array.from(
    { length: 8 },
    (_, step): Course => [0.6875, 24, step % 2 ? 0.5 : 0, mark(step)],
  );
  return {
    schema: SCHEMA_VERSION,
    name: 'Fell Race Cup',
    form: {
      points: points(
        [2.0625, 0],
        [1.9375, 0.25, 'corner'],
        [1.3125, 1.5],
        [1.25, 2.5],
        [2.0625, 4.125],
        [3, 6.5],
        [3.3125, 8],
        [2.8125, 9.625],
        [2.9375, 10.5],
      ),
      ...walled(0.28125, 3.3125),
    },
    rings: stack([
      [0.75, 0, 0, all('black-walnut')],
      [0.75, 0, 0, all('purpleheart')],
      [0.75, 0, 0, all('sugar-maple')],
      [0.75, 0, 0, all('purpleheart')],
      [0.75, 0, 0, all('sugar-maple')],
      [0.6875, 24, 0.5, all('black-walnut')],
      ...climbing,
      [0.6875, 24, 0, all('purpleheart')],
    ]),
    palette: [entry('sugar-maple', 'light'), entry('black-walnut', 'dark'), entry('purpleheart', 'accent')],
    allowances: { outsideMm: inches(0.15625), insideMm: inches(0.15625) },
    motifs: [],
    underlay: null,
  };
});

/** Wide open bowl: curls of white and cream in ones and twos, a dark ring below the lip. */
export const bestFleeceBowl = drawnOnce(() => {
  const curl = (shift: number) => (place: number) =>
    [0, 1, 4].includes((place + shift) % 6) ? 'american-holly' : 'american-sycamore';
  return {
    schema: SCHEMA_VERSION,
    name: 'Best Fleece Bowl',
    form: {
      points: points(
        [2.25, 0],
        [2.375, 0.375, 'corner'],
        [4.125, 1.5],
        [5.25, 3],
        [5.4375, 4],
        [5.3125, 4.75],
      ),
      ...walled(0.3125, 0.4375),
    },
    rings: stack([
      [0.75, 0, 0, all('black-cherry')],
      [0.75, 18, 0, curl(0)],
      [0.75, 18, 0.5, curl(2)],
      [0.75, 18, 0, curl(4)],
      [0.75, 18, 0.5, curl(0)],
      [0.5, 18, 0, all('wenge')],
      [0.75, 18, 0.5, every(3, 'black-cherry', 'american-holly')],
    ]),
    palette: [
      entry('american-holly', 'light'),
      entry('american-sycamore', 'middle'),
      entry('black-cherry', 'accent'),
      entry('wenge', 'dark'),
    ],
    allowances: { outsideMm: inches(0.15625), insideMm: inches(0.1875) },
    motifs: [],
    underlay: null,
  };
});

/** Skep-shaped jar: amber cells between dark binding, in brick bond. */
export const honeyClassJar = drawnOnce(() => {
  const cells = (from: number) => every(2, 'yellowheart', 'osage-orange', from);
  return {
    schema: SCHEMA_VERSION,
    name: 'Honey Class Jar',
    form: {
      points: points(
        [2.375, 0],
        [2.5, 0.3125],
        [3.125, 2],
        [3.0625, 3.625],
        [2.25, 5.125],
        [1.75, 5.6875],
        [1.8125, 6.125],
      ),
      ...walled(0.28125, 0.375),
    },
    rings: stack([
      [0.75, 0, 0, all('black-walnut')],
      [0.875, 12, 0, cells(0)],
      [0.375, 12, 0.5, all('black-walnut')],
      [0.875, 12, 0, cells(1)],
      [0.375, 12, 0.5, all('black-walnut')],
      [0.875, 12, 0, cells(0)],
      [0.375, 12, 0.5, all('black-walnut')],
      [0.875, 12, 0, cells(1)],
      [0.75, 12, 0.5, all('yellowheart')],
    ]),
    palette: [entry('yellowheart', 'light'), entry('osage-orange', 'middle'), entry('black-walnut', 'dark')],
    allowances: { outsideMm: inches(0.15625), insideMm: inches(0.15625) },
    motifs: [],
    underlay: null,
  };
});
