import { describe, expect, test } from 'vitest';
import { demoProjects, demoStash } from '../../demo/index.js';
import { mm } from '../../measure/quantity.js';
import { after, change, placeIn, planned, refusal, rings } from '../../testing/pieces.js';
import { NO_HISTORY, recorded, undone } from '../history.js';
import type { Project } from '../schema.js';
import { stashedRingSchema } from '../stash.js';
import * as edit from './edits.js';

const [cup, , , lantern] = demoProjects() as [Project, Project, Project, Project];
test('the rings of the demo’s stash can be made, and taken into a piece', () => {
  for (const entry of demoStash()) {
    expect(stashedRingSchema.safeParse(entry).error).toBeUndefined();
    const piece = after(lantern, edit.useStashed(3, { ...entry, item: 'demo' }));
    expect(rings(piece)[3]!.made.ok).toBe(true);
  }
});

describe('a ring from the stash', () => {
  const [segment] = planned(cup).rings.slice(8);
  const stashed = edit.asStashed(cup, 8, segment!.gives!, 'item-1', 'Spare ring')!;

  test('brings its size, height and woods; palette swaps pass it by; undo takes it out again', () => {
    const { project } = change(lantern, edit.useStashed(3, stashed));
    const ring = rings(project)[3]!;
    expect(ring.made.ok && ring.made.value.gives).toEqual({
      outerRadiusMm: segment!.gives!.outerRadiusMm,
      innerRadiusMm: expect.closeTo(segment!.gives!.innerRadiusMm, 6),
    });
    expect(project.rings[3]!.heightMm).toBe(cup.rings[8]!.heightMm);
    expect(project.palette.map(({ wood }) => wood)).toContain('purpleheart');
    const swapped = after(project, edit.setPaletteWood('sugar-maple', 'white-ash'));
    const species = new Map(swapped.palette.map(({ key, wood }) => [key, wood]));
    expect(swapped.rings[3]!.woods.map((key) => species.get(key))).toEqual(stashed.species);
    const edited = recorded(
      { project: lantern, history: NO_HISTORY },
      change(lantern, edit.useStashed(3, stashed)),
    );
    expect(undone(edited).project).toEqual(lantern);
  });

  test('a slice goes in by itself, as flat segments', () => {
    const sliced = after(
      cup,
      edit.setParams([8], 'segmented', { parts: [2, 1] }),
      edit.startFrom([8, 9], 'resawn'),
    );
    const slice = edit.asStashed(sliced, 9, segment!.gives!, 'new', 'Slice')!;
    expect(slice.of).toEqual({ way: 'segmented', count: 24, parts: [2, 1] });
    const { item: _, ...entry } = slice;
    expect(stashedRingSchema.safeParse(entry).success).toBe(true);
    const linked = { ...entry, of: sliced.rings[9]!.making };
    expect(stashedRingSchema.safeParse(linked).error?.issues[0]?.message).toMatch(/has left its thick ring/);
  });

  test('a copy of it is made anew: inserted, duplicated, or added when the form grows', () => {
    const project = after(lantern, edit.useStashed(13, stashed));
    for (const command of [
      edit.insertRing(13, 'above'),
      edit.duplicateRings([13]),
      edit.setFormHeight(mm(240)),
    ])
      expect(after(project, command).rings.at(-1)!.making).toEqual(stashed.of);
  });

  test('cannot be painted over, used twice or split; nothing is cut or bought for it', () => {
    const project = after(lantern, edit.useStashed(3, stashed));
    expect(refusal(project, edit.setWood([3], 'black-walnut'))).toMatch(
      /“Spare ring” from the stash; its woods are what they are/,
    );
    expect(refusal(project, edit.useStashed(1, stashed))).toMatch(/is ring 2 already; there is only one/);
    const used = planned(project);
    const stash = used.lumber.woods.reduce((sum, { stashMm3 }) => sum + stashMm3, 0);
    expect(stash).toBeGreaterThan(0);
    expect(
      used.lumber.strips.some(({ cuts }) => cuts.some(({ owner }) => placeIn(project)(owner) === 3)),
    ).toBe(false);
    expect(edit.asStashed(project, 3, segment!.gives!, 'x', 'x')).toBeNull();
  });
});
