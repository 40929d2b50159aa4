import { expect, test } from 'vitest';
import { SHIPPED_WOODS } from './catalogue.js';
import { changeCoefficient } from './movement.js';
import { density, speciesSchema } from './species.js';

const of = (id: string) => SHIPPED_WOODS.find((wood) => wood.id === id)!;

test('at least 24 woods, each by the schema, with its own id, letter, colour and hatch', () => {
  expect(SHIPPED_WOODS.length).toBeGreaterThanOrEqual(24);
  for (const wood of SHIPPED_WOODS) expect(speciesSchema.safeParse(wood).error?.issues).toBeUndefined();
  const different = (of: (wood: (typeof SHIPPED_WOODS)[number]) => string) =>
    new Set(SHIPPED_WOODS.map(of)).size;
  expect(different(({ id }) => id)).toBe(SHIPPED_WOODS.length);
  expect(different(({ letter }) => letter)).toBe(SHIPPED_WOODS.length);
  expect(different(({ colour }) => colour)).toBe(SHIPPED_WOODS.length);
  expect(different(({ hatch }) => JSON.stringify(hatch))).toBe(SHIPPED_WOODS.length);
});

// Wood Handbook, USDA Forest Products Laboratory, ch. 4 and 5, written down from memory.
test.each([
  ['sugar-maple', 0.63, 4.8, 9.9],
  ['black-walnut', 0.55, 5.5, 7.8],
  ['black-cherry', 0.5, 3.7, 7.1],
  ['white-ash', 0.6, 4.9, 7.8],
])('%s: specific gravity %f, shrinkage %f radial, %f tangential', (id, gravity, radial, tangential) => {
  expect(of(id)).toMatchObject({ specificGravity: gravity, shrinkage: { radial, tangential } });
  expect(density(of(id))).toBeCloseTo(gravity * 1120, 9);
});

// Wood Handbook, USDA Forest Products Laboratory, ch. 13, written down from memory. White oak is left out: its
// coefficient in that table (0.00180) does not follow from the shrinkage in ch. 4.
test.each([
  ['sugar-maple', 0.00165, 0.00353],
  ['black-walnut', 0.0019, 0.00274],
  ['black-cherry', 0.00126, 0.00248],
  ['yellow-poplar', 0.00158, 0.00289],
])('%s changes by %f radially and %f tangentially for each percent of moisture', (id, radial, tangential) => {
  const { shrinkage } = of(id);
  expect(changeCoefficient(shrinkage!.radial)).toBeCloseTo(radial, 5);
  expect(changeCoefficient(shrinkage!.tangential)).toBeCloseTo(tangential, 5);
});
