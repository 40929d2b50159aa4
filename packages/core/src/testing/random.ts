import fc from 'fast-check';
import type { Form } from '../form/shape.js';
import { vesselOf } from '../form/vessel.js';
import { oneWoodOf, placesOf } from '../making/registry.js';
import { mm } from '../measure/quantity.js';
import { type Project, SCHEMA_VERSION } from '../project/schema.js';
import { courses } from '../ring/stack.js';
import { between } from './numbers.js';
import { anyMaking } from './randomMakings.js';

/** A form with one wall thickness and nothing besides. */
export const formOf = (points: Form['points'], wallMm: number, floorMm: number): Form => ({
  points,
  inside: { by: 'wall', walls: [{ heightMm: mm(0), wallMm: mm(wallMm) }], floorMm: mm(floorMm) },
  recess: null,
  lid: null,
});

/** A form that can be: random points, walls and floors, those that close up left out. */
export const anyForm: fc.Arbitrary<Form> = fc
  .record({
    rises: fc.array(between(4, 60), { minLength: 1, maxLength: 6 }),
    radii: fc.array(between(25, 150), { minLength: 7, maxLength: 7 }),
    corners: fc.array(fc.boolean(), { minLength: 7, maxLength: 7 }),
    wallMm: between(2, 12),
    floor: between(0, 0.5),
  })
  .map(({ rises, radii, corners, wallMm, floor }) => {
    let height = 0;
    const points = [0, ...rises].map((rise, i) => {
      height += rise;
      return {
        radiusMm: mm(radii[i]!),
        heightMm: mm(height),
        kind: corners[i]! ? ('corner' as const) : ('smooth' as const),
      };
    });
    return formOf(points, wallMm, floor * height);
  })
  .filter((form) => vesselOf(form).ok);

/** A form of every kind: a wall that changes, an inside of its own, a foot recess, a lid. */
export const anyRichForm: fc.Arbitrary<Form> = fc
  .record({
    form: anyForm,
    own: fc.boolean(),
    top: between(2, 14),
    recess: fc.boolean(),
    lid: fc.boolean(),
  })
  .map(({ form, own, top, recess, lid }): Form => {
    const heightMm = form.points.at(-1)!.heightMm;
    if (form.inside.by !== 'wall') return form;
    const { walls, floorMm } = form.inside;
    const wallMm = walls[0]!.wallMm;
    const foot = form.points[0]!.radiusMm;
    const floor = Math.max(floorMm, 4);
    const points = [floor, (floor + heightMm) / 2, heightMm].map((z, i) => ({
      radiusMm: mm(i === 0 ? 4 : 12),
      heightMm: mm(z),
      kind: 'smooth' as const,
    }));
    const inside: Form['inside'] = own
      ? { by: 'curve', points }
      : { by: 'wall', walls: [walls[0]!, { heightMm, wallMm: mm(top) }], floorMm: mm(floor) };
    return {
      ...form,
      inside,
      recess: recess ? { radiusMm: mm(Math.min(foot, wallMm + 12) * 0.6), depthMm: mm(1.5) } : null,
      lid: lid && !own ? { heightMm: mm(0.7 * heightMm + 0.3 * floor), roofMm: mm(wallMm) } : null,
    };
  })
  .filter((form) => vesselOf(form).ok);

export const anyNeed = fc
  .record({ outer: between(20, 200), share: between(0, 0.95), height: between(3, 60) })
  .map(({ outer, share, height }) => ({
    outerRadiusMm: mm(outer),
    innerRadiusMm: mm(share < 0.1 ? 0 : outer * share),
    heightMm: mm(height),
  }));

const KEYS = ['light', 'dark', 'accent'];

/** A whole project that fits together. */
export const anyProject: fc.Arbitrary<Project> = fc
  .record({
    form: fc.oneof(anyForm, anyRichForm),
    ringMm: between(5, 40),
    makings: fc.array(anyMaking, { minLength: 1, maxLength: 6 }),
    seed: fc.nat(),
  })
  .map(({ form, ringMm, makings, seed }) => {
    const height = form.points[form.points.length - 1]!.heightMm;
    const heights = Array.from({ length: Math.ceil(height / ringMm) }, () => mm(ringMm));
    return {
      schema: SCHEMA_VERSION,
      name: 'Random',
      form,
      rings: courses(heights).map(({ index }) => {
        const making = makings[index % makings.length]!;
        const woods = Array.from(
          { length: placesOf(making) },
          (_, place) => KEYS[(place * 7 + index + seed) % KEYS.length]!,
        );
        for (const [first, ...others] of oneWoodOf(making))
          for (const place of others) woods[place] = woods[first!]!;
        return { id: `r${index}`, heightMm: heights[index]!, making, turn: (index % 4) / 4, woods };
      }),
      palette: [
        { key: 'light', tone: 'light' as const, wood: 'sugar-maple' },
        { key: 'dark', tone: 'dark' as const, wood: 'black-walnut' },
        { key: 'accent', tone: 'accent' as const, wood: 'padauk' },
      ],
      allowances: { outsideMm: mm(4), insideMm: mm(3) },
      motifs: [],
      underlay: null,
    } satisfies Project;
  });
