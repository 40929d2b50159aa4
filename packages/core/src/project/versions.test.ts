import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { readProjectFile, writeProjectFile } from '../exchange/projectFile.js';
import { plain } from '../measure/said.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import { readProject } from './inspect.js';
import { mirrorImage } from './mirror.js';
import type { Project } from './schema.js';

const demo = (name: string) => demoProjects().find((project) => project.name.includes(name))!;
const stored = (project: unknown) => JSON.parse(JSON.stringify(project));

describe('documents of earlier versions and of this one', () => {
  test.each([4, 5])('a version %i piece comes in as it was', (schema) => {
    const cup = stored(demoProjects()[0]!);
    expect(readProject({ ...cup, schema })).toEqual({ ok: true, value: cup });
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
