import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { bodyOf } from '../making/registry.js';
import { motifOf } from '../pattern/motifs/registry.js';
import { begunMotif } from '../pattern/motifUse.js';
import { clipOf, readClip } from './clip.js';
import { run } from './commands/command.js';
import * as edit from './commands/edits.js';
import { frozen } from './frozen.js';
import type { Project } from './schema.js';

const demos = demoProjects();
const named = (name: string): Project => demos.find((piece) => piece.name.startsWith(name))!;
const after = (project: Project, command: ReturnType<typeof edit.pasteRings>): Project => {
  const made = run(project, command);
  if (!made.ok) throw new Error(JSON.stringify(made.reasons));
  return made.value.project;
};
/** Species that show on a ring, place by place. */
const speciesOn = (project: Project, index: number): string[] => {
  const wood = new Map(project.palette.map((entry) => [entry.key, entry.wood]));
  return frozen(project)[index]!.woods.map((key) => wood.get(key)!);
};
const cup = named('Fell Race');
const jar = named('Honey');

describe('rings that are copied', () => {
  test.each(demos.map((piece) => [piece.name, piece] as const))(
    '%s: every ring goes through text into another piece, and looks the same there',
    (_, from) => {
      const all = from.rings.map((_, i) => i);
      const clip = readClip(JSON.stringify(clipOf(from, all)));
      if (!clip.ok) throw new Error(JSON.stringify(clip.reasons));
      const into = after(jar, edit.pasteRings(2, clip.value));
      expect(into.rings).toHaveLength(jar.rings.length + from.rings.length);
      expect(new Set(into.rings.map(({ id }) => id)).size).toBe(into.rings.length);
      all.forEach((index) => {
        const pasted = into.rings[3 + index]!;
        expect(speciesOn(into, 3 + index)).toEqual(speciesOn(from, index));
        expect([pasted.heightMm, pasted.turn]).toEqual([
          from.rings[index]!.heightMm,
          from.rings[index]!.turn,
        ]);
        expect([pasted.fixed, pasted.measured, pasted.cut, pasted.motif]).toEqual([
          undefined,
          undefined,
          undefined,
          undefined,
        ]);
      });
      expect(into.rings.slice(0, 3)).toEqual(jar.rings.slice(0, 3));
    },
  );
  test('slices and discs of one glue-up stay together, apart from those that they were copied from', () => {
    const goblet = named('Whirlpool');
    const twice = after(goblet, edit.pasteRings(goblet.rings.length - 1, clipOf(goblet, [2, 3, 4])));
    const bodies = twice.rings.map(({ making }) => bodyOf(making));
    const pasted = new Set(bodies.slice(goblet.rings.length));
    expect(pasted.size).toBe(1);
    expect(bodies.slice(0, goblet.rings.length)).not.toContain([...pasted][0]);
  });
  test('slices of a ring of segments are pasted as slices of another', () => {
    const sliced = after(jar, edit.setAfter([2, 3], 'sliced'));
    const twice = after(sliced, edit.pasteRings(3, clipOf(sliced, [2, 3])));
    const bodies = twice.rings.slice(2, 6).map(({ making }) => bodyOf(making));
    expect(bodies[0]).toBe(bodies[1]);
    expect(bodies[2]).toBe(bodies[3]);
    expect(bodies[0]).not.toBe(bodies[2]);
  });
  test('what is no ring is refused, and changes nothing', () => {
    for (const text of [
      '',
      'a tea-time',
      '{}',
      '[]',
      '{"fellside":"pattern"}',
      '{"fellside":"rings","palette":[],"motifs":[],"rings":[]}',
    ])
      expect(readClip(text).ok, text).toBe(false);
    const clip = clipOf(cup, [3]);
    const odd = { ...clip, rings: [{ ...clip.rings[0]!, heightMm: -4 }] };
    const read = readClip(JSON.stringify(odd));
    expect(read.ok ? [] : read.reasons.map(({ path }) => path)).toEqual(['rings.0.heightMm']);
    const empty = readClip('tea');
    expect(empty.ok ? '' : empty.reasons[0]!.message).toMatch(/no copied rings: select rings/);
  });
});

describe('a look that is copied', () => {
  const use = { ...begunMotif(motifOf('stripes')!), values: { ...begunMotif(motifOf('stripes')!).values } };
  const striped = after(cup, edit.layMotif([5, 6], use));
  test('its motif comes along where its tones mean the same woods', () => {
    const wears = after(striped, edit.pasteLook([8, 9], clipOf(striped, [5, 6])));
    const motif = wears.rings[8]!.motif;
    expect(motif).toBeDefined();
    expect(wears.rings[9]!.motif).toBe(motif);
    expect(wears.motifs.find(({ id }) => id === motif)!.use).toEqual(use);
    expect(wears.rings[8]!.woods).toEqual(striped.rings[8]!.woods);
  });
  test('where they mean other woods it is painted as it showed, stretched round', () => {
    const [dark] = jar.palette.filter(({ tone }) => tone === 'dark');
    const other = {
      ...jar,
      palette: jar.palette.map((entry) => (entry === dark ? { ...entry, wood: 'teak' } : entry)),
    };
    const wears = after(other, edit.pasteLook([4], clipOf(striped, [5])));
    expect(wears.rings[4]!.motif).toBeUndefined();
    const [was, is] = [speciesOn(striped, 5), speciesOn(wears, 4)];
    for (const [i, wood] of is.entries())
      expect(wood).toBe(was[Math.floor(((i + 0.5) * was.length) / is.length)]);
    expect(wears.rings[4]!.making).toEqual(other.rings[4]!.making);
  });
  test('several are taken over and over, from the bottom up', () => {
    const wears = after(cup, edit.pasteLook([7, 5, 6], clipOf(cup, [2, 9])));
    expect([5, 6, 7].map((ring) => new Set(speciesOn(wears, ring)))).toEqual(
      [2, 9, 2].map((ring) => new Set(speciesOn(cup, ring))),
    );
  });
});
