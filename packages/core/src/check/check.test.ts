import { expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { run } from '../project/commands/command.js';
import { remedyOf } from '../project/commands/remedies.js';
import { plan } from '../project/plan.js';
import type { Project } from '../project/schema.js';
import { sameOwner } from '../ring/owner.js';
import { DEFAULT_SHOP, type Shop } from '../settings/shop.js';
import { spotted } from '../testing/pieces.js';

const codes = (spoil: (project: Project) => void, shop: Partial<Shop> = {}) => {
  const project = structuredClone(demoProjects()[0]!);
  spoil(project);
  const planned = plan(project, { ...DEFAULT_SHOP, ...shop });
  if (!planned.ok) throw new Error(plain(planned.reasons[0]!.message));
  return spotted(planned.value);
};
const segments = (count: number) => ({
  making: { way: 'segmented' as const, count },
  woods: Array(count).fill('sugar-maple'),
});

test.each<[string, (project: Project) => void, Partial<Shop>, string]>([
  ['a ring of very many segments', (p) => Object.assign(p.rings[8]!, segments(100)), {}, 'short-segment 9'],
  ['segments whose points meet', (p) => Object.assign(p.rings[1]!, segments(12)), {}, 'meeting-points 2'],
  [
    'a disc where the form is hollow',
    (p) => Object.assign(p.rings[9]!, { making: { way: 'disc' }, woods: ['sugar-maple'] }),
    {},
    'hollow-disc 10',
  ],
  [
    'a thick ring',
    (p) => {
      p.rings[14]!.heightMm = mm(120);
    },
    {},
    'too-thick 15',
  ],
  ['a small lathe', () => {}, { swingRadiusMm: mm(80) }, 'swing 12'],
  ['a low bed', () => {}, { bedDistanceMm: mm(80) }, 'bed 12'],
  ['small jaws', () => {}, { jawMostMm: mm(60) }, 'jaws 1'],
  ['tools that do not reach', () => {}, { reachMm: mm(100) }, 'reach'],
  ['a wall thinner than the shop dares', () => {}, { leastWallMm: mm(8) }, 'thin-wall 5'],
  [
    'a ring that runs across the lid line',
    (p) => {
      p.form.lid = { heightMm: mm(205), roofMm: mm(6) };
    },
    {},
    'lid-across 12',
  ],
  [
    'a ring that stays as it is while the form grows',
    (p) => {
      p.rings[9]!.fixed = { outerRadiusMm: mm(70), innerRadiusMm: mm(60) };
    },
    {},
    'too-narrow 10',
  ],
  [
    'a ring that was measured too small',
    (p) => {
      p.rings[9]!.measured = { diameterMm: mm(130) };
    },
    {},
    'too-narrow 10',
  ],
  [
    'rings measured thin, so that the stack ends below the lip',
    (p) => {
      for (const ring of p.rings) ring.measured = { heightMm: mm(ring.heightMm - 0.5) };
    },
    {},
    'stack-short 15',
  ],
  [
    'a ring above the form',
    (p) => {
      p.rings.push({ ...p.rings[0]!, id: 'x' }, { ...p.rings[0]!, id: 'y' });
    },
    {},
    'ring-above-form 16 17',
  ],
  ['a shop that wants wide joints', () => {}, { leastOverlapMm: mm(30) }, 'overlap 9'],
])('%s is called out', (_, spoil, shop, expected) => expect(codes(spoil, shop)).toContain(expected));

test('every remedy of every check above is an edit that can be made and that puts the check right', () => {
  const spoilt: ((project: Project) => void)[] = [
    (p) => Object.assign(p.rings[8]!, segments(100)),
    (p) => Object.assign(p.rings[1]!, segments(12)),
    (p) => Object.assign(p.rings[9]!, { making: { way: 'disc' }, woods: ['sugar-maple'] }),
    (p) => Object.assign(p.form, { lid: { heightMm: mm(205), roofMm: mm(6) } }),
    (p) => Object.assign(p.rings[9]!, { fixed: { outerRadiusMm: mm(70), innerRadiusMm: mm(60) } }),
    (p) => Object.assign(p.rings[9]!, { measured: { diameterMm: mm(130) } }),
    (p) => void p.rings.pop(),
    (p) => void p.rings.push({ ...p.rings[0]!, id: 'x' }, { ...p.rings[0]!, id: 'y' }),
  ];
  let pressed = 0;
  for (const spoil of spoilt) {
    const project = structuredClone(demoProjects()[0]!);
    spoil(project);
    const planned = plan(project, DEFAULT_SHOP);
    if (!planned.ok) throw new Error(plain(planned.reasons[0]!.message));
    for (const { code, owners, remedies } of planned.value.checks)
      for (const remedy of remedies) {
        const change = run(project, remedyOf(remedy));
        if (!change.ok) throw new Error(plain(change.reasons[0]!.message));
        const after = plan(change.value.project, DEFAULT_SHOP);
        expect(
          after.ok &&
            after.value.checks.filter(
              (c) =>
                c.code === code && c.owners.some((owner) => owners.some((mine) => sameOwner(owner, mine))),
            ),
        ).toEqual([]);
        pressed++;
      }
  }
  expect(pressed).toBeGreaterThanOrEqual(10);
});
