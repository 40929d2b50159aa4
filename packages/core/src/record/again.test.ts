import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { setPassport } from '../project/commands/passportCommands.js';
import { setMeasured } from '../project/commands/ringCommands.js';
import type { Project } from '../project/schema.js';
import { after, planned } from '../testing/pieces.js';
import { madeAgain, manyOf, type Once } from './again.js';

const cup = demoProjects()[0]!;
const as = (project: Project, some: Partial<Once> = {}): Once => {
  const { heightMm, diameterMm } = planned(project);
  return {
    name: 'Again',
    heightMm,
    diameterMm,
    walls: 'kept',
    rings: 'kept',
    woods: {},
    mirrored: false,
    ...some,
  };
};
const again = (project: Project, some: Partial<Once> = {}) => {
  const made = madeAgain(project, as(project, some));
  if (!made.ok) throw new Error(plain(made.reasons[0]!.message));
  return made.value;
};

describe('made again', () => {
  test.each(demoProjects().map((project) => [project.name, project] as const))(
    '%s as it is: the same pieces and wood',
    (_, project) => {
      const [was, is] = [planned(project), planned(again(project))];
      expect([is.pieces, is.rings.length, is.heightMm]).toEqual([was.pieces, was.rings.length, was.heightMm]);
      expect(is.woodMm3 / was.woodMm3).toBeCloseTo(1, 6);
    },
  );
  test('twice as large in all with everything scaled: eight times the wood, the same pieces', () => {
    const { heightMm, diameterMm } = planned(cup);
    const large = planned(
      again(cup, {
        heightMm: mm(2 * heightMm),
        diameterMm: mm(2 * diameterMm),
        walls: 'scaled',
        rings: 'scaled',
      }),
    );
    expect(large.woodMm3 / planned(cup).woodMm3).toBeCloseTo(8, 1);
    expect(large.pieces).toBe(planned(cup).pieces);
    expect(large.diameterMm).toBeCloseTo(2 * diameterMm, 6);
  });
  test('rings that keep their boards: more of them; the wall stays, only the height grows', () => {
    const { heightMm, diameterMm } = planned(cup);
    const tall = again(cup, { heightMm: mm(heightMm + 40) });
    expect(tall.rings.length).toBeGreaterThan(cup.rings.length);
    expect(tall.rings[3]!.heightMm).toBe(cup.rings[3]!.heightMm);
    expect(planned(tall).diameterMm).toBeCloseTo(diameterMm, 9);
    if (tall.form.inside.by !== 'wall' || cup.form.inside.by !== 'wall') throw new Error('wall');
    expect(tall.form.inside.walls.map(({ wallMm }) => wallMm)).toEqual(
      cup.form.inside.walls.map(({ wallMm }) => wallMm),
    );
    expect(tall.form.inside.floorMm).toBe(cup.form.inside.floorMm);
  });
  test('in other woods, without what was measured or told of the old one, its maker kept', () => {
    const old = after(
      cup,
      setMeasured([4], { heightMm: mm(cup.rings[4]!.heightMm + 1) }),
      setPassport({ maker: 'M. Tarn', number: '9', hours: 40 }),
    );
    const key = cup.palette[0]!.key;
    const made = again(old, {
      woods: { [key]: 'white-ash' },
      mirrored: true,
      heightMm: planned(cup).heightMm,
    });
    expect(made.palette.find((entry) => entry.key === key)!.wood).toBe('white-ash');
    expect(made.rings.some(({ measured }) => measured)).toBe(false);
    expect(made.passport).toEqual({ maker: 'M. Tarn', number: '', made: '', note: '' });
    expect(made.name).toBe('Again');
  });
  test('what cannot be is told and nothing comes of it', () => {
    const tiny = madeAgain(cup, as(cup, { diameterMm: mm(4) }));
    expect(tiny.ok).toBe(false);
    const negative = madeAgain(cup, as(cup, { diameterMm: mm(-4) }));
    expect(negative.ok ? '' : plain(negative.reasons[0]!.message)).toContain('more than');
  });
});

test('so many of a piece: each with a name and number of its own; one of it is the piece itself', () => {
  const [first, second] = manyOf(cup, 2);
  expect([first!.passport?.number, second!.passport?.number]).toEqual(['1 of 2', '2 of 2']);
  expect(first!.name).not.toBe(second!.name);
  expect(first!.rings).toEqual(cup.rings);
  expect(manyOf(cup, 1)).toEqual([cup]);
  expect(manyOf({ ...cup, name: 'n'.repeat(80) }, 24).every(({ name }) => name.length <= 80)).toBe(true);
});
