import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { after } from '../testing/pieces.js';
import * as edit from './commands/edits.js';
import { type Edited, NO_HISTORY, recorded, undone } from './history.js';
import type { Project } from './schema.js';
import { broughtTogether, type Prevails } from './together.js';

const cup = demoProjects()[0]!;
const both = (mine: Project, theirs: Project, prevails: Prevails = null) => {
  const found = broughtTogether(cup, mine, theirs, prevails);
  if (!found.ok) throw new Error(plain(found.reasons[0]!.message));
  return found.value;
};
const odds = (mine: Project, theirs: Project): string => {
  const found = broughtTogether(cup, mine, theirs);
  return found.ok ? '' : plain(found.reasons[0]!.message);
};

/** Edits that touch nothing of each other. */
const APART = {
  measured: edit.setMeasured([2], { heightMm: mm(18.5) }),
  higher: edit.setRingHeight([9], mm(17)),
  wall: edit.setWall(mm(7)),
  name: edit.rename('Another cup'),
  finish: edit.setFinish('oil'),
  cut: edit.keepAsMade({ cut: [8], stacked: [] }),
  passport: edit.setPassport({ number: '7' }),
} as const;

describe('edits of two devices', () => {
  test('any two that touch nothing of each other: both are there, whoever came first', () => {
    const all = Object.values(APART);
    fc.assert(
      fc.property(fc.subarray(all, { minLength: 2 }), fc.integer({ min: 1, max: 6 }), (some, at) => {
        const [mine, theirs] = [some.slice(0, at % some.length), some.slice(at % some.length)];
        const [a, b] = [after(cup, ...mine), after(cup, ...theirs)];
        const [one, other] = [both(a, b).change.project, both(b, a).change.project];
        expect(one).toEqual(other);
        // A way that shares nothing with it: one after the other, as if made in one place.
        if (!some.includes(APART.cut)) expect(one).toEqual(after(cup, ...mine, ...theirs));
      }),
      { numRuns: 60 },
    );
  });
  test('rings that came to be cut on two devices, and a ring put on top on a third', () => {
    const mine = after(cup, edit.keepAsMade({ cut: [8], stacked: [] }));
    const theirs = after(cup, edit.keepAsMade({ cut: [9], stacked: [] }), edit.insertRing(14, 'above'));
    const { rings } = both(mine, theirs).change.project;
    expect(rings.flatMap(({ cut }, i) => (cut ? [i] : []))).toEqual([8, 9]);
    expect(rings.length).toBe(cup.rings.length + 1);
  });
  test('the same ring: told which, and whoever prevails does', () => {
    const [mine, theirs] = [
      after(cup, edit.setRingHeight([4], mm(15))),
      after(cup, edit.setRingHeight([4], mm(16))),
    ];
    expect(odds(mine, theirs)).toBe('Both changed ring 5.');
    expect(both(mine, theirs, 'mine').change.project.rings[4]!.heightMm).toBe(15);
    const told = both(mine, theirs, 'theirs');
    expect(told.change.project.rings[4]!.heightMm).toBe(16);
    expect(told.both).toEqual(['ring 5']);
    // Other edits of the one that does not prevail stay.
    const more = after(mine, edit.setWall(mm(7)));
    expect(both(more, theirs, 'theirs').change.project.form.inside).toMatchObject({ walls: [{ wallMm: 7 }] });
  });
  test('a ring that one put in stands behind the one it followed, also where the other moved rings', () => {
    const mine = after(cup, edit.insertRing(5, 'above'));
    const theirs = after(cup, edit.moveRings([12], 9));
    const ids = both(mine, theirs).change.project.rings.map(({ id }) => id);
    const put = mine.rings.find(({ id }) => cup.rings.every((ring) => ring.id !== id))!.id;
    expect(ids[ids.indexOf(put) - 1]).toBe(cup.rings[5]!.id);
    expect(ids.indexOf(cup.rings[12]!.id)).toBeLessThan(ids.indexOf(cup.rings[9]!.id));
    expect(ids.length).toBe(cup.rings.length + 1);
    // Both put the rings in another order: nobody’s is taken unasked.
    expect(odds(after(cup, edit.moveRings([13], 7)), theirs)).toBe('Both changed the rings.');
  });
  test('a ring made in another way by one and set otherwise by the other is at odds as a whole', () => {
    const theirs = after(cup, edit.setCount([10], 12));
    expect(odds(after(cup, edit.startFrom([10], 'spaced')), theirs)).toBe('Both changed ring 11.');
  });
  test('a ring that one took away and the other edited is at odds; taken away by both it is gone', () => {
    const gone = after(cup, edit.removeRings([3]));
    expect(odds(gone, after(cup, edit.setRingHeight([3], mm(15))))).toMatch(/Both changed ring 4/);
    expect(
      both(gone, after(cup, edit.removeRings([3]), edit.rename('Short'))).change.project.rings.length,
    ).toBe(cup.rings.length - 1);
  });
  test('woods painted by one and a ring made otherwise by the other stay a sound piece, or are at odds', () => {
    const mine = after(cup, edit.setCount([10], 12));
    const theirs = after(cup, edit.setPaletteWood(cup.palette[0]!.key, 'black-walnut'));
    expect(both(mine, theirs).change.project.palette[0]!.wood).toBe('black-walnut');
    expect(both(mine, theirs).change.project.rings[10]!.woods.length).toBe(12);
  });
  test('fields in another order, as a server puts them, are nobody’s change', () => {
    const turned = (value: unknown): unknown =>
      Array.isArray(value)
        ? value.map(turned)
        : value !== null && typeof value === 'object'
          ? Object.fromEntries(
              Object.entries(value)
                .reverse()
                .map(([key, each]) => [key, turned(each)]),
            )
          : value;
    const mine = after(cup, APART.wall, edit.setPoint(2, { radiusMm: mm(40) }));
    const theirs = turned(after(cup, APART.name)) as Project;
    const { project } = both(mine, theirs).change;
    expect([project.name, project.form.points[2]!.radiusMm]).toEqual(['Another cup', 40]);
    expect(project).toEqual(after(mine, APART.name));
  });
  test('it is one step to undo: then the piece is as the other left it', () => {
    const [mine, theirs] = [after(cup, APART.wall), after(cup, APART.measured)];
    const edited: Edited = recorded({ project: theirs, history: NO_HISTORY }, both(mine, theirs).change);
    expect(undone(edited).project).toEqual(theirs);
  });
});
