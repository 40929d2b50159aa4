import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { readProjectFile, writeProjectFile } from '../exchange/projectFile.js';
import { makingSchema } from '../making/registry.js';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import { run } from './commands/command.js';
import * as edit from './commands/edits.js';
import { fourAnswers } from './fourAnswers.js';
import { readProject } from './inspect.js';
import { mirrorImage } from './mirror.js';
import { radiiByName } from './radiiByName.js';
import type { Project } from './schema.js';
import { keptUpToDate, upgradedSteps } from './upgrade.js';

/** How each ring of the show was made, and which of these every ring is. */
const VERSION_10: Readonly<
  Record<string, { readonly makings: readonly unknown[]; readonly rings: readonly number[] }>
> = JSON.parse(readFileSync(new URL('../testing/version10.json', import.meta.url), 'utf8'));

const demo = (name: string) => demoProjects().find((project) => project.name.includes(name))!;
const stored = (project: unknown) => JSON.parse(JSON.stringify(project));

describe('documents of earlier versions and of this one', () => {
  test.each([4, 5])('a version %i piece comes in as it was', (schema) => {
    const cup = stored(demoProjects()[0]!);
    expect(readProject({ ...cup, schema })).toEqual({ ok: true, value: cup });
  });
  test('a version 7 piece comes in with its radii called radii, and so do the steps to undo them', () => {
    const size = { outerRadiusMm: mm(60), innerRadiusMm: mm(40) };
    const change = run(demoProjects()[0]!, edit.setFixed([2], size));
    if (!change.ok) throw new Error(plain(change.reasons[0]!.message));
    const { project, patches, inverse } = change.value;
    const older = (kept: unknown) =>
      JSON.parse(
        JSON.stringify(kept)
          .replace(/outerRadiusMm/g, 'outerMm')
          .replace(/innerRadiusMm/g, 'innerMm'),
      );
    const further = { path: ['rings', 2, 'fixed', 'outerRadiusMm'], op: 'replace', value: 61 };
    const steps = [...patches, further, ...inverse];
    expect(JSON.stringify(older(steps))).not.toContain('RadiusMm');
    expect(readProject({ ...older(project), schema: 7 })).toEqual({ ok: true, value: stored(project) });
    expect(readProject(older(project)).ok).toBe(false);
    expect(upgradedSteps(older(steps), 7)).toEqual(stored(steps));
    expect(upgradedSteps(older(steps), 1)).toBeNull();
    expect(radiiByName({ woods: ['outerMm'], path: 'outerMm' })).toEqual({
      woods: ['outerMm'],
      path: 'outerMm',
    });
  });
  test('a version 9 piece comes in with its layers as a list, and so do rings of the stash and steps to undo', () => {
    const lantern = stored(demo('Lantern'));
    const older = (kept: unknown) =>
      JSON.parse(
        JSON.stringify(kept).replace(
          /"way":"segmented","count":(\d+),"sawnFrom":\{"is":"layers","laid":"outside-in","layersMm":\[([\d.]+)\]\}/g,
          '"way":"layered","count":$1,"outerLayerMm":$2',
        ),
      );
    expect(JSON.stringify(older(lantern))).toContain('outerLayerMm');
    expect(readProject({ ...older(lantern), schema: 9 })).toEqual({ ok: true, value: lantern });
    expect(readProject(older(lantern)).ok).toBe(false);
    expect(keptUpToDate(older(lantern).rings)).toEqual(lantern.rings);
    // A step that puts a ring's parameters whole still fits; one that leads into them does not.
    const into = { path: ['rings', 8, 'making', 'outerLayerMm'], op: 'replace', value: 6 };
    expect(upgradedSteps([into], 9)).toBeNull();
    const put = { path: ['rings', 8, 'making'], op: 'replace', value: lantern.rings[8]!.making };
    expect(upgradedSteps(older([put]), 9)).toEqual([put]);
  });
  // Made by version 10: every ring of the show as its files had it then.
  const kept = demoProjects().filter(({ name }) => name in VERSION_10);
  test.each(kept.map((project) => [project.name, project] as const))(
    'the rings of %s as version 10 kept them are what they are now',
    (name, project) => {
      const { makings, rings } = VERSION_10[name]!;
      expect(rings.map((which) => fourAnswers(makings[which]))).toEqual(
        stored(project.rings.map(({ making }) => making)),
      );
    },
  );
  test.each([
    [
      { way: 'flat', count: 12, parts: [2, 1] },
      { count: 12, parts: [2, 1] },
    ],
    [
      { way: 'grain', count: 8, match: { by: 'run' } },
      { count: 8, inOrder: true },
    ],
    [
      { way: 'grain', count: 8, match: { by: 'book', kerfMm: 2, cleanUpMm: 1 } },
      { count: 8, after: { done: 'opened', kerfMm: 2, cleanUpMm: 1 } },
    ],
    [
      {
        way: 'resawn',
        count: 8,
        from: 't',
        kerfMm: 2,
        cleanUpMm: 1,
        spacers: { at: 'every', thicknessMm: 3 },
      },
      {
        count: 8,
        between: { put: 'spacers', spacers: { at: 'every', thicknessMm: 3 } },
        after: { done: 'sliced', from: 't', kerfMm: 2, cleanUpMm: 1 },
      },
    ],
    [
      {
        way: 'spaced',
        count: 8,
        spacers: { at: 'every', thicknessMm: 3 },
        plug: { diameterMm: 20, drillMm: 20 },
      },
      {
        count: 8,
        between: { put: 'spacers', spacers: { at: 'every', thicknessMm: 3 } },
        plug: { diameterMm: 20, drillMm: 20 },
      },
    ],
    [
      { way: 'staved', count: 9, leanDeg: -4 },
      { count: 9, staves: { leanDeg: -4 } },
    ],
    [
      { way: 'pie', count: 8, plug: { diameterMm: 20, drillMm: 20 } },
      { count: 8, toCentre: true, plug: { diameterMm: 20, drillMm: 20 } },
    ],
    [
      { way: 'pie', count: 8 },
      { count: 8, toCentre: true },
    ],
    [
      {
        way: 'halves',
        halves: [
          { count: 5, spacerMm: 2 },
          { count: 7, spacerMm: 0 },
        ],
        divider: { leftMm: 3, sawn: true, kerfMm: 2 },
      },
      {
        count: 12,
        inHalves: { first: 5, spacersMm: [2, 0], divider: { leftMm: 3, sawn: true, kerfMm: 2 } },
      },
    ],
  ] as const)('a ring of version 10 or 11, %j', (old, now) => {
    const upgraded = fourAnswers(old);
    expect(upgraded).toEqual({ way: 'segmented', ...now });
    expect(makingSchema.safeParse(upgraded).success).toBe(true);
  });
  test.each([
    [
      { way: 'medallion', floor: { figure: 'star', points: 7, lit: 'clockwise' }, borderMm: 9 },
      { is: 'star', points: 7, lit: 'clockwise', borderMm: 9 },
    ],
    [
      { way: 'medallion', floor: { figure: 'cabin', rounds: 3, heart: 0.2, laid: 'left' }, borderMm: 0 },
      { is: 'cabin', rounds: 3, heart: 0.2, laid: 'left' },
    ],
  ] as const)('a floor of version 12, %j', (old, sawnFrom) => {
    expect(fourAnswers(old)).toEqual({ way: 'disc', sawnFrom });
    expect(makingSchema.safeParse(fourAnswers(old)).success).toBe(true);
  });
  test('a basket of version 12 is the same ring of leaning segments with spacers', () => {
    expect(fourAnswers({ way: 'basket', count: 14, waferMm: 3, leanDeg: 20, hand: 'left' })).toEqual({
      way: 'segmented',
      count: 14,
      lean: { tiltDeg: 20, hand: 'left', cut: 'same-edge' },
      between: { put: 'spacers', spacers: { at: 'every', thicknessMm: 3 } },
      woven: true,
    });
  });
  test('a version 12 dish comes in with its steps, but for those that led into its floor', () => {
    const dish = stored(demoProjects().find(({ name }) => name.includes('Star'))!) as Project;
    const older = JSON.parse(
      JSON.stringify({ ...dish, schema: 12 }).replace(
        /"way":"disc","sawnFrom":\{"is":"star","points":(\d+),"lit":"clockwise","borderMm":(\d+)\}/,
        '"way":"medallion","floor":{"figure":"star","points":$1,"lit":"clockwise"},"borderMm":$2',
      ),
    );
    expect(JSON.stringify(older)).toContain('medallion');
    expect(readProject(older)).toEqual({ ok: true, value: dish });
    expect(readProject({ ...older, schema: 14 }).ok).toBe(false);
    for (const field of ['floor', 'borderMm', 'waferMm', 'leanDeg', 'hand'])
      expect(
        upgradedSteps([{ path: ['rings', 0, 'making', field], op: 'replace', value: 3 }], 12),
      ).toBeNull();
    const whole = [{ path: ['rings', 0, 'making'], op: 'replace', value: older.rings[0].making }];
    expect(upgradedSteps(whole, 12)).toEqual([{ ...whole[0], value: dish.rings[0]!.making }]);
  });
  test('a version 13 goblet of twisted slices comes in with its steps, but for those that led into its board', () => {
    const goblet = stored(demo('Goblet')) as Project;
    const board = { longestMm: 900, boardMm: 44, kerfMm: 1.6, cleanUpMm: 0, pinMm: 6 };
    const { longestMm, ...lost } = board;
    const older = {
      ...goblet,
      schema: 13,
      rings: goblet.rings.map((ring, i) => ({
        ...ring,
        making: {
          way: 'twisted',
          stripsMm: [60, 9, 60],
          from: `section-${i % 2}`,
          ...(i % 2 === 0 ? board : lost),
        },
        woods: ring.woods.slice(0, 3),
      })),
    };
    const sawn = (i: number) => ({ done: 'sliced', from: `section-${i % 2}`, ...lost });
    const wanted = goblet.rings.map((ring, i) => ({
      ...ring,
      making: {
        way: 'disc',
        sawnFrom: { is: 'strips', stripsMm: [60, 9, 60], ...(i % 2 === 0 && { longestMm }) },
        after: sawn(i),
      },
      woods: ring.woods.slice(0, 3),
    }));
    expect(readProject(older)).toEqual({ ok: true, value: { ...goblet, rings: wanted } });
    expect(readProject({ ...older, schema: 14 }).ok).toBe(false);
    for (const field of ['stripsMm', 'from', 'boardMm', 'kerfMm', 'cleanUpMm', 'longestMm', 'pinMm'])
      expect(
        upgradedSteps([{ path: ['rings', 0, 'making', field], op: 'replace', value: 3 }], 13),
      ).toBeNull();
    const whole = [{ path: ['rings', 0, 'making'], op: 'replace', value: older.rings[0]!.making }];
    expect(upgradedSteps(whole, 13)).toEqual([{ ...whole[0], value: wanted[0]!.making }]);
    const slices = [{ path: ['rings', 0, 'making', 'after', 'kerfMm'], op: 'replace', value: 3 }];
    expect(upgradedSteps(slices, 13)).toEqual(slices);
  });
  test('a version 11 piece of staves comes in with its steps, but for those that led to where they lean', () => {
    const cup = stored(demoProjects()[0]!) as Project;
    const staved = run(cup, edit.startFrom([6], 'staved'));
    if (!staved.ok) throw new Error(plain(staved.reasons[0]!.message));
    const { project, patches, inverse } = staved.value;
    const older = (kept: unknown) =>
      JSON.parse(
        JSON.stringify(kept).replace(
          /"way":"segmented","count":(\d+),"staves":\{("leanDeg":0)\}/g,
          '"way":"staved","count":$1,$2',
        ),
      );
    expect(JSON.stringify(older(project))).toContain('"staved"');
    expect(readProject({ ...older(project), schema: 11 })).toEqual({ ok: true, value: stored(project) });
    expect(readProject(older(project)).ok).toBe(false);
    expect(upgradedSteps(older([...patches, ...inverse]), 11)).toEqual(stored([...patches, ...inverse]));
    for (const field of ['leanDeg', 'halves', 'divider'])
      expect(
        upgradedSteps([{ path: ['rings', 6, 'making', field], op: 'replace', value: 3 }], 11),
      ).toBeNull();
    const other = [{ path: ['rings', 6, 'making', 'count'], op: 'replace', value: 9 }];
    expect(upgradedSteps(other, 11)).toEqual(other);
  });
  test.each(demoProjects().map((project) => [project.name, project] as const))(
    '%s goes out as a file and comes back',
    (_, project) => {
      const read = readProjectFile(writeProjectFile(project, SHIPPED_WOODS));
      if (!read.ok) throw new Error(plain(read.reasons[0]!.message));
      expect(read.value.project).toEqual(stored(project));
    },
  );
  test('slices of a section that differ are refused, and so is a layer of two woods', () => {
    const goblet = stored(demo('Goblet')) as Project;
    goblet.rings[1]!.woods[3] = 'wenge';
    const slices = readProject(goblet);
    expect(slices.ok ? '' : plain(slices.reasons[0]!.message)).toMatch(
      /Ring 2 is a slice of the same thick ring as ring 1/,
    );
    const vase = stored(demo('Drystone')) as Project;
    vase.rings[4]!.woods[0] = 'padauk';
    const layer = readProject(vase);
    expect(layer.ok ? '' : plain(layer.reasons[0]!.message)).toMatch(/sawn from one piece and need one wood/);
  });
  test('unknown fields and blanks of the wrong number of woods are refused', () => {
    const globe = stored(demo('Globe')) as Project;
    const odd = readProject({ ...globe, blanks: [{ ...globe.blanks![0]!, woods: ['sugar-maple'] }] });
    expect(odd.ok ? '' : plain(odd.reasons[0]!.message)).toBe(
      'Blank 1 has 40 places and 1 woods; it needs one for each.',
    );
    expect(readProject({ ...globe, blanks: [{ ...globe.blanks![0]!, shape: 'egg' }] }).ok).toBe(false);
  });
  test('the mirror image of every piece of the show is a sound piece', () => {
    for (const project of demoProjects()) {
      const image = mirrorImage(project, 'Image');
      expect(readProject(stored(image)).ok, project.name).toBe(true);
    }
  });
});
