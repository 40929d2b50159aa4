import { expect, test } from 'vitest';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { DEFAULT_SHOP } from '../../settings/shop.js';
import { blockThickness, type Held, reversedOn, seatFor, seatsFor } from './holding.js';

const INCH = 25.4;
const bowl: Held = { faceMm: 4 * INCH, widestMm: 9 * INCH, solidMm: 0.5 * INCH, underFootMm: 3, foot: true };

// craft 17: fastening + parting tool (1/8 in) + hollow under the foot + 1/8 in.
test('a block that is never gripped again is as thick as all that is taken of it', () => {
  expect(blockThickness(bowl, DEFAULT_SHOP)).toBeCloseTo((0.5 + 0.125 + 0.125) * INCH + 3, 9);
});

// craft 17: a gripped tenon of at least a third of the work's diameter before a plate before a spread recess.
test('a tenon of a third of the work is proposed where the jaws take it, else a plate', () => {
  const [tenon] = seatsFor(bowl, DEFAULT_SHOP);
  expect(tenon).toMatchObject({ seat: 'tenon', wrong: null });
  expect(tenon!.acrossMm).toBeCloseTo(3 * INCH, 9);
  const wide = seatsFor({ ...bowl, widestMm: 18 * INCH, faceMm: 8 * INCH }, DEFAULT_SHOP);
  expect(wide[0]).toMatchObject({ seat: 'plate' });
  expect(plain(wide.find(({ seat }) => seat === 'tenon')!.wrong!)).toMatch(
    /152.4 mm; your jaws grip no more than 127 mm/,
  );
  const thin = seatsFor({ ...bowl, faceMm: 2.5 * INCH }, DEFAULT_SHOP);
  expect(plain(thin.find(({ seat }) => seat === 'tenon')!.wrong!)).toMatch(/no shoulder/);
});

test('a recess is warned off in a small foot, a thin floor, when shallow, and where the work hangs from its rim', () => {
  const why = (held: Partial<Held>, seatDeepMm = mm(0.25 * INCH)) => {
    const { workshop } = DEFAULT_SHOP;
    const shop = { ...DEFAULT_SHOP, workshop: { ...workshop, holding: { ...workshop.holding, seatDeepMm } } };
    const recess = seatsFor({ ...bowl, ...held }, shop).find(({ seat }) => seat === 'recess')!;
    return recess.wrong && plain(recess.wrong);
  };
  expect(why({})).toBeNull();
  expect(why({ faceMm: 1.5 * INCH })).toMatch(/too small for your jaws/);
  expect(why({ solidMm: 8 })).toMatch(/too little over it/);
  expect(why({}, mm(0.125 * INCH))).toMatch(/shallow/);
  expect(why({ foot: false })).toMatch(/hangs from its rim/);
});

test('what was chosen is taken where it can be', () => {
  expect(seatFor(bowl, DEFAULT_SHOP, 'recess').seat).toBe('recess');
  expect(seatFor({ ...bowl, foot: false }, DEFAULT_SHOP, 'recess').seat).toBe('tenon');
});

test('it is turned round in the rim jaws where they take it, else over a plug, solid between centres', () => {
  expect(plain(reversedOn(200, 230, true, DEFAULT_SHOP))).toMatch(/rim jaws/);
  expect(plain(reversedOn(200, 300, true, DEFAULT_SHOP))).toMatch(/padded plug in its mouth of 200 mm/);
  expect(plain(reversedOn(40, 230, true, DEFAULT_SHOP))).toMatch(/padded plug/);
  expect(plain(reversedOn(0, 230, false, DEFAULT_SHOP))).toMatch(/between a padded drive and the tailstock/);
});
