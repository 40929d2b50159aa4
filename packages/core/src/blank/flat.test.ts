import { expect, test } from 'vitest';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import type { Point } from '../ring/plane.js';
import { anyVessel } from '../testing/pieces.js';
import { BLANKS, type BlankMaking, makeBlank } from './registry.js';

const made = (making: BlankMaking) => {
  const blank = makeBlank(making, anyVessel());
  if (!blank.ok) throw new Error(plain(blank.reasons[0]!.message));
  return blank.value;
};
const sides = (outline: readonly Point[]) =>
  outline
    .map(({ x, y }, i) => Math.hypot(x - outline.at(i - 1)!.x, y - outline.at(i - 1)!.y))
    .sort((a, b) => a - b);
/** Whether a line along some side of one outline has the other all beyond it (the separating axis of two convex outlines). */
const apart = (a: readonly Point[], b: readonly Point[]) =>
  [a, b].some((own, which) =>
    own.some((p, i) => {
      const q = own[(i + 1) % own.length]!;
      const beyond = (of: readonly Point[]) =>
        of.map(({ x, y }) => (q.x - p.x) * (y - p.y) - (q.y - p.y) * (x - p.x));
      const [mine, others] = [beyond(own), beyond(which === 0 ? b : a)];
      return Math.min(...others) > Math.max(...mine) - 1e-6 || Math.max(...others) < Math.min(...mine) + 1e-6;
    }),
  );

test('the globe laid flat: every triangle at its true size, none on another', () => {
  const { flat, figures } = made(BLANKS.globe.begin());
  const leg = figures.find(({ key }) => key === 'legs-of-the-isosceles')!.value as number;
  const base = figures.find(({ key }) => key === 'their-base-sides-of-the-equilateral')!.value as number;
  // Chord factors of the icosahedron split once, times the radius (geodesic dome tables, from memory).
  expect([leg / 100, base / 100]).toEqual([expect.closeTo(0.54653, 5), expect.closeTo(0.61803, 5)]);
  const kinds = flat.map(({ outline }) => sides(outline));
  expect(kinds.filter(([a]) => Math.abs(a! - base) < 1e-6)).toHaveLength(20);
  for (const [a, b, c] of kinds.filter(([a]) => Math.abs(a! - base) >= 1e-6))
    expect([a, b, c]).toEqual([leg, leg, base].map((side) => expect.closeTo(side, 6)));
  flat.forEach(({ outline }, i) => {
    for (const other of flat.slice(i + 1)) expect(apart(outline, other.outline), `${i}`).toBe(true);
  });
});

test('a bent stack laid flat: rows as high as a segment, cells as wide as the wedge is there, none on another', () => {
  const { flat, groups, kinds } = made({ ...BLANKS.bent.begin(), innerRadiusMm: mm(6) });
  expect(groups).toEqual([{ name: 'Segment', count: 144 }]);
  expect(kinds[0]!.places).toHaveLength(144);
  // A tube of radius 14 of six: sides 2·14·tan 30°. Wedges of 15° on a curve of 60: 2·R·tan 7.5°, R to the middle of the side.
  const half = Math.tan(Math.PI / 24);
  const widths = [0, 1, 2].map((k) => 2 * (60 + 14 * Math.cos(((2 * k + 1) * Math.PI) / 6)) * half);
  for (const k of [0, 1, 2]) {
    const [short, , long] = sides(flat[k]!.outline);
    const side = 2 * 14 * Math.tan(Math.PI / 6);
    expect([short, long].sort((a, b) => a! - b!)).toEqual(
      [widths[k]!, side].sort((a, b) => a - b).map((of) => expect.closeTo(of, 9)),
    );
  }
  flat.forEach(({ outline }, i) => {
    for (const other of flat.slice(i + 1)) expect(apart(outline, other.outline), `${i}`).toBe(true);
  });
});

test('a link is closed with its last wedge dry; a handle says how far round it goes', () => {
  const curve = (sweepDeg: number) =>
    plain(
      made({ ...BLANKS.bent.begin(), sweepDeg })
        .steps()
        .find(({ id }) => id === 'curve')!.says,
    );
  expect(curve(360)).toMatch(/round a former of 46 mm, .*; dry-fit the last one before the circle is closed/);
  expect(curve(180)).toMatch(/180° in all/);
});
