import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { plain } from '../measure/said.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { after, planned } from '../testing/pieces.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import { difference } from '../wood/colour.js';
import { ageingChecks } from './ageingChecks.js';
import { remedyOf } from './commands/remedies.js';
import { prepare } from './prepare.js';
import type { Project } from './schema.js';
import { staysApart, woodInstead } from './woodInstead.js';

const noted = (project: Project, shop = DEFAULT_SHOP) => {
  const prepared = prepare(project);
  if (!prepared.ok) throw new Error('prepare');
  return ageingChecks(project, prepared.value, planned(project), SHIPPED_WOODS, shop);
};
const codes = (project: Project) => noted(project).map(({ code }) => code);
const demo = (name: string) => demoProjects().find((each) => each.name.startsWith(name))!;

describe('what years and air do, to note', () => {
  test('every remedy on every demo piece leaves a piece that is sound and has one note less of its kind', () => {
    let tried = 0;
    for (const project of demoProjects())
      for (const check of noted(project))
        for (const remedy of check.remedies) {
          const mended = after(project, remedyOf(remedy));
          const same = (each: { code: string; message: unknown }) =>
            each.code === check.code && plain(each.message as never) === plain(check.message);
          expect(noted(mended).some(same), `${project.name}: ${plain(check.message)}`).toBe(false);
          tried++;
        }
    expect(tried).toBeGreaterThan(12);
  });
  test('a disc is told by the ring it moves against; in a room whose air stays as it is, nothing is', () => {
    const [first] = noted(demo('Fell Race Cup'));
    expect(first!.code).toBe('moves');
    expect(plain(first!.message)).toMatch(/disc of ring 5 moves 0\.66 mm on a side against ring 6/);
    const { workshop } = DEFAULT_SHOP;
    const still = { boardsPercent: 9.2, dryHumidity: 50, dampHumidity: 50, celsius: 21 };
    const shop = { ...DEFAULT_SHOP, workshop: { ...workshop, climate: still } };
    expect(noted(demo('Fell Race Cup'), shop).filter(({ code }) => code === 'moves')).toEqual([]);
  });
  test('woods that bleed: sprayed, they are told and there is nothing more to be done', () => {
    const cup = demo('Fell Race Cup');
    expect(codes(cup)).toContain('woods-bleed');
    const [oiled, sprayed] = (['oil', 'lacquer'] as const).map((finish) =>
      noted({ ...cup, finish }).find(({ code }) => code === 'woods-bleed'),
    );
    expect(oiled!.remedies).toEqual([{ does: 'finish', finish: 'lacquer' }]);
    expect(sprayed!.remedies).toEqual([]);
  });
});

test('a wood instead looks most like the old one, and stays apart from all that touch it', () => {
  const of = (id: string) => SHIPPED_WOODS.find((wood) => wood.id === id)!;
  const [maple, walnut] = [of('sugar-maple'), of('black-walnut')];
  expect(staysApart(maple, walnut)).toBe(true);
  expect(staysApart(maple, maple)).toBe(false);
  const instead = woodInstead(maple, [walnut], SHIPPED_WOODS)!;
  expect(staysApart(instead, walnut)).toBe(true);
  // Nothing that would do as well looks more like it; woods that bleed are left out, also where one looks most like the old one.
  for (const wood of SHIPPED_WOODS) {
    const found = woodInstead(wood, [maple], SHIPPED_WOODS);
    if (!found) continue;
    expect(found.bleeds).toBeFalsy();
    const nearer = SHIPPED_WOODS.filter(
      (other) =>
        other !== wood &&
        other !== maple &&
        !other.bleeds &&
        staysApart(other, maple) &&
        difference(other.colour, wood.colour) < difference(found.colour, wood.colour),
    );
    expect(nearer).toEqual([]);
  }
  const padauk = of('padauk');
  expect(woodInstead(padauk, [], [...SHIPPED_WOODS, { ...padauk, id: 'twin' }])!.id).not.toBe('twin');
  expect(woodInstead(maple, SHIPPED_WOODS, SHIPPED_WOODS)).toBeNull();
});
