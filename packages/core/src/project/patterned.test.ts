import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { startOf } from '../making/registry.js';
import { plain } from '../measure/said.js';
import { MOTIFS, motifOf } from '../pattern/motifs/registry.js';
import { begunMotif, type MotifUse } from '../pattern/motifUse.js';
import { after, change, planned, refusal, rings } from '../testing/pieces.js';
import * as edit from './commands/edits.js';
import { NO_HISTORY, recorded, undone } from './history.js';
import { readProject } from './inspect.js';
import { mirrorImage } from './mirror.js';
import type { Project } from './schema.js';

const cup = demoProjects()[0]!;
const WALL = [6, 7, 8, 9, 10, 11, 12, 13];
const begun = (kind: string): MotifUse => begunMotif(motifOf(kind)!);
const woods = (project: Project) => rings(project).map(({ ring }) => ring.woods);
const laid = (kind: string, over = WALL) => after(cup, edit.layMotif(over, begun(kind)));

describe('a motif over rings', () => {
  test('shows in its woods and leaves what was painted underneath', () => {
    const piece = laid('chequer');
    expect(woods(piece)[6]).toEqual(Array.from({ length: 24 }, (_, i) => woods(piece)[6]![i % 2]!));
    expect(piece.rings[6]!.woods).toEqual(cup.rings[6]!.woods);
    expect(woods(piece)[5]).toEqual(woods(cup)[5]);
    expect(woods(after(piece, edit.removeMotif('m1')))).toEqual(woods(cup));
  });

  test('what is counted and bought is what shows', () => {
    const piece = laid('chequer');
    const counts = new Map<string, number>();
    for (const { wood, count } of planned(piece).rings[6]!.pieces)
      counts.set(wood, (counts.get(wood) ?? 0) + count);
    expect([...counts.values()]).toEqual([12, 12]);
  });

  test.each(MOTIFS.map(({ kind }) => kind))(
    '%s is live: other counts and back again show the same',
    (kind) => {
      const piece = laid(kind);
      const there = after(piece, edit.setCount(WALL, 36), edit.setTurn([7], 0.25));
      expect(woods(there)[6]).toHaveLength(36);
      expect(woods(after(there, edit.setCount(WALL, 24), edit.setTurn([7], cup.rings[7]!.turn)))).toEqual(
        woods(piece),
      );
    },
  );

  test('painting over it makes it painted places, says so, and undo brings it back', () => {
    const piece = laid('spiral');
    const done = change(piece, edit.paint([{ ring: 8, place: 3, key: 'purpleheart' }]));
    expect(plain(done.note ?? '')).toMatch(/^Spiral is painted places now/);
    expect(done.project.motifs).toEqual([]);
    const before = woods(piece);
    woods(done.project).forEach((ring, i) => {
      ring.forEach((wood, place) => {
        expect(wood).toBe(i === 8 && place === 3 ? 'purpleheart' : before[i]![place]);
      });
    });
    const edited = recorded({ project: piece, history: NO_HISTORY }, done);
    expect(undone(edited).project).toEqual(piece);
    expect(woods(after(piece, edit.freezeMotif('m1')))).toEqual(before);
  });

  test('another motif in its place, over other rings; one that lies on none is dropped', () => {
    const piece = after(
      laid('stripes'),
      edit.changeMotif('m1', begun('key')),
      edit.spreadMotif('m1', [9, 10]),
    );
    expect(piece.rings.flatMap(({ motif }, i) => (motif ? [i] : []))).toEqual([9, 10]);
    const over = after(piece, edit.layMotif([9, 10], begun('waves')));
    expect(over.motifs.map(({ use }) => use.kind)).toEqual(['waves']);
  });

  test('rings added on top and between join it; moved rings keep their place in it', () => {
    const piece = laid('gradient');
    const more = after(piece, edit.duplicateRings([9]));
    expect(more.rings.filter(({ motif }) => motif === 'm1')).toHaveLength(WALL.length + 1);
    expect(readProject(JSON.parse(JSON.stringify(more)))).toMatchObject({ ok: true });
  });

  test('slices of one thick ring stay one wood at a place; a stashed ring and spacers are left alone', () => {
    const sliced = after(cup, edit.startFrom([8, 9, 10], 'resawn'));
    const shown = woods(after(sliced, edit.layMotif(WALL, begun('scatter'))));
    expect(shown[9]).toEqual(shown[8]);
    expect(shown[10]).toEqual(shown[8]);
    const lantern = demoProjects()[3]!;
    const spaced = lantern.rings.findIndex(({ making }) => startOf(making) === 'spaced');
    const motif = woods(after(lantern, edit.layMotif([spaced], begun('stripes'))))[spaced]!;
    expect(motif.slice(24)).toEqual(lantern.rings[spaced]!.woods.slice(24));
  });

  test('a tone that no wood has is told, and put right by giving a wood that tone', () => {
    const piece = laid('blocks');
    const checks = (project: Project) => planned(project).checks.map(({ code }) => code);
    expect(checks(piece)).toContain('tone-missing');
    expect(checks(after(piece, edit.setTone('purpleheart', 'middle')))).not.toContain('tone-missing');
    expect(refusal(piece, edit.removePaletteWood('purpleheart'))).toMatch(/is used in ring/);
  });

  test('the mirror image shows it mirrored, as painted places', () => {
    const image = mirrorImage(laid('spiral'), 'Other hand');
    expect(image.motifs).toEqual([]);
    const [here, there] = [woods(laid('spiral'))[6]!, woods(image)[6]!];
    expect(there).toEqual([...here].reverse());
  });

  test('any motifs on any rings leave a sound document that comes back from its file', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...MOTIFS), fc.subarray(WALL, { minLength: 1 })), { maxLength: 4 }),
        (all) => {
          const piece = after(cup, ...all.map(([motif, over]) => edit.layMotif(over, begunMotif(motif))));
          expect(readProject(JSON.parse(JSON.stringify(piece)))).toEqual({ ok: true, value: piece });
          expect(rings(piece).every(({ ring }) => ring.woods.every(Boolean))).toBe(true);
        },
      ),
      { numRuns: 25 },
    );
  });

  test('documents that do not fit together are refused', () => {
    const stray = { ...cup, rings: cup.rings.map((ring) => ({ ...ring, motif: 'm9' })) };
    const read = readProject(stray);
    expect(read.ok ? '' : plain(read.reasons[0]!.message)).toMatch(/names the motif “m9”/);
    const twice = { ...laid('stripes') };
    expect(readProject({ ...twice, motifs: [...twice.motifs, ...twice.motifs] }).ok).toBe(false);
  });
});
