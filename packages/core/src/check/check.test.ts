import { expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { mm } from '../measure/quantity.js';
import { plan } from '../project/plan.js';
import type { Project } from '../project/schema.js';
import { DEFAULT_SHOP, type Shop } from '../settings/shop.js';

const codes = (spoil: (project: Project) => void, shop: Partial<Shop> = {}) => {
  const project = structuredClone(demoProjects()[0]!);
  spoil(project);
  const planned = plan(project, { ...DEFAULT_SHOP, ...shop });
  if (!planned.ok) throw new Error(planned.reasons[0]!.message);
  return planned.value.checks.map(({ code, ring }) => `${code} ${ring === null ? '' : ring + 1}`);
};
const segments = (count: number) => ({
  making: { way: 'flat' as const, count },
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
  ['a shop that wants wide joints', () => {}, { leastOverlapMm: mm(30) }, 'overlap 9'],
  ['short strips', () => {}, { stripLengthMm: mm(120), holdBackMm: mm(90) }, 'segment-longer-than-strip 6'],
])('%s is called out', (_, spoil, shop, expected) => expect(codes(spoil, shop)).toContain(expected));
