import fc from 'fast-check';
import type { Form } from '../form/shape.js';
import { vesselOf } from '../form/vessel.js';
import { MAKINGS, placesOf, type RingMaking } from '../making/registry.js';
import { mm } from '../measure/quantity.js';
import { type Project, SCHEMA_VERSION } from '../project/schema.js';
import { courses } from '../ring/stack.js';

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true, noDefaultInfinity: true });

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
    return { points, wallMm: mm(wallMm), floorMm: mm(floor * height) };
  })
  .filter((form) => vesselOf(form).ok);

/** Random parameters for every way of making, straight from the registry. */
export const anyMaking: fc.Arbitrary<RingMaking> = fc.oneof(
  ...Object.keys(MAKINGS).map((way) =>
    fc
      .integer({ min: 3, max: 60 })
      .map((count) => (way === 'disc' ? { way: 'disc' } : { way, count }) as RingMaking),
  ),
);

export const anyNeed = fc
  .record({ outer: between(20, 200), share: between(0, 0.95), height: between(3, 60) })
  .map(({ outer, share, height }) => ({
    outerMm: mm(outer),
    innerMm: mm(share < 0.1 ? 0 : outer * share),
    heightMm: mm(height),
  }));

const KEYS = ['light', 'dark', 'accent'];

/** A whole project that fits together. */
export const anyProject: fc.Arbitrary<Project> = fc
  .record({
    form: anyForm,
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
        return { id: `r${index}`, heightMm: heights[index]!, making, turn: (index % 4) / 4, woods };
      }),
      palette: [
        { key: 'light', tone: 'light' as const, wood: 'sugar-maple' },
        { key: 'dark', tone: 'dark' as const, wood: 'black-walnut' },
        { key: 'accent', tone: 'accent' as const, wood: 'padauk' },
      ],
      allowances: { outsideMm: mm(4), insideMm: mm(3) },
    } satisfies Project;
  });
