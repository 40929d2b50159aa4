import { describe, expect, test } from 'vitest';
import { demoProjects } from '../../demo/index.js';
import { plain } from '../../measure/said.js';
import { atTheLathe } from '../../project/atTheLathe.js';
import { workOf } from '../../project/ordered.js';
import { prepare } from '../../project/prepare.js';
import { rippingOf } from '../../project/ripping.js';
import type { Project } from '../../project/schema.js';
import { DEFAULT_SHOP } from '../../settings/shop.js';
import { SHIPPED_WOODS } from '../../wood/catalogue.js';
import { stiffnessOf } from '../stiffness.js';
import { hangs } from './assembly.js';
import { stageId } from './job.js';
import type { Schools } from './schools.js';
import { stageView } from './stageView.js';

const shown = demoProjects();
const named = (name: string): Project => shown.find((piece) => piece.name.includes(name))!;
function worked(piece: Project, schools: Schools = {}) {
  const project = { ...piece, schools };
  const [order, prepared] = [
    workOf(project, DEFAULT_SHOP, SHIPPED_WOODS),
    prepare(project, rippingOf(DEFAULT_SHOP)),
  ];
  if (!order.ok || !prepared.ok) throw new Error('not worked');
  return { order: order.value, prepared: prepared.value };
}

describe.each([
  ['Best Fleece Bowl', 'ring-by-ring'],
  ['Drystone Wall Vase', 'ring-by-ring'],
  ['Drystone Wall Vase', 'halves'],
  ['Whirlpool Goblet', 'batches'],
] as const)('how %s gives while it is built, %s', (name, stacking) => {
  const piece = named(name);
  const { order, prepared } = worked(piece, { stacking });
  const { densities } = atTheLathe(prepared, piece, SHIPPED_WOODS, DEFAULT_SHOP);
  test('is the sum over ten thousand slices of the rings as they are glued up, hollow where they have been hollowed', () => {
    const { heightMm } = prepared.vessel;
    for (const section of order.assembly.sections)
      section.stages.forEach((stage, at) => {
        if (stage.hollow.length === 0) return;
        const view = stageView(order, stageId(section.id, at), DEFAULT_SHOP, heightMm)!;
        const early = view.rings.length - stage.rings.length;
        const top = view.flex.at(-1)!;
        const toolMm = section.topsMm[view.rings.length - 1]!;
        expect(top.atMm).toBeCloseTo(hangs(section) ? heightMm - toolMm : toolMm, 9);
        const slices = 10_000;
        const step = toolMm / slices;
        let [solid, hollowed] = [0, 0];
        for (let i = 0; i < slices; i++) {
          const z = (i + 0.5) * step;
          const k = section.topsMm.findIndex((above) => z < above);
          const { made, need } = prepared.rings[section.rings[k]!]!;
          const { outerRadiusMm: R, innerRadiusMm: r } = made.ok ? made.value.gives : need;
          const hole = z > section.cavity.fromMm ? Math.max(r, section.cavity.at(z) ?? 0) : r;
          const bent = (inner: number) =>
            ((toolMm - z) ** 2 * step) /
            (stiffnessOf(densities[section.rings[k]!]!) * (Math.PI / 4) * (R ** 4 - inner ** 4));
          solid += bent(k < early ? hole : r);
          hollowed += bent(hole);
        }
        expect(top.solid / solid).toBeCloseTo(1, 2);
        expect(top.hollowed / hollowed).toBeCloseTo(1, 2);
        expect(top.hollowed).toBeGreaterThanOrEqual(top.solid);
      });
  });
});

test('every stage at the lathe is held, with how it is let go; the upper half hangs from its rim', () => {
  for (const stacking of ['ring-by-ring', 'halves', 'rod'] as const) {
    const { order, prepared } = worked(named('Drystone Wall Vase'), { stacking });
    for (const { id } of order.stages) {
      const lathe = order.jobs.some(({ stage, tool }) => stage === id && tool === 'lathe');
      const view = stageView(order, id, DEFAULT_SHOP, prepared.vessel.heightMm);
      if (lathe) expect(view, id).not.toBeNull();
      if (!view) continue;
      expect(plain(view.hold.letGo)).not.toBe('');
      expect(view.hold.face).toBe(id === 'foot' || id.startsWith('upper') ? 'rim' : 'foot');
      const { jaws, acrossMm, by } = view.hold;
      if (by === 'tenon') expect(acrossMm).toBeLessThanOrEqual(jaws!.mostMm);
    }
    const hollowed = order.assembly.sections[0]!.stages.findIndex(({ hollow }) => hollow.length > 0);
    if (stacking === 'rod')
      expect(order.holds.get('body-1')).toMatchObject({ by: 'rod', tailstock: { up: true } });
    else expect(order.holds.get(stageId(order.assembly.sections[0]!.id, hollowed))!.tailstock.up).toBe(false);
    expect(order.holds.get('outside')!.tailstock.up).toBe(true);
  }
});

test('what is slender is turned after all the rest of the outside, and before it is turned round', () => {
  const slim = shown.find((piece) => worked(piece).order.jobs.some(({ id }) => id === 'outside-slender'))!;
  const { order } = worked(slim);
  const at = (id: string) => order.jobs.findIndex((job) => job.id === id);
  const rings = (id: string) => order.jobs[at(id)]!.owners.map((owner) => owner.id);
  expect(at('outside-slender')).toBeGreaterThan(at('sand-outside'));
  expect(at('reverse')).toBeGreaterThan(at('sand-outside-slender'));
  expect([...rings('outside'), ...rings('outside-slender')].sort()).toEqual(
    slim.rings.map(({ id }) => id).sort(),
  );
});

test('a spare foot is glued on before the work is mounted, and parted off at the end', () => {
  const bowl = named('Best Fleece Bowl');
  expect(worked(bowl).order.jobs.some(({ id }) => id.startsWith('spare/'))).toBe(false);
  const { jobs } = worked(bowl, { spareFoot: true }).order;
  const spare = jobs.findIndex(({ id }) => id.startsWith('spare/'));
  expect(jobs[spare + 1]).toMatchObject({
    id: expect.stringMatching(/^mount/),
    needs: [{ id: jobs[spare]!.id, after: 'cure' }],
  });
  expect(plain(jobs.find(({ id }) => id === 'foot')!.says[0]!)).toMatch(/Part the spare foot/);
});

test('a slanted band is sawn as soon as all rings that it meets are on, those above glued on after', () => {
  const vase = shown.find(({ slants }) => slants)!;
  const low = { ...vase, slants: [{ ...vase.slants![0]!, heightMm: vase.rings[0]!.heightMm }] } as Project;
  const { order } = worked(low, { stacking: 'ring-by-ring' });
  const at = (test: (id: string) => boolean) => order.jobs.findIndex(({ id }) => test(id));
  const cut = at((id) => id === `band-${low.slants![0]!.id}/cut`);
  const glued = at((id) => id === `band-${low.slants![0]!.id}/glue`);
  const onto = order.jobs.flatMap(({ id }, i) => (id.includes('/joint/') ? [i] : []));
  const before = onto.filter((i) => i < cut);
  // Every ring that the cut goes through at the turned wall is on: by its height there, up the slope.
  const { prepared } = worked(low);
  const { heightMm, slantDeg } = low.slants![0]!;
  const highest = prepared.rings.filter(
    ({ stands, wall }) =>
      stands.bottomMm < heightMm + wall.outerRadiusMm * Math.tan((slantDeg * Math.PI) / 180),
  ).length;
  expect(before.length).toBeGreaterThanOrEqual(highest - 1);
  expect(highest).toBeGreaterThan(1);
  expect(onto.length - before.length).toBeGreaterThan(0);
  expect(order.jobs[cut]!.stage).toMatch(/^body-/);
  // It waits for the glue below it to be hard, the next ring for its own clamps.
  const mark = order.jobs.find(({ id }) => id.endsWith('/mark'))!;
  expect(mark.needs).toContainEqual({ id: order.jobs[before.at(-1)!]!.id, after: 'cure' });
  const next = order.jobs[onto[before.length]!]!;
  expect(next.needs).toContainEqual({ id: order.jobs[glued]!.id, after: 'clamps' });
});

test('on faceplates a section holds its plate until it is joined or parted off; on tenons none', () => {
  const vase = named('Drystone Wall Vase');
  const holds = (schools: Schools) =>
    worked(vase, schools).order.jobs.flatMap(({ id, holds }) =>
      holds ? [[id.split('/')[0], holds.of, holds.until]] : [],
    );
  expect(holds({ stacking: 'halves', seat: 'tenon' })).toEqual([]);
  const plates = holds({ stacking: 'halves', seat: 'plate' });
  const join = worked(vase, { stacking: 'halves' }).order.jobs.find(({ stage }) => stage === 'join')!;
  expect(plates).toEqual([
    ['mount', 'plates', 'foot'],
    ['mount', 'plates', join.id],
  ]);
});
